import { useEffect, useRef } from 'react';
import type { Stretch } from '../../player/index.js';
import type { Desk } from '../desk/index.js';
import type { MarkHere, Marks } from './useMarks.js';

export type Round = {
  /** Takes a mark in hand and shows it in a loop; none where there is none. */
  readonly takeMark: (mark: MarkHere | undefined) => void;
  readonly toNext: () => void;
};

/** Marks one after the other, each in a loop. */
export const useRound = (
  { handle: { player, frame }, move, select }: Pick<Desk, 'handle' | 'move' | 'select'>,
  marks: Pick<Marks, 'inHand' | 'around' | 'after'>,
): Round => {
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
    if (!mark) return select();
    move({ does: 'take', held: { is: 'mark', momentId: mark.moment.id } });
    // from the beginning of the loop, so that what led there is seen
    const round = marks.around(mark);
    player?.loop(round);
    player?.seek(round.inFrame);
    player?.play();
  };
  /** From where the next one is looked for: the mark in hand, or the one just told while the loop round it goes on, wherever that stands. */
  const fromHere = (): number => {
    const round = player?.snapshot().loop;
    const isRound =
      round && last.current?.round.inFrame === round.inFrame && last.current.round.outFrame === round.outFrame;
    return inHand?.frame ?? (isRound ? last.current!.frame : frame());
  };
  return { takeMark, toNext: () => takeMark(marks.after(fromHere())) };
};
