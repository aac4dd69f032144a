export { PolicyScreen } from './PolicyScreen.js';
export { AGE_TEXT, LEVEL_TEXT } from './policy.text.js';
export { usePolicy } from './usePolicy.js';
