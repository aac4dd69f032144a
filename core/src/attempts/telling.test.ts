import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { shippedWords } from '../vocabulary/index.js';
import {
  BARE_HOLD,
  TELLINGS,
  mirrorControl,
  otherSide,
  pictureSide,
  sayControl,
  sideWord,
  sidesOf,
  type Control,
  type SideView,
} from './index.js';

const words = shippedWords();
const view = (more: Partial<SideView> = {}): SideView => ({
  ...{ seen: 'back', facing: 'facing', isMirrored: false, landmarks: { left: 'table', right: 'wall' } },
  ...more,
});
const hold: Control = {
  ...BARE_HOLD,
  ...{ id: 'c', holder: 'subject', limb: 'hand', limbSide: 'right', kind: 'grip', target: 'collar' },
  ...{ targetOwner: 'other', targetSide: 'left', cloth: true },
};

describe('how sides are told', () => {
  test('when a hold is told in each way, it should read as people say it', () => {
    const say = (telling: (typeof TELLINGS)[number], more: Partial<SideView> = {}): string =>
      sayControl(hold, words, { telling, sides: sidesOf(telling, view(more)) });
    expect(say('own')).toBe('right hand on their left collar');
    expect(say('your')).toBe('your right hand on their left collar');
    // both on the right of the picture: whoever acts is seen from behind, the other from the front
    expect(say('viewer')).toBe('picture-right hand on their picture-right collar');
    expect(say('landmark')).toBe('wall-side hand on their wall-side collar');
    expect(say('landmark', { facing: 'same way' })).toBe('wall-side hand on their table-side collar');
    expect(say('viewer', { facing: 'crossed' })).toBe('picture-right hand on their left collar');
    expect(say('viewer', { seen: null })).toBe('right hand on their left collar');
    expect(say('landmark', { landmarks: { left: '', right: '' } })).toBe(
      'picture-right hand on their picture-right collar',
    );
  });

  test('when the picture is turned over with all that is told, what is at the left should be told at the right, and landmarks stay where they are', () => {
    const any = fc.record({
      side: fc.constantFrom('left' as const, 'right' as const),
      seen: fc.constantFrom('front' as const, 'back' as const),
      facing: fc.constantFrom('facing' as const, 'same way' as const),
      whose: fc.constantFrom('subject' as const, 'opponent' as const),
    });
    fc.assert(
      fc.property(any, ({ side, seen, facing, whose }) => {
        const [as, over] = [view({ seen, facing }), view({ seen, facing, isMirrored: true })];
        const turned = otherSide(side);
        expect(sideWord(whose, turned, 'landmark', over)).toBe(sideWord(whose, side, 'landmark', as));
        expect(sideWord(whose, turned, 'viewer', over)).not.toBe(sideWord(whose, side, 'viewer', as));
        // the two sides of one body are never told alike
        for (const telling of TELLINGS)
          expect(sideWord(whose, side, telling, as)).not.toBe(sideWord(whose, turned, telling, as));
        expect(pictureSide(whose, side, view({ seen: seen === 'back' ? 'front' : 'back', facing }))).toBe(
          otherSide(pictureSide(whose, side, as)!),
        );
      }),
    );
    expect(mirrorControl(mirrorControl(hold))).toEqual(hold);
  });
});
