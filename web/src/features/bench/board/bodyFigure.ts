import type { Control, Limb, Side, Words } from '@odograph/core';

/** A body as it is drawn on the board, in pixels from its own upper left corner; its right side stands on the left, as of somebody who faces the viewer. */
export const FIGURE = { width: 150, height: 206 } as const;
const MIDDLE = FIGURE.width / 2;

export type Point = { readonly x: number; readonly y: number };
const MIDDLES: Readonly<Record<string, Point>> = {
  head: { x: MIDDLE, y: 20 },
  trunk: { x: MIDDLE, y: 96 },
  hips: { x: MIDDLE, y: 116 },
};
/** Of the right side. */
const RIGHTS: Readonly<Record<string, Point>> = {
  shoulder: { x: 46, y: 52 },
  chest: { x: 63, y: 66 },
  arm: { x: 30, y: 78 },
  hand: { x: 16, y: 106 },
  hip: { x: 58, y: 122 },
  knee: { x: 52, y: 156 },
  leg: { x: 28, y: 142 },
  foot: { x: 48, y: 192 },
};

/** What can be held, by the part of the body on which it lies; what is usual there stands first. */
export const ZONES: Readonly<Record<string, readonly string[]>> = {
  head: ['head', 'neck', 'face'],
  shoulder: ['shoulder', 'underarm', 'arm', 'elbow'],
  hand: ['sleeve', 'wrist', 'forearm', 'hand', 'elbow'],
  chest: ['collar', 'chest', 'ribs', 'lapel-end'],
  trunk: ['waist', 'belt', 'back', 'jacket-back'],
  hip: ['hip', 'thigh', 'trouser'],
  knee: ['knee', 'trouser-knee', 'shin', 'calf'],
  foot: ['ankle', 'heel', 'toes', 'instep'],
};
export type Zone = { readonly name: string; readonly side: Side | null };
export const zones: readonly Zone[] = Object.keys(ZONES).flatMap((name): Zone[] =>
  name in MIDDLES
    ? [{ name, side: null }]
    : [
        { name, side: 'right' },
        { name, side: 'left' },
      ],
);

export type LimbOf = { readonly holder: Control['holder']; readonly limb: Limb; readonly side: Side | null };
const SIDED: readonly Limb[] = ['hand', 'foot', 'arm', 'knee', 'leg', 'shoulder'];
export const limbs: readonly { readonly limb: Limb; readonly side: Side | null }[] = [
  ...SIDED.flatMap((limb) => (['right', 'left'] as const).map((side) => ({ limb, side }))),
  { limb: 'head', side: null },
  { limb: 'hips', side: null },
];

/** Where a part of a body lies; `isTurned`: it is seen from behind, its right side on the right. A side that nobody said lies in the middle. */
export const pointOf = (part: string, side: Side | null, isTurned: boolean): Point => {
  const right = RIGHTS[part];
  if (!right) return MIDDLES[part] ?? MIDDLES['trunk']!;
  if (side === null) return { x: MIDDLE, y: right.y };
  return (side === 'right') === isTurned ? { x: FIGURE.width - right.x, y: right.y } : right;
};

/** The part of the body on which a target lies. */
export const zoneOf = (target: string): string =>
  Object.entries(ZONES).find(([, targets]) => targets.includes(target))?.[0] ?? 'trunk';

/** What an arm finds on the chest and at the shoulder before all else: the armpit that it goes under. */
const UNDER_ARM: ReadonlySet<string> = new Set(['chest', 'shoulder']);
/** The targets of a part that a limb can hold, the likeliest first: cloth only where it is worn, and only by hands. */
export const targetsOf = (zone: string, words: Words, gi: boolean, limb: Limb): readonly string[] => {
  const isArm = limb === 'arm' && UNDER_ARM.has(zone);
  const all = new Set([...(isArm ? ['underarm'] : []), ...(ZONES[zone] ?? [])]);
  return [...all].filter((key) => {
    const word = words.target(key);
    return word !== undefined && (!word.cloth || (gi && limb === 'hand'));
  });
};
