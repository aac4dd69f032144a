export {
  LISTED,
  LISTS,
  NO_ROWS,
  athletesOf,
  loggedOf,
  timedOf,
  wordsOf,
  type Library,
  type LibraryLists,
  type Listed,
} from './library.js';
export {
  ANY_SUBMISSION,
  analyse,
  analyseRows,
  withPlanned,
  type AnalysedLine,
  type AnalysedPlace,
  type AnalysedRoute,
  type Analysis,
  type RouteQuestion,
} from './analysis.js';
export { analyseWhole } from './whole.js';
export { secondsIn, answeringIn, sheetPartOf, sheetSourceFrom, sheetSourceOf, type SheetPart } from './sheetSource.js';
export { byFootage } from './byFootage.js';
export { pointsAhead, stepsOfBoth, stepsOfOwn } from './bothSides.js';
export { graphOfLines, isEnding, type ReactionTexts, type Thought } from './thinking.js';
export { datedOf, knownForPrinciples, startsFrom } from './known.js';
export { asShown, forMembers, isForAcademy, shownOf, type LibraryRows, type Shown } from './audience.js';
