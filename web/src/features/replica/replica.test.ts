import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import type { Attempt, Library, LibraryEdit } from '@odograph/core';
import { Browser, type Window } from '../../../test/browser.js';
import { attemptWith, clipOn, libraryWith } from '../../../test/library.js';
import { selectLibrary } from '../library/index.js';
import { libraryApi, mergeChanged, selectServerLibrary } from '../server/index.js';
import { besideOwn } from './news.js';
import { editQueued, refusalSettled } from './queue.slice.js';
import { selectPending, selectRefused, selectStatus } from './selectors.js';

const library: Library = {
  ...libraryWith([attemptWith('1'), attemptWith('2')]),
  clips: [clipOn(attemptWith('1'), 'c1'), clipOn(attemptWith('1'), 'c2'), clipOn(attemptWith('2'), 'c3')],
};
const attempt = attemptWith;
const say = (editId: string, changes: { action?: string; depth?: number }, id = '1'): LibraryEdit => ({
  kind: 'attempt',
  editId,
  id,
  changes,
});

describe('what others changed', () => {
  test('when an edit of mine is on its way, the row that it is for should wait, and every other come at once', () => {
    const changed = {
      attempts: [attempt('1', { version: 2 }), attempt('2', { depth: 3 })],
      removed: ['c1', '1'],
    } as never;
    const beside = besideOwn(changed, library, [say('e1', { depth: 2 }, '1')]);
    expect(beside.attempts?.map((a) => a.id)).toEqual(['2']);
    expect(beside.removed).toEqual(['c1']);
    expect(besideOwn(changed, library, []).attempts).toHaveLength(2);
    // what is here as it is stays: nothing is drawn for it
    expect(besideOwn({ attempts: library.attempts }, library, []).attempts).toEqual([]);
  });

  test('when a row has gone on here meanwhile, an older one should not come back over it', () => {
    const later = { ...library, attempts: [{ ...attempt('1'), version: 5 }] };
    const changed = {
      attempts: [
        { ...attempt('1'), version: 4 },
        { ...attempt('2'), version: 1 },
      ],
      removed: [],
    } as never;
    expect(besideOwn(changed, later, []).attempts?.map((a) => a.id)).toEqual(['2']);
  });
});

