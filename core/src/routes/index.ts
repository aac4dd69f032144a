export { type RouteGraph } from './arcs.js';
export { kBestRoutes, type FoundRoute } from './kBest.js';
export { bestRoutes, gripChanges, lineCost, type Route, type RouteGoal, type Step } from './routes.js';
export { clipOfStep, lineOfStep } from './kept.js';
