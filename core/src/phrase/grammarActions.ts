import { isAimedAt } from '../attempts/index.js';
import { otherRole, type Words } from '../vocabulary/index.js';
import {
  ATTACKS,
  beginsThere,
  chainMarks,
  endsThere,
  isAgain,
  isRatherOthers,
  nextAttempt,
  placed,
  theirs,
} from './grammarMarks.js';
import type { Piece, Said } from './piece.js';
import type { Reading, Voice, Way } from './readings.js';

/** Something done, as it is read after what was said. */
type Doing = {
  readonly key: string;
  /** Whose doings are told behind it. */ readonly goesOnAs: Voice;
  /** From one place to another, and only then something done: it begins there. */ readonly isUnderWay: boolean;
  readonly words: Words;
};

/** *tap rnc*: what made them tap, told behind it in one clause. */
const isOfTap = (r: Reading, { key, words }: Doing): boolean =>
  r.told === 'result' && !r.isOpen && r.result === 'success' && words.action(key)?.does === 'submission';

/** The first that is done in an attempt. */
const firstDone = (r: Reading, doing: Doing): readonly Way[] => {
  const { key, goesOnAs, isUnderWay, words } = doing;
  const all: Way[] = [];
  if (r.action === null)
    all.push(
      placed(
        { part: 'entry', action: key },
        { action: key, voice: goesOnAs },
        beginsThere(r.place, key, words),
        endsThere(key, r.finish, r.place, words),
        (r.pointer === 'to' && !isOfTap(r, doing)) || r.pointer === 'because' ? [['mispointed', 0.8]] : [],
        r.pointer === 'act' ? [['pointed', 0.5]] : [],
        // *side control from a scissor sweep*: there it ended
        r.pointer === 'from' ? (r.told === 'finish' && r.finish ? [['pointed', 2.2]] : [['mispointed', 1]]) : [],
        // *they pass with a knee slice*: said more exactly, it's still theirs
        r.pointer === 'with' && r.met && words.action(key)?.parent === theirs(r) ? [['order', 3]] : [],
        r.voice === 'they' ? [['turned', 1]] : r.voice === 'they still' ? [['turned', 0.3]] : [],
        r.result !== null && r.attempt > 0 && r.pointer !== 'with' && !isOfTap(r, doing) ? [['order', 1]] : [],
        isUnderWay ? [['order', 1.8]] : [],
        // *theo side control top, marco hip escapes*
        (r.who !== null || (r.voice !== 'open' && r.voice !== 'us')) && isRatherOthers(r.place, key, words)
          ? [['order', 2.6]]
          : [],
      ),
    );
  return all;
};

/** The same that was done, said more exactly or again. */
const sameDone = (r: Reading, { key, words }: Doing): readonly Way[] => {
  const all: Way[] = [];
  // *sweeps him with a scissor sweep*: one action, said more exactly
  if (r.action !== null && r.told === 'entry' && words.action(key)?.parent === r.action)
    all.push(placed({ part: 'entry', action: key }, { action: key, isFiner: true }, beginsThere(r.place, key, words)));
  // *swept to mount with a scissor sweep*: the same action, told more exactly behind where it led
  if (r.action !== null && r.pointer === 'with' && words.action(key)?.parent === r.action)
    all.push(placed({ part: 'entry', action: key }, { action: key }, [['pointed', 1]]));
  // *knee cut, they underhook, knee cut stopped*: the same attempt, spoken of again
  if (r.action === key && r.told !== 'entry' && r.result === null && r.finish === null && !r.isThen)
    all.push(placed({ part: 'entry', action: key }, {}));
  // *torreando pass*: one name, and what kind of thing it is; *body lock, body lock pass*: the same said again
  if (r.action !== null && r.told === 'entry' && (r.action === key || words.action(r.action)?.parent === key))
    all.push(placed({ part: 'entry', action: r.action }, { isFiner: true }, r.isOpen ? [] : [['pointed', 0.8]]));
  return all;
};

