import type { Angle, Footage, MediaFile } from '../footage/index.js';
import type { Attempt, Clip } from '../attempts/index.js';
import type { Collection } from '../collections/index.js';
import type { Drawing } from '../drawings/index.js';
import type { Moment } from '../moments/index.js';
import type { Person } from '../people/index.js';
import type { Plan } from '../plans/index.js';
import type { Principle } from '../principles/index.js';
import type { AcademyPolicy, KeptRoute } from '../teaching/index.js';
import type { Todo } from '../todos/index.js';
import { ATTEMPT, CLIP, MOMENT } from './attempt.js';
import { COLLECTION } from './collection.js';
import { ANGLE, FILE, FOOTAGE } from './footage.js';
import { PERSON } from './people.js';
import { PLAN } from './plan.js';
import { POLICY } from './policy.js';
import { ROUTE } from './route.js';
import { DRAWING, PRINCIPLE, TODO } from './why.js';
import { WORD, type KeptWord } from './word.js';

export {
  BARE_ATTEMPT,
  BARE_CLIP,
  BARE_MOMENT,
  MOMENT_NAME_LIMIT,
  NOTE_LIMIT,
  RUN_NAME_LIMIT,
  draftAttempt,
} from './attempt.js';
export { BARE_ANGLE, BARE_FOOTAGE } from './footage.js';
export { BARE_PERSON } from './people.js';
export { CUE_LIMIT } from './route.js';
export { BARE_DRAWING, BARE_PRINCIPLE, BARE_TODO, SENTENCE_LIMIT } from './why.js';
export { BARE_WORD, asKeptWord, asWordChange, type KeptWord } from './word.js';
export {
  KEY_LIMIT,
  NAME_LIMIT,
  sentName,
  sentValue,
  type Fields,
  type Parts,
  type SaidOf,
  type Sent,
  type Told,
} from './shapes.js';
export { overFields, overLeaves, wordedFields, wordsSaid, type Leaf, type SaidWord } from './walk.js';

/** The kinds of rows that edits change, each field told of once. */
export const KEPT = {
  angle: ANGLE,
  attempt: ATTEMPT,
  clip: CLIP,
  collection: COLLECTION,
  drawing: DRAWING,
  file: FILE,
  footage: FOOTAGE,
  moment: MOMENT,
  person: PERSON,
  plan: PLAN,
  policy: POLICY,
  principle: PRINCIPLE,
  route: ROUTE,
  todo: TODO,
  word: WORD,
} as const;
export type Entity = keyof typeof KEPT;

/** A row of each kind. */
export type RowOf = {
  readonly angle: Angle;
  readonly attempt: Attempt;
  readonly clip: Clip;
  readonly collection: Collection;
  readonly drawing: Drawing;
  readonly file: MediaFile;
  readonly footage: Footage;
  readonly moment: Moment;
  readonly person: Person;
  readonly plan: Plan;
  readonly policy: AcademyPolicy;
  readonly principle: Principle;
  readonly route: KeptRoute;
  readonly todo: Todo;
  readonly word: KeptWord;
};
