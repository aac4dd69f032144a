import { timeTable, type TimeTable } from './timetable.js';

const MAGIC = [0x4f, 0x54, 0x31];
/** Room that one number may take: 2^53 in groups of seven bits. */
const MOST_BYTES = 8;

/** Signed to unsigned, small numbers staying small: 0, −1, 1, −2, … become 0, 1, 2, 3, … */
const folded = (n: number): number => (n < 0 ? -2 * n - 1 : 2 * n);
const unfolded = (n: number): number => (n % 2 ? -(n + 1) / 2 : n / 2);

/**
 * A table of presentation times as bytes: `OT1`, then numbers in groups of seven bits (low group first, the top bit says that more follow): time base,
 * number of frames, the first time, then for every further frame by how many ticks its distance differs from the one before. A constant rate takes a byte a
 * frame: three hours at 60 frames a second take 648 kB.
 */
export const packTimes = ({ ticks, timeBaseNum, timeBaseDen }: TimeTable): Uint8Array<ArrayBuffer> => {
  let bytes = new Uint8Array(64 + ticks.length * 2);
  bytes.set(MAGIC);
  let at = MAGIC.length;
  const put = (value: number): void => {
    if (at + MOST_BYTES > bytes.length) {
      const wider = new Uint8Array(bytes.length * 2);
      wider.set(bytes);
      bytes = wider;
    }
    let rest = value;
    for (; rest >= 128; rest = Math.floor(rest / 128)) bytes[at++] = (rest % 128) + 128;
    bytes[at++] = rest;
  };
  for (const value of [timeBaseNum, timeBaseDen, ticks.length, folded(ticks[0] ?? 0)]) put(value);
  let distance = 0;
  for (let i = 1; i < ticks.length; i++) {
    const next = ticks[i]! - ticks[i - 1]!;
    put(folded(next - distance));
    distance = next;
  }
  return bytes.slice(0, at);
};

/** The way back of {@link packTimes}. Throws a RangeError where the bytes are none of its making. */
export const unpackTimes = (bytes: Uint8Array): TimeTable => {
  if (MAGIC.some((byte, i) => bytes[i] !== byte)) throw new RangeError('these are no presentation times');
  let at = MAGIC.length;
  const take = (): number => {
    let value = 0;
    for (let weight = 1; ; weight *= 128) {
      const byte = bytes[at++];
      if (byte === undefined) throw new RangeError('the presentation times are cut off');
      value += (byte % 128) * weight;
      if (byte < 128) return value;
    }
  };
  const [timeBaseNum, timeBaseDen, count] = [take(), take(), take()];
  if (count > bytes.length) throw new RangeError('the presentation times are cut off');
  const ticks = new Float64Array(count);
  ticks[0] = unfolded(take());
  for (let i = 1, distance = 0; i < count; i++) {
    distance += unfolded(take());
    ticks[i] = ticks[i - 1]! + distance;
  }
  return timeTable(ticks, timeBaseNum, timeBaseDen);
};
