import { describe, expect, test } from '@jest/globals';
import { LOGGED, type FOOTAGE } from '../testing/workedExamples.js';
import { shippedWords } from '../vocabulary/index.js';
import { courseOf, linkAttempts, type Timed } from './index.js';

const words = shippedWords();
const timedIn = (footage: keyof typeof FOOTAGE): readonly Timed[] =>
  LOGGED.filter((l) => l.footage.id === footage && l.attempt.result !== 'shown' && l.attempt.resisted !== false).map(
    ({ attempt }) => ({
      attempt,
      startS: attempt.start.frame,
      commitS: attempt.commit!.frame,
      endS: attempt.end.frame,
    }),
  );
const kinds = (footage: keyof typeof FOOTAGE): Record<string, string> =>
  Object.fromEntries(linkAttempts(timedIn(footage), words).map((l) => [`${l.from} ${l.to}`, l.kind]));

describe('links between attempts', () => {
  test('when an answer follows at once, it should touch what it answers', () => {
    expect(kinds('F4')).toEqual({ '02 03': 'touching' });
  });

  test('when the worked examples of the training round are linked, touching, gaps and seams should be those of the model', () => {
    const found = kinds('F2');
    expect(found['08 09']).toBe('touching');
    expect(found['09 10']).toBe('touching');
    expect(found['11 12']).toBe('touching');
    expect(found['12 13']).toBe('gap');
    expect(found['10 19']).toBe('gap');
    expect(found['06 07']).toBeUndefined();
    expect(Object.keys(found).filter((k) => k.endsWith(' 08'))).toEqual(['07 08']);
    expect(found['07 08']).toBe('seam');
  });

  test('when the other side counters, the counter should follow what it counters', () => {
    expect(kinds('F1')['04 05']).toBe('counter');
  });
});

describe('the course of a footage', () => {
  test('when the first bout is followed for a, the course should be the one of the model', () => {
    const runs = courseOf(timedIn('F1'), 'a', words);
    const points = runs.map((r) => ({ before: r.before, points: r.points.map((p) => [p.atS, p.height]) }));
    expect(points).toEqual([
      {
        before: 'start',
        points: [
          [10, 0],
          [11, 0],
          [13, -1.5],
          [14, -1.5],
          [18, -2],
        ],
      },
      {
        before: 'seam',
        points: [
          [25, 0.5],
          [27, 0.5],
          [30, 3.5],
        ],
      },
      {
        before: 'not logged',
        points: [
          [45, 1],
          [47, 1],
          [60, 2.5],
        ],
      },
    ]);
  });

  test('when the other athlete is followed, every height should be the negative', () => {
    const flat = (who: 'a' | 'b'): number[] =>
      courseOf(timedIn('F1'), who, words).flatMap((r) => r.points.map((p) => p.height));
    expect(flat('b')).toEqual(flat('a').map((h) => 0 - h));
  });
});
