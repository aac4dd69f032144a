export { CourseLine } from './CourseLine.js';
