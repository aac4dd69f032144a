export type { ErrorBody, Refusal, RefusalCode } from './errors.js';
export type {
  BinItem,
  Changed,
  HealthAnswer,
  Invitation,
  InvitationLook,
  LibraryPart,
  Mail,
  Me,
  Member,
  News,
  People,
  References,
  ScoreboardAnswer,
  SessionLook,
} from './answers.js';
export { NAME_LIMIT, PASSWORD_LEAST } from './fields.js';
export * from './attempts.js';
export * from './requests.js';
export * from './people.js';
export * from './words.js';
export * from './moments.js';
export * from './routes.js';
export { libraryFile } from './libraryFile.js';
export * from './media.js';
