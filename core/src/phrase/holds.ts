import { USUAL_KIND, type Reach, type Side } from '../attempts/index.js';
import type { ControlKind, Limb, Words } from '../vocabulary/index.js';
import type { Line } from './line.js';
import { isEnglish } from './english.js';
import { isEveryday } from './everyday.js';
import { SMALL } from './sayings.js';
import { fit, fitSpelled, spelled } from '../spelling/index.js';
import type { Span } from './spans.js';

/** A hold as it was said; what was not said is null. */
export type SaidHold = {
  readonly limb: Limb;
  readonly limbSide: Side | null;
  readonly kind: ControlKind;
  readonly target: string;
  readonly targetSide: Side | null;
  readonly owner: 'other' | 'own' | 'mat' | 'wall';
  readonly reach: Reach | null;
  /** Both limbs, or both sides of the target. */ readonly both: boolean;
  /** It is the speaker's side that is held: *my collar*. */ readonly isMine: boolean;
};

/** A hold as one string. */
export const holdKey = (h: SaidHold): string =>
  `${h.limb} ${h.limbSide} ${h.kind} ${h.target} ${h.targetSide} ${h.owner} ${h.reach} ${h.both} ${h.isMine}`;

type Meaning =
  | { readonly is: 'side'; readonly side: Side }
  | { readonly is: 'reach'; readonly reach: Reach }
  | { readonly is: 'both' }
  | { readonly is: 'limb'; readonly limb: Limb; readonly many: boolean }
  | { readonly is: 'kind'; readonly kind: ControlKind; readonly implies?: readonly [Limb, string] }
  | { readonly is: 'own' }
  | { readonly is: 'mine' }
  | { readonly is: 'theirs' }
  | { readonly is: 'filler' }
  | { readonly is: 'none' };

const MEANINGS = new Map<string, Meaning>();
const mean = (texts: string, meaning: Meaning): void => texts.split(' ').forEach((t) => MEANINGS.set(t, meaning));
mean('left l', { is: 'side', side: 'left' });
mean('right r', { is: 'side', side: 'right' });
mean('near nearside', { is: 'reach', reach: 'near' });
mean('far farside', { is: 'reach', reach: 'far' });
mean('cross crossed opposite', { is: 'reach', reach: 'cross' });
mean('same', { is: 'reach', reach: 'same' });
mean('both double two dbl', { is: 'both' });
mean('hand', { is: 'limb', limb: 'hand', many: false });
mean('hands', { is: 'limb', limb: 'hand', many: true });
mean('arm forearm', { is: 'limb', limb: 'arm', many: false });
mean('arms forearms', { is: 'limb', limb: 'arm', many: true });
mean('foot', { is: 'limb', limb: 'foot', many: false });
mean('feet', { is: 'limb', limb: 'foot', many: true });
mean('leg shin', { is: 'limb', limb: 'leg', many: false });
mean('legs shins', { is: 'limb', limb: 'leg', many: true });
mean('knee', { is: 'limb', limb: 'knee', many: false });
mean('knees', { is: 'limb', limb: 'knee', many: true });
mean('head', { is: 'limb', limb: 'head', many: false });
mean('shoulder', { is: 'limb', limb: 'shoulder', many: false });
mean('hips hip', { is: 'limb', limb: 'hips', many: false });
mean('grip grips gripping grab grabs grabbing hold holds holding control controls', {
  is: 'kind',
  kind: 'grip',
});
mean('hook hooks hooking', { is: 'kind', kind: 'hook' });
mean('frame frames framing', { is: 'kind', kind: 'frame' });
mean('crossface crossfaces crossfaced crossfacing xface', { is: 'kind', kind: 'pin', implies: ['arm', 'face'] });
mean('uh uhook', { is: 'kind', kind: 'underhook', implies: ['arm', 'underarm'] });
mean('underhook underhooks underhooking', { is: 'kind', kind: 'underhook', implies: ['arm', 'underarm'] });
mean('overhook overhooks overhooking', { is: 'kind', kind: 'lock', implies: ['arm', 'arm'] });
mean('pin pins pinning pinned', { is: 'kind', kind: 'pin' });
mean('post posts posting posted', { is: 'kind', kind: 'post' });
mean('wedge wedges wedged', { is: 'kind', kind: 'wedge' });
mean('lock locks locked locking', { is: 'kind', kind: 'lock' });
mean('own', { is: 'own' });
mean('my our me us', { is: 'mine' });
mean('their', { is: 'theirs' });
mean('the his her your a an on at around round of to side s in behind inside under over is are was', {
  is: 'filler',
});
mean('and then they them he she opponent opp with from into because ends no not or i we', { is: 'none' });
/** Two letters that coaches write for limb and side. */
const SHORT: ReadonlyMap<string, readonly [Side, Limb]> = new Map([
  ['rh', ['right', 'hand']],
  ['lh', ['left', 'hand']],
  ['rf', ['right', 'foot']],
  ['lf', ['left', 'foot']],
]);

