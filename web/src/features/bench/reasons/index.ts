export { useReasonsRoom } from './useReasonsRoom.js';
