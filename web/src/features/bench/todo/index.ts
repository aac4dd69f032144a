export { useTodoRoom } from './useTodoRoom.js';
