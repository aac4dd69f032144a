export { Caps, OwnKeysHere } from './Caps.js';
export { KeyHints } from './KeyHints.js';
export { KeySheet } from './KeySheet.js';
export {
  ASK_KEYS,
  BOARD_KEYS,
  EDGE_KEYS,
  INSET_KEYS,
  LINE_KEYS,
  MARK_KEYS,
  MARK_LINE_KEYS,
  PHRASE_KEYS,
  PICTURE_KEYS,
  DRAW_KEYS,
  VIEW_KEYS,
  REASONS_KEYS,
  TRIES_KEYS,
  hintsWhen,
  stretchHints,
  type Hint,
} from './keys.text.js';
export { type OwnKeys } from './ownKeys.js';
export { useOwnKeys } from './useOwnKeys.js';
export { isWrittenInto, type KeyTable, usePictureKeys } from './usePictureKeys.js';
