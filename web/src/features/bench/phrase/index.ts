export { chainSaid, CONFIRMED, doubtsAsked } from './lineSaid.js';
export { followingTexts, useLineContext, useStateLeft } from './lineContext.js';
export { LINE_TEXT } from './phrase.text.js';
export { PhraseLine } from './PhraseLine.js';
export { useSaying, type SayChange } from './saying.js';
export { usePhraseRoom } from './usePhraseRoom.js';
export { useTelling, type SideTelling } from './useTelling.js';
