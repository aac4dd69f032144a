export { bracketLanes } from './bracketLanes.js';
export { CourseLine } from './CourseLine.js';
