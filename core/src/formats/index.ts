export { toGraphml } from './graphml.js';
