import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { configureStore } from '@reduxjs/toolkit';
import type { Attempt, Library } from '@odograph/core';
import { attemptWith, clipOn, libraryWith } from '../../../test/library.js';
import { editsListener } from './edits.listener.js';
import { requestOf, withPending, withoutFields, type PendingEdit } from './edits.js';
import { editQueued, editsSlice } from './edits.slice.js';
import { libraryApi } from './library.api.js';
import { selectLibrary, selectRefused, selectStatus } from './library.selectors.js';
import { mergeChanged } from './merge.js';
import { besideOwn } from './news.js';
import { serverApi } from './server.api.js';

const library: Library = {
  ...libraryWith([attemptWith('1'), attemptWith('2')]),
  clips: [clipOn(attemptWith('1'), 'c1'), clipOn(attemptWith('1'), 'c2'), clipOn(attemptWith('2'), 'c3')],
};
const attempt = attemptWith;
const say = (editId: string, changes: { action?: string; depth?: number }, id = '1'): PendingEdit => ({
  kind: 'attempt',
  editId,
  id,
  changes,
  patch: changes,
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

describe('edits that are not saved yet', () => {
  test('when they are laid over the library, the person should see them in their order', () => {
    const seen = withPending(library, [
      say('e1', { action: 'armlock' }),
      say('e2', { action: 'triangle' }),
      { kind: 'remove', what: 'clip', editId: 'e3', id: 'c3' },
    ]);
    expect(seen.attempts).toEqual([expect.objectContaining({ id: '1', action: 'triangle' })]);
    expect(seen.clips.map((c) => c.id)).toEqual(['c1', 'c2']);
    expect(library.attempts[0]!.action).toBeNull();
  });

  test('when one clip of two over an attempt goes, the attempt should stay', () => {
    expect(withPending(library, [{ kind: 'remove', what: 'clip', editId: 'e', id: 'c1' }]).attempts).toHaveLength(2);
  });

  test('when an edit becomes a request, it should carry the version that the server gave last; none when the record is gone', () => {
    expect(
      requestOf(say('e', { action: 'armlock' }), { ...library, attempts: [attempt('1', { version: 7 })] }),
    ).toEqual({
      url: 'attempts/1',
      method: 'PATCH',
      body: { editId: 'e', baseVersion: 7, changes: { action: 'armlock' } },
    });
    expect(requestOf(say('e', { action: 'armlock' }, 'gone'), library)).toBeUndefined();
  });

  test('when the answer of the server is merged, rows should be replaced, added and removed by id', () => {
    const merged = mergeChanged(library, { attempts: [attempt('2', { version: 2 }), attempt('0')], removed: ['c2'] });
    expect(merged.attempts.map((a) => [a.id, a.version])).toEqual([
      ['0', 1],
      ['1', 1],
      ['2', 2],
    ]);
    expect(merged.clips.map((c) => c.id)).toEqual(['c1', 'c3']);
    expect(merged.persons).toBe(library.persons);
  });
});

describe('edits of every kind', () => {
  const route = { id: 'r', version: 1, name: 'r', steps: [] };
  const whole: Library = { ...library, routes: [route] };
  test('when footage goes, its clips and attempts should go from view with it', () => {
    const seen = withPending(whole, [{ kind: 'remove', what: 'footage', editId: 'e', id: 'footage' }]);
    expect([seen.footage, seen.angles, seen.attempts, seen.clips]).toEqual([[], [], [], []]);
    expect(seen.persons).toEqual(library.persons);
  });

  test('when records are made, changed or removed, the view and the request should follow', () => {
    const edits: readonly (readonly [PendingEdit, string, string])[] = [
      [{ kind: 'new route', editId: 'e', route: { ...route, id: 'r2' } }, 'POST', 'routes'],
      [{ kind: 'route', editId: 'e', id: 'r', changes: { name: 'x' }, patch: { name: 'x' } }, 'PATCH', 'routes/r'],
      [{ kind: 'remove', what: 'route', editId: 'e', id: 'r' }, 'DELETE', 'routes/r'],
      [{ kind: 'new person', editId: 'e', person: library.persons[0]! }, 'POST', 'persons'],
      [{ kind: 'remove', what: 'person', editId: 'e', id: 'orla' }, 'DELETE', 'persons/orla'],
      [{ kind: 'restore', what: 'clip', editId: 'e', id: 'c' }, 'POST', 'bin/restore'],
      [{ kind: 'aliases', editId: 'e', lines: [] }, 'POST', 'words/aliases'],
      [{ kind: 'undo', editId: 'e' }, 'POST', 'undo'],
    ];
    for (const [edit, method, url] of edits) expect(requestOf(edit, whole)).toMatchObject({ method, url });
    const routesAfter = edits.slice(0, 3).map(([edit]) => withPending(whole, [edit]).routes.map((r) => r.name));
    expect(routesAfter).toEqual([['r', 'r'], ['x'], []]);
  });

  test('when some fields are left to the other, only the rest should go out; nothing where none is left', () => {
    const edit: PendingEdit = {
      kind: 'attempt',
      editId: 'e',
      id: '1',
      changes: { action: 'armlock', startFrame: 3 },
      patch: { action: 'armlock', start: { frame: 3, pts: 3 } },
    };
    expect(withoutFields(edit, new Set(['startFrame']))).toMatchObject({
      changes: { action: 'armlock' },
      patch: { action: 'armlock' },
    });
    expect(withoutFields(edit, new Set(['startFrame']))).not.toHaveProperty('patch.start');
    expect(withoutFields(edit, new Set(['startFrame', 'action']))).toBeNull();
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
  const makeStore = () =>
    configureStore({
      reducer: { server: serverApi.reducer, edits: editsSlice.reducer },
      middleware: (all) => all().prepend(editsListener.middleware).concat(serverApi.middleware),
    });
  let store: ReturnType<typeof makeStore>;
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
    store = makeStore();
    await store.dispatch(libraryApi.endpoints.library.initiate());
  });
  afterEach(() => {
    jest.useRealTimers();
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

  test('when the server cannot be reached, the edit should stay in view, be called unsaved, and go out later under the same id', async () => {
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
    const failed = (): Response => json({ code: 'internal', facts: {}, message: 'x' }, 500);
    answers = [failed, failed, failed];
    store.dispatch(editQueued(say('e1', { action: 'armlock' })));
    store.dispatch(editQueued(say('e2', { depth: 3 })));
    await until(isIdle);
    expect(calls.map((c) => c.body.editId)).toEqual(['e1', 'e1', 'e1', 'e2']);
    expect(selectRefused(store.getState())).toMatchObject({
      edit: { editId: 'e1', changes: { action: 'armlock' } },
      why: { code: 'internal' },
    });
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
            message: 'x',
          },
          409,
        );
      },
    ];
    store.dispatch(editQueued(say('e1', { action: 'armlock' })));
    await until(isIdle);
    expect(actionOf()).toBe('rear-choke');
    expect(selectRefused(store.getState())).toMatchObject({ edit: { editId: 'e1' }, why: { code: 'stale' } });
    store.dispatch(editQueued(say('e2', { action: 'armlock' })));
    await until(isIdle);
    expect(calls.at(-1)!.body.baseVersion).toBe(5);
    expect(actionOf()).toBe('armlock');
  });

  test('when the session is over, nothing should be dropped and nothing sent until somebody signs in again', async () => {
    answers = [() => json({ code: 'signed-out', facts: {}, message: 'x' }, 401)];
    store.dispatch(editQueued(say('e1', { action: 'armlock' })));
    await until(() => selectStatus(store.getState()) === 'signed-out');
    expect(store.getState().edits.pending).toHaveLength(1);
    await store.dispatch(libraryApi.endpoints.library.initiate(undefined, { forceRefetch: true }));
    await until(isIdle);
    expect(actionOf()).toBe('armlock');
  });
});
