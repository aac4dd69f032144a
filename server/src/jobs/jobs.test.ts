import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { afterAll, beforeAll, describe, expect, jest, test } from '@jest/globals';
import { alignEnvelopes, frameStartS, unpackTimes, type MediaFile, type TimeTable } from '@odograph/core';
import type { Job, Prepared, UnderWay } from '@odograph/core/contract';
import { v7 as newId } from 'uuid';
import { Sequelize } from 'sequelize';
import { probe } from '../media/probe.js';
import { JobFault } from '../media/tool.js';
import { clipRequest } from '../testing/requests.js';
import { COACH, DEMO_FOLDER, TestApp, type Client } from '../testing/testApp.js';
import { made, numbersIn } from '../testing/video.js';
import { Handlers } from './handlers.js';

const SOURCE = join(DEMO_FOLDER, 'lantern-final.mp4');
/** Some of the demo's footage, its numbers in the pictures, coded otherwise. */
const cut = (name: string, ...args: readonly string[]): Promise<string> =>
  made(name, '-t', '1.2', '-i', SOURCE, ...args);

/** Ways in which cameras and programs write video, each with what it must come out as. */
const KINDS: readonly (readonly [
  name: string,
  file: () => Promise<string>,
  playable: boolean,
  size: readonly [number, number],
])[] = [
  [
    'MOV from a phone, held upright',
    async () => {
      const flat = await cut('flat.mp4', '-c:v', 'libx264', '-preset', 'ultrafast', '-c:a', 'aac');
      return made('turned.mov', '-i', flat, '-c', 'copy', '-metadata:s:v:0', 'rotate=90');
    },
    true,
    [360, 640],
  ],
  ['HEVC', () => cut('hevc.mp4', '-c:v', 'libx265', '-x265-params', 'log-level=error', '-an'), false, [640, 360]],
  [
    'VP9 in WebM',
    () => cut('vp9.webm', '-c:v', 'libvpx-vp9', '-deadline', 'realtime', '-cpu-used', '8', '-c:a', 'libopus'),
    true,
    [640, 360],
  ],
  ['AV1', () => cut('av1.mp4', '-c:v', 'libsvtav1', '-preset', '12', '-an'), true, [640, 360]],
  ['MPEG-4 in AVI', () => cut('old.avi', '-c:v', 'mpeg4', '-q:v', '3', '-c:a', 'mp3'), false, [640, 360]],
  ['MPEG-TS', () => cut('live.ts', '-c:v', 'libx264', '-preset', 'ultrafast', '-c:a', 'aac'), false, [640, 360]],
  ['ProRes', () => cut('studio.mov', '-c:v', 'prores_ks', '-profile:v', '0', '-an'), false, [640, 360]],
  [
    'MKV with two sound tracks',
    () =>
      cut(
        'two.mkv',
        '-map',
        '0:v',
        '-map',
        '0:a',
        '-map',
        '0:a',
        '-c:v',
        'libx264',
        '-preset',
        'ultrafast',
        '-c:a',
        'aac',
      ),
    true,
    [640, 360],
  ],
  [
    'pixels that are not square',
    () => cut('wide.mp4', '-vf', 'setsar=4/3', '-c:v', 'libx264', '-preset', 'ultrafast', '-an'),
    true,
    [853, 360],
  ],
  [
    'a variable rate',
    () =>
      cut(
        'vary.mp4',
        '-vf',
        "select='gt(random(7)\\,0.25)'",
        '-vsync',
        'vfr',
        '-c:v',
        'libx264',
        '-preset',
        'ultrafast',
        '-an',
      ),
    true,
    [640, 360],
  ],
  [
    'a start that is not zero',
    async () => {
      const early = await cut('early.mp4', '-c:v', 'libx264', '-preset', 'ultrafast', '-c:a', 'aac');
      return made('late.mp4', '-i', early, '-c', 'copy', '-output_ts_offset', '2.5');
    },
    true,
    [640, 360],
  ],
  [
    '59.94 frames a second',
    () => cut('fast.mp4', '-r', '60000/1001', '-c:v', 'libx264', '-preset', 'ultrafast', '-an'),
    true,
    [640, 360],
  ],
  [
    'key frames far apart and many B-frames',
    () => cut('far.mp4', '-c:v', 'libx264', '-preset', 'ultrafast', '-g', '600', '-bf', '8', '-an'),
    true,
    [640, 360],
  ],
];

