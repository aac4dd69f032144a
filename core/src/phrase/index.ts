export {
  answerChoices,
  depthChoices,
  entryChoices,
  finishChoices,
  detailChoices,
  metChoices,
  placeChoices,
  reactionChoices,
  reasonChoices,
  resultChoices,
  type Here,
} from './choices.js';
export {
  COULD,
  factChoices,
  aimChoices,
  handedChoices,
  holdDetailChoices,
  knownChoices,
  linkFinder,
  otherWayChoices,
  type FoundLink,
  type Known,
  type OtherWay,
  type ToldLink,
} from './whyChoices.js';
export { holdFinder, holdName, kindsOf, plainKind, type FoundHold } from './holdChoices.js';
export { Usual } from './usual.js';
export { likelyWords, wordOfAction } from './likelyWords.js';
export { lineOf } from './lineOf.js';
export { readCell } from './readCell.js';
export { readControls, readHolds } from './readHolds.js';
export { explainPhrase, readPhrase } from './reader.js';
export { WEIGHTS, type Feature, type Weights } from './weights.js';
export { changesSaid, partsSaid, type AskedPart, type Following, type SaidAttempt, type SaidParts } from './said.js';
export { sayMeant } from './sayMeant.js';
export { phraseFacts, type PartFacts, type PhraseFacts } from './facts.js';
export type { SaidHold } from './holds.js';
export type {
  Meant,
  NotUnderstood,
  Note,
  PartStatus,
  PhraseContext,
  PhrasePart,
  PhraseReading,
  SaidFinish,
  SaidPlace,
} from './types.js';
