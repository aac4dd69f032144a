export { beginAlike, beginsLike, fit, fitSpelled, spelled, type Spelled } from './slips.js';
