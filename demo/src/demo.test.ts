import { readFileSync, statSync } from 'node:fs';
import { execFileSync } from 'node:child_process';
import { join } from 'node:path';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { laidOut } from './frames.js';
import { BOUTS } from './bouts/index.js';
import type { Body } from './bodies/skeleton.js';
import { BONES, JOINT } from './bodies/skeleton.js';
import { drawFrames, HEIGHT, WIDTH } from './film.js';
import { solvePose } from './bodies/authoring.js';
import { SKETCHES } from './bodies/sketches.js';
import { soundOf } from './sound.js';
import { STRIP_BLOCKS, demoFootage, demoRequests, frameOfBits, seededId, stripBits } from './index.js';

const FOLDER = join(__dirname, '../footage');

describe('the strip that encodes the frame number', () => {
  test('when any number is written, it should be read back', () => {
    fc.assert(fc.property(fc.nat(2 ** 20 - 1), (n) => frameOfBits(stripBits(n)) === n));
  });

  test('when one block is read wrong, the checksum should notice', () => {
    fc.assert(
      fc.property(fc.nat(2 ** 20 - 1), fc.nat(STRIP_BLOCKS - 1), (n, at) => {
        const bits = stripBits(n).map((bit, i) => (i === at ? !bit : bit));
        expect(frameOfBits(bits)).not.toBe(n);
      }),
    );
  });
});

const FILES = BOUTS.flatMap((bout) => bout.cameras.map((camera, by) => [camera.file, bout, by] as const));

describe('the made-up footage', () => {
  test.each(FILES)(
    'when %s is laid out, its presentation times should be those of the committed file',
    (file, bout, by) => {
      const times = laidOut(bout).cameras[by]!;
      const probed = execFileSync(
        'ffprobe',
        [
          '-v',
          'error',
          '-select_streams',
          'v:0',
          '-show_entries',
          'packet=pts',
          '-of',
          'csv=p=0',
          join(FOLDER, `${file}.mp4`),
        ],
        { encoding: 'utf8' },
      );
      const ticks = probed
        .split('\n')
        .map((l) => l.replace(',', ''))
        .filter(Boolean)
        .map(Number)
        .sort((a, b) => a - b);
      expect(ticks).toEqual(times.ticks);
      const seconds = times.ticks.at(-1)! / 90_000;
      expect(seconds).toBeGreaterThan(20);
      expect(seconds).toBeLessThan(bout.cameras[by]!.frameTicks === 1500 ? 25 : 60);
    },
  );

  test('when the pieces are looked over, every setting, clothing and rate should be there, and all of it be small', () => {
    const kinds = BOUTS.map((b) => `${b.setting} ${b.gi ? 'gi' : 'no-gi'}`);
    expect(kinds.sort()).toEqual([
      'competition gi',
      'competition no-gi',
      'demonstration gi',
      'demonstration no-gi',
      'training gi',
      'training no-gi',
    ]);
    const cameras = BOUTS.flatMap((b) => b.cameras);
    expect(new Set(cameras.map((c) => (c.variable ? 'variable' : (90_000 / c.frameTicks).toFixed(2))))).toEqual(
      new Set(['25.00', '29.97', '30.00', '60.00', 'variable']),
    );
    const bytes = cameras.reduce((sum, c) => sum + statSync(join(FOLDER, `${c.file}.mp4`)).size, 0);
    expect(bytes).toBeLessThan(15_000_000);
    expect(BOUTS.filter((b) => b.cameras[0].sound).length).toBeGreaterThanOrEqual(2);
  });

  test('when two cameras film one bout, their sounds should agree best at the shift between their clocks', () => {
    const [bout] = BOUTS;
    const loudness = (samples: Float32Array): number[] =>
      Array.from({ length: Math.floor(samples.length / 480) }, (_, i) =>
        Math.log(1e-3 + Math.hypot(...samples.subarray(i * 480, i * 480 + 480))),
      );
    const level = (list: number[]): number[] => {
      const mean = list.reduce((a, b) => a + b, 0) / list.length;
      return list.map((x) => x - mean);
    };
    const [hall, phone] = [0, 1].map((by) => level(loudness(soundOf(bout!, by)))) as [number[], number[]];
    const agreement = (shift: number): number => phone.reduce((sum, x, i) => sum + x * (hall[i + shift] ?? 0), 0);
    const shifts = Array.from({ length: 800 }, (_, i) => i);
    const best = shifts.reduce((a, b) => (agreement(b) > agreement(a) ? b : a));
    expect(Math.abs(best / 100 - bout!.cameras[1]!.startS)).toBeLessThanOrEqual(0.02);
  });

  test('when a file with sound is looked at, it should have one track of it, as long as the picture', () => {
    for (const [file, bout, by] of FILES) {
      const probed = execFileSync(
        'ffprobe',
        [
          '-v',
          'error',
          '-select_streams',
          'a',
          '-show_entries',
          'stream=duration',
          '-of',
          'csv=p=0',
          join(FOLDER, `${file}.mp4`),
        ],
        { encoding: 'utf8' },
      );
      const tracks = probed.split('\n').filter(Boolean);
      expect([file, tracks.length]).toEqual([file, bout.cameras[by]!.sound ? 1 : 0]);
      for (const track of tracks)
        expect(Math.abs(Number(track) - laidOut(bout).cameras[by]!.ticks.at(-1)! / 90_000)).toBeLessThan(0.2);
    }
  });

  test('when one piece has a variable rate, its frames should really lie unevenly', () => {
    const gaps = (id: string): Set<number> => {
      const { ticks } = laidOut(BOUTS.find((b) => b.id === id)!).times;
      return new Set(ticks.slice(1).map((t, i) => t - ticks[i]!));
    };
    expect(gaps('lantern-final').size).toBe(1);
    expect(gaps('thursday-round').size).toBeGreaterThan(4);
  });

  test('when a frame is drawn twice, every byte should be the same, and it should carry its number', () => {
    const [bout] = BOUTS;
    const draw = (): { frame: number; rgb: Uint8ClampedArray } => {
      for (const drawn of drawFrames(bout!, (f) => f === 40)) return drawn;
      throw new Error('nothing was drawn');
    };
    const { frame, rgb } = draw();
    expect(Buffer.from(draw().rgb).equals(Buffer.from(rgb))).toBe(true);
    const block = WIDTH / 40;
    const bits = Array.from(
      { length: STRIP_BLOCKS },
      (_, i) => rgb[(Math.floor(block / 2) * WIDTH + Math.round((i + 1.5) * block)) * 3]! > 128,
    );
    expect(frameOfBits(bits)).toBe(frame);
    expect(rgb).toHaveLength(WIDTH * HEIGHT * 3);
  });

  test('when a sketch is solved again, it should be the committed pose, with bones of their length and nobody in the mat', () => {
    type Solved = { readonly name: string; readonly A: Body; readonly B: Body };
    const { poses } = JSON.parse(readFileSync(join(__dirname, '../data/solved.json'), 'utf8')) as { poses: Solved[] };
    expect(poses.map((p) => p.name)).toEqual(SKETCHES.map((s) => s.name));
    for (const pose of poses)
      for (const body of [pose.A, pose.B]) {
        for (const [a, b, lengthM] of BONES)
          expect(
            Math.abs(Math.hypot(...[0, 1, 2].map((d) => body[a]![d as 0] - body[b]![d as 0])) - lengthM),
          ).toBeLessThan(0.008);
        expect(Math.min(...body.map((p) => p[2]))).toBeGreaterThan(0.015);
      }
    for (const name of ['inverted_guard', 'heel_twist', 'lapel_shin_guard']) {
      const [A, B] = solvePose(SKETCHES.find((s) => s.name === name)!);
      expect(poses.find((p) => p.name === name)).toMatchObject({ A, B });
    }
  });

  test('when bodies move, no bone should stretch by more than a centimetre and a half, and nobody should sink into the mat', () => {
    const thigh = (body: Body): number =>
      Math.hypot(...[0, 1, 2].map((d) => body[JOINT.left_hip]![d as 0] - body[JOINT.left_knee]![d as 0]));
    for (const { staged } of BOUTS.map(laidOut))
      for (let atS = 0; atS < staged.durationS; atS += 0.5)
        for (const body of staged.bodiesAt(atS)) {
          expect(Math.abs(thigh(body) - 0.43)).toBeLessThan(0.015);
          expect(Math.min(...body.map((p) => p[2]))).toBeGreaterThan(-0.02);
        }
  });
});

