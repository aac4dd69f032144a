import { isAimedAt } from '../attempts/index.js';
import { otherRole, type Words } from '../vocabulary/index.js';
import {
  ATTACKS,
  beginsThere,
  chainMarks,
  endsThere,
  isAgain,
  isFiner,
  nextAttempt,
  ofThem,
  placed,
  pointed,
  theirs,
} from './grammarMarks.js';
import type { Piece, Said } from './piece.js';
import type { Reading, Voice, Way } from './readings.js';
import type { SaidFinish, SaidPlace } from './types.js';
import type { Mark } from './weights.js';

/** A place as it is read after what was said, and whose doings are told behind it. */
type Place = {
  readonly said: SaidPlace;
  readonly place: SaidPlace;
  readonly voice: Voice;
  readonly words: Words;
};

/** Behind where the other side got to, before which nothing was told. */
const isAfterTheirs = (r: Reading, words: Words): boolean => {
  if (r.voice !== 'they still' || r.told !== 'reaction' || r.action !== null || r.place) return false;
  const does = words.action(theirs(r) ?? '')?.does;
  return does !== undefined && does !== 'submission' && ATTACKS.has(does);
};

/** It begins there. */
const starts = (r: Reading, { place, said, voice, words }: Place): readonly Way[] => {
  const all: Way[] = [];
  const isEven = words.position(place.position)?.roles.length === 1;
  const they: readonly Mark[] =
    r.voice === 'they' ? [['order', isEven ? 0.2 : 0.8]] : r.voice === 'they still' ? [['order', 0.1]] : [];
  if (!r.place || (r.attempt > 0 && r.action === null)) {
    // nothing that was done begins there
    const isOdd = beginsThere(place, r.action, words).some(([, amount]) => amount < 0);
    all.push(
      placed({ part: 'position', place }, { place, voice }, beginsThere(place, r.action, words), they, [
        ...(r.action !== null && r.pointer !== 'from' ? [['order', isOdd ? 1.9 : 0.9] as const] : []),
        ...(r.finish || r.result ? [['order', 0.5] as const] : []),
        // *she sweeps me, mount bottom*: there it ended
        ...(isAfterTheirs(r, words) ? [['order', 1.4] as const] : []),
        ...pointed(r, 'from'),
      ]),
    );
  }
  // *single leg, failed; standing, double leg*
  if (isAgain(r)) all.push(placed({ part: 'position', place }, { ...nextAttempt(r), place, voice }, chainMarks(r)));
  // where their action took them is where this side begins
  if (!r.place && r.voice === 'they' && r.told === 'reaction' && r.pointer === 'to')
    all.push(
      placed(
        { part: 'position', place: { ...place, role: said.role ? otherRole(said.role) : place.role } },
        { place, voice },
        [['pointed', 1]],
      ),
    );
  return all;
};

/** Said again, or more exactly: still one place. */
const again = (r: Reading, { place, voice, words }: Place): readonly Way[] => {
  const all: Way[] = [];
  if (r.place && r.told === 'position' && isFiner(r.place, place, words)) {
    const finer = { ...place, role: place.role ?? r.place.role, lead: place.lead ?? r.place.lead ?? null };
    all.push(placed({ part: 'position', place: finer }, { place: finer, isFiner: true, voice }));
  }
  // *his knee shield …, half guard top*: what it is a kind of
  const { place: before } = r;
  if (before && r.told === 'position' && words.position(before.position)?.parent === place.position) {
    const same = { ...before, role: before.role ?? place.role };
    all.push(placed({ part: 'position', place: same }, { place: same, isFiner: true, voice }));
  }
  if (r.finish?.kind === 'state' && r.told === 'finish' && isFiner(r.finish, place, words)) {
    const finer: SaidFinish = { ...r.finish, position: place.position, role: place.role ?? r.finish.role };
    all.push(placed({ part: 'finish', finish: finer }, { finish: finer, isFiner: true, voice }));
  }
  return all;
};

const asFinish = (
  r: Reading,
  from: Reading,
  { place, voice, words }: Place,
  marks: readonly Mark[],
  more: Partial<Reading>,
): Way => {
  const finish: SaidFinish = { kind: 'state', position: place.position, role: place.role };
  return placed(
    { part: 'finish', finish },
    { ...more, finish, isTo: from.pointer === 'to', voice },
    marks,
    endsThere(from.action, finish, from.place, words),
    [
      ...(from.action === null && r.pointer !== 'to'
        ? [['order', isAfterTheirs(r, words) ? 0.2 : from.place ? 0.6 : 2.5] as const]
        : []),
      ...(!from.place && r.pointer !== 'to' ? [['order', 0.25] as const] : []),
      ...(r.voice === 'they' ? [['order', 0.4] as const] : []),
      ...(r.pointer === 'act' ? [['mispointed', 0.6] as const] : []),
      // *choke from turtle*
      ...(r.pointer === 'from' ? [['mispointed', 1] as const] : []),
      // *tap from an arm triangle in side control*: what ends in a tap does not end in a place
      ...(r.result === 'success' && from.action !== null && words.action(from.action)?.does === 'submission'
        ? [['order', 2] as const]
        : []),
      ...pointed(r, 'to'),
    ],
  );
};

/** It ends there, the attempt in hand or a further one. */
const ends = (r: Reading, at: Place): readonly Way[] => {
  const { place, words } = at;
  const finish: SaidFinish = { kind: 'state', position: place.position, role: place.role };
  const all: Way[] = [];
  if (!r.finish) {
    const isOff = r.isThen && r.pointer !== 'to' && r.action !== null && !isAimedAt(finish, r.action, words);
    all.push(asFinish(r, r, at, isOff ? [['order', 0.8]] : [], {}));
    if (r.isThen && r.action !== null) {
      const next = nextAttempt(r);
      all.push(asFinish(r, { ...r, ...next }, at, chainMarks(r), next));
    }
  } else if (
    r.isThen ||
    // *double leg to half guard, half guard to side control*
    (r.pointer === 'to' && r.told === 'finish') ||
    (r.finish.kind === 'state' && (r.action === null || (r.isOpen && (r.told === 'finish' || r.told === 'grip'))))
  ) {
    const next = nextAttempt(r);
    all.push(asFinish(r, { ...r, ...next }, at, chainMarks(r), next));
  }
  return all;
};

/** What a place may be after what was read: where it begins, the same said again, where it ends. */
export const placeWays = (
  r: Reading,
  said: Extract<Said, { is: 'place' }>,
  { isOwned = false }: Piece,
  words: Words,
): readonly Way[] => {
  const isOfThem = r.voice === 'they' && r.piece?.said.is === 'pointer' && said.place.role === null;
  const place = isOfThem ? ofThem(said.place, words) : said.place;
  // *they open my guard and …*: what they do it to is no turn of theirs
  const goesOn = isOwned && r.voice === 'they' && r.told === 'reaction';
  const voice = goesOn ? 'they' : r.voice === 'they' || r.voice === 'they still' ? 'open' : r.voice;
  const at: Place = { said: said.place, place, voice, words };
  return [...starts(r, at), ...again(r, at), ...ends(r, at)];
};
