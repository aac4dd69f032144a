export { useBoardRoom } from './useBoardRoom.js';
