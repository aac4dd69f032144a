export { EntryScreen } from './EntryScreen.js';
export { HoldScreen } from './HoldScreen.js';
export { ReactionScreen } from './ReactionScreen.js';
export { ShapeScreen } from './ShapeScreen.js';
export { PageFrame, Parts, RowPanel, WhichOne } from './SheetPage.js';
export { PutIntoRoute } from './PutIntoRoute.js';
export { PlaceSwitches, useNarrowing } from './Switches.js';
export { ToldHere, toldRows } from './ToldHere.js';
