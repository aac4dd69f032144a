export { TodoList } from './TodoList.js';
