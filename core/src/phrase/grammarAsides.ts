import { bareWhose, factSlot } from '../attempts/index.js';
import type { Words } from '../vocabulary/index.js';
import { chainMarks, isWonWithout, nextAttempt, placed, pointed } from './grammarMarks.js';
import { holdKey } from './holds.js';
import type { Piece, Pointer, Said } from './piece.js';
import type { Reading, Way } from './readings.js';
import type { Meant, SaidFinish } from './types.js';

/** Parts of which it may be told how they are known. */
const KNOWABLE: ReadonlySet<Meant['part']> = new Set([
  'position',
  'grip',
  'entry',
  'reaction',
  'finish',
  'result',
  'fact',
]);

/** Where what is told beside places and what is done belongs: holds, what the other side does, why, how it ended, and what only steers. */
export const asides = {
  reset: (r: Reading, { how }: Extract<Said, { is: 'reset' }>): readonly Way[] =>
    // *out of bounds after the throw*
    r.finish
      ? []
      : [
          placed(
            { part: 'finish', finish: { kind: 'reset', how, restart: null } },
            { finish: { kind: 'reset', how, restart: null } },
            pointed(r, 'to'),
            [['order', r.action === null && !r.place ? 1 : 0.4]],
          ),
        ],
  stays: (r: Reading): readonly Way[] => {
    if (r.finish || !r.place) return [];
    const finish: SaidFinish = { kind: 'state', position: r.place.position, role: r.place.role };
    return [placed({ part: 'finish', finish }, { finish, voice: 'open' }, [['aims', 0.5]])];
  },
  reaction: (r: Reading, { key }: Extract<Said, { is: 'reaction' }>, { isOnThem = false }: Piece): readonly Way[] => {
    const what = `reaction ${key}`;
    // *stack them*, *rolled him over*: done to the other side, not by it
    const isOurs = isOnThem && r.voice !== 'they' && r.voice !== 'they still';
    if (r.used.has(what) || r.voice === 'us' || isOurs) return [];
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
  hold: (r: Reading, { hold }: Extract<Said, { is: 'hold' }>, { whose }: Piece, words: Words): readonly Way[] => {
    const what = holdKey(hold);
    if (r.used.has(what)) return [];
    const isNamed = words.target(hold.target)?.grips !== undefined;
    const holders = whose
      ? ([whose === 'us' ? 'subject' : 'opponent'] as const)
      : hold.isMine
        ? (['opponent'] as const)
        : r.voice === 'they still' && r.pointer !== 'with'
          ? (['opponent', 'subject'] as const)
          : r.voice === 'they'
            ? (['opponent'] as const)
            : (['subject'] as const);
    // what is held *then* is held in what follows
    const next = r.isThen && r.action !== null && r.voice === 'open' && holders[0] === 'subject' ? nextAttempt(r) : {};
    const isNext = 'attempt' in next;
    return holders.map((holder) =>
      placed(
        { part: 'grip', hold, holder },
        {
          ...next,
          used: new Set(isNext ? [] : r.used).add(what),
          ...(r.pointer === 'with' ? { pointer: 'with' as const } : {}),
          ...(r.voice === 'they still' && holder === 'subject' ? { voice: 'open' as const } : {}),
          ...(holder === 'opponent' && r.action !== null && !isNext ? { met: true } : {}),
        },
        r.pointer === 'with'
          ? [['pointed', 0.4]]
          : r.pointer === null || r.pointer === 'act'
            ? []
            : [['mispointed', 1]],
        isNext ? chainMarks(r) : r.finish ? [['order', 0.6]] : [],
        // *he turtles, seat belt*: what has a name of its own is told of this side
        r.voice === 'they still' && (holder === 'subject') !== isNamed ? [['turned', 0.4]] : [],
        // a grip with a name of its own may be the name of the place
        words.target(hold.target)?.grips && r.voice === 'open' && r.pointer !== 'with' ? [['order', 0.8]] : [],
      ),
    );
  },
  fact: (r: Reading, said: Extract<Said, { is: 'fact' }>, words: Words): readonly Way[] => {
    const word = said.isBare ? words.get('fact', said.fact.fact) : undefined;
    // *closed guard top, posture broken* is one's own
    const fact = word ? { ...said.fact, whose: bareWhose(word, r.place?.role ?? null) } : said.fact;
    const what = factSlot(fact);
    // behind how it went, or *because*, it is why
    if (r.used.has(what) || r.pointer === 'because' || r.result !== null) return [];
    const isWith = r.pointer === 'with';
    return [
      placed(
        { part: 'fact', fact },
        { used: new Set(r.used).add(what), ...(isWith ? { pointer: 'with' as const } : {}) },
        isWith ? [] : pointed(r, null),
        r.finish ? [['order', 0.4]] : [],
      ),
    ];
  },
  otherWay: (r: Reading, { way }: Extract<Said, { is: 'other way' }>): readonly Way[] => {
    const what = `other way ${way.by} ${way.what}`;
    return r.used.has(what)
      ? []
      : [placed({ part: 'alternative', way }, { used: new Set(r.used).add(what) }, pointed(r, null))];
  },
  known: (r: Reading, { how }: Extract<Said, { is: 'known' }>): readonly Way[] =>
    // *felt*, of what was told before it
    r.told !== null && KNOWABLE.has(r.told) ? [placed({ part: 'known', how }, {})] : [],
  aim: (r: Reading, { aim }: Extract<Said, { is: 'aim' }>): readonly Way[] =>
    r.used.has('aim') ? [] : [placed({ part: 'aim', aim }, { used: new Set(r.used).add('aim') })],
  bait: (r: Reading): readonly Way[] =>
    r.used.has('bait') || r.action === null
      ? []
      : [placed({ part: 'intent', intent: 'bait' }, { used: new Set(r.used).add('bait') }, [['order', 0.25]])],
  result: (
    r: Reading,
    { result, isTap }: Extract<Said, { is: 'result' }>,
    { isOnThem = false }: Piece,
    words: Words,
  ): readonly Way[] => {
    // *knee cut stopped, failed*: the same once more
    if (r.result === result && r.isOpen) return [{ marks: [], change: {}, meant: null }];
    // won and failed is never said of one attempt
    if (r.result !== null || isWonWithout(r.finish, result)) return [];
    const does = r.action === null ? undefined : words.action(r.action)?.does;
    const canTap = does === 'submission' || r.finish?.kind === 'submission';
    // *then mount, then tap*: whatever made them is told of a further attempt
    const isNext = isTap && r.isThen && r.finish?.kind === 'state';
    const voice = r.voice === 'they' && !isTap ? 'they still' : 'open';
    const told = { part: 'result', result } as const;
    const ways = [
      placed(
        told,
        { ...(isNext ? nextAttempt(r) : {}), result, voice },
        pointed(r, null),
        r.finish || r.action !== null ? [] : [['order', 0.4]],
        isTap && !canTap && !isNext ? [['order', 0.75]] : [],
        // *theo taps*: he is the one it is done to
        isTap && !isOnThem && r.told === 'who' && r.voice === 'open' ? [['order', 1.5]] : [],
        // whoever makes them tap does not end in a place
        isNext ? chainMarks(r) : isTap && r.finish?.kind === 'state' ? [['order', 1.5]] : [],
      ),
    ];
    // *pass, he turtles, tap with a choke*: what made them tap is told behind it
    if (isTap && !isNext && !canTap && r.isOpen && (r.action !== null || r.finish !== null))
      ways.push(placed(told, { ...nextAttempt(r), result, voice }, chainMarks(r), [['order', 0.3]]));
    return ways;
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
        ? { voice: 'they', isTold: false, pointer: r.pointer === 'because' ? r.pointer : null }
        : to === 'us' || (to === 'me' && r.voice === 'open')
          ? { voice: 'us', pointer: null }
          : to === 'then'
            ? { isThen: true, ...(r.voice === 'they still' ? { voice: 'open' as const } : {}) }
            : to === 'joint' || to === 'me'
              ? {}
              : // *tried to*
                to === 'to' && r.pointer === 'act' && r.piece?.said.is === 'pointer'
                ? {}
                : to === 'with' && r.voice === 'they still'
                  ? { pointer: to, voice: 'open' }
                  : { pointer: to };
    return [{ marks: [], change, meant: null }];
  },
};
