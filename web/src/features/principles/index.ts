export { Principles } from './Principles.js';
