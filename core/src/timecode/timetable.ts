/**
 * The presentation times of a file, sorted, in ticks of its time base. The identity of a frame is its index here, never seconds.
 */
export type TimeTable = { readonly ticks: Float64Array; readonly timeBaseNum: number; readonly timeBaseDen: number };

/** What browsers may round a time by, in seconds. */
const ROUNDING_S = 2e-6;

export const timeTable = (ticks: ArrayLike<number>, timeBaseNum: number, timeBaseDen: number): TimeTable => ({
  ticks: Float64Array.from(ticks).sort(),
  timeBaseNum,
  timeBaseDen,
});

/** A table from the differences between neighbouring presentation times, the first one from zero. */
export const timeTableOfDeltas = (deltas: readonly number[], timeBaseNum: number, timeBaseDen: number): TimeTable => {
  let sum = 0;
  return timeTable(
    deltas.map((d) => (sum += d)),
    timeBaseNum,
    timeBaseDen,
  );
};

const seconds = (table: TimeTable, ticks: number): number => (ticks * table.timeBaseNum) / table.timeBaseDen;

export const frameCount = (table: TimeTable): number => table.ticks.length;

/** Presentation time of a frame in seconds. `frame` may be the number of frames: then it is the end of the last one. */
export const frameStartS = (table: TimeTable, frame: number): number => seconds(table, ptsOf(table, frame));

/** Presentation time of a frame in ticks; for the number of frames, the end of the last one (as long as the one before). */
export const ptsOf = (table: TimeTable, frame: number): number => {
  const n = table.ticks.length;
  if (frame < n) return table.ticks[frame]!;
  const last = table.ticks[n - 1]!;
  return n > 1 ? last + (last - table.ticks[n - 2]!) : last;
};

/**
 * Where to seek so that a browser shows exactly this frame, in seconds: the middle between its time and the next one's;
 * for the last frame its time + the lesser of 1 ms and half a frame.
 */
export const seekTargetS = (table: TimeTable, frame: number): number => {
  const start = frameStartS(table, frame);
  const next = frameStartS(table, frame + 1);
  return frame + 1 < table.ticks.length ? (start + next) / 2 : start + Math.min(0.001, (next - start) / 2);
};

/** The frame that is on the screen at a time in seconds: the last one that begins at or before it (browsers round times to microseconds, so 2 µs are allowed). */
export const frameAtS = (table: TimeTable, atS: number): number => {
  const wanted = ((atS + ROUNDING_S) * table.timeBaseDen) / table.timeBaseNum;
  let low = 0,
    high = table.ticks.length - 1;
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if (table.ticks[middle]! <= wanted) low = middle;
    else high = middle - 1;
  }
  return low;
};

/** Whether a media time that the browser reports is that of this frame: nearer than half the distance to either neighbour. */
export const isFrameShown = (table: TimeTable, frame: number, mediaTimeS: number): boolean => {
  const start = frameStartS(table, frame);
  const after = frameStartS(table, frame + 1) - start;
  const before = frame > 0 ? start - frameStartS(table, frame - 1) : after;
  return Math.abs(mediaTimeS - start) < Math.min(before, after) / 2;
};

/**
 * `m:ss.ff` of a frame: minutes and seconds of its presentation time since the first frame, and the how-many-th frame inside that second it is.
 * With variable rates the last part counts the frames there really are.
 */
export const timecode = (table: TimeTable, frame: number): string => {
  const zero = frameStartS(table, 0);
  const tick = table.timeBaseNum / table.timeBaseDen / 2;
  const at = frameStartS(table, frame) - zero;
  const second = Math.floor(at + tick);
  let first = frame;
  while (first > 0 && frameStartS(table, first - 1) - zero + tick >= second) first--;
  return `${Math.floor(second / 60)}:${String(second % 60).padStart(2, '0')}.${String(frame - first).padStart(2, '0')}`;
};
