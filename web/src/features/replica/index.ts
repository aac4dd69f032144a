export {
  queueSlice,
  editQueued,
  refusalSettled,
  sendStatus,
  keptIn,
  type KeptIn,
  type RefusedEdit,
} from './queue.slice.js';
export { selectKeptIn, selectPending, selectRefused, selectStatus, type ReplicaState } from './selectors.js';
export { Replica, type Around } from './replica.js';
export { KeptEdits } from './keptEdits.js';
export { inBrowser } from './inBrowser.js';
export { useNews, type NewsEnd } from './news.js';
export { useEdit } from './useEdit.js';
