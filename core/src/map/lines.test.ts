import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { FOOTAGE, LOGGED, attemptOf } from '../testing/workedExamples.js';
import { RESULTS } from '../attempts/index.js';
import { shippedWords } from '../vocabulary/index.js';
import { buildLines, type Logged } from './index.js';

const words = shippedWords();

/** from, action, to, count, attempts, successes, partial, low, high: the table of the model. */
const TABLE: readonly (readonly [string, string, string, number, number, number, number, number, number])[] = [
  ['half-guard/top', 'head-and-arm-pass', 'side-control/top', 1, 1, 1, 0, 0.2065, 1],
  ['closed-guard/bottom', 'hip-bump', 'closed-guard/bottom', 1, 1, 0, 0, 0, 0.7935],
  ['closed-guard/bottom', 'double-wrist-lock', 'won:double-wrist-lock', 1, 1, 1, 0, 0.2065, 1],
  ['standing/even', 'double-leg', 'turtle/bottom', 1, 1, 0, 0, 0, 0.7935],
  ['front-headlock/top', 'go-behind', 'turtle/top', 1, 1, 1, 0, 0.2065, 1],
  ['fifty-fifty/even', 'ankle-lock', 'reset:edge', 1, 1, 0, 0, 0, 0.7935],
  ['fifty-fifty/even', 'foot-twist', 'reset:edge', 1, 1, 0, 0, 0, 0.7935],
  ['butterfly/top', 'body-lock-pass', 'turtle/top', 1, 1, 0, 1, 0, 0.7935],
  ['turtle/top', 'back-take', 'back/attacker', 1, 1, 1, 0, 0.2065, 1],
  ['back/attacker', 'rear-choke', 'back/attacker', 1, 1, 0, 0, 0, 0.7935],
  ['mount/top', 'collar-choke (bait)', 'mount/top', 1, 1, 1, 0, 0.2065, 1],
  ['mount/top', 'armlock', 'armlock-hold/attacker', 1, 1, 0, 1, 0, 0.7935],
  ['armlock-hold/attacker', 'armlock', 'won:straight-armlock', 1, 1, 1, 0, 0.2065, 1],
  ['two-sleeve/bottom', 'overhead-sweep', 'mount/top', 1, 2, 1, 0, 0.0945, 0.9055],
  ['two-sleeve/bottom', 'overhead-sweep', 'side-control/bottom', 1, 2, 0, 0, 0, 0.6576],
  ['back/attacker', 'step-down', 'mount/top', 2, 2, 2, 0, 0.3424, 1],
];

