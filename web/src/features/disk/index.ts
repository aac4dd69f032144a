export { Disk } from './Disk.js';
