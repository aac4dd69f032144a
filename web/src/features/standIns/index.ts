export { DemoCorner } from './DemoCorner.js';
