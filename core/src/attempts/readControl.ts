import { matchWords, slipsToPrefix, tokens, type ControlKind, type Limb, type Words } from '../vocabulary/index.js';
import { controlKey } from './sides.js';
import { sayControl } from './sentence.js';
import type { Control, Side } from './types.js';

const LIMB_WORDS: Record<string, Limb> = {
  hand: 'hand',
  hands: 'hand',
  arm: 'arm',
  forearm: 'arm',
  foot: 'foot',
  feet: 'foot',
  leg: 'leg',
  shin: 'leg',
  knee: 'knee',
  head: 'head',
  shoulder: 'shoulder',
  hips: 'hips',
  hip: 'hips',
};
const KIND_WORDS: Record<string, ControlKind> = {
  grip: 'grip',
  grips: 'grip',
  hold: 'grip',
  holds: 'grip',
  hook: 'hook',
  hooks: 'hook',
  hooking: 'hook',
  frame: 'frame',
  frames: 'frame',
  framing: 'frame',
  underhook: 'underhook',
  under: 'underhook',
  pin: 'pin',
  pins: 'pin',
  pinning: 'pin',
  post: 'post',
  posts: 'post',
  posted: 'post',
  wedge: 'wedge',
  wedged: 'wedge',
  lock: 'lock',
  locked: 'lock',
};
const SIDE_WORDS: Record<string, Side> = { left: 'left', l: 'left', right: 'right', r: 'right' };
/** *left* and *right*, also with one slip of the key. */
const sideOf = (token: string): Side | undefined =>
  SIDE_WORDS[token] ??
  (token.length >= 4 ? (['left', 'right'] as const).find((side) => slipsToPrefix(token, side, 1) <= 1) : undefined);

const USUAL_KIND: Record<Limb, ControlKind> = {
  hand: 'grip',
  arm: 'lock',
  foot: 'hook',
  leg: 'hook',
  knee: 'wedge',
  head: 'wedge',
  shoulder: 'pin',
  hips: 'pin',
};
const SHORT: Record<string, readonly string[]> = {
  rh: ['right', 'hand'],
  lh: ['left', 'hand'],
  rf: ['right', 'foot'],
  lf: ['left', 'foot'],
  h: ['hand'],
  f: ['foot'],
};
const FILLERS = new Set([
  'the',
  'their',
  'his',
  'her',
  'at',
  'around',
  'round',
  'own',
  'to',
  'of',
  'with',
  'on',
  'a',
  's',
]);

type Reading = { control: Omit<Control, 'id'>; score: number };

/**
 * What a typed hold may mean, best first, at most `limit`: *right hand left collar*, *r sleeve*, *left foot hip*, *underhook right*.
 * A side before the limb (or before anything, while no limb was named) is the limb's, a later one the target's; where a side was not said
 * both are offered after none; the holder's own body only when *own* was said. Words that are not understood make the reading fail, so nothing is dropped in silence.
 */
export const readControls = (typed: string, words: Words, limit = 8): readonly Omit<Control, 'id'>[] => {
  let limb: Limb | undefined, kind: ControlKind | undefined, limbSide: Side | undefined, targetSide: Side | undefined;
  let pending: Side | undefined;
  const rest: string[] = [];
  const all = tokens(typed).flatMap((t) => SHORT[t] ?? [t]);
  const own = all.includes('own');
  for (const [i, token] of all.entries()) {
    const side = sideOf(token);
    if (side) {
      pending = side;
      if (rest.length || kind) targetSide = side;
      else if (limbSide === undefined) limbSide = side;
      else targetSide = side;
      continue;
    }
    const isLast = i === all.length - 1;
    if (!limb && LIMB_WORDS[token] && (!isLast || !kind)) {
      limb = LIMB_WORDS[token];
      if (pending) limbSide = pending;
      pending = undefined;
      continue;
    }
    if (!kind && KIND_WORDS[token]) {
      kind = KIND_WORDS[token];
      continue;
    }
    if (!FILLERS.has(token)) rest.push(token);
  }
  const targetWords = words.of('target');
  const matches = rest.length
    ? matchWords(
        rest.join(' '),
        targetWords.map((w) => ({ value: w, texts: [w.name, ...w.aliases] })),
      )
    : kind === 'underhook'
      ? [{ value: words.target('underarm')!, score: 1, text: '' }]
      : [];
  const lastToken = rest.at(-1);
  // a lone limb word may be the target: *right hand on the knee* needs no second limb, *hip* alone is a target
  const fallback =
    !matches.length && limb && !rest.length
      ? matchWords(
          limb,
          targetWords.map((w) => ({ value: w, texts: [w.name, ...w.aliases] })),
        )
      : [];
  if (fallback.length && !matches.length) limb = undefined;
  const found = matches.length ? matches : fallback;
  if (lastToken !== undefined && !matches.length) return [];
  const readings: Reading[] = [];
  for (const match of found.slice(0, 4)) {
    const theLimb: Limb = limb ?? (kind === 'underhook' ? 'arm' : kind === 'hook' ? 'foot' : 'hand');
    const theKind =
      kind ??
      (match.value.key === 'mat'
        ? 'post'
        : theLimb === 'hand' && match.value.key === 'underarm'
          ? 'underhook'
          : USUAL_KIND[theLimb]);
    const limbSides: (Side | null)[] = limbSide ? [limbSide] : [null, 'right', 'left'];
    const targetSides: (Side | null)[] = !match.value.sided
      ? [null]
      : targetSide
        ? [targetSide]
        : [null, 'left', 'right'];
    limbSides.forEach((ls, a) =>
      targetSides.forEach((ts, b) => {
        readings.push({
          score: match.score - 0.05 * a - 0.02 * b,
          control: {
            holder: 'subject',
            limb: theLimb,
            limbSide: ls,
            kind: theKind,
            target: match.value.key,
            targetOwner: match.value.key === 'mat' ? 'mat' : own ? 'own' : 'other',
            targetSide: ts,
            cloth: match.value.cloth,
            gained: null,
            lost: null,
          },
        });
      }),
    );
  }
  const seen = new Set<string>();
  return readings
    .map((r, i) => ({ r, i }))
    .sort((x, y) => y.r.score - x.r.score || x.i - y.i)
    .map(({ r }) => r.control)
    .filter((c) => {
      const key = controlKey({ ...c, id: '' });
      return seen.has(key) ? false : (seen.add(key), true);
    })
    .filter((c) => sayControl({ ...c, id: '' }, words).length > 0)
    .slice(0, limit);
};
