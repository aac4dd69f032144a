export type { Fault, FileFault, Task } from './types.js';
