export { ClipList } from './ClipList.js';
