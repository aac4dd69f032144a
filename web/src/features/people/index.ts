export { People } from './People.js';
export { Letters } from './Letters.js';
export { Sessions } from './Sessions.js';
