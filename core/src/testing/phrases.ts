import { finishId, stateId, type Result, type State } from '../attempts/index.js';
import { partsSaid, readPhrase } from '../phrase/index.js';
import type { ActionWord, PositionWord, ReactionWord, Role, Words } from '../vocabulary/index.js';

/** Numbers in [0, 1) from a seed (mulberry32): the same seed gives the same row. */
export const randomFrom = (seed: number): (() => number) => {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), state | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  };
};

/** What a made-up phrase says, as strings that can be compared. */
export type Wanted = {
  readonly text: string;
  readonly position: string;
  readonly grips: readonly string[];
  readonly entry: string;
  readonly reactions: readonly string[];
  readonly finish: string | null;
  readonly result: Result | null;
};

/** Which letters lie beside which on the keyboard of whoever types. */
const BESIDE: Readonly<Record<string, string>> = {
  a: 'sq', b: 'vn', c: 'xv', d: 'sf', e: 'wr', f: 'dg', g: 'fh', h: 'gj', i: 'uo', j: 'hk', k: 'jl', l: 'k',
  m: 'n', n: 'bm', o: 'ip', p: 'o', q: 'w', r: 'et', s: 'ad', t: 'ry', u: 'yi', v: 'cb', w: 'qe', x: 'zc', y: 'tu', z: 'x',
}; // prettier-ignore

/** Words that steer: no reader may guess them, so they are typed as they are. */
const STEERING = new Set(
  'they he she opponent with from into ends left right near far and then own did not'.split(' '),
);

/** A text as hasty fingers write it: words that steer as they are; of the letters of words of three and more, one in `every` is left out (a vowel), doubled, or its neighbour. */
const hasty = (text: string, every: number, random: () => number): string =>
  text.replace(/[a-z]{3,}/g, (word) =>
    STEERING.has(word)
      ? word
      : [...word]
          .map((letter, i) => {
            if (random() >= 1 / every) return letter;
            const way = random();
            if ('aeiou'.includes(letter) && i > 0 && way < 0.4) return '';
            return way < 0.7 ? letter + letter : BESIDE[letter]![Math.floor(random() * BESIDE[letter]!.length)]!;
          })
          .join(''),
  );

const RESULTS_SAID: readonly (readonly [string, Result])[] = [
  ['ok', 'success'],
  ['worked', 'success'],
  ['success', 'success'],
  ['failed', 'failed'],
  ['did not work', 'failed'],
  ['partly', 'partial'],
  ['dropped', 'abandoned'],
  ['given up', 'abandoned'],
];

const SIDES = ['left', 'right'] as const;
const REACHES = ['near', 'far', 'cross'] as const;

type Random = () => number;
const oneOf = <T>(all: readonly T[], random: Random): T => all[Math.floor(random() * all.length)]!;

/** Names that are said of limbs that hold as well. */
const isLimb = (name: string): boolean =>
  /\b(hand|arm|forearm|foot|leg|shin|knee|head|shoulder|hips?|sides?|back|waist|face|end)\b/.test(name);

/** A grip in words, and what it is: who holds it with what, what is held, which side. */
const gripOf = (words: Words, random: Random): readonly [string, string] => {
  // what a limb is called too may be what holds
  const target = oneOf(
    words.of('target').filter((t) => !t.grips && !['mat', 'wall', 'underarm'].includes(t.key) && !isLimb(t.name)),
    random,
  );
  const way = random();
  if (way < 0.2) {
    const reach = oneOf(REACHES, random);
    return [`${reach} underhook`, `arm underhook underarm ${reach}`];
  }
  const said = oneOf(
    [target.name, ...target.aliases.slice(0, 1)].filter((t) => !isLimb(t)),
    random,
  );
  if (way < 0.45 && target.sided) {
    const side = oneOf(SIDES, random);
    return [`${side} ${said}`, `hand grip ${target.key} ${side}`];
  }
  if (way < 0.65) {
    const reach = oneOf(REACHES, random);
    return [`${reach} ${said}`, `hand grip ${target.key} ${reach}`];
  }
  const [hand, side] = [oneOf(SIDES, random), oneOf(SIDES, random)];
  return target.sided
    ? [`${hand} hand ${side} ${said}`, `${hand} hand grip ${target.key} ${side}`]
    : [`${hand} hand on the ${said}`, `${hand} hand grip ${target.key}`];
};

const sayings = (word: { readonly name: string; readonly aliases: readonly string[] }): readonly string[] => [
  word.name,
  ...word.aliases,
];
const sayPlace = (word: PositionWord, role: Role, words: Words, random: Random): string => {
  const name = oneOf(
    sayings(word).filter((t) => !words.of('position').some((other) => other !== word && sayings(other).includes(t))),
    random,
  );
  if (role === 'even') return name;
  return random() < 0.6 ? `${name} ${role}` : random() < 0.5 ? `${name}, ${role}` : `${role} ${name}`;
};
const idOf = ({ position, role }: State): string => `${position}/${role}`;

/** What belongs to no single word: a name or alias that words of several meanings have. */
const isPlain = (text: string, word: ActionWord | PositionWord | ReactionWord, words: Words): boolean =>
  !words.all.some((other) => other !== word && sayings(other).includes(text));

/** Kinds of order in which people say it. */
type Told = {
  readonly place: string;
  readonly grips: readonly string[];
  readonly entry: string;
  readonly reactions: readonly string[];
  readonly finish: string | null;
  readonly result: string | null;
};
const they = (reactions: readonly string[], word: string): string[] =>
  reactions.length ? [`${word} ${reactions.join(' then ')}`] : [];
