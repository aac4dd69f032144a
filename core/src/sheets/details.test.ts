import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { BARE_REACTION, RESULTS, type Attempt, type FactUse } from '../attempts/index.js';
import type { Logged } from '../map/index.js';
import { sourceOf } from '../testing/sheetSource.js';
import { FOOTAGE, LOGGED, attemptOf, stateOf } from '../testing/workedExamples.js';
import { shippedWords } from '../vocabulary/index.js';
import {
  answersFound,
  casesOfView,
  depthsIn,
  entriesOf,
  entrySheet,
  errorsIn,
  factsIn,
  lineBehind,
  metBy,
  narrowed,
  reactionSheet,
  reactionsMet,
  triesOf,
} from './index.js';

const words = shippedWords();
const source = sourceOf(LOGGED, words);
const footage = FOOTAGE.F1;
const told = (id: string, more: Partial<Attempt>): Logged => ({
  attempt: {
    ...attemptOf({
      ...{ id, in: 'F1', by: 'a', at: [0, 1, 2], from: 'closed-guard/bottom', action: 'hip-bump' },
      ...{ to: 'mount/top', result: 'failed' },
    }),
    ...more,
  },
  footage,
  isThorough: true,
});
const casesOf = (logged: readonly Logged[]) => casesOfView(logged, words);

describe('the sheet of an entry', () => {
  test('the armlock of the worked examples should have both its tries, what each met, and what answered', () => {
    const sheet = entrySheet('armlock', source);
    expect(sheet.all).toMatchObject({ n: 2, worked: 1, seen: 0, attemptIds: ['12', '13'] });
    expect(sheet.from.map(({ place, n, worked }) => [place, n, worked])).toEqual([
      ['armlock-hold/attacker', 1, 1],
      ['mount/top', 1, 0],
    ]);
    expect(sheet.ways).toMatchObject([
      { from: 'armlock-hold/attacker', to: 'won:straight-armlock', n: 1, attemptIds: ['13'] },
      { from: 'mount/top', to: 'armlock-hold/attacker', n: 1, attemptIds: ['12'] },
    ]);
    expect(sheet.met).toMatchObject([
      { what: 'clasps', met: 1, overcome: 0, stopped: 1, answers: [{ action: 'armlock', n: 1, worked: 1 }] },
    ]);
  });

  test('what was come through should not be what stopped it, and a bait’s reaction no obstacle', () => {
    expect(entrySheet('head-and-arm-pass', source).met).toMatchObject([
      { what: 'frames', overcome: 1, stopped: 0 },
      { what: 'hips-out', overcome: 1, stopped: 0 },
    ]);
    expect(entrySheet('collar-choke', source)).toMatchObject({ from: [{ bait: true, n: 1 }], met: [] });
  });

  test('an entry nobody tried should be empty, and the entries be listed by how often they were tried', () => {
    expect(entrySheet('nothing', source)).toMatchObject({ from: [], met: [], depth: undefined, all: { n: 0 } });
    expect(entriesOf(source.cases)[0]).toEqual({ action: 'overhead-sweep', n: 4 });
  });
});

describe('the line that some attempts went', () => {
  test('it should be that of the most that worked, then of the most tried, and none where only baits or others are meant', () => {
    const [failed, worked] = [told('x', {}), told('y', { result: 'success' })];
    const elsewhere = told('z', { finish: { kind: 'state', ...stateOf('closed-guard/top') } });
    const { cases } = sourceOf([failed, worked, elsewhere, { ...told('bait', { intent: 'bait' }) }], words);
    const line = { from: 'closed-guard/bottom', action: 'hip-bump', to: 'mount/top' };
    expect(lineBehind(['x', 'y', 'z'], cases)).toEqual(line);
    expect(lineBehind(['z'], cases)).toEqual({ ...line, to: 'closed-guard/top' });
    expect(lineBehind(['bait'], cases)).toBeUndefined();
    expect(lineBehind(['gone'], cases)).toBeUndefined();
  });
});

describe('what a sheet looks at', () => {
  test('cold and as an answer should be the two parts of all, and each hold what it says', () => {
    const [cold, answering] = (['cold', 'answering'] as const).map((begun) => narrowed(source, { view: { begun } }));
    expect(entrySheet('hip-bump', cold!).all).toMatchObject({ n: 1, attemptIds: ['02'] });
    expect(entrySheet('hip-bump', answering!).all).toMatchObject({ n: 0 });
    // it answers the posted hand
    expect(entrySheet('double-wrist-lock', answering!).all).toMatchObject({ n: 1, worked: 1 });
    const ids = (of: readonly { readonly attempt: Attempt }[]) => of.map((c) => c.attempt.id);
    expect([...ids(cold!.cases), ...ids(answering!.cases)].sort()).toEqual(ids(source.cases));
  });

  test('a side should leave what was said to lie on it, and nothing said leave all', () => {
    const left = told('left', { state: stateOf('half-guard/top'), lead: 'left' });
    const of = sourceOf([...LOGGED, left], words);
    expect(narrowed(of, { lead: 'left' }).cases.map((c) => c.attempt.id)).toEqual(['18', 'left']);
    expect(narrowed(of, { lead: 'right' }).cases.every((c) => c.attempt.lead === 'right')).toBe(true);
    expect(narrowed(of, {})).toBe(of);
  });
});

