export type { AttemptChanges, ClipChanges, Doing, DrawingChanges, LibraryEdit, MadeClip, Removable } from './edit.js';
export { applyEdit, recut, upsert, withEdits } from './rows.js';
export { fieldsSent, requestOf, rowIdOf, seenVersion, withoutFields, type EditRequest } from './request.js';
