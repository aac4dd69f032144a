import { isAimedAt, type Result } from '../attempts/index.js';
import { otherRole, type ActionKind, type Role, type Words } from '../vocabulary/index.js';
import { holdKey } from './holds.js';
import type { Piece, Pointer, Said } from './piece.js';
import type { Reading, Way } from './readings.js';
import type { Meant, SaidFinish, SaidPlace } from './types.js';
import type { Mark } from './weights.js';

/** Who does not do this: the other side of a guard. */
const OTHER_SIDE: Partial<Record<ActionKind, Role>> = {
  pass: 'bottom',
  sweep: 'top',
  retention: 'top',
};

const beginsThere = (place: SaidPlace | null, action: string | null, words: Words): readonly Mark[] => {
  const word = action === null ? undefined : words.action(action);
  const family = place && words.position(place.position)?.family;
  if (!word?.from.length || !family) return [];
  // a pass is the top's, a sweep the bottom's: not of whoever is said to be the other
  const isOther = OTHER_SIDE[word.does] === place.role && family !== 'standing';
  return word.from.includes(family) ? [['begins', isOther ? -1.5 : 1]] : [];
};
const endsThere = (
  action: string | null,
  finish: SaidFinish | null,
  place: SaidPlace | null,
  words: Words,
): readonly Mark[] => {
  if (!finish) return [];
  if (action !== null && isAimedAt(finish, action, words)) return [['aims', 1]];
  return finish.kind === 'state' && finish.position === place?.position ? [['aims', 0.3]] : [];
};
const pointed = (r: Reading, to: Reading['pointer']): readonly Mark[] =>
  r.pointer === to
    ? [['pointed', 1]]
    : r.pointer === null || r.pointer === 'act'
      ? []
      : [['mispointed', r.pointer === 'because' ? 2.5 : 1]];

const isWonWithout = (finish: SaidFinish | null, result: Result | null): boolean =>
  finish?.kind === 'submission' && finish.won && result !== null && result !== 'success' && result !== 'shown';

const startOf = (finish: SaidFinish | null): SaidPlace | null =>
  finish?.kind === 'state' ? { position: finish.position, role: finish.role, lead: null } : null;

/** What changes where a further attempt begins: it starts where the one before ended. */
const nextAttempt = (r: Reading): Partial<Reading> => ({
  attempt: r.attempt + 1,
  place: startOf(r.finish) ?? (r.finish ? null : r.place),
  ...{ action: null, finish: null, result: null, depth: false, used: new Set<string>(), met: false },
});
/** How much speaks for a further attempt: it is said, or the one before has come to an end. */
const chainMarks = (r: Reading): readonly Mark[] => [
  ['chain', 1],
  ...(r.isThen ? [['chained', 1] as const] : []),
  ...(r.result !== null || r.finish !== null ? [['chained', 0.6] as const] : r.met ? [['chained', 0.4] as const] : []),
];

/** Whether a place is the one said before, or a child of it. */
const isFiner = (before: Pick<SaidPlace, 'position'>, place: SaidPlace, words: Words): boolean =>
  place.position === before.position || words.position(place.position)?.parent === before.position;

const placed = (meant: Meant, change: Partial<Reading>, ...marks: readonly (readonly Mark[])[]): Way => ({
  marks: marks.flat(),
  change,
  meant,
});

