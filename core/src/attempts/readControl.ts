import {
  matchWords,
  slipsToPrefix,
  tokens,
  type ControlKind,
  type Limb,
  type TargetWord,
  type Words,
} from '../vocabulary/index.js';
import { controlKey } from './sides.js';
import { BARE_HOLD, type Control, type Side } from './types.js';

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

/** What a limb mostly does where nobody says what. */
export const USUAL_KIND: Record<Limb, ControlKind> = {
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

type Hold = Omit<Control, 'id'>;

/** What the words of a typed hold said; `rest` is what names the target. */
type Said = {
  limb?: Limb;
  kind?: ControlKind;
  limbSide?: Side;
  targetSide?: Side;
  readonly own: boolean;
  readonly rest: string[];
};

/** Sorts typed words into limb, kind, sides and target. A side before the limb is the limb's, a later one the target's. */
const sortWords = (typed: string): Said => {
  const all = tokens(typed).flatMap((t) => SHORT[t] ?? [t]);
  const said: Said = { own: all.includes('own'), rest: [] };
  for (const [i, token] of all.entries()) {
    const side = sideOf(token);
    const limb = LIMB_WORDS[token];
    const kind = KIND_WORDS[token];
    const mayBeLimb = limb && !said.limb && (i < all.length - 1 || !said.kind);
    if (side && (said.rest.length || said.kind || said.limbSide || said.limb)) said.targetSide = side;
    else if (side) said.limbSide = side;
    else if (mayBeLimb) said.limb = limb;
    else if (kind && !said.kind) said.kind = kind;
    else if (!FILLERS.has(token)) said.rest.push(token);
  }
  return said;
};

type Aimed = {
  readonly said: Said;
  readonly targets: readonly { readonly word: TargetWord; readonly score: number }[];
};

/** What is held: by the words that are left, or by what an underhook or a limb alone implies (*hip* is a target). */
const aimAt = (said: Said, words: Words): Aimed => {
  const named = (text: string): Aimed['targets'] =>
    matchWords(
      text,
      words.of('target').map((w) => ({ value: w, texts: [w.name, ...w.aliases] })),
    ).map((m) => ({ word: m.value, score: m.score }));
  if (said.rest.length) return { said, targets: named(said.rest.join(' ')) };
  const underarm = words.target('underarm');
  if (said.kind === 'underhook' && underarm) return { said, targets: [{ word: underarm, score: 1 }] };
  if (!said.limb) return { said, targets: [] };
  const { limb, ...others } = said;
  return { said: others, targets: named(limb) };
};

const kindOf = (said: Said, limb: Limb, target: TargetWord): ControlKind => {
  if (said.kind) return said.kind;
  if (target.key === 'mat') return 'post';
  return limb === 'hand' && target.key === 'underarm' ? 'underhook' : USUAL_KIND[limb];
};

/** A hold on one target, with every side that was left open: not said first, then each. */
const readingsOf = (said: Said, target: TargetWord, score: number): readonly { hold: Hold; score: number }[] => {
  const limb = said.limb ?? (said.kind === 'underhook' ? 'arm' : said.kind === 'hook' ? 'foot' : 'hand');
  const limbSides: readonly (Side | null)[] = said.limbSide ? [said.limbSide] : [null, 'right', 'left'];
  const open: readonly (Side | null)[] = said.targetSide ? [said.targetSide] : [null, 'left', 'right'];
  const targetSides = target.sided ? open : [null];
  return limbSides.flatMap((limbSide, a) =>
    targetSides.map((targetSide, b) => ({
      score: score - 0.05 * a - 0.02 * b,
      hold: {
        holder: 'subject',
        limb,
        limbSide,
        kind: kindOf(said, limb, target),
        target: target.key,
        targetOwner: target.key === 'mat' ? 'mat' : said.own ? 'own' : 'other',
        targetSide,
        ...BARE_HOLD,
        cloth: target.cloth,
      },
    })),
  );
};

const MOST_TARGETS = 4;

/**
 * What a typed hold may mean, best first, at most `limit`: *right hand left collar*, *r sleeve*, *left foot hip*, *underhook right*.
 * Where a side was not said both are offered after none; the holder's own body only when *own* was said. Words that are not understood make the
 * reading fail, so nothing is dropped in silence. Ties keep their order.
 */
export const readControls = (typed: string, words: Words, limit = 8): readonly Hold[] => {
  const { said, targets } = aimAt(sortWords(typed), words);
  const readings = targets.slice(0, MOST_TARGETS).flatMap(({ word, score }) => readingsOf(said, word, score));
  const seen = new Set<string>();
  return [...readings]
    .sort((x, y) => y.score - x.score)
    .map(({ hold }) => hold)
    .filter((hold) => {
      const key = controlKey({ ...hold, id: '' });
      return !seen.has(key) && seen.add(key);
    })
    .slice(0, limit);
};
