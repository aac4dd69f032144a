export { KeptRoute } from './KeptRoute.js';
export { RouteFinder } from './RouteFinder.js';
export { RoutePlayer } from './RoutePlayer.js';
export { clipOfShown } from './clipOfShown.js';
export { sayOn } from './sayOn.js';
export { mainOf, stepName, type ShownRoute, type ShownStep } from './shownRoute.js';
export { formOf } from './stepForms.js';
export { cautionsIn, clipSeconds, clockText, minutesOf } from './stepTimes.js';
export { useKeptRoute } from './useKeptRoute.js';
