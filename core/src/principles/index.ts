export {
  casesOf,
  isInScope,
  principlesAt,
  tableOf,
  type Known as KnownOfPrinciples,
  type PrincipleCase,
  type Seen as SeenAttempt,
} from './cases.js';
export { canHoldAtOnce, clashesIn, twoViewsIn, type Clash, type ClashKind, type TwoViews } from './clashes.js';
export { STRENGTH_WORDS, isEmptyScope, readRequired, readScope, sayPattern, sayScope, type Read } from './saying.js';
export { STRENGTHS, type HoldPattern, type Principle, type PrincipleScope, type Strength, type View } from './types.js';
