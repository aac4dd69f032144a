import FFT from 'fft.js';
import { ENVELOPE_RATE, type Envelope } from './envelope.js';

/** Where the time of a second file lies in that of a first: first = offset + rate × second, both in seconds of their files. */
export type Alignment = {
  readonly offsetS: number;
  /** How fast the second clock runs against the first; 1.00008 = 80 parts in a million slow. */
  readonly rate: number;
  /** 0–1: the part of the stretches listened to that agree on it. */
  readonly confidence: number;
};

/** One stretch of the second file found in the first: at second `atS` of the second, `lagS` has to be added. */
type Found = { readonly atS: number; readonly lagS: number; readonly weight: number };

/** Stretches are so long, or a third of what there is, but never shorter than the least. */
const STRETCH_S = 20;
const LEAST_STRETCH_S = 6;
const MOST_STRETCHES = 24;
/** So many of them must agree. */
const LEAST_AGREEING = 3;
/** Loudness is looked at against its mean over so many seconds: slow changes of a room say little. */
const AROUND_S = 0.6;
/** Two clocks differ by less than this part. */
const MOST_DRIFT = 5e-4;
/** Stretches that agree lie within this of one line, in seconds. */
const AGREE_S = 0.045;
/** A peak of a correlation must stand out from the others by this factor to be listened to. */
const STANDS_OUT = 1.12;
const LEAST_CONFIDENCE = 0.34;
const LEAST_CORRELATION = 0.22;

/** What changes quickly: each value against the mean around it. */
const sharpened = (levels: Uint8Array): Float64Array => {
  const n = levels.length;
  const reach = Math.round((AROUND_S * ENVELOPE_RATE) / 2);
  const sums = new Float64Array(n + 1);
  for (let i = 0; i < n; i++) sums[i + 1] = sums[i]! + levels[i]!;
  const sharp = new Float64Array(n);
  for (let i = 0; i < n; i++) {
    const [from, to] = [Math.max(0, i - reach), Math.min(n, i + reach + 1)];
    sharp[i] = levels[i]! - (sums[to]! - sums[from]!) / (to - from);
  }
  return sharp;
};

/** Sum of squares from the start on, so that the energy of any stretch is one difference. */
const energies = (values: Float64Array): Float64Array => {
  const sums = new Float64Array(values.length + 1);
  for (let i = 0; i < values.length; i++) sums[i + 1] = sums[i]! + values[i]! * values[i]!;
  return sums;
};

/** Correlates stretches with one long signal whose transform is kept. */
class Correlator {
  private readonly size: number;
  private readonly fft: FFT;
  private readonly spectrum: number[];
  private readonly energy: Float64Array;
  private readonly padded: Float64Array;
  private readonly mine: number[];
  private readonly back: number[];

  /** `length`: of the stretches, in values. */
  constructor(
    private readonly whole: Float64Array,
    private readonly length: number,
  ) {
    this.size = 1 << Math.ceil(Math.log2(whole.length + length));
    this.fft = new FFT(this.size);
    this.padded = new Float64Array(this.size);
    [this.spectrum, this.mine, this.back] = [
      this.fft.createComplexArray(),
      this.fft.createComplexArray(),
      this.fft.createComplexArray(),
    ];
    this.transform(whole, this.spectrum);
    this.energy = energies(whole);
  }

  private transform(values: Float64Array, into: number[]): void {
    this.padded.fill(0);
    this.padded.set(values);
    this.fft.realTransform(into, this.padded);
    this.fft.completeSpectrum(into);
  }

  /** Normalised correlation (−1…1) at every place of the whole where the stretch could begin, also partly before it: index = place + length of the stretch. */
  at(stretch: Float64Array): Float64Array {
    const { size, length, mine, spectrum, back, energy } = this;
    this.transform(stretch, mine);
    for (let i = 0; i < 2 * size; i += 2) {
      const ar = spectrum[i]!,
        ai = spectrum[i + 1]!,
        br = mine[i]!,
        bi = mine[i + 1]!;
      mine[i] = ar * br + ai * bi;
      mine[i + 1] = ai * br - ar * bi;
    }
    this.fft.inverseTransform(back, mine);
    const n = this.whole.length;
    const own = energies(stretch);
    const correlation = new Float64Array(n + length);
    // where less than half of the stretch lies on the whole there is too little to compare
    const half = Math.ceil(length / 2);
    const { sqrt } = Math;
    for (let place = half - length; place <= n - half; place++) {
      const from = place > 0 ? place : 0,
        to = place + length < n ? place + length : n;
      const both = (energy[to]! - energy[from]!) * (own[to - place]! - own[from - place]!);
      if (to - from >= half && both > 0)
        correlation[place + length] = back[2 * (place < 0 ? place + size : place)]! / sqrt(both);
    }
    return correlation;
  }
}

