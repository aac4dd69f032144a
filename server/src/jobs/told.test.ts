import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { existsSync, readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, test } from '@jest/globals';
import { type MediaFile } from '@odograph/core';
import type { Prepared } from '@odograph/core/contract';
import { v7 as newId } from 'uuid';
import { SOURCE, X264, cut, loudness, withShelf, until } from '../testing/shelf.js';
import { made } from '../testing/video.js';

describe('what is told of odd files', () => {
  const on = withShelf();

  test('when a file is encrypted, it should be refused as protected, whatever its tag says', async () => {
    const key = [
      '-encryption_scheme',
      'cenc-aes-ctr',
      '-encryption_key',
      '76a6c65c5ea762046bd749a2e632ccbb',
      '-encryption_kid',
      'a7e61c373e219033c21091fa607bf3b8',
    ];
    const bytes = readFileSync(await cut('locked.mp4', '2', ...X264, '-an', ...key));
    expect(await on.shelf.refused(bytes)).toEqual({ code: 'locked' });
    // the tag of what is encrypted, as some write it
    const tagged = Buffer.from(bytes.toString('latin1').replaceAll('encv', 'avc1'), 'latin1');
    expect(await on.shelf.refused(tagged)).toEqual({ code: 'locked' });
  });

  test.each([
    ['an MP4 whose index stands first', 'first.mp4', ['-c:v', 'libx264', '-an', '-movflags', '+faststart']],
    ['an MKV', 'cut.mkv', ['-c:v', 'libx264', '-an']],
    ['an AVI', 'cut.avi', ['-c:v', 'mpeg4', '-an']],
  ] as const)('when %s was cut off, it should be taken in and said to be', async (_, name, args) => {
    const bytes = readFileSync(await cut(name, '8', ...args));
    const { status, body } = await on.shelf.put(bytes.subarray(0, Math.floor(bytes.length * 0.6)));
    expect([status, (body as MediaFile).cutOff]).toEqual([200, true]);
    expect((body as MediaFile).frames).toBeLessThan(180);
    const whole = await on.shelf.put(bytes);
    expect([whole.status, (whole.body as MediaFile).cutOff]).toEqual([200, false]);
  });

  test('when pictures are too large, it should be said so, with their size', async () => {
    const path = await made(
      'huge.mkv',
      '-f',
      'lavfi',
      '-i',
      'color=s=8000x8000:d=0.04:r=25',
      '-c:v',
      'libx264',
      '-preset',
      'ultrafast',
    );
    expect(await on.shelf.refused(readFileSync(path))).toMatchObject({
      code: 'picture-too-large',
      facts: { width: 8000, height: 8000 },
    });
  });

  test('when a file has two sound tracks, both should be named, the first be heard, and the other when it is chosen', async () => {
    const path = await made(
      'two.mkv',
      ...['-t', '3', '-i', SOURCE, '-f', 'lavfi', '-t', '3', '-i', 'anullsrc=r=48000:cl=mono'],
      ...['-map', '0:v', '-map', '1:a', '-map', '0:a', ...X264, '-c:a', 'aac'],
      ...['-metadata:s:a:0', 'title=silent', '-metadata:s:a:1', 'title=mat side', '-metadata:s:a:1', 'language=eng'],
    );
    const file = await on.shelf.take(path);
    expect(file.tracks.map(({ title, language }) => [title, language])).toEqual([
      ['silent', ''],
      ['mat side', 'eng'],
    ]);
    const loudest = async (): Promise<number> => {
      await until(
        async () => ((await on.coach.ask('GET', `/api/files/${file.id}/prepared`)).body as Prepared).sound || undefined,
      );
      return Math.max(...new Uint8Array(await (await on.coach.raw(`/api/files/${file.id}/sound`)).arrayBuffer()));
    };
    await on.shelf.jobEnded(file.id, 'proxy');
    const silent = await loudest();
    const choose = (track: number) => on.coach.ask('PATCH', `/api/files/${file.id}`, { editId: newId(), track });
    expect((await choose(2)).status).toBe(400);
    expect((await choose(1)).status).toBe(200);
    expect(await loudest()).toBeGreaterThan(silent + 30);
    expect((await on.shelf.jobEnded(file.id, 'proxy')).state).toBe('done');
    expect(Math.max(...loudness(on.app.path(file.id, 'proxy.mp4')))).toBeGreaterThan(0.01);
    const got = await on.shelf.cutOut([[await on.shelf.onShelf(await on.shelf.fileNow(file.id)), 0, 70]]);
    expect(Math.max(...loudness(got))).toBeGreaterThan(0.01);
  });
  test('when whoever started a program is killed, the program should end too', async () => {
    const tool = join(__dirname, '../../dist/media/tool.js');
    expect(existsSync(tool)).toBe(true);
    const mark = `od${newId().slice(-12)}`;
    const code = `import { runTool } from ${JSON.stringify(tool)};
      await runTool('ffmpeg', ['-v', 'quiet', '-re', '-f', 'lavfi', '-i', 'color', '-metadata', 'comment=${mark}', '-f', 'null', '-'], { seconds: 300 });`;
    const worker = spawn(process.execPath, ['--input-type=module', '-e', code], { stdio: 'ignore' });
    const running = (): readonly string[] =>
      readdirSync('/proc')
        .filter((pid) => /^\d+$/.test(pid) && Number(pid) !== worker.pid)
        .filter((pid) => {
          try {
            const line = readFileSync(`/proc/${pid}/cmdline`, 'latin1');
            return line.includes(mark) && line.startsWith('ffmpeg');
          } catch {
            return false;
          }
        });
    await until(() => Promise.resolve(running().length ? true : undefined));
    const gone = once(worker, 'exit');
    worker.kill('SIGKILL');
    await gone;
    await until(() => Promise.resolve(running().length === 0 ? true : undefined));
  });
});