describe('what is made of a file', () => {
  let app: TestApp, coach: Client;
  const taken = new Map<string, { readonly source: string; readonly file: MediaFile }>();
  beforeAll(async () => {
    app = await TestApp.start({ demo: 'rooms', worker: true });
    coach = await app.signedIn(COACH);
    // all of them first: the jobs of one go on while the next is being made
    for (const [name, path] of KINDS) {
      const source = await path();
      taken.set(name, { source, file: await take(source) });
    }
  });
  afterAll(() => app.stop());

  const take = async (path: string): Promise<MediaFile> => {
    const { status, body } = await coach.put(`/api/files/${newId()}?name=x.mp4`, readFileSync(path));
    expect([status, body]).toEqual([200, expect.anything()]);
    return body as MediaFile;
  };
  const jobsOf = async (id: string): Promise<readonly Job[]> => {
    const { status, body } = await coach.ask('GET', '/api/under-way');
    // a connection that was killed may just have been given to this question: then it is asked again, as the page does
    if (status === 503) return [];
    expect(status).toBe(200);
    return (body as UnderWay).jobs.filter((j) => j.subjectId === id);
  };
  /** Waits until all jobs of a file have ended. */
  const ended = async (file: MediaFile): Promise<readonly Job[]> => {
    // proxy, what moves, pictures for lists; and the sound
    const kinds = file.hasSound ? 4 : 3;
    for (;;) {
      const jobs = await jobsOf(file.id);
      if (jobs.some((j) => j.state === 'failed')) return jobs;
      if (jobs.filter((j) => j.state === 'done').length === kinds) return jobs;
      await pause(50);
    }
  };
  const bytes = async (path: string): Promise<Uint8Array> => {
    const answer = await coach.raw(path);
    expect(answer.status).toBe(200);
    return new Uint8Array(await answer.arrayBuffer());
  };
  const times = async (path: string): Promise<TimeTable> => unpackTimes(await bytes(path));

  test.each(KINDS)(
    'when %s is taken in, the proxy should have exactly its frames, at the same times, and be shown upright',
    async (name, _, playable, [width, height]) => {
      const { source, file } = taken.get(name)!;
      expect({ playable: file.playable, width: file.width, height: file.height }).toEqual({ playable, width, height });
      expect(file.cutOff).toBe(false);
      const jobs = await ended(file);
      expect(jobs.map((j) => [j.kind, j.state, j.why])).toEqual(jobs.map((j) => [j.kind, 'done', null]));
      const proxy = app.path(file.id, 'proxy.mp4');
      const shown = await probe(proxy);
      expect(shown).toMatchObject({
        ok: true,
        probed: { width: 2 * Math.round((width * 360) / height / 2), height: 360 },
      });
      const isTurned = height > width;
      // lying again, as the strip is read
      const lying = isTurned
        ? await made(
            `back-${file.id}.mp4`,
            '-i',
            proxy,
            '-vf',
            'transpose=1',
            '-s',
            '640x360',
            '-fps_mode',
            'passthrough',
          )
        : proxy;
      const numbers = await numbersIn(lying);
      expect(numbers).toEqual(await numbersIn(source, ...(isTurned ? ['-noautorotate'] : [])));
      const [original, stepping] = [
        await times(`/api/files/${file.id}/times`),
        await times(`/api/files/${file.id}/proxy/times`),
      ];
      expect([original.ticks.length, stepping.ticks.length]).toEqual([numbers.length, numbers.length]);
      for (let f = 0; f < numbers.length; f++)
        expect(frameStartS(stepping, f) - frameStartS(stepping, 0)).toBeCloseTo(
          frameStartS(original, f) - frameStartS(original, 0),
          3,
        );
    },
  );

  test('when a file has sound, a whistle should stand in it where it is heard, and two cameras of one bout be found to agree', async () => {
    const begin = (name: string, of: string): Promise<string> => made(name, '-t', '20', '-i', of, '-c', 'copy');
    const first = await take(await begin('first.mp4', SOURCE));
    const second = await take(await begin('phone.mp4', join(DEMO_FOLDER, 'lantern-final-phone.mp4')));
    await Promise.all([ended(first), ended(second)]);
    const [a, b] = [await bytes(`/api/files/${first.id}/sound`), await bytes(`/api/files/${second.id}/sound`)];
    expect(a.length / 100).toBeCloseTo(first.seconds, 0);
    const found = alignEnvelopes({ fromS: 0, levels: a }, { fromS: 0, levels: b })!;
    expect(Math.abs(found.offsetS - 3.72)).toBeLessThan(1 / 30);
    const look = JSON.parse(Buffer.from(await bytes(`/api/files/${first.id}/look`)).toString()) as {
      activity: number[];
      cuts: number[];
      tiles: { frames: number[] };
    };
    expect(look.activity.length).toBe(Math.ceil((first.seconds + 1 / 25) / 0.2));
    expect(look.tiles.frames).toHaveLength(Math.floor(first.seconds + 1 / 25));
    expect((await bytes(`/api/files/${first.id}/strip`)).length).toBeGreaterThan(10_000);
    expect((await coach.ask('GET', `/api/files/${first.id}/prepared`)).body).toEqual({
      proxy: true,
      look: true,
      sound: true,
      isThinned: false,
      readyFrames: 0,
      fault: null,
    } satisfies Prepared);
  });

  test('when the database goes away under a job, the job should be begun anew, and given up once it has been begun too often', async () => {
    for (const { file } of taken.values()) await ended(file);
    const { source } = taken.get('AV1')!;
    const [handlers, sequelize] = [app.app.get(Handlers), app.app.get(Sequelize)];
    const done = handlers.do.bind(handlers);
    let left = 1;
    const spy = jest.spyOn(handlers, 'do').mockImplementation(async (job, work) => {
      // the connection is cut in the middle of a query
      if (job.kind === 'look' && left-- > 0) await sequelize.query('KILL CONNECTION_ID()');
      await done(job, work);
    });
    const look = async (): Promise<Job> => (await ended(await take(source))).find((j) => j.kind === 'look')!;
    expect(await look()).toMatchObject({ state: 'done', tries: 2, why: null });
    left = 99;
    expect(await look()).toMatchObject({
      state: 'failed',
      why: { code: 'given-up', facts: { times: 3 } },
    });
    spy.mockRestore();
  });

  test('when a file cannot be made ready for stepping, whoever waits for that should be told why', async () => {
    const handlers = app.app.get(Handlers);
    const done = handlers.do.bind(handlers);
    const spy = jest.spyOn(handlers, 'do').mockImplementation((job, work) => {
      if (job.kind === 'proxy') throw new JobFault({ code: 'damaged' });
      return done(job, work);
    });
    try {
      const file = await take(taken.get('AV1')!.source);
      while (!(await jobsOf(file.id)).some((j) => j.kind === 'proxy' && j.state === 'failed')) await pause(50);
      expect((await coach.ask('GET', `/api/files/${file.id}/prepared`)).body).toMatchObject({
        proxy: false,
        fault: { code: 'damaged' },
      });
    } finally {
      spy.mockRestore();
    }
  });

  test('when views change in a file, its cuts should be those frames', async () => {
    const path = await made(
      'cuts.mp4',
      '-i',
      SOURCE,
      '-i',
      join(DEMO_FOLDER, 'harbour-open.mp4'),
      '-filter_complex',
      '[0:v]trim=0:2,setpts=PTS-STARTPTS,fps=25[a];[1:v]trim=5:7,setpts=PTS-STARTPTS,fps=25[b];[a][b]concat=n=2:v=1',
      '-c:v',
      'libx264',
    );
    const file = await take(path);
    await ended(file);
    expect(JSON.parse(Buffer.from(await bytes(`/api/files/${file.id}/look`)).toString())).toMatchObject({ cuts: [50] });
  });

  test.each(['mp4', 'webm'] as const)(
    'when clips of several files are cut out as %s, the video should hold exactly their frames, one after the other',
    async (format) => {
      const pieces = [];
      for (const [name, from, to] of [
        ['a variable rate', 5, 19],
        ['a start that is not zero', 3, 22],
        ['key frames far apart and many B-frames', 11, 12],
      ] as const) {
        const { file, source } = taken.get(name)!;
        const angleId = newId();
        await coach.ask('POST', '/api/footage', {
          ...{ editId: newId(), id: newId(), angleId, fileId: file.id, title: name, setting: 'training', gi: true },
          ...{ athleteA: { id: newId(), name: 'Orla Venn' }, athleteB: { id: newId(), name: 'Sten Abara' } },
        });
        const request = clipRequest(angleId);
        await coach.ask('POST', '/api/clips', {
          ...request,
          clip: { ...request.clip, inFrame: from, outFrame: to },
        });
        pieces.push({ clipId: request.clip.id, numbers: (await numbersIn(source)).slice(from, to) });
      }
      const id = newId();
      const clipIds = pieces.map((p) => p.clipId);
      expect((await coach.ask('POST', '/api/cuts', { id, clipIds, format })).status).toBe(204);
      for (;;) {
        const [job] = await jobsOf(id);
        expect(job?.why ?? null).toBeNull();
        if (job?.state === 'done') break;
        await pause(50);
      }
      const path = await made(`got.${format}`, '-f', 'lavfi', '-i', 'color=s=16x16:d=0.1');
      writeFileSync(path, await bytes(`/api/cuts/${id}`));
      expect(await numbersIn(path)).toEqual(pieces.flatMap((p) => p.numbers));
    },
  );
});
