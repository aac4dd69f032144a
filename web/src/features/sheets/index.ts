export { AnswersScreen } from './AnswersScreen.js';
export { NextScreen } from './NextScreen.js';
export { useSheetSource } from './useSheetSource.js';
