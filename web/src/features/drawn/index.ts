export { Drawn, drawnSaid } from './Drawn.js';
export { DrawnShapes } from './DrawnShapes.js';
export { OverPicture } from './OverPicture.js';
export { PointerDot } from './PointerWay.js';
export { placeIn } from './placeIn.js';
export { useDrawnHere } from './useDrawnHere.js';
export { SHAPE_TEXT } from './drawn.text.js';
