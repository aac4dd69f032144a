export { casesIn, casesOfView, toldCases, workedIn, type Case, type SheetSource, type ToldCase } from './cases.js';
export {
  ANSWERED,
  answerTable,
  answersFound,
  columnKey,
  isHole,
  theirTable,
  type AnswerRow,
  type AnswerSeen,
  type AnswerTable,
  type AnswersFound,
  type Answered,
  type Cell,
  type Column,
  type Met as MetBy,
  type TheirRow,
} from './answerTable.js';
export { askedFor, foundFor, type AskedFor, type FoundFor } from './asked.js';
export { coverageOf, coverageSteps, type Hole } from './coverage.js';
export { compareLines, newcombe, passing, type ComparedGroup, type RateDifference } from './compare.js';
export { bestMix, eitherWaysOf, type EitherWay, type Game, type Mix } from './eitherWay.js';
export { clothOnWay, leaningLines, leaningOf, sameWithoutCloth, type Leaning } from './cloth.js';
export { survivalOf, type Kept, type Survival, type SurvivalStep } from './survival.js';
export { holdKey, holdKind, holdKindsOf, holdSheet, type HoldKind, type HoldSheet, type HoldUse } from './holds.js';
export { reachOf, type EvidenceReach, type StepReach } from './reach.js';
export { apartOf, relativesOf, type RelativePart } from './relatives.js';
export { lineBehind, type WayOn } from './lineBehind.js';
export { answeringOf, narrowed, type Narrowing } from './narrow.js';
export { shareWithin, spreadOf, timesOf, type Spread, type Times } from './times.js';
export {
  depthsIn,
  errorsIn,
  factsIn,
  metBy,
  reasonsIn,
  wentOf,
  triesOf,
  type DepthRow,
  type ErrorRow,
  type FactRow,
  type MetRow,
  type ReasonRow,
  type Went,
} from './details.js';
export { entriesOf, entrySheet, type EntrySheet } from './entrySheet.js';
export { reactionSheet, reactionsMet, type ReactionSheet } from './reactionSheet.js';
export { forksAt, type Fork } from './forks.js';
