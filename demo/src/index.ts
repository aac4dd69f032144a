export { demoRequests } from './requests.js';
export { demoFootage, type DemoClip, type DemoFootage } from './library.js';
export { seededId } from './ids.js';
export { STRIP_BLOCKS, frameOfBits, stripBits } from './picture/overlay.js';
