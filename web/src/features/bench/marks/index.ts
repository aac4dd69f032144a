export { MarksHere } from './MarksHere.js';
export { MARK_TEXT } from './marks.text.js';
export { useMarkRoom, type MarkRoom } from './useMarkRoom.js';
export { type MarkHere, type Marks } from './useMarks.js';
