import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { frameOfText, timeTable, timecode } from './index.js';

const rates = [
  timeTable(
    Array.from({ length: 400 }, (_, i) => i),
    1,
    25,
  ),
  timeTable(
    Array.from({ length: 400 }, (_, i) => i * 1001),
    1,
    30000,
  ),
  timeTable(
    Array.from({ length: 400 }, (_, i) => i),
    1,
    60,
  ),
  // variable: dense and thin stretches, beginning late
  timeTable(
    Array.from({ length: 400 }, (_, i) => 90 + i * 30 + (i % 7) * 4),
    1,
    1000,
  ),
];

describe('times as they are typed', () => {
  test('when a timecode is read back, it should be the frame it was written for, at every rate', () => {
    fc.assert(
      fc.property(fc.constantFrom(...rates), fc.integer({ min: 0, max: 399 }), (table, frame) => {
        expect(frameOfText(table, timecode(table, frame))).toBe(frame);
      }),
    );
  });

  test.each([
    ['#12', 12],
    ['#400', 400],
    ['#401', undefined],
    ['4', 100],
    ['0:04', 100],
    ['0:04.04', 104],
    ['0:04:04', 104],
    ['0:04.5', 112],
    ['0:04,5', 112],
    // no second has so many frames here: parts of a second
    ['0:04.50', 112],
    ['0:15.25', 400],
    ['16', 400],
    ['17', undefined],
    ['soon', undefined],
    ['0:61:02', undefined],
    ['', undefined],
  ])('when %s is typed at 25 frames a second, the frame should be %s', (text, frame) => {
    expect(frameOfText(rates[0]!, text)).toBe(frame);
  });
});