const kept = (parts: readonly (string | null | undefined)[]): string[] => parts.filter((p): p is string => !!p);
const ORDERS: readonly ((t: Told) => string)[] = [
  (t) => kept([t.place, ...t.grips, t.entry, ...they(t.reactions, 'they'), t.finish, t.result]).join(', '),
  (t) =>
    kept([
      `from ${t.place}`,
      t.grips.length ? `with ${t.grips.join(' and ')}` : null,
      t.entry,
      ...they(t.reactions, 'he'),
      t.finish && `ends in ${t.finish}`,
      t.result,
    ]).join(', '),
  (t) =>
    `${t.entry} from ${t.place}${t.grips.length ? ` with ${t.grips.join(' and ')}` : ''}${[...they(t.reactions, 'she'), t.finish && `to ${t.finish}`, t.result].flatMap((p) => (p ? [`, ${p}`] : [])).join('')}`,
  (t) =>
    kept([
      t.place,
      t.entry,
      ...t.grips,
      ...they(t.reactions, 'opponent'),
      t.finish && `into ${t.finish}`,
      t.result,
    ]).join('; '),
  (t) =>
    kept([
      `${t.place}: ${t.entry}`,
      ...they(t.reactions, 'they'),
      ...(t.grips.length ? [`with ${t.grips.join(', ')}`] : []),
      t.finish ? `-> ${t.finish}` : null,
      t.result,
    ]).join(', '),
];

const makeOne = (words: Words, random: Random, every: number): Wanted => {
  const actions = words.of('action').filter((a) => a.aims.length > 0);
  const action = oneOf(actions, random);
  const places = words.of('position').filter((p) => action.from.includes(p.family));
  const place = oneOf(places.length ? places : words.of('position'), random);
  const state: State = { position: place.key, role: oneOf(place.roles, random) };
  const gripped = new Map(
    Array.from({ length: Math.floor(random() * 3) }, () => gripOf(words, random)).map((g) => [g[1], g]),
  );
  const grips = [...gripped.values()];
  const plainReactions = words.of('reaction');
  const reactions = [...new Set(Array.from({ length: Math.floor(random() * 3) }, () => oneOf(plainReactions, random)))];
  const aim = oneOf(action.aims, random);
  const end =
    'submission' in aim
      ? null
      : 'position' in aim
        ? words.position(aim.position)!
        : oneOf(
            words.of('position').filter((p) => p.family === aim.family),
            random,
          );
  const endRole = end && !('submission' in aim) ? (end.roles.includes(aim.role) ? aim.role : end.roles[0]!) : null;
  const submission = 'submission' in aim ? words.submission(aim.submission)! : null;
  const result = random() < 0.85 ? oneOf(RESULTS_SAID, random) : null;
  const entry = oneOf(
    sayings(action)
      .filter((t) => isPlain(t, action, words))
      .concat(action.name),
    random,
  );
  const finish = submission ? `${submission.name} won` : end && endRole ? sayPlace(end, endRole, words, random) : null;
  const told: Told = {
    place: sayPlace(place, state.role, words, random),
    grips: grips.map(([text]) => text),
    entry,
    reactions: reactions.map((r) =>
      oneOf(
        sayings(r)
          .filter((t) => isPlain(t, r, words))
          .concat(r.name),
        random,
      ),
    ),
    finish,
    result: submission ? null : (result?.[0] ?? null),
  };
  return {
    text: hasty(oneOf(ORDERS, random)(told), every, random),
    position: idOf(state),
    grips: [...new Set(grips.map(([, what]) => what))],
    entry: action.key,
    reactions: reactions.map((r) => r.key),
    finish: submission ? `won:${submission.key}` : end && endRole ? idOf({ position: end.key, role: endRole }) : null,
    result: submission ? null : (result?.[1] ?? null),
  };
};

/**
 * Made-up phrases with what they say: places, grips, entries and finishes that go together, by any of their names, in any usual order, typed in haste
 * (one letter in `every` is wrong; 0 = none). It knows the words and nothing of the reader.
 */
export const makePhrases = (words: Words, seed: number, count: number, every = 12): readonly Wanted[] => {
  const random = randomFrom(seed);
  return Array.from({ length: count }, () => makeOne(words, random, every || Number.POSITIVE_INFINITY));
};

/** Whether a made-up phrase is read wholly right: each part is kept as what was said, none was asked, no further attempt found. */
export const isReadRight = ({ text, ...wanted }: Wanted, words: Words): boolean => {
  const { parts, further } = partsSaid(readPhrase(text, words), text, words, () => '');
  const grips = (parts.controls ?? []).map((c) =>
    [c.limbSide, c.limb, c.kind, c.target, c.reach ?? c.targetSide].filter(Boolean).join(' '),
  );
  const got: Omit<Wanted, 'text'> = {
    position: parts.state ? stateId(parts.state) : '',
    grips: grips.sort(),
    entry: parts.action ?? '',
    reactions: (parts.reactions ?? []).map((r) => r.what),
    finish: parts.finish ? finishId(parts.finish) : null,
    result: parts.result ?? null,
  };
  const isSame = (Object.keys(got) as (keyof typeof got)[]).every((part) => {
    const said = part === 'grips' ? [...wanted.grips].sort() : wanted[part];
    return JSON.stringify(got[part]) === JSON.stringify(said);
  });
  return further.length === 0 && isSame;
};
