import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { LOGGED, type FOOTAGE } from '../testing/workedExamples.js';
import { shippedWords } from '../vocabulary/index.js';
import { counteredBy, courseOf, linkAttempts, runOf, type Link, type Timed } from './index.js';

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

describe('links in any footage', () => {
  const anyTimed = fc
    .array(fc.record({ which: fc.nat(LOGGED.length - 1), start: fc.nat(200), long: fc.integer({ min: 1, max: 20 }) }), {
      maxLength: 30,
    })
    .map((rows) =>
      rows.map(({ which, start, long }, i): Timed => ({
        attempt: { ...LOGGED[which]!.attempt, id: `id ${String(i).padStart(3, '0')}`, counterOfId: null },
        startS: start,
        commitS: start,
        endS: start + long,
      })),
    );

  test('when attempts are linked, each should follow at most one, never itself, never more than ten seconds later', () => {
    fc.assert(
      fc.property(anyTimed, (all) => {
        const links = linkAttempts(all, words);
        expect(new Set(links.map((l) => l.to)).size).toBe(links.length);
        const at = new Map(all.map((t) => [t.attempt.id, t]));
        for (const link of links) {
          const [p, q] = [at.get(link.from)!, at.get(link.to)!];
          expect(link.from).not.toBe(link.to);
          expect(p.startS).toBeLessThan(q.startS);
          expect(q.startS - p.endS).toBeLessThanOrEqual(10);
          expect((p.startS + p.endS) / 2).toBeLessThanOrEqual(q.startS);
        }
        expect(
          linkAttempts([...all].reverse(), words)
            .map((l) => `${l.from} ${l.to} ${l.kind}`)
            .sort(),
        ).toEqual(links.map((l) => `${l.from} ${l.to} ${l.kind}`).sort());
      }),
      { numRuns: 200 },
    );
  });

  test('when an attempt is told as a counter, it should be to the latest of the other side that it touches', () => {
    fc.assert(
      fc.property(anyTimed, (all) => {
        for (const q of all) {
          const mayBe = all.filter((p) => {
            const isOther = p.attempt.subject !== q.attempt.subject;
            return isOther && p.startS < q.startS && p.endS >= q.startS - 2;
          });
          const found = counteredBy(q, all);
          if (!mayBe.length) expect(found).toBeUndefined();
          else {
            expect(mayBe).toContain(found);
            expect(found!.endS).toBe(Math.max(...mayBe.map((p) => p.endS)));
          }
        }
      }),
    );
  });

  test('when a course is drawn, every stretch should have points, and heights stay between the edges', () => {
    fc.assert(
      fc.property(anyTimed, (all) => {
        for (const run of courseOf(all, 'a', words)) {
          expect(run.points.length).toBeGreaterThan(0);
          for (const point of run.points) expect(Math.abs(point.height)).toBeLessThanOrEqual(5);
        }
      }),
      { numRuns: 100 },
    );
  });
});

describe('a run of linked attempts', () => {
  const link = (from: string, to: string, kind: Link['kind'] = 'touching'): Link => ({ from, to, kind });

  test('from wherever it is asked, a row of links should be the same run; a seam ends it', () => {
    const links = [link('a', 'b'), link('b', 'c', 'counter'), link('c', 'd', 'seam'), link('d', 'e')];
    for (const id of ['a', 'b', 'c']) expect(runOf({ id: id, runName: '' }, [], links)).toEqual(['a', 'b', 'c']);
    for (const id of ['d', 'e']) expect(runOf({ id: id, runName: '' }, [], links)).toEqual(['d', 'e']);
    expect(runOf({ id: 'f', runName: '' }, [], links)).toEqual(['f']);
  });

  test('where two follow one, it should go on by the first, and the other should come from it', () => {
    const links = [link('a', 'b'), link('a', 'c'), link('c', 'd')];
    expect(runOf({ id: 'a', runName: '' }, [], links)).toEqual(['a', 'b']);
    expect(runOf({ id: 'd', runName: '' }, [], links)).toEqual(['a', 'c', 'd']);
  });

  test('links that lead round, set by hand, should end', () => {
    expect(runOf({ id: 'a', runName: '' }, [], [link('a', 'b', 'set'), link('b', 'a', 'set')])).toEqual(['b', 'a']);
  });

  test('with a name it should be those beside it by the same name, and end where another is told', () => {
    const links = ['b', 'c', 'd', 'e'].map((to, i) => link('abcd'[i]!, to));
    const named = (names: Readonly<Record<string, string>>) =>
      [...'abcde'].map((id) => ({ id, runName: names[id] ?? '' }));
    const run = (id: string, names: Readonly<Record<string, string>>): readonly string[] => {
      const attempts = named(names);
      return runOf(
        attempts.find((a) => a.id === id)!,
        attempts,
        links,
      );
    };
    expect(run('c', { b: 'x', c: 'x', d: 'y' })).toEqual(['b', 'c']);
    expect(run('d', { b: 'x', c: 'x', d: 'y' })).toEqual(['d']);
    expect(run('a', { b: 'x' })).toEqual([...'abcde']);
    expect(run('e', { a: 'x', d: 'x', e: 'x' })).toEqual(['d', 'e']);
    // of two that follow one, the one by its name
    const fork = [link('a', 'b'), link('a', 'c')];
    const three = named({ a: 'x', c: 'x' });
    expect(runOf(three[0]!, three, fork)).toEqual(['a', 'c']);
  });
});
