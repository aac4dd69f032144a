import type { Words } from '../vocabulary/index.js';
import type { SideWords, Telling } from './telling.js';
import type { Control, Side } from './types.js';

const OWNER: Record<Control['targetOwner'], string> = { other: 'their', own: 'own', mat: 'the', wall: 'the' };

/** What stands for a side that was told by where it is. */
const REACH_WORDS: Record<string, string> = { near: 'near', far: 'far', cross: 'cross', same: 'same-side' };

/** How sides are to be told in words. */
export type SaidSides = { readonly telling: Telling; readonly sides: SideWords };

/** A hold in words, seen from its holder: *right hand grips their left collar*; sides as each one's own, or as `said` tells them. */
export const sayControl = (control: Control, words: Words, said?: SaidSides): string => {
  const sideOf = (part: 'limb' | 'target', side: Side | null): string | null =>
    side && (said?.sides(control, part, side) ?? side);
  const your = said?.telling === 'your' && control.holder === 'subject' ? 'your' : '';
  const limb = [your, sideOf('limb', control.limbSide), control.limb].filter(Boolean).join(' ');
  if (control.kind === 'underhook' && control.target === 'underarm') {
    // whose arm is plain, where not even its side is said
    const arm = control.limb === 'arm' && control.limbSide === null ? '' : limb;
    return `${[arm, REACH_WORDS[control.reach ?? '']].filter(Boolean).join(' ')} underhook${control.targetSide ? `, their ${sideOf('target', control.targetSide)} side` : ''}`.trim();
  }
  const verb = {
    grip: control.limb === 'hand' && control.targetOwner !== 'mat' ? 'on' : 'gripping',
    hook: 'hooking',
    frame: 'framing',
    pin: 'pinning',
    post: 'posted on',
    wedge: 'wedged at',
    lock: 'locked round',
    underhook: 'underhooking',
  }[control.kind];
  const target = [
    control.targetOwner === 'mat' || control.targetOwner === 'wall' ? '' : OWNER[control.targetOwner],
    REACH_WORDS[control.reach ?? ''],
    sideOf('target', control.targetSide),
    words.name('target', control.target),
  ]
    .filter(Boolean)
    .join(' ');
  return `${limb} ${verb} ${control.targetOwner === 'mat' ? 'the mat' : control.targetOwner === 'wall' ? 'the wall' : target}`;
};