/** Words that steer are known exactly: they are no slips, and no slip leads to one. */
const EXACT = new Set(['left', 'right', 'near', 'far', 'own', 'my', 'our', 'me', 'us']);
const isExact = (word: string, { is }: Meaning): boolean =>
  EXACT.has(word) || is === 'filler' || is === 'none' || is === 'theirs';
/** Sides of places are no slips: *bot* is not *both*. */
const ROLE_WORDS = new Set('top bot btm bottom att attacker def defender'.split(' '));
const SLIPS_FROM = 4;
/** In longer words more may go wrong. */
const leastFit = (word: string): number => (word.length >= 7 ? 0.52 : 0.68);
const remembered = new Map<string, readonly { readonly meaning: Meaning; readonly fit: number }[]>();
/** What a token may mean in a hold, with how well it fits. */
const meaningsOf = (text: string, isWord: boolean): ReturnType<typeof readMeanings> => {
  const id = isWord ? `${text} is a word` : text;
  const before = remembered.get(id);
  if (before) return before;
  if (remembered.size >= 2000) remembered.clear();
  const found = readMeanings(text, isWord);
  remembered.set(id, found);
  return found;
};
const readMeanings = (
  text: string,
  isKnown: boolean,
): readonly { readonly meaning: Meaning; readonly fit: number }[] => {
  const same = MEANINGS.get(text);
  if (same) return [{ meaning: same, fit: 1 }];
  if (SMALL.has(text) || text.length < 3 || isEveryday(text) || ROLE_WORDS.has(text)) return [];
  const isWord = isKnown || isEnglish(text);
  let best: { meaning: Meaning; fit: number } | undefined;
  for (const [word, meaning] of MEANINGS) {
    if (word.length < SLIPS_FROM || isExact(word, meaning)) continue;
    // a word is no slip of another, it may only be bent: *hide* is no *head*, *choke* no *hook*
    const how = isWord ? fitSpelled(spelled(text), spelled(word), true) : fit(text, word);
    if (how >= leastFit(word) && how > (best?.fit ?? 0)) best = { meaning, fit: how };
  }
  return best ? [best] : [];
};

type Heard = {
  readonly limb?: Limb;
  readonly limbSide?: Side;
  readonly kind?: ControlKind;
  readonly implies?: readonly [Limb, string];
  readonly target?: Span;
  readonly targetSide?: Side;
  readonly openSide?: Side;
  readonly reach?: Reach;
  readonly both?: boolean;
  readonly own?: boolean;
  readonly isMine?: boolean;
  /** *their* was said: a side behind it is that of what is held. */ readonly isTheirs?: boolean;
  /** The limb was named after what it does: it is what is held. */ readonly limbLast?: boolean;
  readonly to: number;
  readonly gain: number;
  readonly fits: number;
  readonly told: number;
};

