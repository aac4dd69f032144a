export { beginAlike, fit, fitSpelled, spelled, type Spelled } from './slips.js';
export { SpelledWords } from './spelledWords.js';
