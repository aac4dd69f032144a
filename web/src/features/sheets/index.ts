export { AnswersScreen } from './AnswersScreen.js';
export { CompareScreen } from './CompareScreen.js';
export { NextScreen } from './NextScreen.js';
export { EntryScreen, HoldScreen, ReactionScreen, ShapeScreen } from './page/index.js';
