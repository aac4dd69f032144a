export {
  FOLLOWED_WITHIN_S,
  announcedOf,
  followedBy,
  inOrder,
  triedOf,
  type Announced,
  type Dated,
  type Tried,
} from './todos.js';
export {
  FOLLOWED,
  TODO_KINDS,
  TODO_STATUSES,
  type AnnouncedPart,
  type Todo,
  type TodoKind,
  type TodoStatus,
} from './types.js';
