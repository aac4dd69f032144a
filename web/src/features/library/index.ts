export { selectLibrary, selectWords } from './library.selectors.js';
export { failureText, refusalText, sizeText } from './refusal.text.js';
export { NOTHING_FOR_STUDENTS } from './students.text.js';
export { Refusal } from './Refusal.js';
export { SaveState } from './SaveState.js';
export { useOwn } from './useOwn.js';
export { useTables } from './useTables.js';
export { clipViews, type ClipView } from './clipViews.js';
export { useClipViews, useClipsOf, useLibrary, useMayWrite, useRole, useWords } from './useLibrary.js';
