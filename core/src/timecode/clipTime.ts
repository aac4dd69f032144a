import { frameAtS, frameCount, frameStartS, timecode, type TimeTable } from './timetable.js';

/**
 * The frame that a text names: `m:ss:ff` as {@link timecode} writes it, `m:ss` or `m:ss.s` or seconds (the frame that is on the screen then), or
 * `#` and a frame number. Undefined where it is none of these, or outside the file.
 * @example frameOfText(table, '0:12:03'), frameOfText(table, '12.5'), frameOfText(table, '#312')
 */
export const frameOfText = (table: TimeTable, text: string): number | undefined => {
  const said = text.trim().replace(',', '.');
  const number = /^#(\d+)$/.exec(said);
  if (number) {
    const frame = Number(number[1]);
    return frame <= frameCount(table) ? frame : undefined;
  }
  const exact = /^(\d+):([0-5]?\d):(\d{1,3})$/.exec(said);
  const loose = /^(?:(\d+):)?(\d+(?:\.\d+)?)$/.exec(said);
  if (!exact && !loose) return undefined;
  const [minutes, second, inSecond] = exact
    ? [Number(exact[1]), Number(exact[2]), Number(exact[3])]
    : [Number(loose![1] ?? 0), Number(loose![2]), 0];
  const zero = frameStartS(table, 0);
  const atS = minutes * 60 + second;
  const end = frameStartS(table, frameCount(table)) - zero;
  if (atS > end) return undefined;
  if (!exact) return atS === end ? frameCount(table) : frameAtS(table, zero + atS);
  const whole = Math.floor(atS);
  let frame = frameAtS(table, zero + atS);
  // the first frame of that second
  while (frame > 0 && frameStartS(table, frame - 1) - zero >= whole) frame--;
  if (frameStartS(table, frame) - zero < whole - table.timeBaseNum / table.timeBaseDen / 2) frame++;
  const found = frame + inSecond;
  return found <= frameCount(table) && (found === frameCount(table) || timecode(table, found).startsWith(`${minutes}:`))
    ? found
    : undefined;
};
