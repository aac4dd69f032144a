import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  clockAt,
  clockContradictions,
  clockSaid,
  clockText,
  clockWish,
  instantOnClock,
  type ClockAnchor,
} from './index.js';

const anchor = (atS: number, reading: string, more: Partial<ClockAnchor> = {}): ClockAnchor => {
  const [minutes, seconds] = reading.split(':').map(Number) as [number, number];
  return {
    atMs: atS * 1000,
    readingMs: (minutes * 60 + seconds) * 1000,
    direction: 'down',
    running: true,
    period: 1,
    lengthMs: null,
    ...more,
  };
};
const left = (anchors: readonly ClockAnchor[], atS: number): string | undefined => {
  const reading = clockAt(anchors, atS * 1000);
  return reading?.leftMs == null ? undefined : clockText(reading.leftMs);
};

describe('the clock of a match', () => {
  test('when one reading is known, every instant should have its own, and none below nothing', () => {
    const anchors = [anchor(12, '5:00')];
    expect(left(anchors, 12)).toBe('5:00');
    expect(left(anchors, 12 + 192)).toBe('1:48');
    expect(left(anchors, 10)).toBe('5:02');
    expect(clockAt(anchors, 400_000)).toMatchObject({ readingMs: 0, leftMs: 0, running: false });
    expect(clockAt([], 0)).toBeUndefined();
  });

  test('when the clock is stopped and goes on, it should stand between, and the stretches agree', () => {
    const anchors = [anchor(0, '5:00'), anchor(60, '4:00', { running: false }), anchor(95, '4:00')];
    expect([30, 60, 80, 95, 100].map((s) => left(anchors, s))).toEqual(['4:30', '4:00', '4:00', '4:00', '3:55']);
    expect(clockContradictions(anchors)).toEqual([]);
    expect(instantOnClock(anchors, clockWish('3:55 left')!, 0, 400_000)).toBe(100_000);
    expect(instantOnClock(anchors, clockWish('4:00 left')!, 0, 400_000)).toBe(60_000);
  });

  test('when it counts up, what is left should be said only where the length is known', () => {
    const up = { direction: 'up' as const };
    expect(left([anchor(0, '0:00', up)], 30)).toBeUndefined();
    const timed = [anchor(0, '0:00', { ...up, lengthMs: 300_000 })];
    expect(left(timed, 30)).toBe('4:30');
    expect(instantOnClock(timed, clockWish('4:30 left')!, 0, 400_000)).toBe(30_000);
    expect(instantOnClock(timed, clockWish('clock 0:30')!, 0, 400_000)).toBe(30_000);
    expect(clockAt(timed, 500_000)).toMatchObject({ readingMs: 300_000, leftMs: 0, running: false });
  });

  test('when a second period begins, its readings should be its own', () => {
    const anchors = [anchor(0, '2:00'), anchor(150, '2:00', { period: 2 })];
    expect(clockContradictions(anchors)).toEqual([]);
    expect(instantOnClock(anchors, clockWish('1:30 left')!, 0, 400_000)).toBe(30_000);
    expect(instantOnClock(anchors, clockWish('period 2, 1:30 left')!, 0, 400_000)).toBe(180_000);
    expect(clockAt(anchors, 160_000)).toMatchObject({ period: 2 });
  });

  test('when two readings contradict each other, both should be named with what lies between them', () => {
    const [first, second] = [anchor(0, '5:00'), anchor(60, '3:50')];
    expect(clockContradictions([second, first])).toEqual([{ earlier: first, later: second, offMs: -10_000 }]);
    // each instant is read by the one before it, nothing is averaged
    expect([left([first, second], 59), left([first, second], 60)]).toEqual(['4:01', '3:50']);
    expect(clockContradictions([first, anchor(60, '4:00', { direction: 'up' })])).toHaveLength(1);
  });

  test('when any reading that is shown is asked for, the instant found should show it', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 290 }),
        fc.integer({ min: 0, max: 200 }),
        fc.integer({ min: 0, max: 60 }),
        (wantS, stopS, restS) => {
          const stopped = 300 - stopS;
          const said = `${Math.floor(stopped / 60)}:${String(stopped % 60).padStart(2, '0')}`;
          const anchors = [
            anchor(5, '5:00'),
            anchor(5 + stopS, said, { running: false }),
            anchor(5 + stopS + restS, said),
          ];
          const atMs = instantOnClock(anchors, { ms: wantS * 1000, isLeft: true, period: null }, 0, 1_000_000)!;
          expect(clockAt(anchors, atMs)!.leftMs).toBe(wantS * 1000);
        },
      ),
    );
  });

  test.each([
    ['1:48 left', { ms: 108_000, isLeft: true, period: null }],
    ['clock 4:12', { ms: 252_000, isLeft: false, period: null }],
    ['period 2 0:30 left', { ms: 30_000, isLeft: true, period: 2 }],
    ['0:12:03', undefined],
    ['left', undefined],
    ['4:12', undefined],
  ])('when %s is wished for, it should be read as %j', (text, wish) => {
    expect(clockWish(text)).toEqual(wish);
  });

  test('when somebody says what the clock shows, what is not said should be as before', () => {
    const before = anchor(0, '5:00', { direction: 'up', period: 2, lengthMs: 300_000 });
    expect(clockSaid('4:12', undefined)).toEqual({
      readingMs: 252_000,
      direction: 'down',
      running: true,
      period: 1,
      lengthMs: null,
    });
    expect(clockSaid('4:12 stopped', before)).toEqual({
      readingMs: 252_000,
      direction: 'up',
      running: false,
      period: 2,
      lengthMs: 300_000,
    });
    expect(clockSaid('0:30 down of 2:00 period 3', before)).toEqual({
      readingMs: 30_000,
      direction: 'down',
      running: true,
      period: 3,
      lengthMs: 120_000,
    });
    expect(clockSaid('soon', before)).toBeUndefined();
  });
});
