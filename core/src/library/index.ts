export { athletesOf, loggedOf, timedOf, wordsOf, type Library } from './library.js';
export {
  ANY_SUBMISSION,
  analyse,
  type AnalysedLine,
  type AnalysedPlace,
  type AnalysedRoute,
  type Analysis,
  type RouteQuestion,
} from './analysis.js';
export { forMembers, isForAcademy } from './audience.js';