const ways = {
  who: (r: Reading, { subject }: Extract<Said, { is: 'who' }>): readonly Way[] => {
    const other = subject === 'a' ? 'b' : 'a';
    if (r.who !== null) return [{ marks: [], change: { voice: subject === r.who ? 'us' : 'they' }, meant: null }];
    return [
      ...(r.action === null ? [placed({ part: 'who', subject }, { who: subject, voice: 'open' })] : []),
      { marks: [], change: { who: other, voice: 'they' }, meant: null },
    ];
  },
  place: (r: Reading, { place }: Extract<Said, { is: 'place' }>, words: Words) => {
    const all: Way[] = [];
    const isEven = words.position(place.position)?.roles.length === 1;
    const they: readonly Mark[] =
      r.voice === 'they' ? [['order', isEven ? 0.2 : 0.8]] : r.voice === 'they still' ? [['order', 0.1]] : [];
    const change = { voice: r.voice === 'they' || r.voice === 'they still' ? 'open' : r.voice } as const;
    if (!r.place || (r.attempt > 0 && r.action === null)) {
      all.push(
        placed({ part: 'position', place }, { place, ...change }, beginsThere(place, r.action, words), they, [
          ...(r.action !== null && r.pointer !== 'from' ? [['order', 0.9] as const] : []),
          ...(r.finish || r.result ? [['order', 0.5] as const] : []),
          ...pointed(r, 'from'),
        ]),
      );
    }
    // the same place said again, or more exactly: still one place
    if (r.place && r.told === 'position' && isFiner(r.place, place, words)) {
      const finer = { ...place, role: place.role ?? r.place.role, lead: place.lead ?? r.place.lead ?? null };
      all.push(placed({ part: 'position', place: finer }, { place: finer, isFiner: true, ...change }));
    }
    if (r.finish?.kind === 'state' && r.told === 'finish' && isFiner(r.finish, place, words)) {
      const finer: SaidFinish = { ...r.finish, position: place.position, role: place.role ?? r.finish.role };
      all.push(placed({ part: 'finish', finish: finer }, { finish: finer, isFiner: true, ...change }));
    }
    // where their action took them is where this side begins
    if (!r.place && r.voice === 'they' && r.told === 'reaction' && r.pointer === 'to')
      all.push(
        placed(
          { part: 'position', place: { ...place, role: place.role && otherRole(place.role) } },
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
          ...(from.action === null && r.pointer !== 'to' ? [['order', from.place ? 0.6 : 1.5] as const] : []),
          ...(!from.place && r.pointer !== 'to' ? [['order', 0.25] as const] : []),
          ...(r.voice === 'they' ? [['order', 0.4] as const] : []),
          ...pointed(r, 'to'),
        ],
      );
    if (!r.finish) {
      const isOff = r.isThen && r.action !== null && !isAimedAt(finish, r.action, words);
      all.push(asFinish(r, isOff ? [['order', 0.8]] : [], {}));
      if (r.isThen && r.action !== null) {
        const next = nextAttempt(r);
        all.push(asFinish({ ...r, ...next }, chainMarks(r), next));
      }
    } else if (r.isThen || (r.action === null && r.finish.kind === 'state')) {
      const next = nextAttempt(r);
      all.push(asFinish({ ...r, ...next }, chainMarks(r), next));
    }
    return all;
  },
  action: (r: Reading, { key }: Extract<Said, { is: 'action' }>, words: Words): readonly Way[] => {
    const all: Way[] = [];
    const isTheirs = r.voice === 'they' || r.voice === 'they still';
    // from one place to another, and only then something done: it begins there
    const isUnderWay = r.action === null && r.place !== null && r.finish?.kind === 'state' && (!r.isTo || r.isThen);
    if (r.action === null)
      all.push(
        placed(
          { part: 'entry', action: key },
          { action: key, voice: r.voice === 'us' ? 'us' : 'open' },
          beginsThere(r.place, key, words),
          endsThere(key, r.finish, r.place, words),
          r.pointer === 'to' || r.pointer === 'because' ? [['mispointed', 0.8]] : [],
          r.voice === 'they' ? [['turned', 1]] : r.voice === 'they still' ? [['turned', 0.3]] : [],
          r.result !== null && r.attempt > 0 ? [['order', 1]] : [],
          isUnderWay ? [['order', 1]] : [],
        ),
      );
    // *sweeps him with a scissor sweep*: one action, said more exactly
    if (r.action !== null && r.told === 'entry' && words.action(key)?.parent === r.action)
      all.push(
        placed({ part: 'entry', action: key }, { action: key, isFiner: true }, beginsThere(r.place, key, words)),
      );
    // what they hold says how it stands, not that they go on
    const goesOn = r.voice === 'they still' && !(r.told === 'grip' && r.action === null);
    if (r.voice === 'they' || goesOn)
      all.push(
        placed(
          { part: 'reaction', what: key, isAction: true },
          { met: true },
          [['theirs', r.voice === 'they' ? 0.3 : 0.05]],
          r.pointer === 'with' || r.pointer === 'because' ? [['mispointed', 1]] : [],
          r.voice === 'they still' && r.isThen ? [['order', 0.6]] : [],
          r.finish ? [['order', 0.5]] : [],
        ),
      );
    const maySayNext =
      isUnderWay || r.isThen || r.voice === 'us' || (r.result === null && (r.met || r.finish !== null));
    if ((r.action !== null || isUnderWay) && r.voice !== 'they' && maySayNext) {
      const next = nextAttempt(r);
      all.push(
        placed(
          { part: 'entry', action: key },
          { ...next, action: key, voice: r.voice === 'us' ? 'us' : 'open' },
          isUnderWay ? [['chain', 0.3]] : chainMarks(r),
          beginsThere(next.place ?? null, key, words),
          r.pointer === 'because' || r.pointer === 'with' ? [['mispointed', 1]] : [],
          isTheirs && !r.isThen ? [['turned', 0.2]] : [],
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
        r.action === null ? [['order', 1.5]] : [],
      ),
    ];
  },
  reset: (r: Reading, { how }: Extract<Said, { is: 'reset' }>): readonly Way[] =>
    r.finish || (r.action === null && !r.place)
      ? []
      : [
          placed(
            { part: 'finish', finish: { kind: 'reset', how, restart: null } },
            { finish: { kind: 'reset', how, restart: null } },
            pointed(r, 'to'),
            [['order', 0.4]],
          ),
        ],
  stays: (r: Reading): readonly Way[] => {
    if (r.finish || !r.place) return [];
    const finish: SaidFinish = { kind: 'state', position: r.place.position, role: r.place.role };
    return [placed({ part: 'finish', finish }, { finish, voice: 'open' }, [['aims', 0.5]])];
  },
  reaction: (r: Reading, { key }: Extract<Said, { is: 'reaction' }>): readonly Way[] => {
    const what = `reaction ${key}`;
    if (r.used.has(what) || r.voice === 'us') return [];
    return [
      placed(
        { part: 'reaction', what: key, isAction: false },
        { used: new Set(r.used).add(what), met: true },
        r.voice === 'they'
          ? [['theirs', 1]]
          : r.voice === 'they still'
            ? [['theirs', 0.6]]
            : [['unvoiced', r.action === null ? 1.6 : 1]],
        r.pointer === null || r.pointer === 'act' ? [] : [['mispointed', 1]],
        r.finish ? [['order', 0.4]] : [],
      ),
    ];
  },
  reason: (r: Reading, { key }: Extract<Said, { is: 'reason' }>, piece: Piece): readonly Way[] => {
    const what = `reason ${key}`;
    if (r.used.has(what)) return [];
    return [
      placed(
        { part: 'reason', reason: key },
        { used: new Set(r.used).add(what) },
        r.pointer === 'because' ? [['pointed', 1]] : [['unreasoned', (r.result ? 0.15 : 1) + 5 * (1 - piece.quality)]],
      ),
    ];
  },
  hold: (r: Reading, { hold }: Extract<Said, { is: 'hold' }>, words: Words): readonly Way[] => {
    const what = holdKey(hold);
    if (r.used.has(what)) return [];
    const isVoiced = r.voice === 'they' || (r.voice === 'they still' && r.pointer !== 'with');
    const holders = hold.isMine
      ? (['opponent'] as const)
      : r.voice === 'they still' && r.pointer !== 'with'
        ? (['opponent', 'subject'] as const)
        : isVoiced
          ? (['opponent'] as const)
          : (['subject'] as const);
    return holders.map((holder) =>
      placed(
        { part: 'grip', hold, holder },
        {
          used: new Set(r.used).add(what),
          ...(r.pointer === 'with' ? { pointer: 'with' as const } : {}),
          ...(r.voice === 'they still' && holder === 'subject' ? { voice: 'open' as const } : {}),
        },
        r.pointer === 'with'
          ? [['pointed', 0.4]]
          : r.pointer === null || r.pointer === 'act'
            ? []
            : [['mispointed', 1]],
        r.finish ? [['order', 0.6]] : [],
        r.voice === 'they still' && holder === 'subject' ? [['turned', 0.4]] : [],
        // a grip with a name of its own may be the name of the place
        words.target(hold.target)?.grips && r.voice === 'open' && r.pointer !== 'with' ? [['order', 0.8]] : [],
      ),
    );
  },
  bait: (r: Reading): readonly Way[] =>
    r.used.has('bait') || r.action === null
      ? []
      : [placed({ part: 'intent', intent: 'bait' }, { used: new Set(r.used).add('bait') }, [['order', 0.25]])],
  result: (r: Reading, { result, isTap }: Extract<Said, { is: 'result' }>, words: Words): readonly Way[] => {
    // won and failed is never said of one attempt
    if (r.result !== null || isWonWithout(r.finish, result)) return [];
    const does = r.action === null ? undefined : words.action(r.action)?.does;
    const canTap = does === 'submission' || r.finish?.kind === 'submission';
    return [
      placed(
        { part: 'result', result },
        { result, voice: 'open' },
        pointed(r, null),
        r.finish || r.action !== null ? [] : [['order', 0.4]],
        isTap && !canTap ? [['order', 0.75]] : [],
        // whoever makes them tap does not end in a place
        isTap && r.finish?.kind === 'state' ? [['order', 1.5]] : [],
      ),
    ];
  },
  clothing: (r: Reading, { gi }: Extract<Said, { is: 'clothing' }>): readonly Way[] =>
    r.clothing ? [] : [placed({ part: 'clothing', gi }, { clothing: true }, [])],
  depth: (r: Reading, said: Extract<Said, { is: 'depth' }>, words: Words): readonly Way[] => {
    const word = r.action === null ? undefined : words.action(r.action);
    const isOfIt = word?.ladder ? said.of === word.key : word && said.does.includes(word.does);
    return r.depth || !isOfIt
      ? []
      : [
          placed(
            { part: 'depth', depth: said.depth },
            { depth: true },
            r.pointer === null ? [] : [['mispointed', 1]],
            r.voice === 'they' ? [['order', 1]] : [],
          ),
        ];
  },
  pointer: (r: Reading, to: Pointer): readonly Way[] => {
    const change: Partial<Reading> =
      to === 'they'
        ? { voice: 'they', pointer: r.pointer === 'because' ? r.pointer : null }
        : to === 'us'
          ? { voice: 'us', pointer: null }
          : to === 'then'
            ? { isThen: true, ...(r.voice === 'they still' ? { voice: 'open' as const } : {}) }
            : to === 'joint'
              ? {}
              : to === 'with' && r.voice === 'they still'
                ? { pointer: to, voice: 'open' }
                : { pointer: to };
    return [{ marks: [], change, meant: null }];
  },
};

/** Where a piece belongs after what was read, and what speaks for it; nothing where it has no place, several where it may be two things. */
export const waysFor = (r: Reading, piece: Piece, words: Words): readonly Way[] => {
  const { said } = piece;
  switch (said.is) {
    case 'who':
      return ways.who(r, said);
    case 'place':
      return ways.place(r, said, words);
    case 'action':
      return ways.action(r, said, words);
    case 'submission':
      return ways.submission(r, said, words);
    case 'reset':
      return ways.reset(r, said);
    case 'stays':
      return ways.stays(r);
    case 'reaction':
      return ways.reaction(r, said);
    case 'reason':
      return ways.reason(r, said, piece);
    case 'hold':
      return ways.hold(r, said, words);
    case 'bait':
      return ways.bait(r);
    case 'result':
      return ways.result(r, said, words);
    case 'clothing':
      return ways.clothing(r, said);
    case 'depth':
      return ways.depth(r, said, words);
    case 'pointer':
      return ways.pointer(r, said.to);
  }
};
