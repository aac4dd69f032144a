export { wilson, type Interval } from './wilson.js';
export { buildLines, lineId } from './lines.js';
export type { Counts, GripSet, Line, LineBook } from './types.js';
export { buildHeights, heightsOf, type Height } from './heights.js';
export { RowTable, type FootageRow, type Logged } from './rows.js';
export { Tally } from './tally.js';
export { ANSWERING, amongGathered, gatheredFor, type AskedByName, type Gathered } from './gathered.js';
export { WHOLE, whoseIn, type CountingView, type PointOfView, type Whose } from './view.js';
export { applyRows, messageOf, packRows, unpackRows, type RowsMessage } from './packed.js';
export { mostCarrying, neighboursOf, placesByWeight, weightOf } from './neighbours.js';
export {
  layoutMap,
  splitLabel,
  widthNeeded,
  type LayoutOptions,
  type MapLayout,
  type PlacedColumn,
  type PlacedPlace,
} from './layout.js';
