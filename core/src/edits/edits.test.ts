import { describe, expect, test } from '@jest/globals';
import { BARE_ROUTE } from '../teaching/index.js';
import type { Attempt, Clip } from '../attempts/index.js';
import type { Person } from '../people/index.js';
import { BARE_CLIP, BARE_FOOTAGE, draftAttempt } from '../rows/index.js';
import { attemptEdit, newClip as newClipRequest, newClips, newMoment, wordEdit } from '../contract/index.js';
import { NO_ROWS, type Library } from '../library/index.js';
import { fieldsSent, requestOf, rowIdOf, seenVersion, withEdits, withoutFields, type LibraryEdit } from './index.js';

const at = (frame: number) => ({ frame, pts: frame * 10 });
const attempt = (id: string, more: Partial<Attempt> = {}): Attempt => ({
  ...draftAttempt({ id, footageId: 'footage', angleId: 'angle', subject: 'a', start: at(0), end: at(9) }),
  version: 1,
  ...more,
});
const clipOn = (attemptId: string, id: string, more: Partial<Clip> = {}): Clip => ({
  ...{ ...BARE_CLIP, id, version: 1, attemptId, angleId: 'angle', in: at(0), out: at(9) },
  ...more,
});
const person = (id: string): Person => ({
  ...{ id, version: 1, name: id, athlete: true, member: false, accountId: null },
  ...{ level: null, age: null, filming: null, shownTo: null },
});
const library: Library = {
  ...{ format: 'odograph-library', formatVersion: 1, academy: { id: 'academy', name: 'A room', timeZone: 'UTC' } },
  ...{ ...NO_ROWS, wordChanges: [], routes: [{ id: 'r', version: 1, name: 'r', steps: [], ...BARE_ROUTE }] },
  persons: [person('orla'), person('sten')],
  footage: [
    {
      ...{ ...BARE_FOOTAGE, id: 'footage', version: 1, title: 'A round', setting: 'training', logged: 'throughout' },
      ...{ live: true, gi: true, counted: true, date: null, athleteA: 'orla', athleteB: 'sten', kitA: '', kitB: '' },
    },
  ],
  angles: [
    {
      ...{ id: 'angle', version: 1, footageId: 'footage', fileId: 'file', fromFrame: 0, toFrame: 100 },
      ...{ fromPts: 0, toPts: 1000, offsetMs: 0, rate: 1, kind: 'live', region: null, leftMark: '', rightMark: '' },
    },
  ],
  attempts: [attempt('1'), attempt('2')],
  clips: [clipOn('1', 'c1'), clipOn('1', 'c2'), clipOn('2', 'c3')],
};
const ID = '01c29c88-57ac-7843-a116-b40c6a451c8';
const say = (editId: string, changes: Partial<Attempt>, id = '1'): LibraryEdit => ({
  ...{ kind: 'attempt', editId, id, changes },
});

describe('edits that are not saved yet', () => {
  test('when they are laid over the library, the person should see them in their order', () => {
    const seen = withEdits(library, [
      say('e1', { action: 'armlock' }),
      say('e2', { action: 'triangle' }),
      { kind: 'remove', what: 'clip', editId: 'e3', id: 'c3' },
    ]);
    expect(seen.attempts).toEqual([expect.objectContaining({ id: '1', action: 'triangle' })]);
    expect(seen.clips.map((c) => c.id)).toEqual(['c1', 'c2']);
    expect(library.attempts[0]!.action).toBeNull();
  });

  test('when one clip of two over an attempt goes, the attempt should stay', () => {
    expect(withEdits(library, [{ kind: 'remove', what: 'clip', editId: 'e', id: 'c1' }]).attempts).toHaveLength(2);
  });

  test('when an edit becomes a request, it should carry the version in which its author saw the row', () => {
    const edit = say('e', { action: 'armlock' });
    const rows = { ...library, attempts: [attempt('1', { version: 7 })] };
    expect(requestOf(edit, seenVersion(edit, rows))).toEqual({
      url: 'attempts/1',
      method: 'PATCH',
      body: { editId: 'e', baseVersion: 7, changes: { action: 'armlock' } },
    });
    expect(seenVersion(say('e', {}, 'gone'), rows)).toBeNull();
    expect(seenVersion({ kind: 'remove', what: 'clip', editId: 'e', id: 'c1' }, rows)).toBe(1);
    expect(seenVersion({ kind: 'undo', editId: 'e' }, rows)).toBeNull();
    expect([rowIdOf(edit), rowIdOf({ kind: 'undo', editId: 'e' })]).toEqual(['1', null]);
  });
});

