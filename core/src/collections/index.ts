export { COLLECTION_LIMIT, type Collection, type FilterPart } from './types.js';
