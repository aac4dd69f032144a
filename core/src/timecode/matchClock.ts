/** What the clock of a match said at one instant of the footage. */
export type ClockAnchor = {
  /** Instant of the footage, in milliseconds. */
  readonly atMs: number;
  /** What the clock showed, in milliseconds. */
  readonly readingMs: number;
  readonly direction: 'down' | 'up';
  /** The clock went on from here, or stood. */
  readonly running: boolean;
  /** Which period: 1, 2, … */
  readonly period: number;
  /** How long the period is, in milliseconds: without it a clock that counts up does not say what is left. */
  readonly lengthMs: number | null;
};

export type ClockReading = {
  readonly readingMs: number;
  readonly leftMs: number | null;
  readonly period: number;
  readonly running: boolean;
};

/** Two anchors that cannot both be right: by the first, the clock would show something else at the second. */
export type ClockContradiction = {
  readonly earlier: ClockAnchor;
  readonly later: ClockAnchor;
  /** What the later one shows beyond what the earlier one leads to, in milliseconds. */
  readonly offMs: number;
};

/** A clock is read in whole seconds: readings that differ by less than one, and a little for when it was looked at, agree. */
const AGREE_MS = 1200;

const inOrder = (anchors: readonly ClockAnchor[]): readonly ClockAnchor[] =>
  [...anchors].sort((a, b) => a.atMs - b.atMs || a.period - b.period || a.readingMs - b.readingMs);

const signOf = ({ direction }: ClockAnchor): number => (direction === 'up' ? 1 : -1);

/** What an anchor leads to at an instant: on from it, or back before it; never below nothing, nor beyond the length of its period. */
const readingFrom = (anchor: ClockAnchor, atMs: number): number => {
  const moved = anchor.running ? (atMs - anchor.atMs) * signOf(anchor) : 0;
  return Math.min(anchor.lengthMs ?? Infinity, Math.max(0, anchor.readingMs + moved));
};

/** The anchor that an instant is read by: the last one at or before it; before all of them, the first. */
const anchorAt = (sorted: readonly ClockAnchor[], atMs: number): ClockAnchor | undefined =>
  sorted.filter((a) => a.atMs <= atMs).at(-1) ?? sorted[0];

/** What the clock showed at an instant of the footage; undefined where nothing was ever read from it. */
export const clockAt = (anchors: readonly ClockAnchor[], atMs: number): ClockReading | undefined => {
  const anchor = anchorAt(inOrder(anchors), atMs);
  if (!anchor) return undefined;
  const readingMs = readingFrom(anchor, atMs);
  const leftMs =
    anchor.direction === 'down' ? readingMs : anchor.lengthMs === null ? null : anchor.lengthMs - readingMs;
  const hasEnded = leftMs === 0 || (anchor.direction === 'down' && readingMs === 0);
  return { readingMs, leftMs, period: anchor.period, running: anchor.running && !hasEnded };
};

/** Anchors that follow each other in one period and do not agree. They are shown to whoever set them, never averaged. */
export const clockContradictions = (anchors: readonly ClockAnchor[]): readonly ClockContradiction[] => {
  const sorted = inOrder(anchors);
  return sorted.slice(1).flatMap((later, i): ClockContradiction[] => {
    const earlier = sorted[i]!;
    if (earlier.period !== later.period) return [];
    const offMs = later.readingMs - readingFrom(earlier, later.atMs);
    const isTurned = earlier.direction !== later.direction;
    return isTurned || Math.abs(offMs) > AGREE_MS ? [{ earlier, later, offMs }] : [];
  });
};

/**
 * What somebody says the clock shows: `4:12`, with `stopped`, `up` or `down`, `of 5:00` (the length) and `period 2` where they are not as in the
 * reading before. Undefined where the words hold no reading.
 * @example clockSaid('4:12 stopped', before)
 */
export const clockSaid = (text: string, before: ClockAnchor | undefined): Omit<ClockAnchor, 'atMs'> | undefined => {
  const said = text.toLowerCase();
  const period = /\b(?:period|p)\s*(\d{1,2})\b/.exec(said);
  const length = /\bof\s+(\d{1,2}):([0-5]\d)\b/.exec(said);
  const rest = said.replace(period?.[0] ?? '', ' ').replace(length?.[0] ?? '', ' ');
  const reading = /\b(\d{1,2}):([0-5]\d)\b/.exec(rest);
  if (!reading) return undefined;
  const ms = (time: RegExpExecArray): number => Number(time[1]) * 60_000 + Number(time[2]) * 1000;
  const way = /\b(up|down)\b/.exec(rest)?.[1] as 'up' | 'down' | undefined;
  return {
    readingMs: ms(reading),
    direction: way ?? before?.direction ?? 'down',
    running: !/\b(stopped|stands|stop)\b/.test(rest),
    period: period ? Math.max(1, Number(period[1])) : (before?.period ?? 1),
    lengthMs: length ? ms(length) : (before?.lengthMs ?? null),
  };
};

/** What somebody looks for on the clock: what it shows, or what is left. */
export type ClockWish = { readonly ms: number; readonly isLeft: boolean; readonly period: number | null };

/**
 * A wish in words: `1:48 left`, `clock 4:12`, `period 2, 0:30 left`. Undefined where the words name no reading of a clock.
 * @example clockWish('1:48 left')
 */
export const clockWish = (text: string): ClockWish | undefined => {
  const said = text.toLowerCase();
  const period = /\b(?:period|p)\s*(\d+)/.exec(said);
  const time = /(\d+):([0-5]\d)(?:[.,](\d))?/.exec(said.replace(period?.[0] ?? '', ' '));
  const isLeft = /\bleft\b/.test(said);
  if (!time || !(isLeft || /\bclock\b/.test(said) || period)) return undefined;
  return {
    ms: Number(time[1]) * 60_000 + Number(time[2]) * 1000 + Number(time[3] ?? 0) * 100,
    isLeft,
    period: period ? Number(period[1]) : null,
  };
};

/** The first instant of the footage (ms) at which the clock comes to what is wished; undefined where it never does. `endMs`: the end of the footage. */
export const instantOnClock = (
  anchors: readonly ClockAnchor[],
  { ms, isLeft, period }: ClockWish,
  startMs: number,
  endMs: number,
): number | undefined => {
  const sorted = inOrder(anchors);
  for (const [i, anchor] of sorted.entries()) {
    if (period !== null && anchor.period !== period) continue;
    const [from, to] = [i === 0 ? startMs : anchor.atMs, sorted[i + 1]?.atMs ?? endMs];
    const isOther = isLeft && anchor.direction === 'up';
    if (isOther && anchor.lengthMs === null) continue;
    const wanted = isOther ? anchor.lengthMs! - ms : ms;
    if (!anchor.running) {
      if (anchor.readingMs === wanted) return from;
      continue;
    }
    const atMs = anchor.atMs + (wanted - anchor.readingMs) * signOf(anchor);
    if (atMs >= from && atMs <= to && readingFrom(anchor, atMs) === wanted) return atMs;
  }
  return undefined;
};

/** `m:ss` of a reading; a clock that counts down shows the second it is in. */
export const clockText = (ms: number, direction: 'down' | 'up' = 'down'): string => {
  const seconds = direction === 'down' ? Math.ceil(ms / 1000 - 1e-9) : Math.floor(ms / 1000 + 1e-9);
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
};
