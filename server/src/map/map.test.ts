import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import {
  BARE_HOLD,
  RowTable,
  Tally,
  applyRows,
  buildLines,
  loggedOf,
  unpackRows,
  wordsOf,
  type LineBook,
  type RowsMessage,
} from '@odograph/core';
import { v7 as newId } from 'uuid';
import { joined } from '../testing/people.js';
import { libraryOf, newClip, newPiece } from '../testing/requests.js';
import { COACH, OTHER_COACH, TestApp, type Client } from '../testing/testApp.js';

const askRows = async (client: Client, since?: number, tag?: string) => {
  const response = await client.raw(
    `/api/map/rows${since === undefined ? '' : `?since=${since}`}`,
    tag === undefined ? {} : { 'if-none-match': tag },
  );
  const bytes = new Uint8Array(await response.arrayBuffer());
  return { status: response.status, tag: response.headers.get('etag')!, bytes };
};
const messageOf = (bytes: Uint8Array): RowsMessage =>
  unpackRows(bytes.buffer.slice(bytes.byteOffset, bytes.byteOffset + bytes.byteLength) as ArrayBuffer);

describe('rows for the map', () => {
  let app: TestApp, coach: Client;
  beforeAll(async () => {
    app = await TestApp.start({ demo: 'rooms' });
    coach = await app.signedIn(COACH);
  });
  afterAll(() => app.stop());
  const counted = async (client: Client): Promise<LineBook> => {
    const library = await libraryOf(client);
    return buildLines(loggedOf(library), wordsOf(library));
  };

  test('when rows are asked for, counting them should give what the library gives', async () => {
    const { status, bytes } = await askRows(coach);
    const table = new RowTable();
    applyRows(table, messageOf(bytes));
    expect(status).toBe(200);
    expect(new Tally(table).book()).toEqual(await counted(coach));
  });

  test('when nothing has changed since, the answer should be that, by tag and by version', async () => {
    const { tag, bytes } = await askRows(coach);
    const { version } = messageOf(bytes);
    expect(await askRows(coach, undefined, tag)).toMatchObject({ status: 304, tag });
    expect((await askRows(coach, version)).status).toBe(304);
    const other = await app.signedIn(OTHER_COACH);
    expect((await askRows(other, undefined, tag)).status).toBe(200);
  });

  test('when attempts are made, changed, removed and brought back, only they should come, and counts follow', async () => {
    const table = new RowTable();
    const whole = messageOf((await askRows(coach)).bytes);
    applyRows(table, whole);
    const tally = new Tally(table);
    let { version } = whole;
    const follow = async (): Promise<number> => {
      const message = messageOf((await askRows(coach, version)).bytes);
      expect(message.whole).toBe(false);
      ({ version } = message);
      tally.update(applyRows(table, message));
      expect(tally.book()).toEqual(await counted(coach));
      return message.ids.length + message.removed.length;
    };
    const { angleId, footage } = await newPiece(coach);
    const said = {
      state: { position: 'mount', role: 'top' },
      action: 'armlock',
      result: 'success',
      finish: { kind: 'submission', submission: 'straight-armlock', won: true },
    };
    const { attempt, clip } = await newClip(coach, angleId, { attempt: said });
    expect(await follow()).toBe(1);
    const changes = { result: 'failed', finish: null };
    await coach.ask('PATCH', `/api/attempts/${attempt.id}`, { editId: newId(), baseVersion: 1, changes });
    expect(await follow()).toBe(1);
    const hold = {
      id: newId(),
      holder: 'subject',
      limb: 'hand',
      limbSide: 'right',
      kind: 'grip',
      target: 'wrist',
      targetOwner: 'other',
      targetSide: 'left',
      ...BARE_HOLD,
      cloth: false,
      gained: null,
      lost: null,
    };
    await coach.ask('PATCH', `/api/attempts/${attempt.id}`, {
      editId: newId(),
      baseVersion: 2,
      changes: { controls: [hold] },
    });
    expect(await follow()).toBe(1);
    await coach.ask('DELETE', `/api/clips/${clip.id}`, { editId: newId(), baseVersion: 1 });
    expect(await follow()).toBe(1);
    await coach.ask('POST', '/api/undo', { editId: newId() });
    expect(await follow()).toBe(1);
    await coach.ask('PATCH', `/api/footage/${footage.id}`, {
      editId: newId(),
      baseVersion: 1,
      changes: { logged: 'throughout' },
    });
    expect(await follow()).toBe(1);
    const rated = tally.book().attempts;
    const spans = [{ fromMs: 0, toMs: 600_000, kind: 'logged throughout' }];
    await coach.ask('PATCH', `/api/footage/${footage.id}`, {
      editId: newId(),
      baseVersion: 2,
      changes: { logged: 'picked', spans },
    });
    expect(await follow()).toBe(1);
    expect(tally.book().attempts).toBe(rated);
    // the camera is moved out of the stretch
    await coach.ask('PATCH', `/api/angles/${angleId}`, {
      editId: newId(),
      baseVersion: 1,
      changes: { offsetMs: 700_000 },
    });
    expect(await follow()).toBe(1);
    expect(tally.book().attempts).toBe(rated - 1);
    await coach.ask('DELETE', `/api/footage/${footage.id}`, { editId: newId(), baseVersion: 3 });
    expect(await follow()).toBe(1);
  });

  test('when words change, everything should come again, since any row may mean something else', async () => {
    const { version } = messageOf((await askRows(coach)).bytes);
    await coach.ask('PUT', '/api/words', {
      editId: newId(),
      id: newId(),
      baseVersion: null,
      kind: 'position',
      key: 'mount',
      name: 'high mount',
      hidden: false,
      aliases: [],
      definition: null,
      scope: { kind: 'academy' },
    });
    expect(messageOf((await askRows(coach, version)).bytes).whole).toBe(true);
    expect((await coach.raw('/api/map/rows?since=soon')).status).toBe(400);
  });

  test('when a student asks, only what may be shown to the academy should be in it', async () => {
    const student = await joined(app, coach, 'student', 'Maps Student');
    const { angleId, footage } = await newPiece(coach);
    const { attempt } = await newClip(coach, angleId);
    expect(messageOf((await askRows(coach)).bytes).ids).toContain(attempt.id);
    expect(messageOf((await askRows(student)).bytes).ids).not.toContain(attempt.id);
    for (const id of [footage.athleteA, footage.athleteB])
      await coach.ask('PATCH', `/api/persons/${id}`, {
        editId: newId(),
        baseVersion: 1,
        changes: { shownTo: 'anyone' },
      });
    expect(messageOf((await askRows(student, 1)).bytes).ids).toContain(attempt.id);
  });

  test('when the bytes travel, they should be packed by gzip', async () => {
    const { headers } = await coach.raw('/api/map/rows');
    expect(headers.get('content-encoding')).toBe('gzip');
  });
});
