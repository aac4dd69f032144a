import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { BARE_HOLD, BARE_REACTION, type Attempt, type Control, type PlaceId } from '../attempts/index.js';
import { buildLines, type Line, type Logged } from '../map/index.js';
import { sourceOf } from '../testing/sheetSource.js';
import { FOOTAGE, TOLD, attemptOf } from '../testing/workedExamples.js';
import { shippedWords } from '../vocabulary/index.js';
import {
  bestMix,
  casesOfView,
  compareLines,
  eitherWaysOf,
  holdKindsOf,
  holdSheet,
  clothOnWay,
  leaningLines,
  leaningOf,
  newcombe,
  passing,
  sameWithoutCloth,
  shareWithin,
  spreadOf,
  survivalOf,
  timesOf,
  type Game,
} from './index.js';

const words = shippedWords();
const at = (frame: number) => ({ frame, pts: frame });
const logged = (attempt: Attempt, more: Partial<Logged> = {}): Logged => ({
  ...{ attempt, footage: FOOTAGE.F2, isThorough: true },
  ...more,
});
const told = (id: string, more: Partial<Attempt> = {}, n = 0): Attempt => ({
  ...attemptOf({ ...TOLD[n]!, in: 'F2', id }),
  ...more,
});

describe('two rates', () => {
  test.each([
    [56, 70, 48, 80, 0.2, 0.0524, 0.3339],
    [9, 10, 3, 10, 0.6, 0.1705, 0.809],
    [10, 10, 0, 20, 1, 0.6791, 1],
  ])('%i/%i − %i/%i should have the published interval', (x1, n1, x2, n2, by, low, high) => {
    const found = newcombe(x1, n1, x2, n2)!;
    expect([found.by, found.low, found.high]).toEqual([by, low, high].map((x) => expect.closeTo(x, 4)));
    expect(newcombe(x1, n1, 0, 0)).toBeUndefined();
  });

  test('Benjamini and Hochberg should let the same through as counting by hand', () => {
    // their own example, fifteen chances at .05: the first four
    const P = [
      0.0001, 0.0004, 0.0019, 0.0095, 0.0201, 0.0278, 0.0298, 0.0344, 0.0459, 0.324, 0.4262, 0.5719, 0.6528, 0.759, 1,
    ];
    expect(passing(P, 0.05).filter(Boolean)).toHaveLength(4);
    expect(passing([...P].reverse(), 0.05).indexOf(true)).toBe(11);
    expect(passing([], 0.1)).toEqual([]);
  });

  test('two views should be told apart only where the intervals say so', () => {
    const many = (worked: number, of: number, from = 'half-guard/top'): readonly Logged[] =>
      Array.from({ length: of }, (_, i) =>
        logged({
          ...told(`${from} ${i}`, { result: i < worked ? 'success' : 'failed' }),
          state: { position: from.split('/')[0]!, role: 'top' },
        }),
      );
    const lines = (...all: (readonly Logged[])[]): readonly Line[] => buildLines(all.flat(), words).lines;
    const verdicts = (a: readonly Line[], b: readonly Line[]) => compareLines(a, b).map((c) => c.verdict);
    expect(verdicts(lines(many(18, 20)), lines(many(6, 20)))).toEqual(['better']);
    expect(verdicts(lines(many(6, 20)), lines(many(18, 20)))).toEqual(['worse']);
    expect(verdicts(lines(many(2, 3)), lines(many(1, 3)))).toEqual(['no difference to be seen']);
    expect(verdicts(lines(many(1, 2), many(1, 1, 'mount/top')), lines(many(1, 2)))).toEqual([
      'no difference to be seen',
      'new',
    ]);
    expect(verdicts([], lines(many(1, 2)))).toEqual(['gone']);
    expect(compareLines([], [])).toEqual([]);
  });
});

