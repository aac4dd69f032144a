import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { BARE_ALTERNATIVE, BARE_REACTION, type Attempt, type PlaceId } from '../attempts/index.js';
import { buildHeights, WHOLE, type Logged } from '../map/index.js';
import { BARE_PRINCIPLE } from '../rows/index.js';
import { sourceOf } from '../testing/sheetSource.js';
import { FOOTAGE, LOGGED, TOLD, attemptOf, stateOf } from '../testing/workedExamples.js';
import { shippedWords } from '../vocabulary/index.js';
import {
  answerTable,
  answersFound,
  askedFor,
  columnKey,
  coverageOf,
  forksAt,
  foundFor,
  isHole,
  theirTable,
  type SheetSource,
} from './index.js';

const words = shippedWords();
const source = sourceOf(LOGGED, words);
const place = (id: string): PlaceId => id as PlaceId;
/** A table in words: entry, what was met, how often, how often it worked, how far it is answered, and by what. */
const told = (id: string, of: SheetSource = source): readonly string[] =>
  answerTable(place(id), of, words).rows.flatMap(({ action, bait, cells }) =>
    cells.map(({ column, n, worked, status, answers, said }) =>
      [
        `${action}${bait ? ' (bait)' : ''} × ${columnKey(column)}: ${n}, ${worked}`,
        ...(status ? [status] : []),
        ...answers.map((a) => `${a.action} ${a.worked} of ${a.n}`),
        ...said.map((action) => `said ${action}`),
      ].join(' · '),
    ),
  );

describe('the table of answers', () => {
  test('the closed guard should have what the worked example says', () => {
    expect(told('closed-guard/bottom')).toEqual([
      'double-wrist-lock × (none): 1, 1',
      'hip-bump × posts: 1, 0 · works · double-wrist-lock 1 of 1',
    ]);
    const { columns } = answerTable(place('closed-guard/bottom'), source, words);
    expect(columns.map(columnKey)).toEqual(['posts', '(none)']);
  });

  test('what was come through, an attack of theirs, and what a bait is for should each be told as what it is', () => {
    expect(told('half-guard/top')).toEqual(['head-and-arm-pass × hips-out: 1, 1 · works']);
    expect(told('standing/even')).toEqual(['double-leg × !go-behind: 1, 0 · unanswered']);
    expect(told('mount/top')).toEqual([
      'armlock × clasps: 1, 0 · works · armlock 1 of 1',
      'collar-choke (bait) × hands-to-collar: 1, 1 · tried · armlock 0 of 1',
    ]);
  });

  test('what is only shown should be seen and have no number', () => {
    const { rows } = answerTable(place('two-sleeve/bottom'), source, words);
    expect(rows[0]).toMatchObject({ n: 2, worked: 1, interval: { low: expect.closeTo(0.0945, 4) } });
    expect(rows[0]!.cells.map(({ n, seen }) => [n, seen])).toEqual([
      [1, 2],
      [1, 0],
    ]);
  });

  test('what somebody only said, or a principle says, should stand as said until it is seen', () => {
    const choke = LOGGED.find((l) => l.attempt.id === '10')!;
    const attempt: Attempt = {
      ...choke.attempt,
      alternatives: [
        { ...BARE_ALTERNATIVE, id: 'x', by: 'subject', what: 'armlock', isAction: true },
        { ...BARE_ALTERNATIVE, id: 'y', by: 'opponent', what: 'hips-out', isAction: false },
      ],
    };
    const logged = LOGGED.map((l) => (l === choke ? { ...l, attempt } : l));
    expect(told('back/attacker', sourceOf(logged, words))).toEqual([
      'step-down × (none): 2, 2',
      'rear-choke × holds-hand: 1, 0 · only said · said armlock',
      'rear-choke × hips-out: 0, 0 · only said',
    ]);
    const scope = { ...{ state: null, does: null, action: null, hold: null }, reaction: 'holds-hand' };
    const principle = {
      ...BARE_PRINCIPLE,
      id: 'p',
      version: 1,
      scope,
      sentence: 'p',
      strength: 'usual',
      answer: 'armlock',
    };
    const ruled = { ...source, principles: [principle as SheetSource['principles'][number]] };
    const cell = answerTable(place('back/attacker'), ruled, words).rows[1]!.cells[0]!;
    expect([cell.status, cell.said, cell.principleIds]).toEqual(['only said', ['armlock'], ['p']]);
  });

  test('an answer put there by hand, on other footage, should count as one', () => {
    const logged: readonly Logged[] = [
      ...LOGGED,
      {
        attempt: {
          ...attemptOf({ ...TOLD[8]!, id: '99', in: 'F4', at: [500, 501, 505] }),
          answers: [{ id: 'a', from: stateOf('back/attacker'), action: 'rear-choke', reaction: 'holds-hand' }],
        },
        footage: FOOTAGE.F4,
        isThorough: true,
      },
    ];
    expect(told('back/attacker', sourceOf(logged, words))).toContain(
      'rear-choke × holds-hand: 1, 0 · works · back-take 1 of 1',
    );
  });

  test('what they do should be told from where one is, with what answers it', () => {
    const view = { ...WHOLE, pointOfView: { kind: 'athletes', ids: ['F1 a', 'F4 a'] } } as const;
    const own = sourceOf(LOGGED, words, view);
    expect(theirTable(place('front-headlock/bottom'), own)).toMatchObject([
      { action: 'go-behind', n: 1, worked: 1, status: 'unanswered', answers: [] },
    ]);
    expect(theirTable(place('closed-guard/top'), source, 'own').map((r) => r.action)).toEqual([
      'double-wrist-lock',
      'hip-bump',
    ]);
  });
});