describe('lines of the map', () => {
  const book = buildLines(LOGGED, words);

  test('when the worked examples are counted, the table of the model should come out', () => {
    const rows = book.lines.map((l) => [
      l.from,
      `${l.action}${l.bait ? ' (bait)' : ''}`,
      l.to,
      l.count,
      l.attempts,
      l.successes,
      l.partial,
      Number(l.interval!.low.toFixed(4)),
      Number(l.interval!.high.toFixed(4)),
    ]);
    const key = (row: readonly unknown[]): string => row.slice(0, 3).join(' ');
    expect([...rows].sort((a, b) => (key(a) < key(b) ? -1 : 1))).toEqual(
      [...TABLE].sort((a, b) => (key(a) < key(b) ? -1 : 1)),
    );
  });

  test('when an entry worked each time and ended in two places, it should have worked twice and led to each of them once', () => {
    const [{ attempt, footage }] = LOGGED.filter((l) => l.attempt.action === 'head-and-arm-pass') as [Logged];
    const other = { ...attempt, id: 'other end', finish: { kind: 'state', position: 'mount', role: 'top' } } as const;
    const { lines } = buildLines([...LOGGED, { attempt: other, footage, isThorough: true }], words);
    expect(
      lines
        .filter((l) => l.action === 'head-and-arm-pass')
        .map(({ to, worked, count, successes, attempts }) => [to, worked, count, successes, attempts]),
    ).toEqual([
      ['mount/top', 2, 1, 1, 2],
      ['side-control/top', 2, 1, 1, 2],
    ]);
  });

  test('when the worked examples are counted, the totals should be those of the model', () => {
    expect({ attempts: book.attempts, lines: book.lines.length, shown: book.shown, unplaced: book.unplaced }).toEqual({
      attempts: 17,
      lines: 16,
      shown: 2,
      unplaced: 0,
    });
    expect(book.lines.reduce((n, l) => n + l.competition.count, 0)).toBe(7);
    expect(book.lines.reduce((n, l) => n + l.training.count, 0)).toBe(10);
  });

  test('when parts of an attempt are only proposed, it should be counted, and be told apart beside the figure', () => {
    const { attempt, footage } = LOGGED[0]!;
    const twin: Logged = { attempt: { ...attempt, id: 'twin', proposed: ['result'] }, footage, isThorough: true };
    const [before, after] = [buildLines(LOGGED, words), buildLines([...LOGGED, twin], words)];
    const lineOf = ({ lines }: typeof before) => lines.find((l) => l.attemptIds.includes(attempt.id))!;
    expect([lineOf(before).proposed, before.proposed]).toEqual([0, 0]);
    expect([lineOf(after).proposed, after.proposed]).toEqual([1, 1]);
    expect(lineOf(after).count).toBe(lineOf(before).count + 1);
    expect(after.lines.filter((l) => l.proposed)).toHaveLength(1);
  });

  test('when footage is picked, its attempts should be seen but give no rate, unless they are taken in', () => {
    const picked: Logged[] = [{ attempt: LOGGED[0]!.attempt, footage: FOOTAGE.F1, isThorough: false }];
    const [line] = buildLines(picked, words).lines;
    expect(line).toMatchObject({ attempts: 0, picked: 1, interval: undefined });
    expect(buildLines(picked, words, { includePicked: true }).lines[0]).toMatchObject({
      attempts: 1,
      successes: 1,
      picked: 0,
    });
  });

  test('when something is shown as a mistake, left out of the counts or not placed, it should draw no line', () => {
    const told = {
      id: 'x',
      in: 'F3',
      by: 'a',
      at: [0, 1, 2],
      from: 'mount/top',
      action: 'armlock',
      to: 'won:straight-armlock',
      result: 'shown',
    } as const;
    const mistake = {
      attempt: attemptOf({ ...told, more: { shownAs: 'mistake' } }),
      footage: FOOTAGE.F3,
      isThorough: true,
    };
    const uncounted = {
      attempt: attemptOf({ ...told, in: 'F1', result: 'success' }),
      footage: { ...FOOTAGE.F1, counted: false },
      isThorough: true,
    };
    const unknown = {
      attempt: attemptOf({ ...told, in: 'F1', from: 'no-such/top', result: 'success' }),
      footage: FOOTAGE.F1,
      isThorough: true,
    };
    const draft = { ...LOGGED[0]!, attempt: { ...LOGGED[0]!.attempt, result: null } };
    expect(buildLines([mistake, uncounted, unknown, draft], words)).toMatchObject({
      lines: [],
      attempts: 0,
      unplaced: 1,
      drafts: 1,
    });
  });

  const anyLogged = fc.array(
    fc.record({
      which: fc.nat(LOGGED.length - 1),
      to: fc.nat(LOGGED.length - 1),
      result: fc.constantFrom(...RESULTS),
      picked: fc.boolean(),
    }),
    { maxLength: 60 },
  );
  const logged = (
    rows: readonly { which: number; to: number; result: (typeof RESULTS)[number]; picked: boolean }[],
  ): Logged[] =>
    rows.map((row, i) => ({
      attempt: {
        ...LOGGED[row.which]!.attempt,
        id: `id ${i}`,
        finish: LOGGED[row.to]!.attempt.finish,
        result: row.result,
      },
      footage: LOGGED[row.which]!.footage,
      isThorough: !row.picked,
    }));

  test('when attempts come in any order, the lines should be the same, and the counts of a group should add up to its attempts', () => {
    fc.assert(
      fc.property(anyLogged, fc.infiniteStream(fc.nat()), (rows, order) => {
        const all = logged(rows);
        const shuffled = all
          .map((l) => ({ l, at: order.next().value as number }))
          .sort((a, b) => a.at - b.at)
          .map(({ l }) => l);
        const here = buildLines(all, words);
        expect(buildLines(shuffled, words)).toEqual(here);
        const groups = new Map<string, number>();
        for (const l of here.lines)
          groups.set(`${l.from} ${l.action} ${l.bait}`, (groups.get(`${l.from} ${l.action} ${l.bait}`) ?? 0) + l.count);
        for (const l of here.lines) expect(groups.get(`${l.from} ${l.action} ${l.bait}`)).toBe(l.attempts);
        expect(here.lines.reduce((n, l) => n + l.count, 0)).toBe(here.attempts);
      }),
      { numRuns: 60 },
    );
  });
});
