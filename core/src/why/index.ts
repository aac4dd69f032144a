export { linksTold, partsOf, sayLink, sayPart } from './parts.js';
export {
  becauseIn,
  becauseOf,
  circleIn,
  detailId,
  takenAway,
  type Because,
  type DetailId,
  type TakenAway,
} from './because.js';
export { fisher, hasPattern, twoByTwo, withAndWithout, type Pattern, type WithAndWithout } from './withAndWithout.js';
export {
  EVIDENCE_WORDS,
  anglesNeeded,
  evidenceOf,
  guessesIn,
  sayEvidence,
  withEvidence,
  type AngleNeeded,
  type Guess,
} from './evidence.js';
export { COMPARED, cameWith, differencesOf, seriesOf, type Compared, type Difference } from './differences.js';
export { VIEW_WORDS, unclearProofs, viewAt, viewFault, withViewFrom, withViewTo, type UnclearProof } from './views.js';
export { onlySaid, type OnlySaid } from './onlySaid.js';
export { retold, toldTwice, type ToldAs, type ToldTwice } from './toldTwice.js';
export { alternativeFaults, factFault, factFaults, handedFaults, type WhyFault } from './faults.js';
export { AMENDABLE, SLIP_MS, amendmentsOf, type Amendable, type AfterEdit, type Amendment } from './amendments.js';
