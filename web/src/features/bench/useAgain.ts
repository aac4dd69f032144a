import { frameAtS, frameStartS } from '@odograph/core';
import { useEffect, useRef, type RefObject } from 'react';
import { SPEEDS, type PlayerHandle, type Stretch } from '../player/index.js';
import type { OnBench } from './useBenchClips.js';
import type { KeyTable } from './usePictureKeys.js';
import type { MarkHere, Marks } from './useMarks.js';

/** One step back to see it again, in seconds. */
const BEAT_S = 1;

/** Seeing the same instant again: marks one after the other, each in a loop; a beat back; once more, slower. */
export const useAgain = ({
  bench,
  handle,
  marks,
  root,
  onLeaveClip,
}: {
  readonly bench: OnBench;
  readonly handle: PlayerHandle;
  readonly marks: Marks;
  readonly root: RefObject<HTMLElement | null>;
  readonly onLeaveClip: () => void;
}): {
  readonly takeMark: (mark: MarkHere | undefined) => void;
  readonly toNext: () => void;
  /** Keys while a mark is in hand. */ readonly marking: KeyTable;
  readonly watching: KeyTable;
} => {
  const { player, table, frame } = handle;
  const { inHand } = marks;
  const loop = inHand && marks.around(inHand);
  const [inFrame, outFrame] = [loop?.inFrame, loop?.outFrame];
  /** The mark that was in hand last, and the loop round it. */
  const last = useRef<{ readonly frame: number; readonly round: Stretch } | null>(null);
  const at = inHand?.frame;
  // the loop follows its length, and the mark where it is moved
  useEffect(() => {
    if (at === undefined || inFrame === undefined || outFrame === undefined) return;
    last.current = { frame: at, round: { inFrame, outFrame } };
    player?.loop({ inFrame, outFrame });
  }, [player, at, inFrame, outFrame]);
  const takeMark = (mark: MarkHere | undefined): void => {
    onLeaveClip();
    marks.take(mark);
    if (!mark) return;
    // from the beginning of the loop, so that what led there is seen
    const round = marks.around(mark);
    player?.loop(round);
    player?.seek(round.inFrame);
    player?.play();
  };
  const nudge = (by: 1 | -1): void => {
    const to = marks.nudge(by);
    player?.pause();
    if (to !== undefined) player?.seek(to);
  };
  /** From where the next one is looked for: the mark in hand, or the one just told while the loop round it goes on, wherever that stands. */
  const fromHere = (): number => {
    const round = player?.snapshot().loop;
    const isRound =
      round && last.current?.round.inFrame === round.inFrame && last.current.round.outFrame === round.outFrame;
    return inHand?.frame ?? (isRound ? last.current!.frame : frame());
  };
  return {
    takeMark,
    toNext: () => takeMark(marks.after(fromHere())),
    marking: {
      Home: () => player?.seek(inHand?.frame ?? frame()),
      ',': () => nudge(-1),
      '.': () => nudge(1),
      '-': () => marks.setLoop(-1),
      '+': () => marks.setLoop(1),
      p: () => root.current?.querySelector<HTMLInputElement>('[data-testid=phrase-line] input')?.focus(),
      Delete: marks.forget,
      Escape: () => takeMark(undefined),
    },
    watching: {
      b: () => {
        if (table) player?.seek(Math.max(bench.angle.fromFrame, frameAtS(table, frameStartS(table, frame()) - BEAT_S)));
      },
      v: () => {
        const { loop: round, speed } = player?.snapshot() ?? { loop: null, speed: 1 };
        player?.setSpeed(SPEEDS[Math.min(SPEEDS.length - 1, SPEEDS.findIndex((s) => s === speed) + 1)]!);
        player?.seek(round?.inFrame ?? frame());
        player?.play();
      },
    },
  };
};
