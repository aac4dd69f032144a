import { frameAtS, frameStartS } from '@odograph/core';
import { useEffect, type RefObject } from 'react';
import { SPEEDS, type PlayerHandle } from '../player/index.js';
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
  // the loop follows its length, and the mark where it is moved
  useEffect(() => {
    if (inFrame !== undefined && outFrame !== undefined) player?.loop({ inFrame, outFrame });
  }, [player, inFrame, outFrame]);
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
  return {
    takeMark,
    toNext: () => takeMark(marks.after(inHand?.frame ?? frame())),
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