describe('what to find or film next', () => {
  const heights = buildHeights(LOGGED, words);
  test('the library of the worked examples should have two holes, the double leg first, and none at the post', () => {
    const holes = coverageOf(source, heights, words);
    expect(holes.map((h) => [h.place, h.action, h.met?.what, h.n, h.weight])).toEqual([
      ['standing/even', 'double-leg', 'go-behind', 1, expect.closeTo(2 / 17, 12)],
      ['back/attacker', 'rear-choke', 'holds-hand', 1, 0],
    ]);
  });

  test('looked at from one side, what the other side does and nobody answered should be holes too', () => {
    const view = { ...WHOLE, pointOfView: { kind: 'athletes', ids: ['F1 a'] } } as const;
    const holes = coverageOf(sourceOf(LOGGED, words, view), buildHeights(LOGGED, words, view), words);
    expect(holes.filter((h) => h.met === null)).toMatchObject([
      { place: 'front-headlock/bottom', action: 'go-behind', n: 1, status: 'unanswered' },
    ]);
  });
});

describe('what is looked for', () => {
  const heights = buildHeights(LOGGED, words);
  const found = answersFound(source);
  const holes = coverageOf(source, heights, words);

  test('a hole should be asked for by place, entry and what they did, and not be found as long as it is one', () => {
    const asked = holes.map((h) => askedFor(h)!);
    expect(asked).toEqual([
      { state: stateOf('standing/even'), action: 'double-leg', reaction: null, theirs: 'go-behind' },
      { state: stateOf('back/attacker'), action: 'rear-choke', reaction: 'holds-hand', theirs: null },
    ]);
    for (const a of asked) expect(foundFor(a, source, found, words)).toEqual({ status: 'unanswered', attemptIds: [] });
  });

  test('what is answered should be found with what answers it; an entry by whoever took it; an action of theirs by what followed', () => {
    const state = stateOf('closed-guard/bottom');
    const ask = (asked: Parameters<typeof foundFor>[0]) => foundFor(asked, source, found, words);
    expect(ask({ state, action: 'hip-bump', reaction: 'posts', theirs: null })).toEqual({
      status: 'works',
      attemptIds: ['03'],
    });
    expect(ask({ state, action: 'double-wrist-lock', reaction: null, theirs: null })).toEqual({
      status: 'works',
      attemptIds: ['03'],
    });
    const turtle = stateOf('front-headlock/bottom');
    expect(ask({ state: turtle, action: null, reaction: null, theirs: 'go-behind' })).toEqual({
      status: 'unanswered',
      attemptIds: [],
    });
    expect(ask({ state: null, action: 'hip-bump', reaction: null, theirs: null })).toBeUndefined();
  });
});

const REACTIONS = ['frames', 'hips-out', 'posts', 'turtles'];
/** Small libraries: some attempts from two places, one after the other in one round. */
const someLogged = fc
  .array(
    fc.record({
      from: fc.constantFrom('half-guard/top', 'closed-guard/bottom'),
      action: fc.constantFrom('head-and-arm-pass', 'hip-bump', 'armlock'),
      result: fc.constantFrom('success', 'failed', 'partial', 'shown'),
      met: fc.array(fc.constantFrom(...REACTIONS), { maxLength: 2 }),
      gap: fc.nat({ max: 8 }),
      by: fc.constantFrom('a', 'b'),
      intent: fc.constantFrom('own', 'own', 'bait'),
      isThorough: fc.boolean(),
    }),
    { maxLength: 12 },
  )
  .map((all): readonly Logged[] => {
    let at = 0;
    return all.map(({ from, action, result, met, gap, by, intent, isThorough }, i) => {
      const start = at + gap;
      at = start + 5;
      const attempt: Attempt = {
        ...attemptOf({
          ...TOLD[0]!,
          id: `t${String(i).padStart(2, '0')}`,
          in: 'F2',
          by: by,
          at: [start, start + 1, at],
          from,
          action,
          result: result,
        }),
        finish: { kind: 'state', ...stateOf(from) },
        intent: intent,
        reactions: met.map((what, r) => ({ ...BARE_REACTION, id: `r${r}`, what, isAction: false })),
      };
      return { attempt, footage: FOOTAGE.F2, isThorough };
    });
  });

