import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { type Attempt, type PlaceId } from '../attempts/index.js';
import { WHOLE, buildLines, type Logged } from '../map/index.js';
import { FOOTAGE, LOGGED, TOLD, attemptOf } from '../testing/workedExamples.js';
import { shippedWords } from '../vocabulary/index.js';
import { apartOf, casesOfView, reachOf, relativesOf } from './index.js';

const words = shippedWords();
const logged = (attempt: Attempt, more: Partial<Logged> = {}): Logged => ({
  ...{ attempt, footage: FOOTAGE.F2, isThorough: true },
  ...more,
});
const told = (id: string, more: Partial<Attempt> = {}, n = 0): Attempt => ({
  ...attemptOf({ ...TOLD[n]!, in: 'F2', id }),
  ...more,
});

describe('how far the evidence goes', () => {
  const step = (from: string, action: string, to: string, worked: number, of: number): readonly Logged[] =>
    Array.from({ length: of }, (_, i) => {
      const [position, role] = from.split('/') as [string, 'top'];
      const finish: Attempt['finish'] = to.startsWith('won')
        ? { kind: 'submission', submission: 'straight-armlock', won: true }
        : { kind: 'state', position: to.split('/')[0]!, role: 'top' };
      return logged(
        told(`${from} ${action} ${i}`, {
          state: { position, role },
          action,
          result: i < worked ? 'success' : 'failed',
          finish: i < worked ? finish : null,
        }),
      );
    });
  test('ten more that failed should make the other way the best where the two are close, and none where it is far', () => {
    const lines = buildLines(
      [
        ...[
          ...step('half-guard/top', 'knee-through', 'mount/top', 5, 10),
          ...step('half-guard/top', 'back-step', 'side-control/top', 4, 10),
        ],
        ...[...step('mount/top', 'armlock', 'won', 9, 10), ...step('side-control/top', 'armlock', 'won', 9, 10)],
      ].flat(),
      words,
    ).lines;
    const reach = reachOf(lines, 'half-guard/top' as PlaceId, { kind: 'any submission' })!;
    expect(reach.steps).toMatchObject([
      { ifNoneWorked: true, ifAllWorked: false },
      { ifNoneWorked: true, ifAllWorked: false },
    ]);
    expect(reach.factor).toBeGreaterThan(1);
    const one = buildLines(step('half-guard/top', 'knee-through', 'won', 5, 10), words).lines;
    expect(reachOf(one, 'half-guard/top' as PlaceId, { kind: 'any submission' })).toMatchObject({
      steps: [{ ifNoneWorked: false }],
      factor: undefined,
    });
    expect(reachOf([], 'half-guard/top' as PlaceId, { kind: 'any submission' })).toBeUndefined();
  });
});

describe('relatives', () => {
  const cases = casesOfView(LOGGED, words, WHOLE);
  const of = (id: string) => cases.find((c) => c.attempt.id === id)!;
  test('the distance should be that of the parts: two sweeps from one place that end elsewhere', () => {
    expect(apartOf(of('14'), of('16'), words)).toEqual({
      apart: 0,
      alike: ['state', 'entry', 'holds', 'reaction', 'finish'],
    });
    // mount/top and side control/bottom: another family, or another role of it
    const apart = apartOf(of('14'), of('15'), words);
    expect(apart.alike).toEqual(['state', 'entry', 'holds', 'reaction']);
    expect([0.15 * 0.6, 0.15]).toContainEqual(expect.closeTo(apart.apart, 12));
  });

  test('it should be the same both ways, nothing to itself, and never more than 1', () => {
    fc.assert(
      fc.property(fc.constantFrom(...cases), fc.constantFrom(...cases), (a, b) => {
        expect(apartOf(a, b, words)).toEqual(apartOf(b, a, words));
        expect(apartOf(a, b, words).apart).toBeLessThanOrEqual(1);
        expect(apartOf(a, a, words).apart).toBe(0);
      }),
    );
    expect(relativesOf(of('14'), cases, words, 3).map((r) => r.attemptId)).toEqual(['16', '17', '15']);
  });
});