describe('the demo library', () => {
  test('when it is written again, it should be the committed one', () => {
    expect(JSON.parse(readFileSync(join(FOLDER, 'demo.json'), 'utf8'))).toEqual(
      JSON.parse(JSON.stringify(demoRequests())),
    );
  });

  test('when its clips are read, instants should lie in order inside the piece, and there should be sixty or more', () => {
    const clips = demoFootage().flatMap((f) => f.clips.map((c) => ({ ...c, frames: f.cameras[0]!.frames })));
    const looks = clips.flatMap((c) => c.looks);
    expect([clips.length, looks.length]).toEqual([63, 3]);
    for (const look of looks) {
      expect(look.inFrame).toBeLessThan(look.outFrame);
      expect(look.outFrame).toBeLessThanOrEqual(look.camera.frames);
    }
    for (const c of clips) {
      const order = [0, c.inFrame, c.startFrame, c.commitFrame, c.endFrame, c.outFrame, c.frames];
      expect([...order].sort((a, b) => a - b)).toEqual(order);
      expect(c.inFrame).toBeLessThan(c.outFrame);
    }
  });

  test('when what happens is looked over, both sides should act, something fail, and every sort of thing be there', () => {
    const said = demoFootage().flatMap((f) => f.clips.map((c) => c.said));
    expect(new Set(said.map((s) => s.subject))).toEqual(new Set(['a', 'b']));
    expect(said.some((s) => s.result === 'failed')).toBe(true);
    expect(said.some((s) => (s.reactions ?? []).length > 0)).toBe(true);
    expect(
      BOUTS.filter((b) => b.logged === 'throughout').map((b) => new Set(b.said.map((s) => s.subject)).size),
    ).toEqual([2, 2]);
    const actions = said.map((s) => s.action);
    for (const wanted of ['guard-pull', 'knee-through', 'underhook-up', 'back-take', 'knee-to-belly', 'armlock'])
      expect(actions).toContain(wanted);
  });

  test('when an id is made from a name, it should be the same every time and look like one of version 7', () => {
    expect(seededId('x')).toBe(seededId('x'));
    expect(seededId('x')).not.toBe(seededId('y'));
    expect(seededId('x')).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/);
  });
});
