export { WallScreen } from './WallScreen.js';
