import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { LOGGED } from '../testing/workedExamples.js';
import { shippedWords } from '../vocabulary/index.js';
import {
  USUAL_LAG_MS,
  learnedLagMs,
  observedLags,
  sightingHeight,
  sightingsIn,
  waitingMarks,
  type Moment,
} from './index.js';

const ms = fc.integer({ min: -3000, max: 5000 });

describe('how late somebody presses', () => {
  test('when nothing is known, it should be the usual', () => {
    expect(learnedLagMs([])).toBe(USUAL_LAG_MS);
  });

  test('when marks are put back by about the same again and again, it should be that', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 1500 }),
        fc.array(fc.integer({ min: -20, max: 20 }), { minLength: 12, maxLength: 40 }),
        (lag, noise) => {
          expect(Math.abs(learnedLagMs(noise.map((n) => lag + n)) - lag)).toBeLessThanOrEqual(21);
        },
      ),
    );
  });

  test('when a single mark is odd, it should move little, and no set of marks give less than nothing or more than a second and a half', () => {
    expect(learnedLagMs([4000])).toBe(USUAL_LAG_MS);
    fc.assert(
      fc.property(fc.array(ms), (all) => {
        const lag = learnedLagMs(all);
        expect(lag).toBeGreaterThanOrEqual(0);
        expect(lag).toBeLessThanOrEqual(1500);
        expect(learnedLagMs([...all.slice(-40)].reverse())).toBe(lag);
      }),
    );
  });

  test('when somebody gets quicker, only the latest marks should count', () => {
    expect(learnedLagMs([...Array.from({ length: 100 }, () => 600), ...Array.from({ length: 40 }, () => 200)])).toBe(
      200,
    );
  });

  test('when marks are looked at, only settled ones of that person made while the picture went should tell', () => {
    const mark = (id: string, more: Partial<Moment>): Moment => ({
      ...{ id, version: 1, footageId: 'f', angleId: 'g', attemptId: null, state: null, subject: null, note: '' },
      ...{ at: { frame: 10, pts: 1000 }, pressed: { frame: 13, pts: 1300 }, speed: 1, settled: true, accountId: 'me' },
      ...more,
    });
    const marks = [
      mark('3', { speed: 0.5 }),
      mark('1', {}),
      mark('2', { settled: false }),
      mark('4', { accountId: 'you' }),
      mark('5', { speed: 0 }),
      mark('6', { angleId: 'gone' }),
      mark('7', { settled: false, attemptId: 'told' }),
    ];
    const told = { ...LOGGED[0]!.attempt, id: 'told', angleId: 'g', start: { frame: 9, pts: 900 } };
    expect(waitingMarks(marks, [told]).map((m) => m.id)).toEqual(['3', '1', '2', '4', '5', '6']);
    expect(waitingMarks(marks, [])).toEqual(marks);
    expect(observedLags(marks, [told], 'me', (angle, pts) => (angle === 'gone' ? NaN : pts))).toEqual([300, 600, 400]);
  });

  test('when a mark has a place, it should be a sighting, wait no more, and lie as high as the place is good for whoever looks', () => {
    const bare: Moment = {
      ...{ id: 'm', version: 1, footageId: 'f', angleId: 'g', at: { frame: 1, pts: 1 }, pressed: { frame: 1, pts: 1 } },
      ...{ speed: 0, settled: false, accountId: null, attemptId: null, state: null, subject: null, note: '' },
    };
    const seen: Moment = { ...bare, id: 's', state: { position: 'mount', role: 'top' }, subject: 'b' };
    expect(waitingMarks([bare, seen], []).map((m) => m.id)).toEqual(['m']);
    const [sighting, ...more] = sightingsIn([bare, seen, { ...seen, footageId: 'other' }], 'f');
    expect(more).toEqual([]);
    const words = shippedWords();
    expect([sightingHeight(sighting!, 'b', words), sightingHeight(sighting!, 'a', words)]).toEqual([3.5, -3.5]);
  });
});