/** The best place of a stretch and whether it stands out from every other. */
const peakOf = (correlation: Float64Array): { readonly at: number; readonly value: number } | undefined => {
  let best = 0;
  for (let i = 1; i < correlation.length; i++) if (correlation[i]! > correlation[best]!) best = i;
  const value = correlation[best]!;
  let other = 0;
  const beside = ENVELOPE_RATE / 2;
  for (let i = 0; i < correlation.length; i++)
    if (correlation[i]! > other && (i < best - beside || i > best + beside)) other = correlation[i]!;
  if (value < LEAST_CORRELATION || value < other * STANDS_OUT) return undefined;
  // between the values: the top of the parabola through the three highest
  const [before, after] = [correlation[best - 1] ?? 0, correlation[best + 1] ?? 0];
  const bend = before - 2 * value + after;
  return { at: best + (bend < 0 ? (before - after) / (2 * bend) : 0), value };
};

const stretchesOf = (values: Float64Array, length: number): readonly number[] => {
  const room = values.length - length;
  const count = Math.min(MOST_STRETCHES, Math.max(1, Math.ceil((2 * room) / length) + 1));
  return Array.from({ length: count }, (_, i) => Math.round(count === 1 ? 0 : (i * room) / (count - 1)));
};

/** The line (lag at 0, drift) that most of the weight agrees on, by trying every pair, then the best fit through those that agree. */
const lineThrough = (
  found: readonly Found[],
): { readonly lagS: number; readonly drift: number; readonly agreeing: readonly Found[] } => {
  const near = (lagS: number, drift: number): readonly Found[] =>
    found.filter((f) => Math.abs(f.lagS - lagS - drift * f.atS) <= AGREE_S);
  const weight = (some: readonly Found[]): number => some.reduce((sum, f) => sum + f.weight, 0);
  let agreeing: readonly Found[] = [];
  for (const [i, p] of found.entries())
    for (const q of found.slice(i)) {
      const drift = p === q ? 0 : (q.lagS - p.lagS) / (q.atS - p.atS);
      if (!(Math.abs(drift) <= MOST_DRIFT)) continue;
      const some = near(p.lagS - drift * p.atS, drift);
      if (weight(some) > weight(agreeing)) agreeing = some;
    }
  const total = weight(agreeing);
  const mean = (of: (f: Found) => number): number => agreeing.reduce((sum, f) => sum + f.weight * of(f), 0) / total;
  const [atMean, lagMean] = [mean((f) => f.atS), mean((f) => f.lagS)];
  const spread = mean((f) => (f.atS - atMean) ** 2);
  const span = Math.max(...agreeing.map((f) => f.atS)) - Math.min(...agreeing.map((f) => f.atS));
  // a drift of a few parts in a million cannot be told from a short stretch: a hundredth of a second either way would feign it
  const slope = spread > 0 && span >= 60 ? mean((f) => (f.atS - atMean) * (f.lagS - lagMean)) / spread : 0;
  const drift = Math.max(-MOST_DRIFT, Math.min(MOST_DRIFT, slope));
  return { lagS: lagMean - drift * atMean, drift, agreeing };
};

/**
 * Finds by their sound how two files of one event lie in time: stretches of the second are looked for in the first by correlation of what changes in
 * loudness; offset and drift of the clocks come from the stretches that agree. Undefined where too few do.
 */
export const alignEnvelopes = (first: Envelope, second: Envelope): Alignment | undefined => {
  const [a, b] = [sharpened(first.levels), sharpened(second.levels)];
  const length = Math.round(
    Math.min(STRETCH_S, Math.max(LEAST_STRETCH_S, b.length / ENVELOPE_RATE / 3)) * ENVELOPE_RATE,
  );
  if (a.length < length || b.length < length) return undefined;
  const correlator = new Correlator(a, length);
  const starts = stretchesOf(b, length);
  const found: Found[] = [];
  for (const start of starts) {
    const peak = peakOf(correlator.at(b.subarray(start, start + length)));
    if (!peak) continue;
    const atS = second.fromS + (start + length / 2) / ENVELOPE_RATE;
    const thereS = first.fromS + (peak.at - length + length / 2) / ENVELOPE_RATE;
    found.push({ atS, lagS: thereS - atS, weight: peak.value });
  }
  if (found.length < LEAST_AGREEING) return undefined;
  const { lagS, drift, agreeing } = lineThrough(found);
  // stretches that lie outside the first file by this line could not be found and do not count against it
  const couldBe = starts.filter((start) => {
    const atS = second.fromS + (start + length / 2) / ENVELOPE_RATE;
    const there = (atS + lagS + drift * atS - first.fromS) * ENVELOPE_RATE;
    return there > 0 && there < a.length;
  }).length;
  const mean = agreeing.reduce((sum, f) => sum + f.weight, 0) / agreeing.length;
  const confidence = Math.min(1, (agreeing.length / Math.max(1, couldBe)) * Math.min(1, mean / 0.5));
  if (confidence < LEAST_CONFIDENCE || agreeing.length < LEAST_AGREEING) return undefined;
  return { offsetS: lagS, rate: 1 + drift, confidence };
};