describe('edits of every kind', () => {
  const route = library.routes[0]!;
  test('when footage goes, its clips and attempts should go from view with it', () => {
    const seen = withEdits(library, [{ kind: 'remove', what: 'footage', editId: 'e', id: 'footage' }]);
    expect([seen.footage, seen.angles, seen.attempts, seen.clips]).toEqual([[], [], [], []]);
    expect(seen.persons).toEqual(library.persons);
  });

  test('when records are made, changed or removed, the view and the request should follow', () => {
    const edits: readonly (readonly [LibraryEdit, string, string])[] = [
      [{ kind: 'new route', editId: 'e', route: { ...route, id: 'r2' } }, 'POST', 'routes'],
      [{ kind: 'route', editId: 'e', id: 'r', changes: { name: 'x' } }, 'PATCH', 'routes/r'],
      [{ kind: 'remove', what: 'route', editId: 'e', id: 'r' }, 'DELETE', 'routes/r'],
      [{ kind: 'new person', editId: 'e', person: library.persons[0]! }, 'POST', 'persons'],
      [{ kind: 'remove', what: 'person', editId: 'e', id: 'orla' }, 'DELETE', 'persons/orla'],
      [{ kind: 'restore', what: 'clip', editId: 'e', id: 'c' }, 'POST', 'bin/restore'],
      [{ kind: 'aliases', editId: 'e', lines: [] }, 'POST', 'words/aliases'],
      [{ kind: 'undo', editId: 'e' }, 'POST', 'undo'],
    ];
    for (const [edit, method, url] of edits)
      expect(requestOf(edit, seenVersion(edit, library))).toMatchObject({ method, url });
    const routesAfter = edits.slice(0, 3).map(([edit]) => withEdits(library, [edit]).routes.map((r) => r.name));
    expect(routesAfter).toEqual([['r', 'r'], ['x'], []]);
  });

  test('when some fields are left to the other, only the rest should go out; nothing where none is left', () => {
    const edit = say('e', { action: 'armlock', start: at(3) });
    expect(fieldsSent(edit)).toEqual({ action: 'armlock', startFrame: 3 });
    expect(withoutFields(edit, new Set(['startFrame']))).toEqual(say('e', { action: 'armlock' }));
    expect(withoutFields(edit, new Set(['startFrame', 'action']))).toBeNull();
  });

  test('when rows are made, what is sent should be what the server takes', () => {
    const made = {
      attempt: attempt(`${ID}1`, { commit: at(4) }),
      clip: clipOn(`${ID}1`, `${ID}2`, { angleId: `${ID}3` }),
    };
    const moment = {
      ...{ id: `${ID}4`, version: 0, footageId: 'footage', angleId: `${ID}3`, at: at(5), pressed: at(8), speed: 1 },
      ...{ settled: false, accountId: null, attemptId: null, state: null, subject: null, note: '' },
    };
    const edits: readonly (readonly [LibraryEdit, { validate: (body: unknown) => { error?: unknown } }])[] = [
      [{ kind: 'new clip', editId: `${ID}5`, ...made }, newClipRequest],
      [{ kind: 'new clips', editId: `${ID}5`, made: [made] }, newClips],
      [{ kind: 'new moment', editId: `${ID}5`, moment }, newMoment],
      [{ ...say(`${ID}5`, { start: at(2), commit: null, depth: 3 }) }, attemptEdit],
      [
        {
          ...{ kind: 'word', editId: `${ID}5` },
          change: { id: `${ID}6`, version: 0, kind: 'action', key: 'armlock', name: 'arm bar' },
        },
        wordEdit,
      ],
    ];
    for (const [edit, request] of edits) expect(request.validate(requestOf(edit, null).body).error).toBeUndefined();
  });

  test('when the edges of a clip move, what of its attempt lay on them should go along, and nothing lie outside', () => {
    const rows: Library = { ...library, attempts: [attempt('1', { start: at(0), commit: at(2), end: at(7) })] };
    const recut = (changes: Partial<Clip>): Attempt =>
      withEdits(rows, [{ kind: 'clip', editId: 'e', id: 'c1', changes }]).attempts[0]!;
    expect(recut({ in: at(3) })).toMatchObject({ start: at(3), commit: at(3), end: at(7) });
    expect(recut({ out: at(5) })).toMatchObject({ start: at(0), commit: at(2), end: at(5) });
    expect(recut({ note: 'again' })).toEqual(rows.attempts[0]);
  });

  test('when a sheet names somebody new, they should be there with it; a mark that is put somewhere should stay there', () => {
    const changes = { athleteB: { id: 'ana', name: 'Ana' } };
    const seen = withEdits(library, [{ kind: 'footage', editId: 'e', id: 'footage', changes }]);
    expect(seen.footage[0]).toMatchObject({ athleteA: 'orla', athleteB: 'ana' });
    expect(seen.persons.find((p) => p.id === 'ana')).toMatchObject({ name: 'Ana', athlete: true });
  });
});