describe('on small libraries', () => {
  test('cells should add up to their groups, and shuffled input give the same table and the same holes', () => {
    fc.assert(
      fc.property(someLogged, fc.constantFrom('half-guard/top', 'closed-guard/bottom'), (logged, id) => {
        const of = sourceOf(logged, words);
        const table = answerTable(place(id), of, words);
        const here = of.cases.filter((c) => c.from === id);
        for (const row of table.rows) {
          const group = here.filter((c) => c.action === row.action && (c.attempt.intent === 'bait') === row.bait);
          expect(row.cells.reduce((sum, c) => sum + c.n, 0)).toBe(row.n);
          expect(row.cells.reduce((sum, c) => sum + c.worked, 0)).toBe(row.worked);
          expect(row.cells.reduce((sum, c) => sum + c.n + c.seen, 0)).toBe(group.length);
        }
        const back = sourceOf([...logged].reverse(), words);
        expect(answerTable(place(id), back, words)).toEqual(table);
        const heights = buildHeights(logged, words);
        expect(coverageOf(back, heights, words)).toEqual(coverageOf(of, heights, words));
      }),
      { numRuns: 300 },
    );
  });

  test('holes should be just what a second reading of the definition finds, by brute force', () => {
    fc.assert(
      fc.property(someLogged, (logged) => {
        const of = sourceOf(logged, words);
        const holes = coverageOf(of, buildHeights(logged, words), words);
        const expected = new Set<string>();
        for (const { attempt } of logged) {
          const met = attempt.reactions.at(-1);
          if (!met) continue;
          const isGroup = (o: Attempt): boolean =>
            o.state!.position === attempt.state!.position && o.action === attempt.action && o.intent === attempt.intent;
          const overcome = logged.some(
            ({ attempt: o }) =>
              isGroup(o) &&
              o.intent === 'own' &&
              o.result !== 'shown' &&
              o.reactions.some((r) => r.what === met.what) &&
              (o.result === 'success' || o.reactions.at(-1)!.what !== met.what),
          );
          const answered = of.answers.some((a) => {
            const [to, by] = [a.toId, a.attemptId].map((x) => logged.find((l) => l.attempt.id === x)!.attempt);
            return (
              isGroup(to!) &&
              to!.reactions.at(-1)?.what === met.what &&
              a.reaction === met.what &&
              by!.result !== 'shown'
            );
          });
          const key = `${attempt.state!.position} ${attempt.action} ${attempt.intent} ${met.what}`;
          if (!overcome && !answered) expected.add(key);
        }
        const found = holes.map(
          (h) => `${h.place.split('/')[0]} ${h.action} ${h.bait ? 'bait' : 'own'} ${h.met!.what}`,
        );
        expect(found.sort()).toEqual([...expected].sort());
        expect(holes.every((h) => isHole(h.status))).toBe(true);
      }),
      { numRuns: 300 },
    );
  });
});

describe('where lines split', () => {
  const forks = (id: string): readonly string[] =>
    forksAt(place(id), source, words).map(
      ({ action, bait, to, met, status, answers }) =>
        `${action}${bait ? ' (bait)' : ''} → ${to} × ${met.what}: ${status} ${answers.map((a) => `${a.action} → ${a.to}`).join()}`,
    );

  test('each reaction should lie on the line of the attempts that met it, with where its answers lead', () => {
    expect(forks('closed-guard/bottom')).toEqual([
      'hip-bump → closed-guard/bottom × posts: works double-wrist-lock → won:double-wrist-lock',
    ]);
    expect(forks('mount/top')).toEqual([
      'armlock → armlock-hold/attacker × clasps: works armlock → won:straight-armlock',
      'collar-choke (bait) → mount/top × hands-to-collar: tried armlock → armlock-hold/attacker',
    ]);
    expect(forks('nowhere/top')).toEqual([]);
  });
});
