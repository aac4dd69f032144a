export * from './types.js';
export { SHIPPED_WORDS } from './shipped/index.js';
export { areRoles, freshDefinition, namedIn, ownKey, valueKey } from './own.js';
export { Words, otherRole, shippedWords, withChanges } from './words.js';
export { matchWords, type Match, type Sayable } from './matching.js';
export { asCompared, tokens } from './tokens.js';
export { cautionsOf, type Caution } from './cautions.js';
