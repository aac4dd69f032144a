import type { Bout } from './bouts/index.js';
import { laidOut, TICKS_PER_S } from './frames.js';
import { randomOf } from './random.js';

/** Samples a second. */
export const SAMPLES_PER_S = 48_000;

const { floor, sin, PI } = Math;
const clamp = (x: number): number => (x < -1 ? -1 : x > 1 ? 1 : x);

/** A two-pole filter that lets a band round a frequency (Hz) through; `widthHz` is the band's width. */
const band = (centreHz: number, widthHz: number): ((x: number) => number) => {
  const r = Math.exp((-Math.PI * widthHz) / SAMPLES_PER_S);
  const c = 2 * r * Math.cos((2 * Math.PI * centreHz) / SAMPLES_PER_S);
  const gain = 1 - r;
  let y1 = 0,
    y2 = 0;
  return (x) => {
    const y = gain * x + c * y1 - r * r * y2;
    y2 = y1;
    y1 = y;
    return y;
  };
};

/** Adds a referee's whistle of half a second: a high tone that the pea makes tremble. */
const addWhistle = (into: Float32Array, atS: number): void => {
  const from = Math.round(atS * SAMPLES_PER_S);
  let phase = 0;
  for (let i = 0; i < SAMPLES_PER_S / 2 && from + i < into.length; i++) {
    const s = i / SAMPLES_PER_S;
    const tremble = Math.sin(2 * Math.PI * 31 * s);
    phase += (2 * Math.PI * (2350 + 120 * tremble)) / SAMPLES_PER_S;
    const shape = Math.min(1, s / 0.02, (0.5 - s) / 0.06);
    into[from + i]! += 0.42 * shape * (0.7 + 0.3 * tremble) * Math.sin(phase);
  }
};

/** Vowels as the middles of their two lowest resonances in Hz. */
const VOWELS = [
  [700, 1150],
  [420, 2000],
  [320, 900],
  [530, 1750],
] as const;

/** Adds somebody talking, without words: buzz and breath through changing vowels, about four syllables a second. */
const addVoice = (into: Float32Array, fromS: number, toS: number, seed: number): void => {
  const random = randomOf(seed);
  let atS = fromS;
  while (atS < toS) {
    const lengthS = 0.13 + random() * 0.14;
    const [low, high] = VOWELS[Math.floor(random() * VOWELS.length)]!;
    const [first, second] = [band(low, 90), band(high, 130)];
    const pitchHz = 105 + random() * 50;
    const hissing = random() < 0.3;
    const from = Math.round(atS * SAMPLES_PER_S);
    const n = Math.round(lengthS * SAMPLES_PER_S);
    for (let i = 0; i < n && from + i < into.length; i++) {
      const along = i / n;
      const buzz = ((i * pitchHz) / SAMPLES_PER_S) % 1 < 0.12 ? 1 : -0.12;
      const breath = random() * 2 - 1;
      const source = hissing && along < 0.3 ? breath * 0.8 : buzz + breath * 0.1;
      into[from + i]! += 0.9 * sin(PI * along) * (first(source) + 0.6 * second(source));
    }
    atS += lengthS + 0.03 + (random() < 0.12 ? 0.3 : 0.05 * random());
  }
};

/** Adds the thud of bodies coming down on the mat. */
const addThud = (into: Float32Array, atS: number, size: number): void => {
  const from = Math.round(atS * SAMPLES_PER_S);
  for (let i = 0; i < SAMPLES_PER_S * 0.25 && from + i < into.length; i++) {
    const s = i / SAMPLES_PER_S;
    into[from + i]! += size * Math.exp(-18 * s) * Math.sin(2 * Math.PI * (72 - 90 * s) * s);
  }
};

const known = new WeakMap<Bout, Float32Array>();

/** What is heard in the scene: whistles, talk, and a thud wherever bodies come to the mat. One sample a frame, −1 to 1. */
const scene = (bout: Bout): Float32Array => {
  const before = known.get(bout);
  if (before) return before;
  const { staged } = laidOut(bout);
  const heard = new Float32Array(Math.ceil(staged.durationS * SAMPLES_PER_S));
  for (const atS of bout.heard?.whistles ?? []) addWhistle(heard, atS);
  bout.heard?.voices.forEach(([fromS, toS], i) => addVoice(heard, fromS, toS, 71 + i));
  staged.times.forEach(({ reachS }, i) => {
    if (i === 0 || bout.beats[i]!.cut) return;
    const height = (atS: number): number => {
      const [a, b] = staged.bodiesAt(atS);
      return a[0]![2] + b[0]![2];
    };
    const fall = height(Math.max(0, reachS - 0.3)) - height(reachS);
    if (fall > 0.08) addThud(heard, reachS, Math.min(0.6, fall * 1.6));
  });
  known.set(bout, heard);
  return heard;
};

/** The sound that a camera of a piece takes: the scene by its own clock, from where it starts, quieter and noisier as the camera says. 48 kHz, one channel. */
export const soundOf = (bout: Bout, by: number): Float32Array => {
  const camera = bout.cameras[by]!;
  const { ticks } = laidOut(bout).cameras[by]!;
  const heard = scene(bout);
  const random = randomOf(900 + by);
  const out = new Float32Array(Math.round(((ticks.at(-1)! + camera.frameTicks) / TICKS_PER_S) * SAMPLES_PER_S));
  const pace = 1 + camera.fastPpm / 1e6;
  const rumble = band(140, 200);
  const { hall, noise } = camera.sound ?? { hall: 0, noise: 0 };
  for (let i = 0; i < out.length; i++) {
    const at = camera.startS * SAMPLES_PER_S + i / pace;
    const k = floor(at);
    const share = at - k;
    const said = (heard[k] ?? 0) * (1 - share) + (heard[k + 1] ?? 0) * share;
    const hiss = random() * 2 - 1;
    out[i] = clamp(said * hall + noise * (hiss * 0.3 + rumble(hiss) * 2));
  }
  return out;
};

/** A WAV file (16 bits, one channel) of samples between −1 and 1. */
export const waveFile = (samples: Float32Array): Buffer => {
  const data = Buffer.alloc(44 + samples.length * 2);
  data.write('RIFF', 0);
  data.writeUInt32LE(36 + samples.length * 2, 4);
  data.write('WAVEfmt ', 8);
  data.writeUInt32LE(16, 16);
  data.writeUInt16LE(1, 20);
  data.writeUInt16LE(1, 22);
  data.writeUInt32LE(SAMPLES_PER_S, 24);
  data.writeUInt32LE(SAMPLES_PER_S * 2, 28);
  data.writeUInt16LE(2, 32);
  data.writeUInt16LE(16, 34);
  data.write('data', 36);
  data.writeUInt32LE(samples.length * 2, 40);
  samples.forEach((x, i) => data.writeInt16LE(Math.round(x * 32_767), 44 + i * 2));
  return data;
};
