import { createHash } from 'node:crypto';
import {
  copyFileSync,
  existsSync,
  mkdirSync,
  openSync,
  readFileSync,
  readdirSync,
  symlinkSync,
  utimesSync,
  writeFileSync,
  writeSync,
} from 'node:fs';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { UnderWay, Upload } from '@odograph/core/contract';
import { v7 as newId } from 'uuid';
import { Room } from '../media/room.js';
import { libraryOf } from '../testing/requests.js';
import { COACH, OTHER_COACH, STUDENT, TestApp, type Client } from '../testing/testApp.js';
import { made } from '../testing/video.js';
import { UploadsService } from './uploads.service.js';

const base64 = (text: string): string => Buffer.from(text).toString('base64');
const sha256 = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex');

describe('files on their way in', () => {
  let app: TestApp, coach: Client, student: Client, other: Client, video: Buffer;
  beforeAll(async () => {
    app = await TestApp.start({ demo: 'rooms', worker: true });
    [coach, student, other] = (await Promise.all([COACH, STUDENT, OTHER_COACH].map((who) => app.signedIn(who)))) as [
      Client,
      Client,
      Client,
    ];
    video = readFileSync(await made('short.mp4', '-f', 'lavfi', '-i', 'testsrc=s=160x90:r=10:d=3', '-c:v', 'libx264'));
  });
  afterAll(() => app.stop());

  const begin = (who: Client, id: string, name: string, size: number): Promise<Response> =>
    who.send('POST', '/api/incoming', {
      'upload-length': String(size),
      'upload-metadata': `id ${base64(id)},name ${base64(name)}`,
    });
  const piece = (who: Client, id: string, offset: number, bytes: Uint8Array): Promise<Response> =>
    who.send(
      'PATCH',
      `/api/incoming/${id}`,
      { 'upload-offset': String(offset), 'content-type': 'application/offset+octet-stream' },
      bytes,
    );
  const offset = async (who: Client, id: string): Promise<number> =>
    Number((await who.send('HEAD', `/api/incoming/${id}`)).headers.get('upload-offset'));
  const done = (who: Client, id: string, bytes: Uint8Array) =>
    who.ask('POST', `/api/uploads/${id}/done`, { sha256: sha256(bytes) });
  const uploads = async (who: Client): Promise<readonly Upload[]> =>
    ((await who.ask('GET', '/api/under-way')).body as UnderWay).uploads;
  const read = async (id: string): Promise<Upload> => {
    for (;;) {
      const found = (await uploads(coach)).find((u) => u.id === id);
      if (found && ['taken', 'refused'].includes(found.state)) return found;
      await pause(40);
    }
  };
  const sent = async (name: string, bytes: Uint8Array): Promise<Upload> => {
    const id = newId();
    expect((await begin(coach, id, name, bytes.length)).status).toBe(201);
    expect((await piece(coach, id, 0, bytes)).status).toBe(204);
    expect((await done(coach, id, bytes)).status).toBe(204);
    return read(id);
  };
  /** Another file of the same pictures: a video may carry anything behind its end. */
  const another = (): Buffer =>
    Buffer.concat([video, Buffer.from([0, 0, 0, 24]), Buffer.from('free'), Buffer.from(newId().slice(0, 16))]);

  test('when a file comes in pieces, broken off between them, it should go on where it was and be the same in the end', async () => {
    const bytes = another();
    const id = newId();
    await begin(coach, id, 'in pieces.mp4', bytes.length);
    const [third, half] = [Math.floor(bytes.length / 3), Math.floor(bytes.length / 2)];
    await piece(coach, id, 0, bytes.subarray(0, third));
    expect(await offset(coach, id)).toBe(third);
    expect((await piece(coach, id, 7, bytes.subarray(7, 100))).status).toBe(409);
    expect((await done(coach, id, bytes)).body).toMatchObject({
      code: 'not-whole',
      facts: { bytes: third, ofBytes: bytes.length },
    });
    await piece(coach, id, third, bytes.subarray(third, half));
    expect((await uploads(coach)).find((u) => u.id === id)).toMatchObject({
      state: 'coming',
      offset: half,
      isMine: true,
    });
    await piece(coach, id, half, bytes.subarray(half));
    await done(coach, id, bytes);
    expect(await read(id)).toMatchObject({ state: 'taken', fileId: id, frames: 30 });
    const back = await coach.raw(`/api/files/${id}/media`);
    expect(sha256(new Uint8Array(await back.arrayBuffer()))).toBe(sha256(bytes));
    expect(existsSync(join(app.config.dataDir, 'incoming', id))).toBe(false);
    // said twice, it is one
    expect((await done(coach, id, bytes)).status).toBe(204);
  });

  test('when what arrived is not what was sent, it should be refused, and be gone', async () => {
    const bytes = another();
    const id = newId();
    await begin(coach, id, 'bent.mp4', bytes.length);
    await piece(coach, id, 0, bytes);
    await done(coach, id, video);
    expect(await read(id)).toMatchObject({ state: 'refused', why: { code: 'hash-differs' } });
    expect(readdirSync(join(app.config.dataDir, 'incoming')).filter((n) => n.startsWith(id))).toEqual([]);
    expect((await coach.ask('DELETE', `/api/uploads/${id}`)).status).toBe(204);
    expect((await uploads(coach)).some((u) => u.id === id)).toBe(false);
  });

  test('when the same file comes a second time, it should be known as the one that is here', async () => {
    const bytes = another();
    const first = await sent('first.mp4', bytes);
    const second = await sent('copy.mp4', bytes);
    expect(second).toMatchObject({ state: 'taken', fileId: first.id });
    expect((await libraryOf(coach)).files.filter((f) => f.sha256 === sha256(bytes))).toHaveLength(1);
  });

  test('when a file is given up that is on no shelf, it should go; what is on one stays', async () => {
    const { id } = await sent('unwanted.mp4', another());
    expect((await coach.ask('DELETE', `/api/uploads/${id}`)).status).toBe(204);
    expect((await coach.ask('GET', `/api/files/${id}/times`)).status).toBe(404);
  });

  test.each([
    ['nobody is signed in', () => app.client(), 401],
    ['a student asks', () => student, 403],
    ['another academy asks', () => other, 404],
  ])('when %s, every way into an upload should be closed', async (_, who, status) => {
    const id = newId();
    await begin(coach, id, 'mine.mp4', 1000);
    await piece(coach, id, 0, new Uint8Array(10));
    const asked = [
      (await who().send('HEAD', `/api/incoming/${id}`)).status,
      (await piece(who(), id, 10, new Uint8Array(10))).status,
      (await who().send('DELETE', `/api/incoming/${id}`)).status,
      (await done(who(), id, video)).status,
      (await who().ask('DELETE', `/api/uploads/${id}`)).status,
    ];
    expect(asked).toEqual(asked.map(() => status));
    if (status !== 404) {
      expect((await begin(who(), newId(), 'x.mp4', 10)).status).toBe(status);
      expect((await who().ask('GET', '/api/under-way')).status).toBe(status);
    } else {
      expect((await uploads(who())).some((u) => u.id === id)).toBe(false);
      // what comes in lies under its id alone: nobody else may begin it anew
      expect((await begin(who(), id, 'same id.mp4', 10)).status).toBe(409);
    }
    expect(await offset(coach, id)).toBe(10);
  });

  test.each([
    ['no id', { 'upload-length': '5', 'upload-metadata': `name ${base64('x')}` }],
    [
      'an id that is a path',
      { 'upload-length': '5', 'upload-metadata': `id ${base64('../../etc/passwd')},name ${base64('x')}` },
    ],
    ['no name', { 'upload-length': '5', 'upload-metadata': `id ${base64(newId())}` }],
    ['no size', { 'upload-metadata': `id ${base64(newId())},name ${base64('x')}` }],
    [
      'more than can be taken',
      { 'upload-length': String(2 ** 40), 'upload-metadata': `id ${base64(newId())},name ${base64('x')}` },
    ],
  ])('when an upload is begun with %s, it should be refused with a reason', async (_, headers) => {
    const answer = await coach.send('POST', '/api/incoming', headers);
    expect(answer.status).toBe(400);
    expect(await answer.json()).toMatchObject({ code: 'invalid' });
  });

  test('when several begin while the room is for one, each should count with what those before have still to send', async () => {
    const room = app.app.get(Room);
    const { freeBytes } = room;
    const before = await app.app.get(UploadsService).freeBytes();
    const has = (await room.forUploadsBytes()) - before;
    room.freeBytes = () => Promise.resolve(room.keptFreeBytes + has + 100 * 2 ** 20);
    try {
      const ids = [newId(), newId(), newId()];
      const begun = await Promise.all(ids.map((id) => begin(coach, id, 'large.mp4', 60 * 2 ** 20)));
      expect(begun.map((b) => b.status).sort()).toEqual([201, 507, 507]);
      const id = ids[begun.findIndex((b) => b.status === 201)]!;
      // given up, its room is free again, and nothing of it is on record
      expect((await coach.send('DELETE', `/api/incoming/${id}`)).status).toBe(204);
      while ((await uploads(coach)).some((u) => ids.includes(u.id))) await pause(20);
      const again = newId();
      expect((await begin(coach, again, 'large.mp4', 60 * 2 ** 20)).status).toBe(201);
      await coach.ask('DELETE', `/api/uploads/${again}`);
    } finally {
      room.freeBytes = freeBytes.bind(room);
    }
  });

  test('when more begin at once than there are connections to the database, each should begin without waiting for long', async () => {
    const beginAll = async (ids: readonly string[]): Promise<number> => {
      const began = Date.now();
      const statuses = await Promise.all(ids.map(async (id) => (await begin(coach, id, 'many.mp4', 1000)).status));
      expect(statuses).toEqual(ids.map(() => 201));
      return Date.now() - began;
    };
    const ids = Array.from({ length: 30 }, () => newId());
    // how long as many take of which none has to wait for a connection, on a machine as busy as it is now
    let inTurn = 0;
    const few = ids.slice(0, 5);
    for (const id of few) inTurn += await beginAll([id]);
    const many = ids.slice(few.length);
    // one that waited in vain for a connection would wait for ten seconds
    expect(await beginAll(many)).toBeLessThan(8000 + (inTurn / few.length) * many.length);
    for (const id of ids) await coach.send('DELETE', `/api/incoming/${id}`);
  });

  test('when the id is written in capitals, it should be refused; NUL in a name go; pages of other addresses be told nothing', async () => {
    const id = newId();
    const capitals = await begin(coach, id.toUpperCase(), 'x.mp4', 10);
    expect([capitals.status, ((await capitals.json()) as { facts: unknown }).facts]).toEqual([
      400,
      { fields: [{ field: 'id', fault: { code: 'capitals' } }] },
    ]);
    expect((await begin(coach, id, 'a\u0000b.mp4', 10)).status).toBe(201);
    expect((await uploads(coach)).find((u) => u.id === id)!.name).toBe('ab.mp4');
    const head = await coach.send('HEAD', `/api/incoming/${id}`, { origin: 'https://elsewhere.example' });
    expect([head.status, head.headers.get('access-control-allow-origin')]).toEqual([200, null]);
    expect((await coach.send('HEAD', `/api/incoming/${id.toUpperCase()}`)).status).toBe(400);
    await coach.ask('DELETE', `/api/uploads/${id}`);
    // what is wrong is said of the field
    const wrong = await begin(coach, newId(), 'x.mp4', 0);
    expect(await wrong.json()).toEqual({
      code: 'invalid',
      facts: { fields: [{ field: 'size', fault: { code: 'too-small', facts: { least: 1 } } }] },
    });
  });

  test('when the protocol itself refuses a beginning, nothing should be on record', async () => {
    const id = newId();
    const refused = await coach.send('POST', '/api/incoming', {
      'tus-resumable': '0.2.0',
      'upload-length': '10',
      'upload-metadata': `id ${base64(id)},name ${base64('x.mp4')}`,
    });
    expect(refused.status).toBeGreaterThanOrEqual(400);
    while ((await uploads(coach)).some((u) => u.id === id)) await pause(20);
    expect((await begin(coach, id, 'x.mp4', 10)).status).toBe(201);
    await coach.ask('DELETE', `/api/uploads/${id}`);
  });

  test('when the disk has too little room left, an upload should be refused before anything is sent', async () => {
    const room = app.app.get(Room);
    const real = room.freeBytes.bind(room);
    room.freeBytes = () => Promise.resolve(600 * 2 ** 20);
    try {
      const refused = await begin(coach, newId(), 'long.mp4', 200 * 2 ** 20);
      expect(refused.status).toBe(507);
      const { code, facts } = (await refused.json()) as { code: string; facts: Record<string, number> };
      expect([code, facts['neededBytes']]).toEqual(['no-room', 200 * 2 ** 20]);
      // less what others have still to send
      expect(facts['freeBytes']).toBeLessThanOrEqual(100 * 2 ** 20);
      expect(facts['freeBytes']).toBeGreaterThan(90 * 2 ** 20);
      expect((await begin(coach, newId(), 'short.mp4', 50 * 2 ** 20)).status).toBe(201);
    } finally {
      room.freeBytes = real;
    }
  });

  test('when files are put into the inbox, whole ones should be taken in once, half ones wait, and links not be followed', async () => {
    const academy = (await libraryOf(coach)).academy.id;
    const inbox = join(app.config.dataDir, 'inbox', academy);
    mkdirSync(inbox, { recursive: true });
    const bytes = another();
    writeFileSync(join(inbox, 'from a stick.mp4'), bytes);
    writeFileSync(join(inbox, 'loading.mp4.part'), bytes);
    symlinkSync('/etc/hostname', join(inbox, 'link.mp4'));
    // a program still writes: the file is not whole, however long it does not change
    const growing = openSync(join(inbox, 'growing.mp4'), 'w');
    writeSync(growing, video.subarray(0, 100));
    const found = async (): Promise<readonly Upload[]> => (await uploads(coach)).filter((u) => u.source === 'inbox');
    while (!(await found()).some((u) => u.state === 'taken')) await pause(100);
    const again = Date.now() + 4000;
    while (Date.now() < again) await pause(200);
    expect((await found()).map((u) => [u.name, u.state, u.frames])).toEqual([['from a stick.mp4', 'taken', 30]]);
    expect(existsSync(join(inbox, 'from a stick.mp4'))).toBe(true);
    copyFileSync(join(inbox, 'from a stick.mp4'), join(inbox, 'a copy.mp4'));
    while ((await found()).length < 2) await pause(100);
    while ((await found()).some((u) => u.state === 'reading')) await pause(50);
    const [first, second] = await found();
    expect(second).toMatchObject({ name: 'a copy.mp4', state: 'taken', fileId: first!.fileId });
  });

  test('when an upload was left a week ago, what came of it should be cleared', async () => {
    const id = newId();
    await begin(coach, id, 'left.mp4', 1000);
    await piece(coach, id, 0, new Uint8Array(500));
    const orphan = join(app.config.dataDir, 'incoming', 'nobodys');
    writeFileSync(orphan, 'x');
    const long = new Date(Date.now() - 8 * 86_400_000);
    utimesSync(orphan, long, long);
    await app.app.get(UploadsService).clearLeftovers(new Date(Date.now() + 8 * 86_400_000));
    expect(existsSync(orphan)).toBe(false);
    expect(existsSync(join(app.config.dataDir, 'incoming', id))).toBe(false);
    expect((await uploads(coach)).some((u) => u.id === id)).toBe(false);
  });
});
