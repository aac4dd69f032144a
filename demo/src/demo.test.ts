import { readFileSync } from 'node:fs';
import { execFileSync } from 'node:child_process';
import { join } from 'node:path';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { laidOut } from './frames.js';
import { BOUTS } from './bouts/index.js';
import type { Body } from './bodies/skeleton.js';
import { JOINT } from './bodies/skeleton.js';
import { drawFrames, HEIGHT, WIDTH } from './film.js';
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

describe('the made-up footage', () => {
  test.each(BOUTS.map((b) => [b.id, b] as const))(
    'when %s is laid out, its presentation times should be those of the committed file',
    (_, bout) => {
      const { times } = laidOut(bout);
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
          join(FOLDER, `${bout.id}.mp4`),
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
      expect(times.ticks.at(-1)! / 90_000).toBeGreaterThan(25);
    },
  );

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
    const draw = (): { frame: number; rgb: Uint8ClampedArray } => [...drawFrames(bout!, (f) => f === 40)][0]!;
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

  test('when bodies move, no bone should stretch by more than a centimetre and a half, and nobody should sink into the mat', () => {
    const [bout] = BOUTS;
    const { staged } = laidOut(bout!);
    const thigh = (body: Body): number =>
      Math.hypot(...[0, 1, 2].map((d) => body[JOINT.left_hip]![d as 0] - body[JOINT.left_knee]![d as 0]));
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

  test('when its clips are read, instants should lie in order inside the piece, and there should be sixteen', () => {
    const clips = demoFootage().flatMap((f) => f.clips.map((c) => ({ ...c, frames: f.frames })));
    expect(clips).toHaveLength(16);
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
