export {
  POINTS_OF,
  atPixels,
  distanceTo,
  drawnAt,
  fromPixels,
  isWhole,
  nextNumber,
  pictureAngle,
  pointerAt,
  type PictureSize,
} from './geometry.js';
export { SHAPE_KINDS, type Drawing, type Point, type Shape, type ShapeKind, type TrackPoint } from './types.js';
export { LEAST_REGION, movedRegion, regionBetween, sizeSeen, sizedRegion } from './region.js';
