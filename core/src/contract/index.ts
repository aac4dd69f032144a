export type { Refusal, RefusalCode } from './errors.js';
export type { Counted, FieldFault, FieldKind, Named, WrongField } from './fieldFault.js';
export type {
  AmendmentItem,
  BinItem,
  Changed,
  HealthAnswer,
  Invitation,
  FoundingLook,
  InvitationLook,
  LibraryPart,
  Letter,
  LetterState,
  Me,
  Member,
  News,
  People,
  Quota,
  References,
  ScoreboardAnswer,
  SessionLook,
} from './answers.js';
export { EMAIL_LIMIT, normalEmail } from './email.js';
export { PASSWORD_LEAST, PASSWORD_WORDS, passwordFault, passwordWords } from './password.js';
export { wellFormed } from './wellFormed.js';
export * from './attempts.js';
export * from './requests.js';
export * from './people.js';
export * from './words.js';
export * from './moments.js';
export * from './routes.js';
export * from './why.js';
export * from './follow.js';
export { libraryFile } from './libraryFile.js';
export * from './media.js';
