export { BenchHint } from './BenchHint.js';
export { DESK_TEXT } from './desk.text.js';
export { EMPTY, PARTS, heldIn, wayOf, type Edge, type Hand, type HandMove, type StretchInHand } from './hand.js';
export { leftIn } from './leftIn.js';
export { instantAt, newClipEdit } from './newClip.js';
export { together, type Room } from './room.js';
export { cameraName, sameTryOf, useOnBench, type Camera, type OnBench } from './useBenchClips.js';
export { useDesk, type Desk, type Focusable } from './useDesk.js';
export { useKeySheetRoom } from './useKeySheetRoom.js';
