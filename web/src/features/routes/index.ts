export { KeptRoute } from './KeptRoute.js';
export { RouteFinder } from './RouteFinder.js';
export { RoutePlayer } from './RoutePlayer.js';
