import { frameAtS, frameCount, frameStartS, timecode, type TimeTable } from './timetable.js';

/**
 * The frame that a text names: `m:ss.ff` as {@link timecode} writes it (`m:ss:ff` is read too), `m:ss` or `m:ss.s` or seconds (the frame that is on the screen then), or
 * `#` and a frame number. Two or three digits behind the seconds count frames; where that second has not so many, they are parts of it. Undefined where it is none of
 * these, or outside the file.
 * @example frameOfText(table, '0:12.03'), frameOfText(table, '12.5'), frameOfText(table, '#312')
 */
export const frameOfText = (table: TimeTable, text: string): number | undefined => {
  const said = text.trim().replace(',', '.');
  const number = /^#(\d+)$/.exec(said);
  if (number) {
    const frame = Number(number[1]);
    return frame <= frameCount(table) ? frame : undefined;
  }
  const counted = /^(\d+):([0-5]?\d)(?::(\d{1,3})|\.(\d{2,3}))$/.exec(said);
  const framed = counted
    ? frameOfSecond(table, Number(counted[1]), Number(counted[2]), Number(counted[3] ?? counted[4]))
    : undefined;
  if (framed !== undefined) return framed;
  const loose = /^(?:(\d+):)?(\d+(?:\.\d+)?)$/.exec(said);
  if (!loose) return undefined;
  const zero = frameStartS(table, 0);
  const atS = Number(loose[1] ?? 0) * 60 + Number(loose[2]);
  const end = frameStartS(table, frameCount(table)) - zero;
  if (atS > end) return undefined;
  return atS === end ? frameCount(table) : frameAtS(table, zero + atS);
};

/** The how-many-th frame of a second; undefined where there is none. */
const frameOfSecond = (table: TimeTable, minutes: number, second: number, inSecond: number): number | undefined => {
  const zero = frameStartS(table, 0);
  const whole = minutes * 60 + second;
  if (whole > frameStartS(table, frameCount(table)) - zero) return undefined;
  let frame = frameAtS(table, zero + whole);
  // the first frame of that second
  while (frame > 0 && frameStartS(table, frame - 1) - zero >= whole) frame--;
  if (frameStartS(table, frame) - zero < whole - table.timeBaseNum / table.timeBaseDen / 2) frame++;
  const found = frame + inSecond;
  const isThere =
    found < frameCount(table) && timecode(table, found).startsWith(`${minutes}:${String(second).padStart(2, '0')}.`);
  return isThere || found === frameCount(table) ? found : undefined;
};
