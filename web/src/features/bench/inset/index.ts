export { useInsetRoom } from './useInsetRoom.js';
