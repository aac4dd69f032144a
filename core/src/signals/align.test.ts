import { describe, expect, test } from '@jest/globals';
import { ENVELOPE_RATE, alignEnvelopes, type Envelope } from './index.js';

/** A little generator with a seed, so that each run hears the same. */
const seeded = (seed: number) => (): number => {
  seed = (seed * 1_664_525 + 1_013_904_223) % 2 ** 32;
  return seed / 2 ** 32;
};

/** A room: a hum, steps, voices, thuds, each at its instant; loudness in half decibels. */
const room = (seed: number, seconds: number): ((atS: number) => number) => {
  const random = seeded(seed);
  const sounds: { readonly atS: number; readonly loud: number; readonly dieS: number }[] = [];
  for (let atS = 0; atS < seconds; atS += 0.15 + random() * 1.8)
    sounds.push({ atS, loud: 20 + random() * 70, dieS: 0.05 + random() * 0.5 });
  const heard = new Float32Array(Math.ceil(seconds * 1000) + 1);
  for (const { atS, loud, dieS } of sounds) {
    const fade = Math.exp(-0.001 / dieS);
    for (let i = Math.round(atS * 1000), now = loud; now > 1 && i < heard.length; i++, now *= fade)
      if (now > heard[i]!) heard[i] = now;
  }
  return (atS) => heard[(atS * 1000 + 0.5) | 0] ?? 0;
};

/** What a camera that starts late, with a clock of its own, hears of a room. */
const heardBy = (
  sound: (atS: number) => number,
  {
    startS,
    seconds,
    ppm,
    loudness,
    noise,
    seed,
  }: { startS: number; seconds: number; ppm: number; loudness: number; noise: number; seed: number },
): Envelope => {
  const random = seeded(seed);
  // rounds and keeps to 0–255
  const levels = new Uint8ClampedArray(seconds * ENVELOPE_RATE);
  for (let i = 0; i < levels.length; i++)
    levels[i] = 60 + loudness * sound(startS + (i / ENVELOPE_RATE) * (1 + ppm / 1e6)) + (random() - 0.5) * noise;
  return { fromS: 0, levels: Uint8Array.from(levels) };
};

const FRAME_S = 1 / 30;

describe('two cameras that heard the same', () => {
  test.each([
    ['half a minute, a few seconds later', { seconds: 30, startS: 3.72, ppm: 40 }],
    ['two minutes of shift', { seconds: 240, startS: 121.3, ppm: 0 }],
    ['80 parts in a million over half an hour', { seconds: 1800, startS: 118.6, ppm: 80 }],
    ['the other clock fast', { seconds: 600, startS: 12.5, ppm: -80 }],
  ])('when %s lie between them, every instant should be found within a frame', (_, { seconds, startS, ppm }) => {
    for (const seed of seconds > 500 ? [1] : [1, 2]) {
      const sound = room(seed, startS + seconds + 20);
      const first = heardBy(sound, {
        startS: 0,
        seconds: startS + seconds,
        ppm: 0,
        loudness: 1,
        noise: 16,
        seed: seed + 10,
      });
      const second = heardBy(sound, { startS, seconds, ppm, loudness: 0.55, noise: 24, seed: seed + 20 });
      const found = alignEnvelopes(first, second)!;
      expect(found).toBeDefined();
      for (const atS of [0, seconds / 2, seconds - 1]) {
        const truth = startS + atS * (1 + ppm / 1e6);
        expect(Math.abs(found.offsetS + found.rate * atS - truth)).toBeLessThan(FRAME_S);
      }
      expect(found.confidence).toBeGreaterThan(0.4);
    }
  });

  test('when the second began first, the shift should be negative', () => {
    const sound = room(5, 120);
    const early = heardBy(sound, { startS: 0, seconds: 90, ppm: 0, loudness: 1, noise: 10, seed: 1 });
    const late = heardBy(sound, { startS: 7.4, seconds: 60, ppm: 0, loudness: 0.8, noise: 10, seed: 2 });
    expect(alignEnvelopes(late, early)!.offsetS).toBeCloseTo(-7.4, 1);
  });

  test('when they were in different rooms, or one heard nothing, no match should be said', () => {
    for (let seed = 1; seed <= 10; seed++) {
      const seconds = 30 + seed * 20;
      const [one, other] = [seed, seed + 100].map((s) =>
        heardBy(room(s, seconds), { startS: 0, seconds, ppm: 0, loudness: 1, noise: 16, seed: s }),
      );
      expect(alignEnvelopes(one!, other!)).toBeUndefined();
    }
    const silent = { fromS: 0, levels: new Uint8Array(6000) };
    const heard = heardBy(room(1, 60), { startS: 0, seconds: 60, ppm: 0, loudness: 1, noise: 10, seed: 1 });
    expect(alignEnvelopes(heard, silent)).toBeUndefined();
    expect(alignEnvelopes(silent, heard)).toBeUndefined();
  });
});
