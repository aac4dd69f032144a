export { WordList } from './WordList.js';
