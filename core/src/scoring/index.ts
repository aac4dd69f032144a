export { housePoints } from './housePoints.js';
