export { MapScreen } from './MapScreen.js';
