import { RESULTS, LADDERS, RESULT_WORDS, type Result } from '../attempts/index.js';
import { ACTION_KINDS, tokens, type Role, type Words } from '../vocabulary/index.js';
import type { Line } from './line.js';
import type { Piece, Pointer, Said } from './piece.js';
import { fit } from '../spelling/index.js';
import { isEveryday } from './everyday.js';
import { SMALL } from './sayings.js';
import type { Token } from './tokens.js';
import { THEM } from './whose.js';

/** Something that is said in words of its own, whatever the list of words. */
type Listed = {
  readonly tokens: readonly string[];
  readonly said: Said;
  /** Taken for each token, beside one. */ readonly gain: number;
  /** Only where it stands alone between things that part: an everyday word otherwise. */ readonly isAlone: boolean;
  /** Only where something that parts stands behind it. */ readonly isLast: boolean;
};

/** Texts parted by bars; those with a star are meant only where they stand alone, those with a plus only at the end of a clause. */
const list = (texts: string, said: Said, gain = -0.1): readonly Listed[] =>
  texts.split('|').map((text) => ({
    tokens: text.replace(/[*+]/, '').trim().split(' '),
    said,
    gain,
    isAlone: text.includes('*'),
    isLast: text.includes('+'),
  }));
const pointer = (to: Pointer, texts: string, gain = 0): readonly Listed[] => list(texts, { is: 'pointer', to }, gain);

/** What steers: known exactly, or not at all. */
const STEERING: readonly Listed[] = [
  ...pointer(
    'from',
    'from|out of|off|off of|starting in|starting from|starts in|starts from|start from|start in|started in|begins in|starting|we start in|they start in|starts at|start|started|started from|started on',
    0.4,
  ),
  ...pointer(
    'to',
    'to|into|onto|in to|ends in|ends up in|ended in|ended up in|ending in|ending up in|end in|end up in|ends|ends on|finishes in|finished in|finish in|lands in|landed in|landing in|lands on|lands|landed|gets to|got to|arrives in|ends at|back to|goes to|moves to|for|back in|ended on top in|ends on top in|ending on top in|finish on top in|finishes on top in|finished on top in|end up on top in|ends up on top in|ended up on top in|stuck in|got stuck in|gets stuck in|caught in|trapped in|settles in|settled in|stops in|stopped in',
    0.4,
  ),
  ...pointer(
    'they',
    'they|he|she|opponent|opp|the opponent|the other|other side|the other side|partner|the other guy|the other one',
    0.5,
  ),
  ...pointer('us', 'i|we', 0.3),
  ...pointer('me', 'me|us', 0.3),
  ...pointer('with', 'with|using|having|has|have|had|keeping|keeps', 0.3),
  ...pointer('because', 'because|because of|bc|cause|since|reason|why|due to', 0.5),
  ...pointer(
    'then',
    'then|and then|so|so then|next|after that|from there|then again|now|switch to|switches to|switched to|switching to|transition to|transitions to|followed by|follows with|follow with|chains to|chain to',
    0.25,
  ),
  ...pointer(
    'joint',
    'and|plus|also|but|after|while|when|as|still|again|too|just|both|is|was|are|were|it|that|this|stays in|still in|stays',
    0.1,
  ),
  ...pointer(
    'joint',
    'flat on my back|flat on the back|flat on his back|flat on her back|flat on their back|flat on your back',
    1.2,
  ),
  ...pointer('joint', 'choking arm|choking hand', 1.2),
  ...pointer('joint', 'two handed|one handed', 4),
  ...pointer('joint', 'half in|half way in|half out|half way|half hearted', 1.2),
  ...pointer('joint', 'cross the legs|cross my legs|cross the feet|cross the ankles', 4),
  ...pointer('joint', 'to the side|to one side|onto the side|to their side|to the other side|off to the side', 1.2),
  ...pointer(
    'act',
    'goes for|went for|go for|going for|tries|tried|tries to|tried to|try to|trying|attempts|attempted|attempt|looks for|looked for|looking for|hits|hit|hits a|shoots|shot|shoot|shoots a|gets|got|gets a|takes a|does|did|does a|uses|sets up|wants|attacks|attacks with|enters',
    0.2,
  ),
];

