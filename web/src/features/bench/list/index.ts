export { ClipsHere } from './ClipsHere.js';