describe('either way', () => {
  test('the two games of the page should have their mix and their one entry', () => {
    expect(
      bestMix([
        [0.2, 0.6],
        [0.7, 0.3],
      ]),
    ).toEqual({ kind: 'mix', first: expect.closeTo(0.5, 12), value: expect.closeTo(0.45, 12) });
    expect(
      bestMix([
        [0.5, 0.4],
        [0.3, 0.2],
      ]),
    ).toEqual({ kind: 'one', entry: 0, value: 0.4 });
  });

  test('in 1,000 small games, no other mix should do better against the worse of the two reactions', () => {
    const rate = fc.integer({ min: 0, max: 10 }).map((n) => n / 10);
    fc.assert(
      fc.property(fc.tuple(fc.tuple(rate, rate), fc.tuple(rate, rate)), (game: Game) => {
        const worst = (p: number): number => Math.min(...[0, 1].map((r) => p * game[0][r]! + (1 - p) * game[1][r]!));
        const best = Math.max(...Array.from({ length: 1001 }, (_, i) => worst(i / 1000)));
        const mix = bestMix(game);
        const p = mix.kind === 'one' ? 1 - mix.entry : mix.first;
        expect(worst(p)).toBeCloseTo(mix.value, 9);
        expect(mix.value).toBeGreaterThanOrEqual(best - 1e-9);
        expect(mix.value).toBeLessThanOrEqual(best + 2e-3);
      }),
      { numRuns: 1000 },
    );
  });

  test('a pair should be found where each was stopped by what the other answers, and have its mix once all four were seen three times', () => {
    let now = 0;
    const try_ = (action: string, reaction: string, worked: boolean, then?: string): readonly Logged[] => {
      const one = (id: string, what: string, result: 'success' | 'failed', met: string): Logged => {
        now += 3;
        const attempt = told(id, { action: what, result, start: at(now), commit: at(now), end: at(now + 2) });
        return logged({
          ...attempt,
          finish: { kind: 'state', position: 'half-guard', role: 'top' },
          reactions: met ? [{ ...BARE_REACTION, id: 'r', what: met, isAction: false }] : [],
        });
      };
      now += 60;
      const first = one(`t${now}`, action, worked ? 'success' : 'failed', reaction);
      return then === undefined ? [first] : [first, one(`t${now}`, then, 'success', '')];
    };
    const seen = (action: string, reaction: string, worked: number, of: number): readonly Logged[] =>
      Array.from({ length: of }, (_, i) => try_(action, reaction, i < worked)).flat();
    const two = [
      ...try_('knee-through', 'frames', false, 'back-step'),
      ...try_('back-step', 'hips-out', false, 'knee-through'),
    ];
    const few = eitherWaysOf(sourceOf(two, words));
    expect(few).toMatchObject([
      { entries: ['back-step', 'knee-through'], reactions: ['hips-out', 'frames'], mix: undefined },
    ]);
    const more = [
      ...two,
      ...[...seen('back-step', 'hips-out', 1, 4), ...seen('back-step', 'frames', 3, 5)],
      ...[...seen('knee-through', 'hips-out', 7, 10), ...seen('knee-through', 'frames', 3, 9)],
    ];
    const [found] = eitherWaysOf(sourceOf(more, words));
    expect(found!.seen).toEqual([
      [
        { n: 5, worked: 1 },
        { n: 5, worked: 3 },
      ],
      [
        { n: 10, worked: 7 },
        { n: 10, worked: 3 },
      ],
    ]);
    expect(found!.mix).toEqual({ kind: 'mix', first: expect.closeTo(0.5, 12), value: expect.closeTo(0.45, 12) });
    expect(eitherWaysOf(sourceOf([...more].reverse(), words))).toEqual([found]);
  });
});

describe('how long something is kept', () => {
  test('the example of the page should have its shares and its middle', () => {
    const kept = [
      [2, true],
      [3, false],
      [4, true],
      [4, true],
      [5, false],
      [7, true],
    ] as const;
    const found = survivalOf(kept.map(([s, isLost]) => ({ s, isLost })));
    expect(found.steps.map(({ s, share }) => [s, share])).toEqual([
      [2, expect.closeTo(0.8333, 4)],
      [4, expect.closeTo(0.4167, 4)],
      [7, 0],
    ]);
    expect([found.medianS, found.n, found.lost, found.longestS]).toEqual([4, 6, 4, 7]);
  });

  test('with nothing lost there should be no middle; with all lost, the share should be that of those kept longer', () => {
    expect(survivalOf([])).toEqual({ n: 0, lost: 0, steps: [], medianS: null, longestS: 0 });
    expect(survivalOf([{ s: 3, isLost: false }]).medianS).toBeNull();
    fc.assert(
      fc.property(fc.array(fc.nat({ max: 9 }), { minLength: 1, maxLength: 12 }), (times) => {
        for (const { s, share } of survivalOf(times.map((t) => ({ s: t, isLost: true }))).steps)
          expect(share).toBeCloseTo(times.filter((t) => t > s).length / times.length, 9);
      }),
    );
  });
});

