export { useViewRoom } from './useViewRoom.js';