export type HoldSpan = {
  readonly hold: SaidHold;
  readonly from: number;
  readonly to: number;
  readonly gain: number;
  readonly quality: number;
  /** Nothing but what is held is said. */ readonly isBare: boolean;
};

/** A target named alone may be anything: less sure. */
const BARE = 0.55;
/** A hand that is named is nearly always the one that holds. */
const A_HAND = 0.5;
const LIMB_AND_TARGET = 0.6;
/** What a limb is called where it is what is held. */
const AS_TARGET: Readonly<Record<Limb, string>> = {
  hand: 'hand',
  arm: 'arm',
  foot: 'foot',
  leg: 'thigh',
  knee: 'knee',
  head: 'head',
  shoulder: 'shoulder',
  hips: 'hip',
};
const isOfArm = (limb: Limb | undefined): boolean => limb === undefined || limb === 'hand' || limb === 'arm';
/** Said out with a side: that is what it is. */
const WRITTEN = 0.25;
const MOST_TOKENS = 9;

const held = (from: number, said: Heard, words: Words): HoldSpan | undefined => {
  const isHeld =
    !said.target && said.limb !== undefined && (said.implies ? !isOfArm(said.limb) : said.limbLast === true);
  const { limb: _, ...others } = said;
  void _;
  const heard: Heard = isHeld
    ? {
        ...others,
        ...(said.limbSide ? { targetSide: said.limbSide } : {}),
        ...(said.implies ? { limb: said.implies[0] } : {}),
      }
    : said;
  const target = heard.target
    ? words.target(heard.target.named.key)
    : isHeld
      ? words.target(AS_TARGET[said.limb])
      : undefined;
  const targetKey = target?.key ?? heard.implies?.[1];
  if (targetKey === undefined) return undefined;
  // an underhook is of an arm: that it is said changes nothing
  if (heard.kind === 'underhook' && heard.target && (targetKey === 'arm' || targetKey === 'hand')) return undefined;
  const limb =
    heard.limb ??
    heard.implies?.[0] ??
    target?.grips?.[0]?.limb ??
    (heard.kind === 'hook' ? 'foot' : heard.kind === 'frame' ? 'arm' : 'hand');
  const isSided = target?.sided ?? true;
  const isHand = target?.key === 'hand' && !heard.limb && !heard.kind;
  const isBare =
    !target?.grips && !heard.limb && !heard.kind && !heard.reach && !heard.both && !heard.openSide && !heard.targetSide;
  // a side without a limb is that of what is held, where that has sides; an underhook's is that of the arm
  const isArms = !heard.limb && (!target || !isSided);
  const hold: SaidHold = {
    limb,
    limbSide: heard.limbSide ?? (isArms ? (heard.openSide ?? null) : null),
    kind: heard.kind ?? target?.grips?.[0]?.kind ?? (targetKey === 'mat' ? 'post' : USUAL_KIND[limb]),
    target: targetKey,
    targetSide: isSided ? (heard.targetSide ?? (isArms ? null : (heard.openSide ?? null))) : null,
    owner: targetKey === 'mat' || targetKey === 'wall' ? targetKey : heard.own ? 'own' : 'other',
    reach: heard.reach ?? null,
    both: heard.both ?? false,
    isMine: (heard.isMine ?? false) && !heard.own,
  };
  return {
    hold,
    from,
    to: heard.to,
    gain:
      heard.gain -
      (isBare ? BARE : 0) -
      (isHand ? A_HAND : 0) +
      (heard.limb && heard.target ? LIMB_AND_TARGET : 0) +
      (heard.told > 1 && heard.fits === heard.told && (heard.both || heard.reach || heard.openSide) ? WRITTEN : 0),
    quality: heard.told ? heard.fits / heard.told : 0.5,
    isBare,
  };
};

/** What is left by somebody. */
const LEFT_BEHIND = new Set('his her their my the it him them an a'.split(' '));

type More = { readonly is: Meaning['is']; readonly said: Partial<Heard>; readonly base: Heard };

