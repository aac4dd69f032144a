import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  readdirSync,
  rmSync,
  statSync,
  statfsSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { MediaFile } from '@odograph/core';
import type { DiskUse, FileUse, Job, Prepared, UnderWay, Upload } from '@odograph/core/contract';
import { v7 as newId } from 'uuid';
import { Room } from '../media/room.js';
import { libraryOf, newClip, newFootageOf } from '../testing/requests.js';
import { COACH, OTHER_COACH, TestApp, type Client } from '../testing/testApp.js';
import { made } from '../testing/video.js';
import { UploadsService } from '../uploads/uploads.service.js';

const take = async (coach: Client, bytes: Buffer): Promise<MediaFile> =>
  (await coach.put(`/api/files/${newId()}?name=round.mp4`, bytes)).body as MediaFile;
const underWay = async (coach: Client): Promise<UnderWay> =>
  (await coach.ask('GET', '/api/under-way')).body as UnderWay;
const jobsOf = async (coach: Client, id: string): Promise<readonly Job[]> =>
  (await underWay(coach)).jobs.filter((j) => j.subjectId === id);
const until = async (holds: () => Promise<boolean>): Promise<void> => {
  while (!(await holds())) await pause(50);
};
const ready = (coach: Client, id: string): Promise<void> =>
  until(async () => (await jobsOf(coach, id)).filter((j) => j.state === 'done').length === 3);

