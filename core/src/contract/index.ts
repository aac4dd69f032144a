export type { ErrorBody, Refusal, RefusalCode } from './errors.js';
export type { Changed, HealthAnswer, Me, TimesAnswer } from './answers.js';
export * from './requests.js';
export { libraryFile } from './libraryFile.js';