describe('sending edits', () => {
  type Call = {
    method: string;
    path: string;
    body: { editId: string; baseVersion: number; changes: Partial<Attempt> };
  };
  let calls: Call[];
  let answers: ((call: Call) => Response | Promise<Response>)[];
  let now: Library;
  const json = (body: unknown, status = 200): Response =>
    new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } });
  const kept = ({ body, path }: Call): Response => {
    const id = path.split('/').at(-1)!;
    const before = now.attempts.find((a) => a.id === id)!;
    now = mergeChanged(now, { attempts: [{ ...before, ...body.changes, version: before.version + 1 }] });
    return json({ attempts: [now.attempts.find((a) => a.id === id)], removed: [] });
  };
  let browser: Browser;
  let store: Window;
  const realFetch = globalThis.fetch;
  beforeEach(async () => {
    calls = [];
    answers = [];
    now = library;
    globalThis.fetch = async (input) => {
      const request = input as Request;
      const path = new URL(request.url).pathname;
      if (path === '/api/news/since') return json({ version: 1, whole: false, changed: null });
      if (path === '/api/library/base') return json({ ...now, attempts: [], clips: [] });
      if (path === '/api/library/part') return json({ attempts: now.attempts, clips: now.clips, next: null });
      const call: Call = { method: request.method, path, body: JSON.parse(await request.text()) as Call['body'] };
      calls.push(call);
      return (answers.shift() ?? kept)(call);
    };
    browser = new Browser();
    store = await browser.open();
    await store.dispatch(libraryApi.endpoints.library.initiate());
  });
  afterEach(() => {
    store.close();
    globalThis.fetch = realFetch;
  });
  const until = async (holds: () => boolean): Promise<void> => {
    for (let i = 0; i < 400 && !holds(); i++) await new Promise((resolve) => setTimeout(resolve, 10));
    expect(holds()).toBe(true);
  };
  const isIdle = (): boolean =>
    selectStatus(store.getState()) === 'idle' && store.getState().edits.pending.length === 0;
  const actionOf = (id = '1'): string | null =>
    selectLibrary(store.getState()).attempts.find((a) => a.id === id)!.action;

  test('when two edits of one attempt are made quickly, the second should go out on the version that the first one made', async () => {
    store.dispatch(editQueued(say('e1', { action: 'armlock' })));
    store.dispatch(editQueued(say('e2', { depth: 3 })));
    expect(selectLibrary(store.getState()).attempts[0]).toMatchObject({ action: 'armlock', depth: 3 });
    await until(isIdle);
    expect(calls.map((c) => [c.body.editId, c.body.baseVersion])).toEqual([
      ['e1', 1],
      ['e2', 2],
    ]);
    expect(selectLibrary(store.getState()).attempts[0]).toMatchObject({ action: 'armlock', depth: 3, version: 3 });
  });

  test('when an edit is made before its row is here, and the next once it is, the next should not come too late for it', async () => {
    const early = await browser.open();
    early.dispatch(editQueued(say('e1', { action: 'armlock' })));
    answers = [
      (call) => {
        early.dispatch(editQueued(say('e2', { action: 'triangle' })));
        return kept(call);
      },
    ];
    await early.dispatch(libraryApi.endpoints.library.initiate());
    await until(() => selectPending(early.getState()).length === 0 && browser.kept.length === 0);
    expect(calls.map((c) => [c.body.editId, c.body.baseVersion])).toEqual([
      ['e1', 1],
      ['e2', 2],
    ]);
    early.close();
  });

  test('when the server cannot be reached, the edit should stay in view, be called unsaved, and go out later under the same id', async () => {
    browser.waitMs = 100;
    answers = [() => Promise.reject(new TypeError('network')), () => json({}, 503)];
    store.dispatch(editQueued(say('e1', { action: 'armlock' })));
    await until(() => selectStatus(store.getState()) === 'unreachable');
    expect(actionOf()).toBe('armlock');
    expect(store.getState().edits.pending).toHaveLength(1);
    await until(isIdle);
    expect(calls.map((c) => c.body.editId)).toEqual(['e1', 'e1', 'e1']);
    expect(actionOf()).toBe('armlock');
  }, 15_000);

  test('when the server fails at an edit each time, it should be set aside with its text after three, and those behind it go on', async () => {
    const failed = (): Response => json({ code: 'internal', facts: {} }, 500);
    answers = [failed, failed, failed];
    store.dispatch(editQueued(say('e1', { action: 'armlock' })));
    store.dispatch(editQueued(say('e2', { depth: 3 })));
    await until(isIdle);
    expect(calls.map((c) => c.body.editId)).toEqual(['e1', 'e1', 'e1', 'e2']);
    expect(selectRefused(store.getState())).toMatchObject([
      { edit: { editId: 'e1', changes: { action: 'armlock' } }, why: { code: 'internal' } },
    ]);
    expect(selectLibrary(store.getState()).attempts[0]).toMatchObject({ action: null, depth: 3 });
  }, 15_000);

  test('when somebody else was faster, theirs should be shown and the reason kept until it is decided', async () => {
    answers = [
      () => {
        now = mergeChanged(now, { attempts: [attempt('1', { action: 'rear-choke', version: 5 })] });
        return json(
          {
            code: 'stale',
            facts: { version: 5, fields: [{ field: 'action', yours: 'armlock', theirs: 'rear-choke' }] },
          },
          409,
        );
      },
    ];
    store.dispatch(editQueued(say('e1', { action: 'armlock' })));
    await until(isIdle);
    expect(actionOf()).toBe('rear-choke');
    expect(selectRefused(store.getState())).toMatchObject([{ edit: { editId: 'e1' }, why: { code: 'stale' } }]);
    store.dispatch(editQueued(say('e2', { action: 'armlock' })));
    await until(isIdle);
    expect(calls.at(-1)!.body.baseVersion).toBe(5);
    expect(actionOf()).toBe('armlock');
  });

  test('when it is decided about a refusal before the rows that it told of are here, that should stand on what it told', async () => {
    const stale = {
      code: 'stale',
      facts: { version: 5, fields: [{ field: 'action', yours: 'armlock', theirs: 'x' }] },
    };
    now = mergeChanged(now, { attempts: [attempt('1', { action: 'x', version: 5 })] });
    answers = [() => json(stale, 409)];
    const seen: (number | undefined)[] = [];
    store.subscribe(() => {
      if (!selectRefused(store.getState()).length || seen.length) return;
      seen.push(selectServerLibrary(store.getState())?.attempts[0]?.version);
      store.dispatch(refusalSettled({ editId: 'e1', instead: say('e2', { action: 'armlock' }) }));
      expect([selectRefused(store.getState()), selectPending(store.getState()).length]).toEqual([[], 1]);
    });
    store.dispatch(editQueued(say('e1', { action: 'armlock' })));
    await until(() => calls.length === 2);
    expect(seen).toEqual([1]);
    await until(() => isIdle() && browser.kept.length === 0);
    expect(calls.map((c) => [c.body.editId, c.body.baseVersion])).toEqual([
      ['e1', 1],
      ['e2', 5],
    ]);
  });

  test('when the session is over, nothing should be dropped and nothing sent until somebody signs in again', async () => {
    answers = [() => json({ code: 'signed-out', facts: {} }, 401)];
    store.dispatch(editQueued(say('e1', { action: 'armlock' })));
    await until(() => selectStatus(store.getState()) === 'signed-out');
    expect(store.getState().edits.pending).toHaveLength(1);
    await store.dispatch(libraryApi.endpoints.library.initiate(undefined, { forceRefetch: true }));
    await until(isIdle);
    expect(actionOf()).toBe('armlock');
  });

  const refused = (): Response =>
    json({ code: 'invalid', facts: { fields: [{ field: 'depth', fault: { code: 'not-possible' } }] } }, 400);
  test('when two are refused in a row, both should wait until they are decided, after a reload too', async () => {
    answers = [refused, refused];
    store.dispatch(editQueued(say('e1', { depth: 9 })));
    store.dispatch(editQueued(say('e2', { depth: 8 })));
    await until(() => selectRefused(store.getState()).length === 2);
    store.close();
    store = await browser.open();
    await until(() => selectRefused(store.getState()).length === 2);
    expect(selectRefused(store.getState()).map((r) => r.edit.editId)).toEqual(['e1', 'e2']);
    store.dispatch(refusalSettled({ editId: 'e1', instead: null }));
    expect(selectRefused(store.getState()).map((r) => r.edit.editId)).toEqual(['e2']);
    await until(() => browser.kept.length === 1);
  });

  test('when the store of the browser gives way, sending should go on by itself', async () => {
    browser.faults = 2;
    store.dispatch(editQueued(say('e1', { action: 'armlock' })));
    await until(isIdle);
    expect(calls.map((c) => c.body.editId)).toEqual(['e1']);
  });

  test('when an edit cannot even be put into a request, it should be set aside, and those behind it go on', async () => {
    store.dispatch(editQueued({ kind: 'attempt', editId: 'e1', id: '1', changes: null as never }));
    store.dispatch(editQueued(say('e2', { depth: 3 })));
    await until(isIdle);
    expect(selectRefused(store.getState())).toMatchObject([{ edit: { editId: 'e1' }, why: { code: 'internal' } }]);
    expect(calls.map((c) => c.body.editId)).toEqual(['e2']);
  });

  test('when two windows work, each should see what the other does, one send at a time, and neither come too late for the other', async () => {
    const other = await browser.open();
    await other.dispatch(libraryApi.endpoints.library.initiate());
    store.dispatch(editQueued(say('e1', { action: 'armlock' })));
    await until(() => selectLibrary(other.getState()).attempts[0]!.action === 'armlock');
    other.dispatch(editQueued(say('e2', { action: 'triangle' })));
    store.dispatch(editQueued(say('e3', { depth: 2 })));
    await until(() => browser.kept.length === 0);
    const all = [store, other];
    await until(() => all.every((w) => selectPending(w.getState()).length === 0));
    expect(calls.map((c) => c.body.baseVersion)).toEqual([1, 2, 3]);
    for (const window of all)
      expect(selectLibrary(window.getState()).attempts[0]).toMatchObject({ action: 'triangle', depth: 2, version: 4 });
    other.close();
  });

  test('when a window is gone before it has sent what was done in it, another that shows it should send it', async () => {
    const other = await browser.open();
    await other.dispatch(libraryApi.endpoints.library.initiate());
    answers = Array.from({ length: 50 }, () => () => Promise.reject(new TypeError('network')));
    store.dispatch(editQueued(say('e1', { action: 'armlock' })));
    await until(() => selectPending(other.getState()).length === 1 && selectStatus(other.getState()) === 'unreachable');
    store.close();
    answers = [];
    await until(() => browser.kept.length === 0 && selectPending(other.getState()).length === 0);
    expect(selectLibrary(other.getState()).attempts[0]).toMatchObject({ action: 'armlock', version: 2 });
    other.close();
  });
});
