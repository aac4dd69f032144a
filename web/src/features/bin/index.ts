export { Bin } from './Bin.js';
export { ToBin } from './ToBin.js';
