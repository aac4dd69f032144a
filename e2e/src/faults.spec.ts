import { existsSync, readFileSync, readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { expect, test } from '@playwright/test';
import type { Library } from '@odograph/core';
import type { JobKind } from '@odograph/core/contract';
import { v7 as newId } from 'uuid';
import { Asker, Parts } from './support/parts.js';
import { madeOf, numbersIn } from './support/video.js';

// what one leaves the others need; in `npm test`: a database that goes away under a job in `jobs.test.ts`, a server and worker killed in `intake.spec.ts`
test.describe.configure({ mode: 'serial' });

const parts = new Parts();
let first: Asker, second: Asker;
test.beforeAll(async () => {
  await parts.databaseUp();
  // both at once on an empty database: one makes the tables, the other waits for it
  const [one, other] = await Promise.all([parts.server(), parts.server()]);
  first = await Asker.founding(one);
  second = first.at(other);
});
test.afterAll(() => parts.dispose());

const film = (name: string, seconds: string): Buffer =>
  readFileSync(
    madeOf('lantern-final', name, ['-c:v', 'libx264', '-preset', 'ultrafast', '-c:a', 'aac'], ['-t', seconds]),
  );
/** Where what was made of a file lies. */
const madeOfFile = (fileId: string, name: string): string => {
  const media = join(parts.media, 'media');
  return join(media, readdirSync(media)[0]!, fileId, name);
};
const ready = async (of: Asker, fileId: string): Promise<readonly number[]> => {
  const jobs = [];
  for (const kind of ['proxy', 'sound', 'look', 'stills'] as const) jobs.push(await of.untilJob(kind, fileId, 'done'));
  return jobs.map((j) => j.tries);
};

const KINDS = ['read', 'proxy', 'sound', 'look', 'cut', 'stills'] as const satisfies readonly JobKind[];
const LOOKS = ['look.json', 'strip.jpg'];
const prepared = new Map<JobKind, { readonly bytes: Buffer; readonly fileId: string }>();

test('when two servers and two workers share one database, each file should be taken in once and made ready once, whoever asks whom @stress', async () => {
  const workers = [parts.worker(), parts.worker()];
  const films = ['1', '1.2', '1.4', '1.6'].map((seconds) => film(`shared ${seconds}.mp4`, seconds));
  const ids = await Promise.all(films.map((bytes, i) => (i % 2 ? first : second).send(`${i}.mp4`, bytes)));
  for (const [i, id] of ids.entries()) {
    // sent to the one, asked of the other
    const asked = i % 2 ? second : first;
    expect(await ready(asked, id), 'each job was begun once').toEqual([1, 1, 1, 1]);
    expect((await asked.uploads()).find((u) => u.id === id)).toMatchObject({ state: 'taken', fileId: id });
    expect(numbersIn(readFileSync(madeOfFile(id, 'proxy.mp4')))).toEqual(numbersIn(films[i]!));
  }
  const rows = parts.sql('SELECT COUNT(*), COUNT(DISTINCT worker) FROM jobs').trim().split('\t').map(Number);
  expect(rows[0]).toBe(4 * 5);
  expect(rows[1], 'both have worked').toBe(2);
  expect(parts.sql('SELECT COUNT(*) FROM files').trim()).toBe('4');
  expect(readdirSync(join(parts.media, 'working'))).toEqual([]);
  // what later tests do again is made ready here, while there are workers
  for (const kind of KINDS.filter((k) => k !== 'read')) {
    const bytes = film(`killed ${kind}.mp4`, '1');
    prepared.set(kind, { bytes, fileId: await first.send(`${kind}.mp4`, bytes) });
  }
  for (const { fileId } of prepared.values()) await ready(first, fileId);
  for (const worker of workers) await parts.end(worker);
});

/** A clip of a file, so that it can be cut. */
const clipOf = async (fileId: string): Promise<string> => {
  const [angleId, clipId] = [newId(), newId()];
  await first.post('/api/footage', {
    ...{ editId: newId(), id: newId(), angleId, fileId, title: 'A round', setting: 'training', gi: true },
    ...{ athleteA: { id: newId(), name: 'Orla Venn' }, athleteB: { id: newId(), name: 'Sten Abara' } },
  });
  const clip = { id: clipId, angleId, inFrame: 3, outFrame: 12 };
  await first.post('/api/clips', { editId: newId(), attempt: { id: newId(), subject: 'a' }, clip });
  return clipId;
};

for (const kind of KINDS)
  test(`when a worker is killed while it does a job (${kind}), another should take it up, and what comes of it be there once @stress`, async () => {
    const bytes = prepared.get(kind)?.bytes ?? film(`killed ${kind}.mp4`, '1');
    const fileId = prepared.get(kind)?.fileId ?? (await first.send(`${kind}.mp4`, bytes));
    let subjectId: string = fileId;
    if (kind !== 'read') {
      await ready(first, fileId);
      subjectId = kind === 'cut' ? newId() : fileId;
      if (kind === 'stills') {
        // a clip whose first frame is to be shown in lists, of long ago, so that its job is put in line by nobody else
        await clipOf(fileId);
        parts.sql('UPDATE clips SET changed_at = changed_at - INTERVAL 1 HOUR');
      }
      // the proxy has brought these along
      if (kind === 'look') for (const name of LOOKS) rmSync(madeOfFile(fileId, name));
      if (kind === 'cut')
        await first.post('/api/cuts', { id: subjectId, clipIds: [await clipOf(fileId)], format: 'mp4' });
      // done once more: there is no other way to have only this one
      else
        parts.sql(`UPDATE jobs SET state = 'waiting', tries = 0 WHERE kind = '${kind}' AND subject_id = '${fileId}'`);
    }
    const doomed = parts.unendingWorker();
    await first.untilJob(kind, subjectId, 'running');
    const working = join(parts.media, 'working');
    // these write as they go; of the others nothing is to be seen while they run
    if (['proxy', 'cut'].includes(kind))
      while (!readdirSync(working).some((job) => readdirSync(join(working, job)).length)) await pause(40);
    await parts.kill(doomed);
    const next = parts.worker();
    // one waits as long as it takes to be sure that the worker is gone; the others are told
    if (kind !== 'proxy')
      parts.sql(`UPDATE jobs SET lease_until = UTC_TIMESTAMP(3) - INTERVAL 1 SECOND WHERE state = 'running'`);
    const { tries } = await first.untilJob(kind, subjectId, 'done');
    expect(tries).toBe(2);
    if (kind !== 'cut') await ready(first, fileId);
    await parts.end(next);
    for (const name of LOOKS) expect(existsSync(madeOfFile(fileId, name))).toBe(true);
    const numbers = numbersIn(bytes);
    expect(numbersIn(readFileSync(madeOfFile(fileId, 'proxy.mp4')))).toEqual(numbers);
    expect(parts.sql(`SELECT COUNT(*) FROM jobs WHERE subject_id = '${subjectId}' AND kind = '${kind}'`).trim()).toBe(
      '1',
    );
    const { files } = await first.get<Library>('/api/library');
    expect(files.filter((f) => f.id === fileId)).toHaveLength(1);
    if (kind === 'cut') {
      const video = await (await first.client.get(`${first.url}/api/cuts/${subjectId}`)).body();
      expect(numbersIn(video)).toEqual(numbers.slice(3, 12));
    }
  });

test('when the database is restarted while a job runs, the job should come to its end, and the servers answer again @stress', async () => {
  const bytes = film('restarted.mp4', '12');
  const fileId = await first.send('restarted.mp4', bytes);
  const worker = parts.worker();
  await first.untilJob('proxy', fileId, 'running');
  await parts.databaseKilled();
  // the servers notice
  for (const { client, url } of [first, second])
    await expect.poll(async () => (await client.get(`${url}/api/health`)).status(), { timeout: 60_000 }).not.toBe(200);
  await parts.databaseUp();
  expect(worker.exitCode).toBeNull();
  for (const asked of [first, second]) await asked.untilJob('proxy', fileId, 'done');
  await ready(second, fileId);
  expect(numbersIn(readFileSync(madeOfFile(fileId, 'proxy.mp4')))).toEqual(numbersIn(bytes));
  expect(existsSync(madeOfFile(fileId, 'look.json'))).toBe(true);
  await parts.end(worker);
});