describe('the sheet of a reaction', () => {
  test('a reaction should be told where it was met, with what answered it', () => {
    const sheet = reactionSheet('posts', source, words);
    expect(sheet).toMatchObject({ met: 1, stopped: 1, attemptIds: ['02'] });
    expect(sheet.where).toMatchObject([
      { place: 'closed-guard/bottom', action: 'hip-bump', n: 1, worked: 0, status: 'works' },
    ]);
    expect(sheet.answers).toMatchObject([{ action: 'double-wrist-lock', n: 1, worked: 1 }]);
    expect(reactionSheet('holds-hand', source, words).where).toMatchObject([{ status: 'unanswered', answers: [] }]);
    expect(reactionsMet(source.cases).map((r) => r.reaction)).toContain('holds-hand');
  });

  test('an answer that somebody put there by hand should count for it wherever it is met', () => {
    const from = stateOf('back/attacker');
    const logged = LOGGED.map((l) =>
      l.attempt.id === '18'
        ? {
            ...l,
            attempt: { ...l.attempt, answers: [{ id: 'h', from, action: 'rear-choke', reaction: 'holds-hand' }] },
          }
        : l,
    );
    const sheet = reactionSheet('holds-hand', sourceOf(logged, words), words);
    expect([sheet.where[0]!.status, sheet.answers.map((a) => a.action)]).toEqual(['works', ['step-down']]);
  });
});

describe('what was told of attempts', () => {
  const fact = (value: string): FactUse => ({
    ...{ id: 'f', fact: 'posture', value, side: null, whose: 'opponent', when: 'start' },
  });

  test('mistakes should be counted by whose and how, depths by rung, tries by their number', () => {
    const slip = { id: 'e', by: 'subject', cause: 'given away', what: 'too-late', until: null } as const;
    const cases = casesOf([
      told('1', { errors: [slip, { ...slip, id: 'f', by: 'opponent' }], depth: 2 }),
      told('2', { errors: [slip], depth: 4, result: 'success', parentId: '1', series: 2 }),
      told('3', { result: 'partial', depth: 2, parentId: '2', series: 3 }),
    ]);
    expect(errorsIn(cases).map(({ by, cause, what, n }) => [by, cause, what, n])).toEqual([
      ['subject', 'given away', 'too-late', 2],
      ['opponent', 'given away', 'too-late', 1],
    ]);
    expect(depthsIn(cases)[0]!.rungs.map((r) => [r.reached, r.stalled])).toEqual([
      [3, 0],
      [3, 0],
      [3, 2],
      [1, 0],
      [1, 0],
    ]);
    expect(triesOf(cases).map(({ nth, n, worked }) => [nth, n, worked])).toEqual([
      [1, 1, 0],
      [2, 1, 1],
      [3, 1, 0],
    ]);
  });

  test('a fact should be held against the attempts that say something of it, and no others', () => {
    const cases = casesOf([
      told('1', { facts: [fact('broken')], result: 'success' }),
      told('2', { facts: [fact('broken')], result: 'success' }),
      told('3', { facts: [fact('upright')] }),
      told('4', { facts: [] }),
    ]);
    expect(factsIn(cases).map(({ fact: f, table }) => [f.value, table.with, table.without, table.notSaid])).toEqual([
      ['broken', { worked: 2, not: 0 }, { worked: 0, not: 1 }, 1],
      ['upright', { worked: 0, not: 1 }, { worked: 2, not: 0 }, 1],
    ]);
    expect(factsIn(cases)[0]!.table.p).toBeCloseTo(1 / 3, 9);
    expect(factsIn(cases).map((f) => f.attemptIds)).toEqual([['1', '2'], ['3']]);
  });

  test('with any reactions and results, each that was met should be overcome or stopped, and in any order be the same', () => {
    const attempt = fc.record({
      result: fc.constantFrom(...RESULTS),
      met: fc.array(fc.constantFrom('posts', 'hips-out', 'frames'), { maxLength: 4 }),
    });
    fc.assert(
      fc.property(fc.array(attempt, { maxLength: 12 }), (all) => {
        const logged = all.map(({ result, met }, i) =>
          told(String(i), {
            result,
            reactions: met.map((what, k) => ({ ...BARE_REACTION, id: `${k}`, what, isAction: false })),
          }),
        );
        const rows = metBy(casesOf(logged));
        for (const { what, met, overcome, stopped } of rows) {
          const counted = all.filter((a) => a.result !== 'shown' && a.met.some((m) => m === what));
          expect([met, overcome + stopped]).toEqual([counted.length, counted.length]);
          expect(stopped).toBe(counted.filter((a) => a.result !== 'success' && a.met.at(-1) === what).length);
        }
        const back = [...logged].reverse();
        expect(metBy(casesOf(back))).toEqual(rows);
        const [there, again] = [sourceOf(logged, words), sourceOf(back, words)];
        expect(entrySheet('hip-bump', again, answersFound(again)).from).toEqual(entrySheet('hip-bump', there).from);
      }),
    );
  });
});
