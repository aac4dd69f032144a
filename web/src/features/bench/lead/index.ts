export { useLeadRoom } from './useLeadRoom.js';
