import type { PositionWord } from '../vocabulary/index.js';
import { otherSide } from './sides.js';
import type { Control, Side } from './types.js';

/** From where the camera sees whoever acts: their chest, or their back. */
export const SEEN = ['front', 'back'] as const;
export type Seen = (typeof SEEN)[number];

/** How left and right are told: as each athlete's own; spoken to whoever acts (*your right hand*); as they lie in the picture; or by what stands there. */
export const TELLINGS = ['own', 'your', 'viewer', 'landmark'] as const;
export type Telling = (typeof TELLINGS)[number];

/** What is known of how a clip is seen. */
export type SideView = {
  readonly seen: Seen | null;
  readonly facing: PositionWord['facing'];
  /** The picture is turned over, left for right. */ readonly isMirrored: boolean;
  /** What stands at the left and at the right of the picture, as it was filmed; empty where nobody said. */ readonly landmarks: Readonly<
    Record<Side, string>
  >;
};

/**
 * The side of the picture on which a side of somebody's body lies. Seen from behind, the right is on the right; the other one is seen the other way round where the two face each
 * other, and the same way where they look the same way. Null where that does not follow: nobody said from where they are seen, or they lie crossed.
 */
export const pictureSide = (whose: 'subject' | 'opponent', side: Side, { seen, facing }: SideView): Side | null => {
  if (seen === null || (whose === 'opponent' && facing === 'crossed')) return null;
  const isBack = (seen === 'back') === (whose === 'subject' || facing === 'same way');
  return isBack ? side : otherSide(side);
};

/** A side as a word before what it is the side of; as the athlete's own where it cannot be told otherwise. Of a mirrored attempt in a mirrored picture the same holds. */
export const sideWord = (whose: 'subject' | 'opponent', side: Side, telling: Telling, view: SideView): string => {
  if (telling === 'own' || telling === 'your') return side;
  const own = view.isMirrored ? otherSide(side) : side;
  const filmed = pictureSide(whose, own, view);
  if (filmed === null) return side;
  const here = view.isMirrored ? otherSide(filmed) : filmed;
  if (telling === 'viewer') return `picture-${here}`;
  const mark = view.landmarks[filmed];
  return mark === '' ? `picture-${here}` : `${mark}-side`;
};

/** Gives the words for the sides of a hold: of the limb that holds, and of what is held. */
export const sidesOf =
  (telling: Telling, view: SideView) =>
  (control: Pick<Control, 'holder' | 'targetOwner'>, part: 'limb' | 'target', side: Side): string => {
    const isOwn = part === 'limb' || control.targetOwner === 'own';
    const other = control.holder === 'subject' ? 'opponent' : 'subject';
    return sideWord(isOwn ? control.holder : other, side, telling, view);
  };
export type SideWords = ReturnType<typeof sidesOf>;