describe('what a hold is worth', () => {
  const hold = (id: string, more: Partial<Control> = {}): Control => ({
    ...BARE_HOLD,
    ...{ id, holder: 'subject', limb: 'hand', limbSide: 'right', kind: 'grip', target: 'sleeve' },
    ...{ targetOwner: 'other', targetSide: 'left', cloth: true },
    ...more,
  });
  const story: readonly Logged[] = [
    logged(
      told('1', {
        controls: [hold('a', { gained: at(45), lost: null })],
        start: at(45),
        commit: at(47),
        end: at(50),
        result: 'failed',
        finish: null,
      }),
    ),
    logged(
      told('2', {
        controls: [hold('b', { gained: at(50), lost: at(58) })],
        action: 'knee-through',
        start: at(51),
        commit: at(55),
        end: at(60),
        result: 'success',
        reactions: [{ ...BARE_REACTION, id: 'r', what: 'frames', isAction: false, at: at(58) }],
      }),
    ),
    logged(
      told('3', {
        controls: [hold('c', { target: 'collar', gained: at(80) })],
        start: at(80),
        commit: at(82),
        end: at(90),
      }),
    ),
    logged(told('4', { controls: [], start: at(180), commit: at(182), end: at(190) })),
  ];
  const source = sourceOf(story, words);
  const [most] = holdKindsOf(source.cases);
  const sheet = holdSheet(most!.hold, source);

  test('it should have its uses, the run through which it was the same, how long it was kept and what it was lost to', () => {
    expect(most).toMatchObject({
      hold: { limb: 'hand', target: 'sleeve', sides: 'cross', cloth: true },
      groups: 2,
      n: 2,
    });
    expect(sheet.uses.map((u) => [u.action, u.n, u.worked])).toEqual([
      ['head-and-arm-pass', 1, 0],
      ['knee-through', 1, 1],
    ]);
    expect(sheet.longestRun).toEqual(['1', '2']);
    expect(sheet.kept).toMatchObject({ n: 2, lost: 1, medianS: 8, longestS: 8 });
    expect(sheet.lostTo).toEqual([{ reaction: 'frames', n: 1 }]);
  });

  test('with and without it should be counts of the same entry, what nothing is said of apart; what the hand held instead told beside', () => {
    expect(sheet.buys[0]).toMatchObject({
      action: 'head-and-arm-pass',
      with: { worked: 0, not: 1 },
      without: { worked: 1, not: 0 },
      notSaid: 1,
    });
    expect(sheet.instead).toMatchObject([{ hold: { target: 'collar' }, n: 1 }]);
  });

  test('mirrored, it should be the same hold', () => {
    const turned = story.map((l) =>
      logged({
        ...l.attempt,
        lead: 'left',
        controls: l.attempt.controls.map((c) => ({ ...c, limbSide: 'left', targetSide: 'right' })),
      }),
    );
    expect(holdSheet(most!.hold, sourceOf(turned, words)).uses.map((u) => u.n)).toEqual(sheet.uses.map((u) => u.n));
  });

  test('lines should lean on cloth where half had it and none worked without; the same without it be found', () => {
    expect(leaningOf(source.cases.filter((c) => c.action === 'knee-through'))).toMatchObject({
      said: 1,
      withCloth: 1,
      leans: true,
    });
    const bare = logged(
      told('5', {
        controls: [hold('d', { target: 'wrist', cloth: false })],
        start: at(300),
        commit: at(302),
        end: at(310),
      }),
    );
    const more = casesOfView([...story, bare], words);
    expect(leaningOf(more.filter((c) => c.action === 'head-and-arm-pass'))).toMatchObject({
      said: 3,
      withCloth: 2,
      workedWithout: 1,
      leans: false,
    });
    expect(leaningLines(more).map((l) => l.action)).toEqual(['head-and-arm-pass', 'knee-through']);
    expect(sameWithoutCloth(more, 'half-guard/top' as PlaceId, 'head-and-arm-pass').map((c) => c.attempt.id)).toEqual([
      '5',
    ]);
    // along a way: each step by its own line, and one nobody was seen to go says nothing
    const [pass, through] = leaningLines(more);
    const unseen = { from: 'mount/top', action: 'armlock', to: 'won:straight-armlock' } as typeof pass & object;
    const way = clothOnWay(more, [unseen, through!, pass!]);
    expect(way.said).toBe(2);
    expect(way.leaning.map(({ step, without }) => [step.action, without.map((c) => c.attempt.id)])).toEqual([
      ['knee-through', []],
      ['head-and-arm-pass', ['5']],
    ]);
    expect(clothOnWay(more, [])).toEqual({ said: 0, leaning: [] });
  });

  test('times should be from start to commit, from there to the end, and on to the next of the same side', () => {
    const times = timesOf(source.cases, source);
    expect(times).toEqual({ toCommit: [2, 4, 2, 2], toEnd: [3, 5, 8, 8], toFollowUp: [1] });
    expect(spreadOf(times.toEnd)).toEqual({ n: 4, medianS: 6.5, quarterS: 4.5, threeQuartersS: 8 });
    expect(spreadOf([])).toBeUndefined();
    expect(shareWithin(times.toEnd, 5)).toMatchObject({ n: 4, within: 2, interval: { low: expect.closeTo(0.15, 2) } });
  });
});