/** What a token adds to a hold that is heard; undefined where it has no place in it, or says nothing by itself. */
const heardMore = (heard: Heard, meaning: Meaning): More | undefined => {
  const more = (said: Partial<Heard>, base = heard): More => ({ is: meaning.is, said, base });
  switch (meaning.is) {
    case 'side':
      if ((heard.limb || heard.isTheirs) && !heard.targetSide && !heard.openSide)
        return more({ targetSide: meaning.side });
      if (!heard.openSide) return more({ openSide: meaning.side });
      return heard.targetSide ? undefined : more({ limbSide: heard.openSide, targetSide: meaning.side });
    case 'reach':
      return heard.reach ? undefined : more({ reach: meaning.reach });
    case 'both':
      return heard.both ? undefined : more({ both: true });
    case 'limb': {
      if (heard.limb || heard.target) return undefined;
      // *my right hand*: whose the limb is, not what it holds
      const { openSide, isMine: _mine, ...others } = heard;
      void _mine;
      const side = openSide ? { limbSide: openSide } : {};
      const last = heard.kind ? { limbLast: true } : {};
      return more({ limb: meaning.limb, ...side, ...last, ...(meaning.many ? { both: true } : {}) }, others);
    }
    case 'kind':
      return heard.kind
        ? undefined
        : more({ kind: meaning.kind, ...(meaning.implies ? { implies: meaning.implies } : {}) });
    case 'own':
      return more({ own: true });
    case 'mine':
      return more({ isMine: true });
    default:
      return undefined;
  }
};

/**
 * Holds that may be said from `from` on: limb, kind, sides and target in any order, within one clause. `spans` are the targets that may stand at
 * each token. An underhook needs no target.
 */
export const holdsAt = (
  line: Line,
  from: number,
  targetsAt: (at: number) => readonly Span[],
  words: Words,
): readonly HoldSpan[] => {
  const found = new Map<string, HoldSpan>();
  const keep = (heard: Heard): void => {
    const span = held(from, heard, words);
    if (!span) return;
    const id = `${holdKey(span.hold)} ${span.to}`;
    if ((found.get(id)?.gain ?? Number.NEGATIVE_INFINITY) < span.gain) found.set(id, span);
  };
  const walk = (at: number, heard: Heard): void => {
    if (at - from >= MOST_TOKENS) return;
    const token = line.at(at);
    if (!token || (at > from && token.opens)) return;
    const go = (more: Partial<Heard>, gain: number, to = at + 1, base = heard): void => {
      const sum = { gain: base.gain + gain, fits: base.fits + gain, told: base.told + 1 };
      const next: Heard = { ...base, ...more, ...sum, to };
      keep(next);
      walk(to, next);
    };
    const short = SHORT.get(token.text);
    if (short && !heard.limb) go({ limbSide: short[0], limb: short[1] }, 1);
    const next = line.at(at + 1);
    // *left his arm out* is no side
    const isLeaving = token.text === 'left' && next !== undefined && !next.opens && LEFT_BEHIND.has(next.text);
    for (const { meaning, fit: how } of isLeaving ? [] : meaningsOf(token.text, token.isWord)) {
      const more = heardMore(heard, meaning);
      if (more) {
        go(more.said, more.is === 'mine' ? how * 0.5 : how, at + 1, more.base);
        continue;
      }
      if (meaning.is === 'theirs' && at > from) walk(at + 1, { ...heard, isTheirs: true });
      if (meaning.is === 'filler' && at > from) {
        if (token.text === 'side') keep({ ...heard, to: at + 1 });
        walk(at + 1, heard);
      }
    }
    if (!heard.target && heard.implies?.[1] !== 'face')
      for (const span of targetsAt(at)) go({ target: span }, span.gain, span.to);
  };
  walk(from, { to: from, gain: 0, fits: 0, told: 0 });
  return [...found.values()].filter((span) => span.gain > 0);
};
