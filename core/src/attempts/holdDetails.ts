import { otherSide } from './sides.js';
import type { Words } from '../vocabulary/index.js';
import { behindName } from './behindName.js';
import { sayControl, type SaidSides } from './sayControl.js';
import { BARE_HOLD, HOLD_PLACES, type Control } from './types.js';

/** How deep, how the thumb is, and what for, in words. */
export const DEPTH_WORDS: Readonly<Record<NonNullable<Control['depth']>, string>> = {
  shallow: 'shallow',
  deep: 'deep',
};
export const THUMB_WORDS: Readonly<Record<NonNullable<Control['thumb']>, string>> = {
  in: 'thumb in',
  out: 'thumb out',
};
export const PURPOSE_WORDS: Readonly<Record<Control['purposes'][number], string>> = {
  steer: 'to steer',
  pull: 'to pull',
  push: 'to push',
  post: 'to post',
  block: 'to block',
  hide: 'to hide it',
  open: 'to open it up',
};
export const HIDDEN_WORDS = 'not seen';
/** From which hand a hold was taken over; null = not said which. */
export const handedWords = (hand: Control['limbSide']): string => `from the ${hand ?? 'other'} hand`;

/** What may be said about a hold that was told: where exactly, how deep, how the thumb is, what for, and that nobody can see it. */
export type HoldDetail =
  | { readonly kind: 'place'; readonly place: NonNullable<Control['place']> }
  | { readonly kind: 'depth'; readonly depth: NonNullable<Control['depth']> }
  | { readonly kind: 'thumb'; readonly thumb: NonNullable<Control['thumb']> }
  | { readonly kind: 'purpose'; readonly purpose: Control['purposes'][number] }
  | { readonly kind: 'hidden' }
  /** Taken over from a hold of the other hand. */
  | { readonly kind: 'handed'; readonly from: string };

/** Targets that are of an arm, and of a leg. */
const OF_ARM: ReadonlySet<string> = new Set(
  'sleeve sleeve-elbow inner-sleeve wrist forearm elbow triceps biceps arm underarm shoulder'.split(' '),
);
const OF_LEG: ReadonlySet<string> = new Set(
  'trouser trouser-knee trouser-cuff hip inner-thigh thigh knee knee-back knee-inside shin calf ankle heel-cord heel foot'.split(
    ' ',
  ),
);

/** Where on what is held a hold may be: on an arm, on a leg, or on other cloth; everywhere of what is none of them. */
export const placesOn = (target: string, words: Words): readonly NonNullable<Control['place']>[] => {
  if (OF_ARM.has(target)) return HOLD_PLACES.arm;
  if (OF_LEG.has(target)) return HOLD_PLACES.leg;
  return words.target(target)?.cloth ? HOLD_PLACES.cloth : [...HOLD_PLACES.arm, ...HOLD_PLACES.leg];
};

/** What is said about a hold, in words, in one order. */
const detailsOf = ({
  place,
  depth,
  thumb,
  purposes,
  hidden,
  handed,
  limbSide,
}: Omit<Control, 'id'>): readonly string[] => [
  ...(place === null ? [] : [place]),
  ...(depth === null ? [] : [DEPTH_WORDS[depth]]),
  ...(thumb === null ? [] : [THUMB_WORDS[thumb]]),
  ...purposes.map((purpose) => PURPOSE_WORDS[purpose]),
  ...(hidden ? [HIDDEN_WORDS] : []),
  ...(handed ? [handedWords(limbSide && otherSide(limbSide))] : []),
];

/** A hold in words, with what is said about it behind: *right hand on their left sleeve (wrist, to steer)*. */
export const sayHold = (control: Control, words: Words, said?: SaidSides): string =>
  behindName(sayControl(control, words, said), detailsOf(control));

/** A hold with something said about it; said once more, it is taken off. */
export const withHoldDetail = (control: Control, detail: HoldDetail): Control => {
  switch (detail.kind) {
    case 'place':
      return { ...control, place: control.place === detail.place ? null : detail.place };
    case 'depth':
      return { ...control, depth: control.depth === detail.depth ? null : detail.depth };
    case 'thumb':
      return { ...control, thumb: control.thumb === detail.thumb ? null : detail.thumb };
    case 'purpose':
      return {
        ...control,
        purposes: control.purposes.includes(detail.purpose)
          ? control.purposes.filter((p) => p !== detail.purpose)
          : [...control.purposes, detail.purpose],
      };
    case 'hidden':
      return { ...control, hidden: !control.hidden };
    case 'handed': {
      const isSame = control.handedFrom === detail.from;
      return { ...control, handed: !isSame, handedFrom: isSame ? null : detail.from };
    }
  }
};

/** A hold without the last thing that was said about it; undefined where nothing was, so that the hold itself goes. */
export const withoutHoldDetail = (control: Control): Control | undefined => {
  if (control.handed) return { ...control, handed: false, handedFrom: null };
  if (control.hidden) return { ...control, hidden: false };
  if (control.purposes.length) return { ...control, purposes: control.purposes.slice(0, -1) };
  for (const part of ['thumb', 'depth', 'place'] as const)
    if (control[part] !== null) return { ...control, [part]: BARE_HOLD[part] };
  return undefined;
};

/**
 * The holds that one may have been taken over from: of the same holder's other hand, on the same thing, in this attempt or the one before it in the chain, and lost no later than this one is
 * gained. Never itself, never of the same hand.
 */
export const mayBeFrom = (
  hold: Control,
  all: readonly Control[],
  before: readonly Control[] = [],
): readonly Control[] =>
  hold.limb !== 'hand'
    ? []
    : [...all.filter((c) => c.id !== hold.id), ...before].filter(
        (c) =>
          c.limb === 'hand' &&
          c.holder === hold.holder &&
          c.target === hold.target &&
          (c.limbSide === null || c.limbSide !== hold.limbSide) &&
          (c.lost === null || hold.gained === null || c.lost.frame <= hold.gained.frame),
      );
