export { SpansHere } from './SpansHere.js';
export { SPAN_TEXT } from './stretches.text.js';
export { isSameSpan, type Spans } from './useSpans.js';
export { useStretchRoom, type StretchRoom } from './useStretchRoom.js';