const RESULT_SAID: Record<Result, string> = {
  success:
    'ok+|okay+|success|successful|successfully|succeeded|worked|works|it worked|it works|got it|gets it|made it|hit it|landed it|finished it|done*|good*|yes*|y*|w*|yep*|check*',
  partial: 'partial|partially|partly|almost*|half way|halfway|nearly*|almost got it|nearly got it|so so|pt*',
  failed:
    'fail|failed|fails|no*|nope*|nah*|did not work|didn work|doesn work|does not work|not working|no good|no luck|no success|unsuccessful|unsuccessfully|stopped|stuffed|got stuffed|gets stuffed|blocked|got blocked|gets blocked|shut down|denied|defended|missed|lost it|nothing*|nothing works|nothing worked|n*|f*|x*',
  abandoned:
    'abandoned|dropped|drops it|dropped it|given up+|gave up+|gives up+|gave it up|gives it up|lets it go|let it go|lets go+|let go+|bails|bailed|bails out',
  shown: 'shown|demonstration|demo|drill|drilled|demonstrated|as a drill',
};
const WON =
  'tap|taps|tapped|tapped out|taps out|submitted|submits|gets the tap|got the tap|for the tap|to the tap|finished|finishes it|he taps|they tap|bateu|bateram|finalizou|won*';

const RESULT_TEXTS: readonly Listed[] = [
  ...RESULTS.flatMap((result) => [
    ...list(RESULT_WORDS[result], { is: 'result', result, isTap: false }, 0),
    ...list(RESULT_SAID[result], { is: 'result', result, isTap: false }, 0),
  ]),
  ...list(WON, { is: 'result', result: 'success', isTap: true }, 0),
];
const BAIT_TEXTS = list(
  'bait|as bait|as a bait|fake|as a fake|faked|faking|feint|feints|threat|threatened|threatens|to draw a reaction',
  { is: 'bait' },
  0,
);
const RESET_TEXTS: readonly Listed[] = [
  ...list(
    'out of bounds|edge*|edge of the mat|off the mat|restart edge|reset edge|out*|boundary*|over the edge|off the edge',
    {
      is: 'reset',
      how: 'edge',
    },
  ),
  ...list(
    'time*|time is up|time up|times up|bell*|buzzer*|end of round|end of the round|restart time|reset time|end of time|ran out of time|till the bell|until the bell|to the bell|till time|until time|runs out of time|out of time|time ran out|time runs out',
    {
      is: 'reset',
      how: 'time',
    },
  ),
  ...list(
    'stood up by the referee|matte*|restart*|reset*|stand up restart|restart stood up|referee stands them up|ref stands them up|restart standing|restarted standing',
    {
      is: 'reset',
      how: 'stand-up',
    },
  ),
];
const STAY_TEXTS = list(
  'stays*|stays there*|still there*|stay there*|stays the same*|same place*|stays put*',
  { is: 'stays' },
  0,
);
const CLOTHES_TEXTS: readonly Listed[] = [
  ...list('gi*|in the gi|with gi|with the gi|in gi|gi on', { is: 'clothing', gi: true }, 0),
  ...list('no gi|nogi|without gi|without the gi|no jacket', { is: 'clothing', gi: false }, 0),
];

const rung = (text: string, said: Omit<Extract<Said, { is: 'depth' }>, 'is'>): readonly Listed[] => {
  const typed = tokens(text);
  return typed.length
    ? [
        {
          ...{ tokens: typed, said: { is: 'depth', ...said }, gain: -0.35 },
          ...{ isAlone: typed.length === 1, isLast: false },
        },
      ]
    : [];
};
const RUNGS = [0, 1, 2, 3, 4] as const;
/** The rungs of all ladders; the same words may be a rung of several kinds. */
const DEPTH_TEXTS: readonly Listed[] = RUNGS.flatMap((depth) =>
  [...new Set(ACTION_KINDS.map((does) => LADDERS[does][depth]))].flatMap((text) =>
    rung(text, { does: ACTION_KINDS.filter((does) => LADDERS[does][depth] === text), of: null, depth }),
  ),
);
/** The rungs of the actions that have a ladder of their own. */
const ownRungs = (words: Words): readonly Listed[] =>
  words
    .of('action')
    .flatMap(({ key, ladder }) =>
      ladder ? RUNGS.flatMap((depth) => rung(ladder[depth], { does: [], of: key, depth })) : [],
    );

/** The side of a place, as it is said beside it. */
export const ROLES: readonly { readonly tokens: readonly string[]; readonly role: Role }[] = (
  [
    ['top', 'top t|on top|from top|from the top|top side|em cima|por cima'],
    ['bottom', 'bottom b|btm|bot|on bottom|on the bottom|from the bottom|underneath|under|embaixo|por baixo'],
    ['attacker', 'attacker|attacking|att'],
    ['defender', 'defender|defending|defence|defense|def'],
    ['even', 'even'],
  ] as const
).flatMap(([role, texts]) =>
  texts.split('|').flatMap((text) => {
    const all = text.split(' ');
    // the one letter beside the word
    return all.at(-1)!.length === 1
      ? [
          { tokens: all.slice(0, -1), role },
          { tokens: all.slice(-1), role },
        ]
      : [{ tokens: all, role }];
  }),
);

