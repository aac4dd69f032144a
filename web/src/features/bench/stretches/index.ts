export { StretchesHere } from './StretchesHere.js';
export { KIND_TEXT } from './stretches.text.js';
export { isSameStretch, type Stretches } from './useStretches.js';
export { useStretchRoom, type StretchRoom } from './useStretchRoom.js';
