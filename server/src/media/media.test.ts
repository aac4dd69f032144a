import { execFile } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { unpackTimes, type MediaFile } from '@odograph/core';
import { v7 as newId } from 'uuid';
import { MediaService } from './media.service.js';
import { Room } from './room.js';
import { libraryOf } from '../testing/requests.js';
import { OTHER_COACH, COACH, DEMO_FILES, STUDENT, TestApp, demoVideo, type Client } from '../testing/testApp.js';
import { made, numbersIn } from '../testing/video.js';

describe('media', () => {
  let app: TestApp, coach: Client, video: Buffer;
  const folder = mkdtempSync(join(tmpdir(), 'odograph-odd-'));
  beforeAll(async () => {
    app = await TestApp.start({ demo: 'rooms' });
    coach = await app.signedIn(COACH);
    video = await demoVideo();
  });
  afterAll(() => app.stop());
  const take = (name: string, bytes: Uint8Array, id = newId()) =>
    coach.put(`/api/files/${id}?name=${encodeURIComponent(name)}`, bytes);
  const bytesMade = async (name: string, ...args: string[]): Promise<Buffer> => readFileSync(await made(name, ...args));
  const ticksOf = async (id: string): Promise<number[]> => {
    const answer = await coach.raw(`/api/files/${id}/times`);
    return [...unpackTimes(new Uint8Array(await answer.arrayBuffer())).ticks];
  };

  test.each(DEMO_FILES.map((name) => [name] as const))(
    'when %s is taken in, its times should be those that ffprobe counts frame by frame',
    async (name) => {
      const { body } = await take('x.mp4', await demoVideo(name));
      const file = body as MediaFile;
      const { stdout: probed } = await promisify(execFile)('ffprobe', [
        '-v',
        'error',
        '-select_streams',
        'v:0',
        '-show_entries',
        'frame=pts',
        '-of',
        'csv=p=0',
        join(__dirname, '../../../demo/footage', `${name}.mp4`),
      ]);
      const ticks = probed
        .split('\n')
        .map((line) => line.split(',')[0])
        .filter((t) => t !== '' && t !== undefined)
        .map(Number);
      expect(await ticksOf(file.id)).toEqual(ticks);
      expect(file.frames).toBe(ticks.length);
    },
  );

  test('when a file is given captions, they should be kept for it; a text without any is refused, and students give none', async () => {
    const { body } = await take('x.mp4', video);
    const { id } = body as MediaFile;
    const at = `/api/files/${id}/captions`;
    expect((await coach.ask('GET', at)).body).toEqual({ captions: [], unread: 0 });
    const text = 'WEBVTT\n\n00:02.000 --> 00:03.500\nKnee to the elbow\n\n00:05.000 --> 00:04.000\nbackwards';
    const given = { captions: [{ fromS: 2, toS: 3.5, text: 'Knee to the elbow' }], unread: 1 };
    expect((await coach.ask('PUT', at, { text })).body).toEqual(given);
    expect((await coach.ask('PUT', at, { text: 'nothing of the kind' })).body).toMatchObject({
      facts: { fields: [{ field: 'text' }] },
    });
    expect((await coach.ask('GET', at)).body).toEqual(given);
    const other = await app.signedIn(OTHER_COACH);
    expect((await other.ask('PUT', at, { text })).status).toBe(404);
    expect((await other.ask('GET', at)).status).toBe(404);
  });

  test('when an earlier version kept times as JSON, they should be packed at the start and be the same', async () => {
    const { body } = await take('x.mp4', video);
    const { id } = body as MediaFile;
    const ticks = await ticksOf(id);
    const deltas = ticks.map((t, i) => (i === 0 ? t : t - ticks[i - 1]!));
    writeFileSync(app.path(id, 'times.json'), JSON.stringify({ deltas }));
    rmSync(app.path(id, 'times'));
    await app.app.get(MediaService).renew();
    expect(await ticksOf(id)).toEqual(ticks);
    expect(existsSync(app.path(id, 'times.json'))).toBe(false);
  });

  test('when a browser asks for a part, that part should come, never to be kept by others', async () => {
    const { body } = await take('x.mp4', video);
    const { id } = body as MediaFile;
    const part = await coach.raw(`/api/files/${id}/media`, { range: 'bytes=100-199' });
    expect(part.status).toBe(206);
    expect(Buffer.from(await part.arrayBuffer())).toEqual(video.subarray(100, 200));
    expect(part.headers.get('cache-control')).toMatch(/^private/);
    expect(part.headers.get('vary')).toMatch(/cookie/i);
    expect(part.headers.get('content-type')).toBe('video/mp4');
    // a part, like everything else of a file, is for those of its academy alone
    const [other, nobody] = [await app.signedIn(OTHER_COACH), app.client()];
    for (const path of [
      'media',
      'times',
      'proxy',
      'proxy/times',
      'strip',
      'look',
      'sound',
      'stills/0.jpg',
      'prepared',
    ]) {
      const range = { range: 'bytes=0-9' };
      const asked = [other, nobody].map(async (who) => (await who.raw(`/api/files/${id}/${path}`, range)).status);
      expect([path, ...(await Promise.all(asked))]).toEqual([path, 404, 401]);
    }
  });

  test('when a part behind the end is asked for, how long it is should be said, and nothing be sent as a video', async () => {
    const { body } = await take('r.mp4', await demoVideo());
    const file = body as MediaFile;
    const beyond = await coach.raw(`/api/files/${file.id}/media`, { range: `bytes=${file.sizeBytes + 1}-` });
    expect([beyond.status, beyond.headers.get('content-range'), await beyond.text()]).toEqual([
      416,
      `bytes */${file.sizeBytes}`,
      '',
    ]);
    expect(beyond.headers.get('content-type')).toBeNull();
  });

  test('when media are kept by a browser, it should ask each time, and be told that they are the same; who may see them no longer is told nothing', async () => {
    const { body } = await take('k.mp4', await demoVideo());
    const path = `/api/files/${(body as MediaFile).id}/media`;
    const first = await coach.raw(path);
    await first.arrayBuffer();
    const etag = first.headers.get('etag')!;
    expect([first.headers.get('cache-control'), etag.startsWith('W/')]).toEqual(['private, no-cache', false]);
    expect((await coach.raw(path, { 'if-none-match': etag, 'cache-control': 'max-age=0' })).status).toBe(304);
    const student = await app.signedIn(STUDENT);
    expect((await student.raw(path, { 'if-none-match': etag })).status).toBe(404);
    for (const own of [
      '/api/me',
      '/api/people',
      '/api/letters',
      '/api/sessions',
      '/api/library/base',
      '/api/export/library.json',
    ])
      expect([own, (await coach.raw(own)).headers.get('cache-control')]).toEqual([own, 'no-store']);
  });

  test('when a file is sent as one body and there is no room, it should be refused, and nothing stay', async () => {
    const room = app.app.get(Room);
    const { freeBytes } = room;
    room.freeBytes = () => Promise.resolve(room.keptFreeBytes + 1000);
    try {
      expect(await take('big.mp4', await demoVideo())).toMatchObject({ status: 507, body: { code: 'no-room' } });
      expect(readdirSync(join(app.config.dataDir, 'incoming'))).toEqual([]);
    } finally {
      room.freeBytes = freeBytes.bind(room);
    }
  });

  test('when one asks for a hundred cold pictures, another academy should not wait behind them, and what nobody waits for be dropped', async () => {
    const { body } = await take('s.mp4', await demoVideo());
    const { id } = body as MediaFile;
    const other = await app.signedIn(OTHER_COACH);
    const theirs = (await other.put(`/api/files/${newId()}?name=o.mp4`, await demoVideo('leg-class')))
      .body as MediaFile;
    const gone = new AbortController();
    const { cookie } = coach;
    let answered = 0;
    const many = Array.from({ length: 100 }, (_, f) =>
      fetch(`${app.url}/api/files/${id}/stills/${f}.jpg`, { headers: { cookie }, signal: gone.signal })
        .then((a) => a.arrayBuffer())
        .then(() => answered++)
        .catch(() => undefined),
    );
    expect((await other.raw(`/api/files/${theirs.id}/stills/5.jpg`)).status).toBe(200);
    // behind them it would come last
    expect(answered).toBeLessThan(50);
    gone.abort();
    await Promise.all(many);
    expect((await coach.raw(`/api/files/${id}/stills/500.jpg`)).status).toBe(200);
    expect(readdirSync(app.path(id, 'stills')).length).toBeLessThan(80);
  });

  test('when a WebM is taken in, it should be kept as one', async () => {
    const webm = await bytesMade('small.webm', '-f', 'lavfi', '-i', 'testsrc=s=160x90:r=10:d=1', '-c:v', 'libvpx-vp9');
    expect(await take('small.webm', webm)).toMatchObject({
      status: 200,
      body: { mime: 'video/webm', frames: 10, width: 160, height: 90 },
    });
  });

  test.each([
    ['a text called .mp4', 'notes.mp4', () => Buffer.from('this is no video, only words'), 'unknown-kind'],
    ['an empty file', 'empty.mp4', () => Buffer.alloc(0), 'empty'],
    [
      'a cut-off file',
      'cut.mp4',
      () => readFileSync(join(__dirname, '../../../demo/footage/lantern-final.mp4')).subarray(0, 5000),
      'index-missing',
    ],
    [
      'sound alone',
      'sound.mp4',
      () => bytesMade('sound.mp4', '-f', 'lavfi', '-i', 'sine=d=1', '-c:a', 'aac'),
      'no-picture',
    ],
    [
      'a playlist that points at a local file',
      'list.mp4',
      () => Buffer.from('#EXTM3U\n#EXTINF:1,\nfile:///etc/passwd\n'),
      'playlist',
    ],
    [
      'a playlist that points at another upload',
      'other.mp4',
      () =>
        Buffer.from(
          `#EXTM3U\n#EXT-X-TARGETDURATION:9\n#EXTINF:9,\n${join(app.config.dataDir, 'media')}/x/y/original\n#EXT-X-ENDLIST\n`,
        ),
      'playlist',
    ],
    [
      'a playlist that points at an address of this machine',
      'address.mp4',
      () => Buffer.from('ffconcat version 1.0\nfile http://127.0.0.1:1/x.mp4\n'),
      'playlist',
    ],
    [
      'an index that points at pictures of other files',
      'numbers.mp4',
      () => Buffer.from('<?xml version="1.0"?>\n<MPD><BaseURL>file:///etc/</BaseURL></MPD>'),
      'playlist',
    ],
    [
      'a list dressed as a container',
      'concat.mp4',
      () =>
        Buffer.concat([
          Buffer.from('\0\0\0\x18ftypisom', 'latin1'),
          Buffer.from('ffconcat version 1.0\nfile /etc/passwd\n'),
        ]),
      expect.stringMatching(/damaged|index-missing|no-picture/),
    ],
  ])('when %s is dropped, it should be refused in a sentence and leave nothing behind', async (_, name, bytes, why) => {
    const id = newId();
    const { status, body } = await take(name, await bytes(), id);
    expect(status).toBe(422);
    const { code, facts } = body as { code: string; facts: { fault: { code: string } } };
    expect([code, facts.fault.code]).toEqual(['not-video', why]);
    expect((await coach.ask('GET', `/api/files/${id}/media`)).status).toBe(404);
    expect(readdirSync(join(app.config.dataDir, 'incoming'))).toEqual([]);
    expect((await libraryOf(coach)).files.some((f) => f.id === id)).toBe(false);
  });

  test('when the same file comes twice under one id, it should be one; another file under that id is refused', async () => {
    const id = newId();
    const [first, second] = [await take('x.mp4', video, id), await take('x.mp4', video, id)];
    expect(second.body).toEqual(first.body);
    expect(await take('y.mp4', await demoVideo('thursday-round'), id)).toMatchObject({
      status: 409,
      body: { code: 'id-taken' },
    });
  });

  test('when the same file arrives under one id twice at once, it should be one; of two others, one', async () => {
    const id = newId();
    const twice = await Promise.all([take('x.mp4', video, id), take('x.mp4', video, id)]);
    expect(twice.map((a) => a.status)).toEqual([200, 200]);
    const other = newId();
    const answers = await Promise.all([
      take('x.mp4', video, other),
      take('y.mp4', await demoVideo('thursday-round'), other),
    ]);
    expect(answers.map((a) => a.status).sort()).toEqual([200, 409]);
    const kept = answers.find((a) => a.status === 200)!.body as MediaFile;
    expect(await ticksOf(other)).toHaveLength(kept.frames);
    const bytes = Buffer.from(await (await coach.raw(`/api/files/${other}/media`)).arrayBuffer());
    expect(bytes).toHaveLength(kept.sizeBytes);
  });

  test('when the id or the name is wrong, the field should be named', async () => {
    expect((await take('x.mp4', video, 'not-an-id')).body).toMatchObject({
      code: 'invalid',
      facts: { fields: [{ field: 'id' }] },
    });
    expect((await take('', video)).body).toMatchObject({ code: 'invalid', facts: { fields: [{ field: 'name' }] } });
    expect((await take('../../etc/passwd', video)).status).toBe(200);
  });

  test('when a still is asked for, it should be a picture of that very frame, made once', async () => {
    const { body } = await take('x.mp4', video);
    const { id } = body as MediaFile;
    const still = await coach.raw(`/api/files/${id}/stills/200.jpg`);
    const bytes = Buffer.from(await still.arrayBuffer());
    const path = join(folder, 'still.jpg');
    writeFileSync(path, bytes);
    expect(await numbersIn(path)).toEqual([200]);
    expect((await coach.ask('GET', `/api/files/${id}/stills/1084.jpg`)).status).toBe(404);
    expect((await coach.ask('GET', `/api/files/${id}/stills/x.jpg`)).status).toBe(400);
  });

  test('when a file is damaged inside, it should be taken in with its times, and a picture that cannot be read be refused with a reason', async () => {
    const bytes = Buffer.from(await demoVideo('leg-class'));
    const from = bytes.indexOf('mdat') + 4;
    bytes.fill(0x5a, from + 1000);
    const { status, body } = await take('hurt.mp4', bytes);
    expect(status).toBe(200);
    const still = await coach.ask('GET', `/api/files/${(body as MediaFile).id}/stills/400.jpg`);
    expect([still.status, still.body]).toEqual([422, { code: 'no-picture', facts: { frame: 400 } }]);
  });
});
