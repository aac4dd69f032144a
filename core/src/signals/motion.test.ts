import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { ACTIVITY_STEP_S, MotionReader, burstSpans, calmSpans } from './index.js';

const SIZE = 64;
/** A view of its own, with a bright thing at a place. */
const picture = (view: number, thing: number): Uint8Array =>
  Uint8Array.from({ length: SIZE }, (_, i) => ((i * 37 + view * 101) % 160) + 40 + (i === thing % SIZE ? 40 : 0));
const read = (pictures: readonly Uint8Array[], rate = 25): ReturnType<MotionReader['end']> => {
  const reader = new MotionReader();
  pictures.forEach((p, i) => reader.push(p, 2 + i / rate));
  return reader.end(2 + pictures.length / rate);
};

describe('what the pictures alone say', () => {
  test('when views change, the cuts should be exactly the frames at which they do', () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.integer({ min: 5, max: 195 }), { maxLength: 6 }), (cuts) => {
        const sorted = [...cuts].sort((a, b) => a - b).filter((c, i, all) => i === 0 || c - all[i - 1]! > 3);
        const pictures = Array.from({ length: 200 }, (_, i) => picture(sorted.filter((c) => c <= i).length, i));
        expect(read(pictures).cuts).toEqual(sorted);
      }),
      { numRuns: 40 },
    );
  });

  test('when it is black or stands still, the stretch should be said in seconds of the file', () => {
    const black = new Uint8Array(SIZE).fill(10);
    const pictures = Array.from({ length: 200 }, (_, i) =>
      i >= 50 && i < 75 ? black : picture(0, i < 100 || i >= 150 ? i : 100),
    );
    const { black: dark, frozen } = read(pictures);
    expect(dark).toEqual([{ fromS: 4, toS: 5 }]);
    expect(frozen).toHaveLength(1);
    expect(frozen[0]!.fromS).toBeCloseTo(6, 1);
    expect(frozen[0]!.toS).toBeCloseTo(8, 1);
  });

  test('when little moves for a while, that should be a calm stretch, a twitch in it or not', () => {
    const moving = (i: number): boolean => i < 150 || i >= 300 || i === 220;
    const pictures = Array.from({ length: 500 }, (_, i) => picture(0, moving(i) ? i * 3 : 7));
    const motion = read(pictures);
    expect(motion.activity).toHaveLength(500 / 25 / ACTIVITY_STEP_S);
    const [calm, ...more] = calmSpans(motion);
    expect(more).toEqual([]);
    expect(calm!.fromS).toBeCloseTo(8, 0);
    expect(calm!.toS).toBeCloseTo(14, 0);
  });

  test('when much moves at once for a while, that should be a burst; a jolt of one step is none', () => {
    const activity = Uint8Array.from({ length: 60 }, (_, i) => ((i >= 20 && i < 24) || i === 40 ? 70 : 20 + (i % 3)));
    const [burst, ...more] = burstSpans({ fromS: 2, activity });
    expect(more).toEqual([]);
    expect(burst!.fromS).toBeCloseTo(2 + 20 * ACTIVITY_STEP_S, 9);
    expect(burst!.toS).toBeCloseTo(2 + 24 * ACTIVITY_STEP_S, 9);
    expect(burstSpans({ fromS: 0, activity: new Uint8Array(0) })).toEqual([]);
  });
});
