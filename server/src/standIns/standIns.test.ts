import { writeFileSync } from 'node:fs';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { Me } from '@odograph/core/contract';
import { v7 as newId } from 'uuid';
import { probe } from '../media/probe.js';
import { COACH, DEMO_FOLDER, STUDENT, TestApp, type Client } from '../testing/testApp.js';
import { made, numbersIn } from '../testing/video.js';

describe('what stands in for devices', () => {
  let app: TestApp, coach: Client, student: Client;
  beforeAll(async () => {
    app = await TestApp.start({ demo: 'rooms' });
    [coach, student] = (await Promise.all([COACH, STUDENT].map((who) => app.signedIn(who)))) as [Client, Client];
  });
  afterAll(() => app.stop());

  const film = async (which: 'first' | 'second'): Promise<{ readonly bytes: Buffer; readonly path: string }> => {
    const answer = await coach.raw(`/api/stand-ins/phones/${which}`);
    expect(answer.status).toBe(200);
    const bytes = Buffer.from(await answer.arrayBuffer());
    expect(answer.headers.get('content-length')).toBe(String(bytes.length));
    // a file of this name that the film then takes the place of
    const path = await made(`${which}.mov`, '-f', 'lavfi', '-i', 'color=s=16x16:d=0.1');
    writeFileSync(path, bytes);
    return { bytes, path };
  };

  test('when the first phone films, it should be a phone’s video: turned, HEVC, at a rate that varies, with the frames of the bout', async () => {
    const { path } = await film('first');
    const read = await probe(path);
    expect(read).toMatchObject({
      ok: true,
      probed: { codec: 'hevc', playable: false, hasSound: true, width: 640, height: 360 },
    });
    if (!read.ok) throw new Error(read.fault.code);
    const { ticks } = read.probed.times;
    expect(new Set(Array.from(ticks.slice(1), (t, i) => t - ticks[i]!)).size).toBeGreaterThan(1);
    const numbers = await numbersIn(path);
    const seen = await numbersIn(`${DEMO_FOLDER}/lantern-final.mp4`);
    expect(numbers).toHaveLength(ticks.length);
    expect(numbers.every((n, i) => seen.includes(n) && (i === 0 || n > numbers[i - 1]!))).toBe(true);
  });

  test('when the second phone films, its clock should run fast by 70 parts in a million', async () => {
    const { path, bytes } = await film('second');
    const read = await probe(path);
    if (!read.ok) throw new Error(read.fault.code);
    const { times } = read.probed;
    const lastS = (times.ticks.at(-1)! - times.ticks[0]!) / times.timeBaseDen;
    const frames = times.ticks.length - 1;
    expect((lastS * 30) / frames).toBeCloseTo(1 + 70e-6, 5);
    // filmed again it is another file
    expect((await film('second')).bytes.equals(bytes)).toBe(false);
  });

  test('when somebody asks who may not, or for a phone that is none, nothing should be filmed', async () => {
    expect((await student.raw('/api/stand-ins/phones/first')).status).toBe(403);
    expect((await app.client().raw('/api/stand-ins/phones/first')).status).toBe(401);
    expect((await coach.raw('/api/stand-ins/phones/third')).status).toBe(404);
  });

  test('when an academy is made up, the interface should know it; of one that somebody founds, not', async () => {
    expect(((await coach.ask('GET', '/api/me')).body as Me).academy.isDemo).toBe(true);
    const founder = app.client();
    const { headers } = await founder.ask('POST', '/api/academies', {
      academyId: newId(),
      academyName: 'Millbrook Mats',
      timeZone: 'UTC',
      name: 'Ada Quill',
      email: 'ada@millbrook.example',
      password: 'millbrook-mat-1',
    });
    const head = app.client(headers.get('set-cookie')!.split(';')[0]);
    expect(((await head.ask('GET', '/api/me')).body as Me).academy.isDemo).toBe(false);
    expect((await head.raw('/api/stand-ins/phones/first')).status).toBe(404);
  });
});
