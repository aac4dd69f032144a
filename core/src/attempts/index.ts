export * from './types.js';
export * from './whyTypes.js';
export { quantile } from './quantile.js';
export {
  defaultHeight,
  finishId,
  flipPlace,
  flipState,
  foldPlace,
  placeFamily,
  placeName,
  readPlace,
  stateId,
  type Place,
  type PlaceId,
} from './places.js';
export {
  aimReached,
  aimsOf,
  errorDecided,
  finishOf,
  gripsAtCommit,
  gripsAtEnd,
  isAim,
  sayAim,
  isAimedAt,
  isNearFinish,
  isResisted,
  missingParts,
  proposedFinish,
  proposedResult,
  standingOf,
  type Standing,
} from './standing.js';
export { controlKey, mirrorAttempt, mirrorControl, mirrorSaid, normaliseSides, otherSide } from './sides.js';
export { WHEN_WORDS, bareWhose, factSlot, factText, sayFact, valuesOf, withFact } from './facts.js';
export {
  sayAlternative,
  timeToAct,
  timesToAct,
  withAlternativeDetail,
  type AlternativeDetail,
  type TimesToAct,
} from './alternatives.js';
export {
  SEEN,
  TELLINGS,
  pictureSide,
  sideWord,
  sidesOf,
  type Seen,
  type SideWords,
  type Telling,
  type SideView,
} from './telling.js';
export {
  LADDERS,
  RESULT_WORDS,
  depthWord,
  aimText,
  plannedWord,
  sayAttempt,
  type Climbed,
  type SaidPart,
} from './sentence.js';
export { sayControl, type SaidSides } from './sayControl.js';
export {
  DEPTH_WORDS,
  HIDDEN_WORDS,
  PURPOSE_WORDS,
  THUMB_WORDS,
  handedWords,
  mayBeFrom,
  placesOn,
  sayHold,
  withHoldDetail,
  withoutHoldDetail,
  type HoldDetail,
} from './holdDetails.js';
export { USUAL_KIND } from './usualKind.js';
export {
  courseOf,
  counteredBy,
  linkAttempts,
  runOf,
  type CoursePoint,
  type CourseRun,
  type Link,
  type Timed,
} from './chains.js';
export {
  DECIDING_WORDS,
  QUALITY_WORDS,
  sayReaction,
  withDetail,
  withLimb,
  withoutLast,
  type ReactionDetail,
} from './reactions.js';
export { withReason, withoutReason } from './reasons.js';
export { attemptCautions } from './cautions.js';
export { AGAIN, repeated, sameTry, type Again } from './again.js';
export {
  answersIn,
  isSameMet,
  lineReaction,
  meetingsIn,
  metKey,
  metText,
  startsElsewhere,
  type Answer,
  type Meeting,
} from './answers.js';
export { asSaid, proposedIn } from './proposed.js';
export { doubtQueue, settled, type DoubtCase, type DoubtGroup, type Settling } from './doubts.js';
export { handedOver, isHeldAt, limbsOn, mayBeHanded } from './heldNow.js';
export { contradictionsIn, mirrorContradiction, sidesAgainst, type Contradiction } from './contradictions.js';
