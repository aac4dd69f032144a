import {
  clockAt,
  clockContradictions,
  clockSaid,
  clockText,
  clockWish,
  firstFrameFrom,
  frameOfText,
  instantOnClock,
  type ClockAnchor,
  type TimeTable,
} from '@odograph/core';
import { useEdit } from '../../replica/index.js';
import { useLazyScoreboardQuery, useMeQuery } from '../../server/index.js';
import { useTimes, type OnBench } from '../desk/index.js';

export type MatchClock = {
  /** What the clock showed at a frame: `1:48 left`; empty where nothing is known of it. */
  readonly says: (frame: number) => string;
  readonly anchors: readonly ClockAnchor[];
  /** Pairs of readings that cannot both be right, in words. */
  readonly contradictions: readonly string[];
  /** Notes what the clock shows at the frame in hand; false where the words hold no reading. */
  readonly note: (text: string) => boolean;
  readonly forget: (anchor: ClockAnchor) => void;
  /** Asks the scoreboard what it showed, and takes that beside what was read; null where there is none to ask: only the demo has one. */
  readonly askScoreboard: (() => void) | null;
  /** The scoreboard was asked and knows nothing of this footage. */
  readonly isUnknown: boolean;
  /** The frame that words name: a reading of the clock, a time, or a frame number; undefined where there is none. */
  readonly frameOf: (text: string) => number | undefined;
};

/** Readings within this of each other are of one instant: a new one takes the place of the old. */
const SAME_MS = 20;

/** The clock of the match on the bench, as it was read at some instants, for every frame. */
export const useClock = (bench: OnBench, table: TimeTable | undefined, frame: () => number): MatchClock => {
  const edit = useEdit();
  const [ask, { currentData: scoreboard }] = useLazyScoreboardQuery();
  const hasScoreboard = useMeQuery().data?.academy.isDemo === true;
  const { footage } = bench;
  const { clock, msOf } = useTimes(bench, table);
  const save = (anchors: readonly ClockAnchor[]): void =>
    edit({ kind: 'footage', id: footage.id, changes: { clock: anchors } });
  const sorted = [...footage.clock].sort((a, b) => a.atMs - b.atMs);

  const says = (at: number): string => {
    const reading = table && clockAt(footage.clock, msOf(at));
    if (!reading) return '';
    const period = sorted.some((a) => a.period > 1) ? `period ${reading.period}, ` : '';
    const stands = reading.running ? '' : ', stopped';
    return reading.leftMs === null
      ? `${period}clock ${clockText(reading.readingMs, 'up')}${stands}`
      : `${period}${clockText(reading.leftMs)} left${stands}`;
  };
  return {
    says,
    anchors: sorted,
    contradictions: clockContradictions(sorted).map(
      ({ earlier, later, offMs }) =>
        `${clockText(earlier.readingMs)} and ${clockText(later.readingMs)} don’t agree: ${Math.abs(Math.round(offMs / 1000))} s lie between what the first leads to and the second.`,
    ),
    note: (text) => {
      if (!table) return false;
      const atMs = msOf(frame());
      const said = clockSaid(text, sorted.filter((a) => a.atMs <= atMs).at(-1) ?? sorted[0]);
      if (!said) return false;
      save(
        [...sorted.filter((a) => Math.abs(a.atMs - atMs) > SAME_MS), { atMs, ...said }].sort((a, b) => a.atMs - b.atMs),
      );
      return true;
    },
    forget: (anchor) => save(sorted.filter((a) => a !== anchor)),
    askScoreboard: !hasScoreboard
      ? null
      : () => {
          void ask(footage.id).then(({ data }) => {
            if (!data?.readings) return;
            const isKnown = ({ atMs }: ClockAnchor): boolean => sorted.some((a) => Math.abs(a.atMs - atMs) <= SAME_MS);
            const fresh = data.readings.filter((reading) => !isKnown(reading));
            if (fresh.length) save([...sorted, ...fresh].sort((a, b) => a.atMs - b.atMs));
          });
        },
    isUnknown: scoreboard?.readings === null,
    frameOf: (text) => {
      if (!table) return undefined;
      const wish = clockWish(text);
      if (!wish) return frameOfText(table, text);
      const [startMs, endMs] = [msOf(bench.angle.fromFrame), msOf(bench.angle.toFrame)];
      const atMs = instantOnClock(sorted, wish, startMs, endMs);
      if (atMs === undefined || atMs < startMs || atMs >= endMs) return undefined;
      return firstFrameFrom(table, clock, atMs);
    },
  };
};
