export { useDrawRoom } from './useDrawRoom.js';
