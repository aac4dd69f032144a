export { Doubts } from './Doubts.js';
