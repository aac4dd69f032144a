import { isAimedAt } from '../attempts/index.js';
import { otherRole, type Words } from '../vocabulary/index.js';
import { asides } from './grammarAsides.js';
import {
  beginsThere,
  endsThere,
  pointed,
  isWonWithout,
  nextAttempt,
  chainMarks,
  isAgain,
  isFiner,
  ATTACKS,
  ofThem,
  placed,
  theirs,
} from './grammarMarks.js';
import type { Piece, Said } from './piece.js';
import type { Reading, Way } from './readings.js';
import type { SaidFinish } from './types.js';
import type { Mark } from './weights.js';

const ways = {
  who: (r: Reading, { subject }: Extract<Said, { is: 'who' }>): readonly Way[] => {
    const other = subject === 'a' ? 'b' : 'a';
    // *theo sweeps marco*: whom it is done to
    if (r.who !== null && subject !== r.who && r.told === 'entry' && r.piece?.said.is === 'action' && !r.isOpen)
      return [{ marks: [], change: {}, meant: null }];
    if (r.who !== null) return [{ marks: [], change: { voice: subject === r.who ? 'us' : 'they' }, meant: null }];
    return [
      ...(r.action === null ? [placed({ part: 'who', subject }, { who: subject, voice: 'open' })] : []),
      { marks: [], change: { who: other, voice: 'they' }, meant: null },
    ];
  },
  place: (r: Reading, said: Extract<Said, { is: 'place' }>, { isOwned = false }: Piece, words: Words) => {
    const all: Way[] = [];
    const isOfThem = r.voice === 'they' && r.piece?.said.is === 'pointer' && said.place.role === null;
    const place = isOfThem ? ofThem(said.place, words) : said.place;
    const isEven = words.position(place.position)?.roles.length === 1;
    const they: readonly Mark[] =
      r.voice === 'they' ? [['order', isEven ? 0.2 : 0.8]] : r.voice === 'they still' ? [['order', 0.1]] : [];
    // *they open my guard and …*: what they do it to is no turn of theirs
    const goesOn = isOwned && r.voice === 'they' && r.told === 'reaction';
    const change = {
      voice: goesOn ? 'they' : r.voice === 'they' || r.voice === 'they still' ? 'open' : r.voice,
    } as const;
    if (!r.place || (r.attempt > 0 && r.action === null)) {
      // nothing that was done begins there
      const isOdd = beginsThere(place, r.action, words).some(([, amount]) => amount < 0);
      all.push(
        placed({ part: 'position', place }, { place, ...change }, beginsThere(place, r.action, words), they, [
          ...(r.action !== null && r.pointer !== 'from' ? [['order', isOdd ? 1.9 : 0.9] as const] : []),
          ...(r.finish || r.result ? [['order', 0.5] as const] : []),
          ...pointed(r, 'from'),
        ]),
      );
    }
    // *single leg, failed; standing, double leg*
    if (isAgain(r))
      all.push(placed({ part: 'position', place }, { ...nextAttempt(r), place, ...change }, chainMarks(r)));
    // the same place said again, or more exactly: still one place
    if (r.place && r.told === 'position' && isFiner(r.place, place, words)) {
      const finer = { ...place, role: place.role ?? r.place.role, lead: place.lead ?? r.place.lead ?? null };
      all.push(placed({ part: 'position', place: finer }, { place: finer, isFiner: true, ...change }));
    }
    // *his knee shield …, half guard top*: what it is a kind of
    const { place: before } = r;
    if (before && r.told === 'position' && words.position(before.position)?.parent === place.position) {
      const same = { ...before, role: before.role ?? place.role };
      all.push(placed({ part: 'position', place: same }, { place: same, isFiner: true, ...change }));
    }
    if (r.finish?.kind === 'state' && r.told === 'finish' && isFiner(r.finish, place, words)) {
      const finer: SaidFinish = { ...r.finish, position: place.position, role: place.role ?? r.finish.role };
      all.push(placed({ part: 'finish', finish: finer }, { finish: finer, isFiner: true, ...change }));
    }
    // where their action took them is where this side begins
    if (!r.place && r.voice === 'they' && r.told === 'reaction' && r.pointer === 'to')
      all.push(
        placed(
          { part: 'position', place: { ...place, role: said.place.role ? otherRole(said.place.role) : place.role } },
          { place, ...change },
          [['pointed', 1]],
        ),
      );
    const finish: SaidFinish = { kind: 'state', position: place.position, role: place.role };
    const asFinish = (from: Reading, marks: readonly Mark[], more: Partial<Reading>): Way =>
      placed(
        { part: 'finish', finish },
        { ...more, finish, isTo: from.pointer === 'to', ...change },
        marks,
        endsThere(from.action, finish, from.place, words),
        [
          ...(from.action === null && r.pointer !== 'to' ? [['order', from.place ? 0.6 : 2.5] as const] : []),
          ...(!from.place && r.pointer !== 'to' ? [['order', 0.25] as const] : []),
          ...(r.voice === 'they' ? [['order', 0.4] as const] : []),
          ...(r.pointer === 'act' ? [['mispointed', 0.6] as const] : []),
          // *tap from an arm triangle in side control*: what ends in a tap does not end in a place
          ...(r.result === 'success' && from.action !== null && words.action(from.action)?.does === 'submission'
            ? [['order', 2] as const]
            : []),
          ...pointed(r, 'to'),
        ],
      );
    if (!r.finish) {
      const isOff = r.isThen && r.pointer !== 'to' && r.action !== null && !isAimedAt(finish, r.action, words);
      all.push(asFinish(r, isOff ? [['order', 0.8]] : [], {}));
      if (r.isThen && r.action !== null) {
        const next = nextAttempt(r);
        all.push(asFinish({ ...r, ...next }, chainMarks(r), next));
      }
    } else if (
      r.isThen ||
      // *double leg to half guard, half guard to side control*
      (r.pointer === 'to' && r.told === 'finish') ||
      (r.finish.kind === 'state' && (r.action === null || (r.isOpen && (r.told === 'finish' || r.told === 'grip'))))
    ) {
      const next = nextAttempt(r);
      all.push(asFinish({ ...r, ...next }, chainMarks(r), next));
    }
    return all;
  },
  action: (read: Reading, { key }: Extract<Said, { is: 'action' }>, { whose }: Piece, words: Words): readonly Way[] => {
    const all: Way[] = [];
    const r: Reading = whose ? { ...read, voice: whose === 'us' ? 'us' : 'they' } : read;
    const isTheirs = r.voice === 'they' || r.voice === 'they still';
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
    if (r.action === null)
      all.push(
        placed(
          { part: 'entry', action: key },
          { action: key, voice: goesOnAs },
          beginsThere(r.place, key, words),
          endsThere(key, r.finish, r.place, words),
          r.pointer === 'to' || r.pointer === 'because' ? [['mispointed', 0.8]] : [],
          r.pointer === 'act' ? [['pointed', 0.5]] : [],
          // *side control from a scissor sweep*: there it ended
          r.pointer === 'from' ? (r.told === 'finish' && r.finish ? [['pointed', 2.2]] : [['mispointed', 1]]) : [],
          // *they pass with a knee slice*: said more exactly, it's still theirs
          r.pointer === 'with' && r.met && words.action(key)?.parent === theirs(r) ? [['order', 3]] : [],
          r.voice === 'they' ? [['turned', 1]] : r.voice === 'they still' ? [['turned', 0.3]] : [],
          r.result !== null && r.attempt > 0 && r.pointer !== 'with' ? [['order', 1]] : [],
          isUnderWay ? [['order', 1.8]] : [],
        ),
      );
    // *sweeps him with a scissor sweep*: one action, said more exactly
    if (r.action !== null && r.told === 'entry' && words.action(key)?.parent === r.action)
      all.push(
        placed({ part: 'entry', action: key }, { action: key, isFiner: true }, beginsThere(r.place, key, words)),
      );
    // *swept to mount with a scissor sweep*: the same action, told more exactly behind where it led
    if (r.action !== null && r.pointer === 'with' && words.action(key)?.parent === r.action)
      all.push(placed({ part: 'entry', action: key }, { action: key }, [['pointed', 1]]));
    // *knee cut, they underhook, knee cut stopped*: the same attempt, spoken of again
    if (r.action === key && r.told !== 'entry' && r.result === null && r.finish === null && !r.isThen)
      all.push(placed({ part: 'entry', action: key }, {}));
    // *torreando pass*: one name, and what kind of thing it is; *body lock, body lock pass*: the same said again
    if (r.action !== null && r.told === 'entry' && (r.action === key || words.action(r.action)?.parent === key))
      all.push(placed({ part: 'entry', action: r.action }, { isFiner: true }));
    // what they hold says how it stands, not that they go on
    const goesOn = r.voice === 'they still' && !(r.told === 'grip' && (r.action === null || r.isOpen));
    if (r.voice === 'they' || goesOn)
      all.push(
        placed(
          { part: 'reaction', what: key, isAction: true },
          { met: true },
          [['theirs', r.voice === 'they' ? 0.3 : 0.05]],
          r.pointer === 'with' || r.pointer === 'because' ? [['mispointed', 1]] : [],
          r.voice === 'they still' && r.isThen ? [['order', 0.6]] : [],
          // in a clause of its own an attack is rather that of whoever acts
          r.voice === 'they still' && ATTACKS.has(words.action(key)!.does) ? [['order', 1.1]] : [],
          r.finish ? [['order', 0.5]] : [],
          // nor does the other side pass from below
          r.place?.role
            ? beginsThere({ ...r.place, role: otherRole(r.place.role) }, key, words).filter(([, n]) => n < 0)
            : [],
        ),
      );
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
  },
  submission: (r: Reading, said: Extract<Said, { is: 'submission' }>, words: Words): readonly Way[] => {
    // what is only named is tried, not won
    if (r.finish || (!said.isEnd && r.pointer !== 'to')) return [];
    const finish: SaidFinish = { kind: 'submission', submission: said.key, won: said.won };
    if (isWonWithout(finish, r.result)) return [];
    return [
      placed(
        { part: 'finish', finish },
        { finish, voice: 'open' },
        endsThere(r.action, finish, r.place, words),
        pointed(r, 'to'),
        r.action === null || !isAimedAt(finish, r.action, words) ? [['order', 1.5]] : [],
      ),
    ];
  },
};

/** Where a piece belongs after what was read, and what speaks for it; nothing where it has no place, several where it may be two things. */
export const waysFor = (r: Reading, piece: Piece, words: Words): readonly Way[] => {
  const { said } = piece;
  switch (said.is) {
    case 'who':
      return ways.who(r, said);
    case 'place':
      return ways.place(r, said, piece, words);
    case 'action':
      return ways.action(r, said, piece, words);
    case 'submission':
      return ways.submission(r, said, words);
    case 'reset':
      return asides.reset(r, said);
    case 'stays':
      return asides.stays(r);
    case 'reaction':
      return asides.reaction(r, said, piece);
    case 'reason':
      return asides.reason(r, said, piece);
    case 'hold':
      return asides.hold(r, said, piece, words);
    case 'bait':
      return asides.bait(r);
    case 'result':
      return asides.result(r, said, piece, words);
    case 'clothing':
      return asides.clothing(r, said);
    case 'depth':
      return asides.depth(r, said, words);
    case 'pointer':
      return asides.pointer(r, said.to);
  }
};
