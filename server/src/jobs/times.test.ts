import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, test } from '@jest/globals';
import { alignEnvelopes, frameStartS, type MediaFile } from '@odograph/core';
import { SOURCE, X264, cut, folderFor, withShelf, until } from '../testing/shelf.js';
import { clipRequest } from '../testing/requests.js';
import { made, numbersIn } from '../testing/video.js';
import { isThorough } from '../testing/thorough.js';

const ALL_LATE = [
  ['late.ts', ['-output_ts_offset', '600']],
  ['late.mp4', ['-output_ts_offset', '13.7', '-ar', '44100']],
  ['late.mkv', ['-output_ts_offset', '5', '-ar', '22050']],
] as const;
/** One of its kind; `npm run stress` looks at all. */
const LATE = isThorough ? ALL_LATE : ALL_LATE.slice(0, 1);

describe('times of odd files', () => {
  const on = withShelf();

  test.each(LATE)(
    'when %s does not begin at 0, what is heard should lie where it does, and line up with another camera',
    async (name, args) => {
      const plain = await on.shelf.take(await cut(`plain-${name}.mp4`, '20', ...X264, '-c:a', 'aac'));
      const late = await on.shelf.take(await cut(name, '20', ...X264, '-c:a', 'aac', ...args));
      await Promise.all([plain, late].map((f) => on.shelf.jobEnded(f.id, 'sound')));
      const levels = async (f: MediaFile): Promise<Uint8Array> =>
        new Uint8Array(await (await on.coach.raw(`/api/files/${f.id}/sound`)).arrayBuffer());
      const found = alignEnvelopes(
        { fromS: 0, levels: await levels(plain) },
        { fromS: 0, levels: await levels(late) },
      )!;
      expect(Math.abs(found.offsetS)).toBeLessThan(0.05);
    },
  );

  test('when an AVI holds B-frames, none of its pictures should be lost, and each be reached', async () => {
    const path = await cut('b.avi', '3', '-c:v', 'mpeg4', '-bf', '2', '-q:v', '3', '-an');
    const file = await on.shelf.take(path);
    expect((await on.shelf.jobEnded(file.id, 'proxy')).why).toBeNull();
    const numbers = await numbersIn(on.app.path(file.id, 'proxy.mp4'));
    expect((await on.shelf.fileNow(file.id)).frames).toBe(numbers.length);
    expect(numbers).toEqual(await numbersIn(path));
    expect((await on.shelf.times(`/api/files/${file.id}/times`)).ticks).toHaveLength(numbers.length);
  });

  test('when the size of the pictures changes on the way, or the clock jumps, each that can be decoded should have a time of its own', async () => {
    const [small, large] = [
      await cut('small.ts', '2', ...X264, '-an'),
      await cut('large.ts', '2', '-s', '960x540', ...X264, '-an'),
    ];
    const joined = join(folderFor(), 'joined.ts');
    // one recording behind the other, each with a clock of its own
    writeFileSync(joined, Buffer.concat([readFileSync(small), readFileSync(large)]));
    const file = await on.shelf.take(joined);
    const job = await on.shelf.jobEnded(file.id, 'proxy');
    expect([job.state, job.why]).toEqual(['done', null]);
    const numbers = await numbersIn(on.app.path(file.id, 'proxy.mp4'));
    expect(numbers.length).toBeGreaterThanOrEqual(98);
    const now = await on.shelf.fileNow(file.id);
    const table = await on.shelf.times(`/api/files/${file.id}/times`);
    expect([now.frames, table.ticks.length]).toEqual([numbers.length, numbers.length]);
    for (let f = 1; f < now.frames; f++) expect(frameStartS(table, f)).toBeGreaterThan(frameStartS(table, f - 1));
    const got = await on.shelf.cutOut([[await on.shelf.onShelf(now), 60, 80]]);
    expect(await numbersIn(got)).toEqual(numbers.slice(60, 80));
  });

  test('when a file holds one picture, it should be a still that can be broken down and cut', async () => {
    const file = await on.shelf.take(await made('still.mp4', '-i', SOURCE, '-frames:v', '1', ...X264, '-an'));
    expect(file).toMatchObject({ frames: 1, cutOff: false });
    expect((await on.shelf.jobEnded(file.id, 'proxy')).why).toBeNull();
    expect((await on.shelf.jobEnded(file.id, 'look')).why).toBeNull();
    const got = await on.shelf.cutOut([[await on.shelf.onShelf(file), 0, 1]]);
    expect(await numbersIn(got)).toEqual([0]);
  });

  test('when a footage has many clips, the pictures that lists show should be made before anybody asks, each of its frame', async () => {
    const path = await cut('lists.mp4', '8', ...X264, '-an');
    const file = await on.shelf.take(path);
    const angleId = await on.shelf.onShelf(file);
    const frames = Array.from({ length: 12 }, (_, i) => 3 + i * 16);
    for (const inFrame of frames) {
      const request = clipRequest(angleId);
      await on.coach.ask('POST', '/api/clips', {
        ...request,
        clip: { ...request.clip, inFrame, outFrame: inFrame + 4 },
      });
    }
    await until(() =>
      Promise.resolve(frames.every((frame) => existsSync(on.app.path(file.id, `stills/${frame}.jpg`))) || undefined),
    );
    for (const frame of frames) expect(await numbersIn(on.app.path(file.id, `stills/${frame}.jpg`))).toEqual([frame]);
  });
});
