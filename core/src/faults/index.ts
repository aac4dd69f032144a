export type { Fault, FileFault, Task } from './types.js';
export { faultText } from './text.js';
