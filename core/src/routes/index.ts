export { kBestRoutes, type FoundRoute, type RouteGraph } from './kBest.js';
export { bestRoutes, gripChanges, lineCost, type Route, type RouteGoal, type Step } from './routes.js';
export { clipOfStep, lineOfStep } from './kept.js';
