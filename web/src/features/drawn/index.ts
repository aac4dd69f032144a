export { Drawn, shapeSaid } from './Drawn.js';
export { OverPicture } from './OverPicture.js';
export { PointerDot, PointerWay } from './PointerWay.js';
export { placeIn } from './placeIn.js';
export { SHAPE_TEXT } from './drawn.text.js';