/** Known exactly or not at all: no slip leads to one of them. */
const EXACT = new Set(
  'they he she then with my his her own no not and or left right near far i we me us has'.split(' '),
);
const LISTED: readonly Listed[] = [
  ...STEERING,
  ...RESULT_TEXTS,
  ...BAIT_TEXTS,
  ...RESET_TEXTS,
  ...STAY_TEXTS,
  ...CLOTHES_TEXTS,
  ...DEPTH_TEXTS,
];
export const KNOWN = new Set([...LISTED, ...ROLES].flatMap(({ tokens }) => tokens));

/** Whether a word is one of those that everybody says: left unread it needs no question. */
export const isPlain = ({ text }: Token): boolean => SMALL.has(text) || isEveryday(text) || KNOWN.has(text);

const SLIPS_FROM = 3;
/** In longer words more may go wrong. */
const leastFit = (word: string): number => (word.length >= 6 ? 0.68 : 0.78);
const fitListed = ({ text: typed, isWord }: Pick<Token, 'text' | 'isWord'>, word: string): number => {
  if (typed === word) return 1;
  if (word.length < SLIPS_FROM || typed.length < SLIPS_FROM || isWord || EXACT.has(word)) return 0;
  const how = fit(typed, word);
  return how < leastFit(word) ? 0 : how;
};

/** How well tokens from `at` on say a text; 0 where they do not. Nothing is skipped. */
export const says = (line: Line, at: number, text: readonly string[]): number => {
  let least = 1;
  for (let i = 0; i < text.length; i++) {
    const token = line.at(at + i);
    if (!token || (i > 0 && token.opens)) return 0;
    const how = fitListed(token, text[i]!);
    if (how === 0) return 0;
    least = Math.min(least, how);
  }
  return least;
};

/** Whether tokens [from, to) stand alone between things that part. */
export const standsAlone = (line: Line, from: number, to: number): boolean =>
  line.at(from)!.opens && (line.at(to)?.opens ?? true);

/** By their first tokens, the ones that can be slips apart: each token of a line looks at few of them. */
type ByFirst = ReadonlyMap<string, readonly Listed[]>;
const sorted = (all: readonly Listed[]): ByFirst => {
  const byFirst = new Map<string, Listed[]>();
  for (const one of all) byFirst.set(one.tokens[0]!, [...(byFirst.get(one.tokens[0]!) ?? []), one]);
  return byFirst;
};
const everywhere = sorted(LISTED);
const known = new WeakMap<Words, ByFirst>();
/** What is said in words of its own, with the ladders that are known to some words only. */
const listedOf = (words: Words): ByFirst => {
  const before = known.get(words);
  if (before) return before;
  const own = ownRungs(words);
  const made = own.length ? sorted([...LISTED, ...own]) : everywhere;
  known.set(words, made);
  return made;
};

/** What stands behind the tap of whoever taps; behind all else it is somebody who is made to. */
const TAPS_TO = new Set('to from with by on'.split(' '));
/** What may be said of a result in the same breath. */
const MAY_FOLLOW = new Set(['because', 'bc', 'since', 'as', 'to', 'into', 'from', 'but']);
/** What of these stands at a token. */
export const listedAt = (line: Line, at: number, words: Words): readonly Piece[] => {
  const byFirst = listedOf(words);
  const token = line.at(at)!;
  const found: Piece[] = [];
  const look = (all: readonly Listed[]): void => {
    for (const { tokens: text, said, gain, isAlone, isLast } of all) {
      const how = says(line, at, text);
      const end = at + text.length;
      if (how === 0 || (isAlone && !standsAlone(line, at, end))) continue;
      // *x, sweep*: how it ended is not told first by a word of every day
      if (isAlone && said.is === 'result' && at === 0 && line.at(end)) continue;
      const after = line.at(end);
      if (isLast && after && !after.opens && !MAY_FOLLOW.has(after.text)) continue;
      // *dropped him with a foot sweep*: done to somebody
      if (said.is === 'result' && !said.isTap && text.length === 1 && after && !after.opens && THEM.has(after.text))
        continue;
      found.push({
        said,
        from: at,
        to: at + text.length,
        gain: how * text.length + gain,
        quality: how,
        isWritten: how === 1,
        ...(said.is === 'result' && said.isTap
          ? { isOnThem: after !== undefined && !after.opens && !TAPS_TO.has(after.text) }
          : {}),
      });
    }
  };
  const same = byFirst.get(token.text);
  if (same) look(same);
  else if (!token.isWord) for (const [first, all] of byFirst) if (fitListed(token, first)) look(all);
  return found;
};