describe('the disk', () => {
  let app: TestApp, coach: Client, video: Buffer;
  beforeAll(async () => {
    app = await TestApp.start({ demo: 'rooms', worker: true });
    coach = await app.signedIn(COACH);
    video = readFileSync(await made('disk.mp4', '-f', 'lavfi', '-i', 'testsrc=s=320x180:r=25:d=2', '-c:v', 'libx264'));
  });
  afterAll(() => app.stop());
  /** Another file of the same pictures. */
  const another = (): Buffer =>
    Buffer.concat([video, Buffer.from([0, 0, 0, 24]), Buffer.from('free'), Buffer.from(newId().slice(0, 16))]);
  const use = async (): Promise<DiskUse> => (await coach.ask('GET', '/api/disk')).body as DiskUse;
  const useOf = async (id: string): Promise<FileUse> => (await use()).files.find((f) => f.id === id)!;
  const prepared = async (id: string): Promise<Prepared> =>
    (await coach.ask('GET', `/api/files/${id}/prepared`)).body as Prepared;

  test('when what is used is asked for, it should be what lies there, by file and with the footage it shows', async () => {
    const file = await take(coach, another());
    await newFootageOf(coach, file.id, 'Sunday round');
    await ready(coach, file.id);
    const { originalBytes, steppingBytes, restBytes, ...rest } = await useOf(file.id);
    expect(rest).toMatchObject({ footage: ['Sunday round'], isInBin: false, isThinned: false, mayThin: true });
    expect(originalBytes).toBe(file.sizeBytes);
    const sizes = ['proxy.mp4', 'proxy.times'].map((name) => statSync(app.path(file.id, name)).size);
    expect(steppingBytes).toBe(sizes[0]! + sizes[1]!);
    const others = readdirSync(join(app.path(file.id, 'original'), '..')).filter(
      (name) => !['original', 'proxy.mp4', 'proxy.times'].includes(name),
    );
    expect(restBytes).toBe(others.reduce((sum, name) => sum + statSync(app.path(file.id, name)).size, 0));
    const other = await app.signedIn(OTHER_COACH);
    expect(((await other.ask('GET', '/api/disk')).body as DiskUse).files).toEqual([]);
    expect((await other.ask('POST', `/api/files/${file.id}/thin`)).status).toBe(404);
  });

  test('when a file is thinned, what is for stepping should go and stay away until it is asked for, the original as it was', async () => {
    const bytes = another();
    const { id } = await take(coach, bytes);
    await ready(coach, id);
    const times = readFileSync(app.path(id, 'proxy.times'));
    expect((await coach.ask('POST', `/api/files/${id}/thin`)).status).toBe(204);
    expect(existsSync(app.path(id, 'proxy.mp4'))).toBe(false);
    expect(await useOf(id)).toMatchObject({ steppingBytes: 0, isThinned: true, mayThin: false });
    expect(await prepared(id)).toMatchObject({ proxy: false, look: true, isThinned: true });
    expect(readFileSync(app.path(id, 'original'))).toEqual(bytes);
    // workers look for what is missing all the time: another file that comes now is made ready, this one is not
    const later = await take(coach, another());
    await ready(coach, later.id);
    expect(existsSync(app.path(id, 'proxy.mp4'))).toBe(false);
    expect((await coach.ask('POST', `/api/files/${id}/thin`)).body).toMatchObject({ code: 'in-use' });
    expect((await coach.ask('POST', `/api/files/${id}/prepare`)).status).toBe(204);
    await until(async () => (await prepared(id)).proxy);
    await ready(coach, id);
    expect(readFileSync(app.path(id, 'proxy.times'))).toEqual(times);
    expect(await prepared(id)).toMatchObject({ isThinned: false });
    expect((await coach.ask('POST', `/api/files/${id}/thin`)).status).toBe(204);
  });

  test('when clips were cut out a day ago, their video should be cleared', async () => {
    const file = await take(coach, another());
    const { angleId } = await newFootageOf(coach, file.id, 'To be cut');
    const { clip } = await newClip(coach, angleId);
    const id = newId();
    await coach.ask('POST', '/api/cuts', { id, clipIds: [clip.id], format: 'mp4' });
    await until(async () => (await jobsOf(coach, id)).some((j) => j.state === 'done'));
    expect((await use()).cutsBytes).toBeGreaterThan(1000);
    await app.app.get(UploadsService).clearLeftovers(new Date(Date.now() + 20 * 3_600_000));
    expect((await coach.raw(`/api/cuts/${id}`)).status).toBe(200);
    await app.app.get(UploadsService).clearLeftovers(new Date(Date.now() + 25 * 3_600_000));
    expect((await coach.raw(`/api/cuts/${id}`)).status).toBe(404);
    expect((await use()).cutsBytes).toBe(0);
  });

  test('when the inbox brings more than there is room for, it should say so, and take it in when there is', async () => {
    const room = app.app.get(Room);
    const real = room.freeBytes.bind(room);
    room.freeBytes = () => Promise.resolve(room.keptFreeBytes + 1000);
    const inbox = join(app.config.dataDir, 'inbox', (await libraryOf(coach)).academy.id);
    mkdirSync(inbox, { recursive: true });
    const name = 'too long.mp4';
    try {
      writeFileSync(join(inbox, name), another());
      const found = async (): Promise<Upload | undefined> =>
        (await underWay(coach)).uploads.find((u) => u.name === name);
      await until(async () => (await found()) !== undefined);
      expect(await found()).toMatchObject({ state: 'coming', source: 'inbox', why: { code: 'no-room' } });
      room.freeBytes = real;
      await until(async () => (await found())?.state === 'taken');
      expect(await found()).toMatchObject({ state: 'taken', why: null, frames: 50 });
    } finally {
      room.freeBytes = real;
    }
  });
});

/** A small file system of its own: a disk that can really be full. Only root may make one. */
const smallDisk = (): string | undefined => {
  const folder = mkdtempSync(join(tmpdir(), 'odograph-small-'));
  const mounted = spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=12m', 'tmpfs', folder]);
  if (mounted.status === 0) return folder;
  rmSync(folder, { recursive: true });
  return undefined;
};
const small = smallDisk();

