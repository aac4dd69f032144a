export { PictureHere } from './PictureHere.js';
export { OVERLAY_TEXT } from './picture.text.js';
export { type Overlay } from './useOverlay.js';
export { usePictureRoom } from './usePictureRoom.js';
