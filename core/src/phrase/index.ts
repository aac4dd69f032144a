export {
  answerChoices,
  depthChoices,
  entryChoices,
  finishChoices,
  metChoices,
  placeChoices,
  reactionChoices,
  reasonChoices,
  resultChoices,
} from './choices.js';
export { holdFinder, holdName, plainKind, type FoundHold } from './holdChoices.js';
export { Usual } from './usual.js';
export { readPhrase } from './reader.js';
export { changesSaid, partsSaid, sayMeant, type Following, type SaidParts } from './said.js';
export { phraseFacts, type PartFacts, type PhraseFacts } from './facts.js';
export type { SaidHold } from './holds.js';
export type { Meant, NotUnderstood, PhraseContext, PhrasePart, PhraseReading, SaidFinish, SaidPlace } from './types.js';
