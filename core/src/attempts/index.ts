export * from './types.js';
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
  finishOf,
  gripsAtCommit,
  gripsAtEnd,
  isAim,
  isAimedAt,
  isNearFinish,
  isResisted,
  missingParts,
  proposedFinish,
  proposedResult,
  standingOf,
  type Standing,
} from './standing.js';
export { controlKey, mirrorAttempt, mirrorControl, normaliseSides, otherSide } from './sides.js';
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
  plannedWord,
  sayAttempt,
  sayControl,
  type Climbed,
  type SaidPart,
  type SaidSides,
} from './sentence.js';
export { USUAL_KIND } from './usualKind.js';
export { courseOf, linkAttempts, type CoursePoint, type CourseRun, type Link, type Timed } from './chains.js';
export {
  DECIDING_WORDS,
  QUALITY_WORDS,
  sayReaction,
  withDetail,
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
