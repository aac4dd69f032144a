export * from './types.js';
export { blankNames } from './blankNames.js';