/** What the other side does. */
const doneByThem = (r: Reading, { key, words }: Doing): readonly Way[] => {
  const all: Way[] = [];
  // what they hold says how it stands, not that they go on
  const goesOn = r.voice === 'they still' && !(r.told === 'grip' && (r.action === null || r.isOpen));
  // *closed guard top, swept with a hook sweep*: from there it is the other side that does
  const isOthers = r.voice === 'open' && r.action !== null && beginsThere(r.place, key, words).some(([, n]) => n < -1);
  const isSame = r.pointer === 'with' && words.action(key)?.parent === theirs(r);
  if (r.voice === 'they' || goesOn || isOthers || isSame)
    all.push(
      placed(
        { part: 'reaction', what: key, isAction: true },
        { met: true },
        isOthers ? [['turned', 0.3]] : [['theirs', r.voice === 'they' ? 0.3 : 0.05]],
        (r.pointer === 'with' && !isSame) || r.pointer === 'because' ? [['mispointed', 1]] : [],
        r.voice === 'they still' && r.isThen ? [['order', 0.6]] : [],
        // in a clause of its own an attack is rather that of whoever acts
        r.voice === 'they still' && ATTACKS.has(words.action(key)!.does) ? [['order', 1.1]] : [],
        r.finish ? [['order', 0.5]] : [],
        // nor does the other side pass from below
        r.place?.role
          ? beginsThere({ ...r.place, role: otherRole(r.place.role) }, key, words).filter(([, n]) => n < 0)
          : [],
        r.place?.role && isRatherOthers({ ...r.place, role: otherRole(r.place.role) }, key, words)
          ? [['order', 1.2]]
          : [],
      ),
    );
  return all;
};

/** What is done in a further attempt. */
const doneNext = (r: Reading, { key, goesOnAs, isUnderWay, words }: Doing): readonly Way[] => {
  const all: Way[] = [];
  const isTheirs = r.voice === 'they' || r.voice === 'they still';
  // *back step to leg drag*: from one thing done to the next
  const isOnTo = r.pointer === 'to' && r.told === 'entry';
  // *grip fighting, foot sweep*: it was to get there
  const isSetUp = r.action !== null && words.action(r.action)?.aims.length === 0;
  // *snap down, go behind*: one after the other
  const isListed = r.isOpen && r.told === 'entry' && r.voice === 'open';
  const maySayNext =
    isUnderWay ||
    isListed ||
    isAgain(r) ||
    isOnTo ||
    isSetUp ||
    r.isThen ||
    r.voice === 'us' ||
    (r.result === null && (r.met || r.finish !== null));
  if ((r.action !== null || isUnderWay) && r.voice !== 'they' && maySayNext) {
    const next = nextAttempt(r);
    all.push(
      placed(
        { part: 'entry', action: key },
        { ...next, action: key, voice: goesOnAs },
        isUnderWay ? [['chain', 0.3]] : chainMarks(r),
        isOnTo || isSetUp ? [['chained', 0.6]] : isListed ? [['chained', 0.4]] : [],
        beginsThere(next.place ?? null, key, words),
        r.pointer === 'because' || r.pointer === 'with' ? [['mispointed', 1]] : [],
        isTheirs && !r.isThen ? [['turned', 0.2]] : [],
        // *they post, go behind*
        r.voice === 'they still' && r.isOpen && ATTACKS.has(words.action(key)!.does) ? [['chained', 0.5]] : [],
      ),
    );
  }
  return all;
};

/** What an action may be after what was read. */
export const actionWays = (
  read: Reading,
  { key }: Extract<Said, { is: 'action' }>,
  { whose }: Piece,
  words: Words,
): readonly Way[] => {
  const r: Reading = whose ? { ...read, voice: whose === 'us' ? 'us' : 'they' } : read;
  // *he defended my kneebar and …*: whose it is does not turn who is told of
  const goesOnAs =
    whose === 'us' && (read.voice === 'they' || read.voice === 'they still')
      ? 'they still'
      : r.voice === 'us'
        ? 'us'
        : 'open';
  // from one place to another, and only then something done: it begins there
  const isUnderWay =
    r.action === null &&
    r.place !== null &&
    r.finish?.kind === 'state' &&
    !(r.pointer === 'with' && r.told === 'position') &&
    (!r.isTo || r.isThen || !isAimedAt(r.finish, key, words));
  const doing: Doing = { key, goesOnAs, isUnderWay, words };
  return [...firstDone(r, doing), ...sameDone(r, doing), ...doneByThem(r, doing), ...doneNext(r, doing)];
};
