export { wilson, type Interval } from './wilson.js';
export {
  buildLines,
  type Counts,
  type CountingView,
  type GripSet,
  type Line,
  type LineBook,
  type Logged,
} from './lines.js';
export { buildHeights, type Height } from './heights.js';
export { mostCarrying, neighboursOf, weightOf } from './neighbours.js';
export {
  layoutMap,
  splitLabel,
  type LayoutOptions,
  type MapLayout,
  type PlacedColumn,
  type PlacedPlace,
} from './layout.js';
