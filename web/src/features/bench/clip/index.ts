export { useClipRoom } from './useClipRoom.js';
