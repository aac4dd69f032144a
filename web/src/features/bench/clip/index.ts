export { useClipRoom, type ClipRoom } from './useClipRoom.js';
