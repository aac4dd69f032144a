/** How loud a file is over time: one number for each hundredth of a second, in units of half a decibel above silence (0–255). */
export type Envelope = {
  /** Time of the file at the first value, in seconds. */
  readonly fromS: number;
  readonly levels: Uint8Array;
};

/** Values of an envelope per second. */
export const ENVELOPE_RATE = 100;
/** What counts as silence, in decibels below full scale. */
const FLOOR_DB = -96;
const STEPS_PER_DB = 2;

/** Loudness of samples between −1 and 1 (root of the mean square) as one value of an envelope. */
export const levelOf = (samples: ArrayLike<number>): number => {
  let sum = 0;
  for (let i = 0; i < samples.length; i++) sum += samples[i]! * samples[i]!;
  if (samples.length === 0 || sum === 0) return 0;
  const db = 10 * Math.log10(sum / samples.length);
  return Math.round(Math.min(255, Math.max(0, (db - FLOOR_DB) * STEPS_PER_DB)));
};
