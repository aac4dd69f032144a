import { execFileSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, test } from '@jest/globals';
import { v7 as newId } from 'uuid';
import { SOURCE, X264, cut, folderFor, loudness, range, withShelf, soundS, until } from '../testing/shelf.js';
import { isThorough } from '../testing/thorough.js';
import { numbersIn } from '../testing/video.js';

const FORMATS = isThorough ? (['mp4', 'webm'] as const) : (['mp4'] as const);

describe('clips that are cut out of odd files', () => {
  const on = withShelf();

  test('when clips are cut from an MPEG-TS, also its last frames, they should be just those, with their sound; stills of it thinned too', async () => {
    const path = await cut('live.ts', '8', ...X264, '-g', '50', '-bf', '2', '-c:a', 'aac', '-output_ts_offset', '37');
    const file = await on.shelf.take(path);
    const angleId = await on.shelf.onShelf(file);
    const numbers = await numbersIn(path);
    expect(numbers).toHaveLength(file.frames);
    for (const [from, to] of [
      [148, 188],
      [3, 9],
      [file.frames - 6, file.frames],
    ] as const) {
      const got = await on.shelf.cutOut([[angleId, from, to]]);
      expect(await numbersIn(got)).toEqual(numbers.slice(from, to));
      expect(soundS(got)).toBeCloseTo((to - from) / 25, 1);
    }
    await until(async () =>
      (await on.coach.ask('POST', `/api/files/${file.id}/thin`)).status === 204 ? true : undefined,
    );
    for (const frame of [0, 77, file.frames - 1]) {
      const still = join(folderFor(), 'still.jpg');
      writeFileSync(
        still,
        Buffer.from(await (await on.coach.raw(`/api/files/${file.id}/stills/${frame}.jpg`)).arrayBuffer()),
      );
      expect(await numbersIn(still)).toEqual([numbers[frame]]);
    }
  });

  test('when an MP4 tells the order of its pictures wrongly, a cut should hold those that are shown at its frames, or not be made', async () => {
    const bytes = readFileSync(await cut('order.mp4', '9', ...X264, '-g', '48', '-bf', '3', '-an'));
    // the offsets between decoding and showing, all of them the same: the container has it that pictures are shown as they are coded
    const at = bytes.indexOf('ctts');
    const entries = bytes.readUInt32BE(at + 8);
    for (let i = 0; i < entries; i++) bytes.writeUInt32BE(1024, at + 16 + i * 8);
    const path = join(folderFor(), 'broken.mp4');
    writeFileSync(path, bytes);
    const file = await on.shelf.take(path);
    expect((await on.shelf.jobEnded(file.id, 'proxy')).state).toBe('done');
    const shown = await numbersIn(on.app.path(file.id, 'proxy.mp4'));
    const angleId = await on.shelf.onShelf(await on.shelf.fileNow(file.id));
    const got = await on.shelf.cutOut([[angleId, 182, 212]]);
    expect(await numbersIn(got)).toEqual(shown.slice(182, 212));
  });

  test.each(FORMATS)(
    'when the sound is of another rate, or lies behind the picture in the file, %s should have all of it',
    async (format) => {
      const slow = await on.shelf.take(await cut('rate.mkv', '6', ...X264, '-c:a', 'libvorbis', '-ar', '44100'));
      const old = await on.shelf.take(
        await cut('rate.avi', '3', '-c:v', 'mpeg4', '-q:v', '3', '-c:a', 'mp3', '-ar', '32000'),
      );
      // all pictures first, all sound after them
      const behind = await on.shelf.take(
        await cut(
          'behind.mp4',
          '4',
          ...X264,
          '-c:a',
          'aac',
          '-max_interleave_delta',
          '0',
          '-frag_duration',
          '60000000',
        ),
      );
      const [a, b, c] = [await on.shelf.onShelf(slow), await on.shelf.onShelf(old), await on.shelf.onShelf(behind)];
      const whole = loudness(SOURCE);
      for (const [angleId, from, to] of [
        [a, 25, 150],
        [b, 10, 60],
        [c, 20, 53],
      ] as const) {
        const got = await on.shelf.cutOut([[angleId, from, to]], format);
        expect(soundS(got)).toBeGreaterThan((to - from) / 25 - 0.1);
        // as loud as it is where it was cut from, all along
        loudness(got).forEach((level, i) => {
          const there = whole[Math.round(from / 2.5) + i]!;
          if (there > 0.02) expect(level).toBeGreaterThan(there / 3);
        });
      }
    },
  );

  test.each(FORMATS)(
    'when a join begins with a clip of one frame, the %s should have its sound throughout',
    async (format) => {
      const file = await on.shelf.take(await cut('one.mp4', '5', ...X264, '-c:a', 'aac'));
      const angleId = await on.shelf.onShelf(file);
      const got = await on.shelf.cutOut(
        [
          [angleId, 30, 31],
          [angleId, 40, 100],
        ],
        format,
      );
      expect(await numbersIn(got)).toEqual([30, ...range(40, 100)]);
      expect(soundS(got)).toBeCloseTo(61 / 25, 1);
      const whole = loudness(SOURCE);
      const heard = loudness(got);
      expect(heard.filter((level) => level > 0.001).length).toBeGreaterThan(heard.length / 2);
      expect(Math.max(...heard)).toBeGreaterThan(Math.max(...whole.slice(16, 40)) / 3);
    },
  );

  test('when pixels are not square, what is cut should be as wide as what is shown', async () => {
    const file = await on.shelf.take(
      await cut('wide.mp4', '1', '-vf', 'drawbox=x=0:y=0:w=20:h=ih:c=red:t=fill,setsar=4/3', ...X264, '-an'),
    );
    expect([file.width, file.height]).toEqual([853, 360]);
    const got = await on.shelf.cutOut([[await on.shelf.onShelf(file), 2, 12]]);
    const [width, height] = execFileSync(
      'ffprobe',
      ['-v', 'error', '-show_entries', 'stream=width,height', '-select_streams', 'v', '-of', 'csv=p=0', got],
      { encoding: 'utf8' },
    )
      .split(',')
      .map(Number);
    expect(width! / height!).toBeCloseTo(853 / 360, 1);
    // no bars above and below: the pictures fill it
    const row = execFileSync('ffmpeg', [
      '-v',
      'error',
      '-i',
      got,
      '-frames:v',
      '1',
      '-vf',
      'crop=iw:4:0:0,format=gray',
      '-f',
      'rawvideo',
      'pipe:1',
    ]);
    expect(Math.max(...row)).toBeGreaterThan(40);
  });

  test('when an angle is an inset, what is cut should be that part of the picture and nothing beside it', async () => {
    const file = await on.shelf.take(
      await cut('inset.mp4', '1', '-vf', 'drawbox=x=iw*3/4:y=0:w=iw/4:h=ih/4:c=red:t=fill', ...X264, '-an'),
    );
    const angleId = await on.shelf.onShelf(file);
    const region = { left: 0.75, top: 0, right: 1, bottom: 0.25 };
    const edit = (changes: object) =>
      on.coach.ask('PATCH', `/api/angles/${angleId}`, { editId: newId(), baseVersion: 1, changes });
    // no part of a picture is beside it, or has no width
    for (const wrong of [{ right: 1.2 }, { right: 0.75 }, { bottom: 0 }])
      expect((await edit({ region: { ...region, ...wrong } })).status).toBe(400);
    expect((await edit({ region })).status).toBe(200);
    const got = await on.shelf.cutOut([[angleId, 2, 12]]);
    const mean = (crop: string): readonly number[] => {
      const args = ['-v', 'error', '-i', got, '-frames:v', '1', '-vf', `${crop},scale=1:1:flags=area,format=rgb24`];
      return [...execFileSync('ffmpeg', [...args, '-f', 'rawvideo', 'pipe:1'])];
    };
    for (const crop of ['crop=iw/4:ih/4:iw/20:ih/20', 'crop=iw/4:ih/4:iw*0.7:ih*0.7']) {
      const [red, green, blue] = mean(crop);
      expect(red).toBeGreaterThan(200);
      expect(Math.max(green!, blue!)).toBeLessThan(60);
    }
  });
});
