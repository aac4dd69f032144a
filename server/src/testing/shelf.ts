import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { afterAll, beforeAll, expect } from '@jest/globals';
import { unpackTimes, type MediaFile, type TimeTable } from '@odograph/core';
import type { Job, UnderWay } from '@odograph/core/contract';
import { v7 as newId } from 'uuid';
import { clipRequest } from './requests.js';
import { COACH, DEMO_FOLDER, TestApp, type Client } from './testApp.js';
import { made } from './video.js';

export const SOURCE = join(DEMO_FOLDER, 'lantern-final.mp4');
export const X264 = ['-c:v', 'libx264', '-preset', 'ultrafast'] as const;
/** Some of the demo's footage, its numbers in the pictures, coded otherwise. */
export const cut = (name: string, seconds: string, ...args: readonly string[]): Promise<string> =>
  made(name, '-t', seconds, '-i', SOURCE, ...args);

/** The first sound track of a file as samples, 8000 a second, two bytes each. */
const samplesOf = (path: string): Buffer =>
  execFileSync('ffmpeg', [
    ...['-v', 'error', '-i', path, '-map', '0:a:0', '-ac', '1', '-ar', '8000'],
    ...['-f', 's16le', 'pipe:1'],
  ]);

/** How loud the sound of a file is, ten values a second: the root of the mean square, 0 … 1. */
export const loudness = (path: string): readonly number[] => {
  const raw = samplesOf(path);
  const per = 800;
  return Array.from({ length: Math.floor(raw.length / 2 / per) }, (_, i) => {
    let sum = 0;
    for (let k = 0; k < per; k++) sum += (raw.readInt16LE((i * per + k) * 2) / 32_768) ** 2;
    return Math.sqrt(sum / per);
  });
};
/** Seconds of sound that a file holds. */
export const soundS = (path: string): number => samplesOf(path).length / 16_000;

/** Asks again and again, until there is an answer. */
export const until = async <T>(ask: () => Promise<T | undefined>): Promise<T> => {
  for (;;) {
    const found = await ask();
    if (found !== undefined) return found;
    await pause(40);
  }
};

/** An empty folder. */
export const folderFor = (): string => mkdtempSync(join(tmpdir(), 'odograph-odd-'));
export const range = (from: number, to: number): readonly number[] =>
  Array.from({ length: to - from }, (_, i) => from + i);

/** What a coach does with files of all kinds: taking them in, putting them on the shelf, cutting clips out of them. */

export const shelfOf = (coach: Client) => {
  const put = (bytes: Buffer) => coach.put(`/api/files/${newId()}?name=x.mp4`, bytes);
  const take = async (path: string): Promise<MediaFile> => {
    const { status, body } = await put(readFileSync(path));
    expect([status, body]).toEqual([200, expect.anything()]);
    return body as MediaFile;
  };
  const refused = async (bytes: Buffer): Promise<unknown> => {
    const { status, body } = await put(bytes);
    expect(status).toBe(422);
    return (body as { facts: { fault: unknown } }).facts.fault;
  };
  const jobsOf = async (id: string): Promise<readonly Job[]> =>
    ((await coach.ask('GET', '/api/under-way')).body as UnderWay).jobs.filter((j) => j.subjectId === id);
  const jobEnded = (id: string, kind: Job['kind']): Promise<Job> =>
    until(async () => (await jobsOf(id)).find((j) => j.kind === kind && ['done', 'failed'].includes(j.state)));
  const fileNow = async (id: string): Promise<MediaFile> =>
    ((await coach.ask('GET', '/api/library/base')).body as { files: MediaFile[] }).files.find((f) => f.id === id)!;
  const times = async (path: string): Promise<TimeTable> => {
    const answer = await coach.raw(path);
    expect(answer.status).toBe(200);
    return unpackTimes(new Uint8Array(await answer.arrayBuffer()));
  };
  const onShelf = async (file: MediaFile): Promise<string> => {
    const angleId = newId();
    const said = {
      editId: newId(),
      id: newId(),
      angleId,
      fileId: file.id,
      title: 'Odd',
      setting: 'training',
      gi: true,
    };
    const athletes = { athleteA: { id: newId(), name: 'Orla Venn' }, athleteB: { id: newId(), name: 'Sten Abara' } };
    expect((await coach.ask('POST', '/api/footage', { ...said, ...athletes })).status).toBe(200);
    return angleId;
  };
  /** Cuts stretches out as one video; gives its path, or why it was not made. */
  const cutOut = async (
    stretches: readonly (readonly [angleId: string, from: number, to: number])[],
    format: 'mp4' | 'webm' = 'mp4',
  ): Promise<string> => {
    const clipIds: string[] = [];
    for (const [angleId, inFrame, outFrame] of stretches) {
      const request = clipRequest(angleId);
      const clip = { ...request.clip, inFrame, outFrame };
      expect((await coach.ask('POST', '/api/clips', { ...request, clip })).status).toBe(200);
      clipIds.push(clip.id);
    }
    const id = newId();
    expect((await coach.ask('POST', '/api/cuts', { id, clipIds, format })).status).toBe(204);
    const job = await jobEnded(id, 'cut');
    expect([job.state, job.why]).toEqual(['done', null]);
    const path = join(mkdtempSync(join(tmpdir(), 'odograph-odd-')), `cut.${format}`);
    writeFileSync(path, Buffer.from(await (await coach.raw(`/api/cuts/${id}`)).arrayBuffer()));
    return path;
  };
  return { put, take, refused, jobsOf, jobEnded, fileNow, times, onShelf, cutOut };
};

type OnShelf = { app: TestApp; coach: Client; shelf: ReturnType<typeof shelfOf> };

/** A server with a worker, and a coach with a shelf, for all tests of a file: there before the first one, gone after the last. */
export const withShelf = (): Readonly<OnShelf> => {
  const on: Partial<OnShelf> = {};
  beforeAll(async () => {
    on.app = await TestApp.start({ demo: 'rooms', worker: true });
    on.coach = await on.app.signedIn(COACH);
    on.shelf = shelfOf(on.coach);
  });
  afterAll(() => on.app?.stop());
  return on as OnShelf;
};