(small ? describe : describe.skip)('a disk that is really full', () => {
  let app: TestApp, coach: Client;
  beforeAll(async () => {
    app = await TestApp.start({ demo: 'rooms', worker: true, dataDir: small! });
    coach = await app.signedIn(COACH);
  });
  afterAll(async () => {
    await app.stop();
    spawnSync('umount', [small!]);
    rmSync(small!, { recursive: true, force: true });
  });
  const begin = (id: string, size: number): Promise<Response> =>
    coach.send('POST', '/api/incoming', {
      'upload-length': String(size),
      'upload-metadata': `id ${btoa(id)},name ${btoa('long.mp4')}`,
    });
  const piece = (id: string, offset: number, bytes: Uint8Array): Promise<Response> =>
    coach.send(
      'PATCH',
      `/api/incoming/${id}`,
      { 'upload-offset': String(offset), 'content-type': 'application/offset+octet-stream' },
      bytes,
    );
  const offsetOf = async (id: string): Promise<number> =>
    Number((await coach.send('HEAD', `/api/incoming/${id}`)).headers.get('upload-offset'));

  test('when there is less room than must be kept free, an upload should be refused before anything is sent', async () => {
    expect(await (await begin(newId(), 4_000_000)).json()).toMatchObject({ code: 'no-room', facts: { freeBytes: 0 } });
  });

  test('when the disk runs full in the middle of an upload, it should be said, and go on where it was once there is room', async () => {
    const room = app.app.get(Room);
    // as if the room had been there when it began
    room.freeBytes = () => Promise.resolve(room.keptFreeBytes + 2 ** 30);
    const ballast = join(small!, 'ballast');
    writeFileSync(ballast, Buffer.alloc(7_000_000));
    const path = await made(
      'noise.mp4',
      '-f',
      'lavfi',
      '-i',
      'testsrc=s=640x360:r=25:d=2,noise=alls=60:allf=t',
      '-c:v',
      'mpeg4',
      '-q:v',
      '2',
    );
    const video = readFileSync(path);
    expect(video.length).toBeGreaterThan(5_500_000);
    const id = newId();
    expect((await begin(id, video.length)).status).toBe(201);
    const refused = await piece(id, 0, video);
    expect([refused.status, await refused.json()]).toEqual([507, expect.objectContaining({ code: 'disk-full' })]);
    rmSync(ballast);
    const at = await offsetOf(id);
    expect(at).toBeLessThan(video.length);
    expect((await piece(id, at, video.subarray(at))).status).toBe(204);
    const sha256 = createHash('sha256').update(video).digest('hex');
    expect((await coach.ask('POST', `/api/uploads/${id}/done`, { sha256 })).status).toBe(204);
    await until(async () => (await underWay(coach)).uploads.some((u) => u.id === id && u.state === 'taken'));
    const back = await coach.raw(`/api/files/${id}/media`);
    expect(
      createHash('sha256')
        .update(new Uint8Array(await back.arrayBuffer()))
        .digest('hex'),
    ).toBe(sha256);
  });

  test('when the disk is full while a file is made ready, the job should fail with its reason, and work once there is room', async () => {
    const path = await made('small.mp4', '-f', 'lavfi', '-i', 'testsrc=s=320x180:r=25:d=4', '-c:v', 'libx264');
    const { id } = await take(coach, readFileSync(path));
    await ready(coach, id);
    await coach.ask('POST', `/api/files/${id}/thin`);
    const ballast = join(small!, 'ballast');
    const { bavail, bsize } = statfsSync(small!);
    writeFileSync(ballast, Buffer.alloc(bavail * bsize - 8192));
    await coach.ask('POST', `/api/files/${id}/prepare`);
    const failed = async (): Promise<Job | undefined> => (await jobsOf(coach, id)).find((j) => j.state === 'failed');
    await until(async () => (await failed()) !== undefined);
    const { id: jobId, kind, why } = (await failed())!;
    expect([kind, why]).toEqual(['proxy', { code: 'disk-full' }]);
    rmSync(ballast);
    expect((await coach.ask('POST', `/api/jobs/${jobId}/again`)).status).toBe(204);
    await until(() => Promise.resolve(existsSync(app.path(id, 'proxy.mp4'))));
    await ready(coach, id);
  });
});
