import { afterEach, describe, expect, test } from '@jest/globals';
import { BARE_ROUTE, BARE_DRAWING, BARE_PRINCIPLE, BARE_TODO, type Doing, type Library } from '@odograph/core';
import fc from 'fast-check';
import { Browser, type Window } from '../../../test/browser.js';
import { FakeServer, type Line } from '../../../test/fakeServer.js';
import { attemptWith, libraryWith } from '../../../test/library.js';
import { selectLibrary } from '../library/index.js';
import { libraryApi, selectServerLibrary } from '../server/index.js';
import { editQueued, refusalSettled } from './queue.slice.js';
import { selectPending, selectRefused, selectStatus } from './selectors.js';

type Step =
  | { readonly does: 'edit'; readonly window: number; readonly doing: Doing }
  | { readonly does: 'line'; readonly line: Line }
  | { readonly does: 'reload' | 'settle' | 'insist' | 'news'; readonly window: number }
  | { readonly does: 'other'; readonly id: string; readonly changes: Readonly<Record<string, unknown>> }
  | { readonly does: 'give way' | 'time' };

const TODO = { ...BARE_TODO, kind: 'try', text: 'the long way', opened: '2026-03-01' } as const;
const NOWHERE = { frame: 0, pts: 0 };
const window = fc.nat(1);
const attemptId = fc.constantFrom('1', '2');
const changes = fc.oneof(
  fc.record({ action: fc.constantFrom('armlock', 'triangle', 'sweep') }),
  // more than four is refused
  fc.record({ depth: fc.nat(6) }),
  fc.record({ result: fc.constantFrom('success' as const, 'failed' as const) }),
);
const doing: fc.Arbitrary<Doing> = fc.oneof(
  { weight: 6, arbitrary: fc.record({ kind: fc.constant('attempt' as const), id: attemptId, changes }) },
  fc.record({
    kind: fc.constant('person' as const),
    id: fc.constantFrom('orla', 'sten'),
    changes: fc.record({ level: fc.constantFrom('white', 'blue', null) }),
  }),
  fc
    .uuid()
    .map((id) => ({ kind: 'new route' as const, route: { id, version: 0, name: id, steps: [], ...BARE_ROUTE } })),
  fc.record({
    ...{ kind: fc.constant('remove' as const), what: fc.constant('route' as const) },
    id: fc.constantFrom('r1', 'r2'),
  }),
  // what stands beside attempts: lists, principles, drawings
  fc.uuid().map((id) => ({ kind: 'new todo' as const, todo: { ...TODO, id, version: 0 } })),
  fc.record({
    ...{ kind: fc.constant('todo' as const), id: fc.constantFrom('t1', 't2') },
    changes: fc.record({ status: fc.constantFrom('open' as const, 'done' as const, 'dropped' as const) }),
  }),
  fc.record({
    ...{ kind: fc.constant('principle' as const), id: fc.constant('p1') },
    changes: fc.record({ sentence: fc.constantFrom('hips low', 'knees inside') }),
  }),
  fc.record({
    ...{ kind: fc.constant('drawing' as const), id: fc.constant('d1') },
    changes: fc.record({ holdMs: fc.constantFrom(0, 1500) }),
  }),
  fc.constantFrom(
    { kind: 'remove' as const, what: 'principle' as const, id: 'p1' },
    { kind: 'remove' as const, what: 'todo' as const, id: 't2' },
    { kind: 'remove' as const, what: 'drawing' as const, id: 'd1' },
  ),
);
const step: fc.Arbitrary<Step> = fc.oneof(
  { weight: 8, arbitrary: fc.record({ does: fc.constant('edit' as const), window, doing }) },
  {
    weight: 3,
    arbitrary: fc.record({
      does: fc.constant('line' as const),
      line: fc.constantFrom<Line>('well', 'well', 'lost', 'unanswered', 'failing'),
    }),
  },
  {
    weight: 3,
    arbitrary: fc.record({
      does: fc.constantFrom<'reload' | 'settle' | 'insist' | 'news'>('reload', 'settle', 'insist', 'news'),
      window,
    }),
  },
  { weight: 2, arbitrary: fc.record({ does: fc.constant('other' as const), id: attemptId, changes }) },
  { weight: 3, arbitrary: fc.record({ does: fc.constantFrom('give way' as const, 'time' as const, 'time' as const) }) },
);

