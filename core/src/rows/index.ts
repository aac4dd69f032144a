import type { Angle, Footage, MediaFile } from '../footage/index.js';
import type { Attempt, Clip, KeptRoute } from '../attempts/index.js';
import type { Moment } from '../moments/index.js';
import type { Person } from '../people/index.js';
import { ATTEMPT, CLIP, MOMENT } from './attempt.js';
import { ANGLE, FILE, FOOTAGE } from './footage.js';
import { PERSON } from './people.js';
import { ROUTE } from './route.js';
import { WORD, type KeptWord } from './word.js';

export { BARE_ATTEMPT, BARE_CLIP, BARE_MOMENT, NOTE_LIMIT, draftAttempt } from './attempt.js';
export { BARE_ANGLE, BARE_FOOTAGE } from './footage.js';
export { BARE_PERSON } from './people.js';
export { CUE_LIMIT } from './route.js';
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
  file: FILE,
  footage: FOOTAGE,
  moment: MOMENT,
  person: PERSON,
  route: ROUTE,
  word: WORD,
} as const;
export type Entity = keyof typeof KEPT;

/** A row of each kind. */
export type RowOf = {
  readonly angle: Angle;
  readonly attempt: Attempt;
  readonly clip: Clip;
  readonly file: MediaFile;
  readonly footage: Footage;
  readonly moment: Moment;
  readonly person: Person;
  readonly route: KeptRoute;
  readonly word: KeptWord;
};