const start = (): Library => ({
  ...libraryWith([attemptWith('1'), attemptWith('2')]),
  routes: ['r1', 'r2'].map((id) => ({ id, version: 1, name: id, steps: [], ...BARE_ROUTE })),
  todos: ['t1', 't2'].map((id) => ({ ...TODO, id, version: 1 })),
  principles: [
    {
      ...{ ...BARE_PRINCIPLE, id: 'p1', version: 1, strength: 'usual', sentence: 'arms inside' },
      scope: { state: null, does: 'pass', action: null, reaction: null, hold: null },
    },
  ],
  drawings: [
    { ...BARE_DRAWING, id: 'd1', version: 1, footageId: 'footage', angleId: 'angle', from: NOWHERE, to: NOWHERE },
  ],
});
const known = ({ attempts, persons, routes, todos, principles, drawings }: Library): unknown =>
  [attempts, persons, routes, todos, principles, drawings].map((rows) =>
    [...rows].sort((a, b) => (a.id < b.id ? -1 : 1)),
  );
const tick = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 2));

describe('whatever happens to edits', () => {
  const realFetch = globalThis.fetch;
  afterEach(() => {
    globalThis.fetch = realFetch;
  });

  test('browser and server should agree in the end, and each edit be kept, wait with its reason, or have been settled by its author', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(step, { minLength: 5, maxLength: 40 }), async (steps) => {
        const server = new FakeServer(start());
        globalThis.fetch = server.fetch;
        const browser = new Browser();
        const load = async (of: Window): Promise<void> => {
          await of.dispatch(libraryApi.endpoints.library.initiate(undefined, { forceRefetch: true, subscribe: false }));
        };
        const open = async (): Promise<Window> => {
          const opened = await browser.open();
          await load(opened);
          return opened;
        };
        const windows = [await open(), await open()];
        const made: string[] = [];
        const settled = new Set<string>();
        for (const s of steps) {
          switch (s.does) {
            case 'edit': {
              made.push(`e${made.length}`);
              const row = selectServerLibrary(windows[s.window]!.getState())?.attempts.find(
                (a) => 'id' in s.doing && a.id === s.doing.id,
              );
              if (row) server.seen.set(made.at(-1)!, row.version);
              windows[s.window]!.dispatch(editQueued({ ...s.doing, editId: made.at(-1)! }));
              break;
            }
            case 'line':
              server.line = s.line;
              break;
            case 'reload':
              // what was done is kept before a window can be closed by hand
              await windows[s.window]!.replica.kept();
              windows[s.window]!.close();
              windows[s.window] = await open();
              break;
            case 'settle':
            case 'insist': {
              const [refused] = selectRefused(windows[s.window]!.getState());
              if (!refused) break;
              const { edit, why } = refused;
              settled.add(edit.editId);
              const instead = s.does === 'insist' ? { ...edit, editId: `e${made.length}` } : null;
              if (instead) made.push(instead.editId);
              // who insists has seen what the refusal told
              if (instead && why.code === 'stale') server.seen.set(instead.editId, why.facts.version);
              windows[s.window]!.dispatch(refusalSettled({ editId: edit.editId, instead }));
              break;
            }
            case 'news':
              await load(windows[s.window]!);
              break;
            case 'other':
              server.byOther(s.id, s.changes);
              break;
            case 'give way':
              browser.faults = 1;
              break;
            case 'time':
              await tick();
          }
        }
        server.line = 'well';
        for (const w of windows) await load(w);
        const isQuiet = (w: Window): boolean =>
          selectPending(w.getState()).length === 0 && selectStatus(w.getState()) === 'idle';
        for (let i = 0; i < 500 && !(windows.every(isQuiet) && browser.kept.every((k) => k.why)); i++) await tick();
        // what the windows tell each other comes in its own time
        await tick();
        expect(windows.map((w) => selectPending(w.getState()))).toEqual([[], []]);
        const waiting = browser.kept.map((k) => k.edit.editId);
        // each of them stands somewhere, and in one place only
        for (const editId of made) {
          const places = [server.done.has(editId), waiting.includes(editId), settled.has(editId)];
          expect([editId, places.filter(Boolean).length]).toEqual([editId, 1]);
        }
        // nobody's later value was taken the place of by somebody who had not seen it
        expect(server.overwritten).toEqual([]);
        // and nobody comes too late for oneself
        const isAlone = !steps.some((s) => s.does === 'other');
        if (isAlone) expect(browser.kept.filter((k) => k.why?.code === 'stale')).toEqual([]);
        for (const w of windows) {
          await load(w);
          expect(
            selectRefused(w.getState())
              .map((r) => r.edit.editId)
              .sort(),
          ).toEqual([...waiting].sort());
          expect(known(selectLibrary(w.getState()))).toEqual(known(server.rows));
          w.close();
        }
      }),
      { numRuns: 60, seed: 20_261_129 },
    );
  });
});
