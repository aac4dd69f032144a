/** @jest-environment jsdom */
import { afterEach, describe, expect, test } from '@jest/globals';
import { cleanup, renderHook } from '@testing-library/react';
import type { PlayerHandle, Stretch } from '../../player/index.js';
import type { HandMove } from '../desk/index.js';
import { useRound } from './useRound.js';
import { type MarkHere } from './useMarks.js';

const mark = (frame: number): MarkHere => ({ moment: { id: `m${frame}` }, frame }) as MarkHere;

const idOf = (to: HandMove): string | undefined =>
  to.does === 'take' && to.held.is === 'mark' ? to.held.momentId : undefined;

describe('marks, one after the other', () => {
  afterEach(cleanup);

  /** A bench with marks at some frames; what is in hand is what was taken last. */
  const bench = () => {
    const all = [mark(100), mark(150), mark(200)];
    let [inHand, loop, shown]: [MarkHere | undefined, Stretch | null, number] = [undefined, null, 0];
    const player = {
      loop: (round: Stretch | null) => (loop = round),
      snapshot: () => ({ loop }),
      seek: (frame: number) => (shown = frame),
      play: () => undefined,
      pause: () => undefined,
    };
    const { result, rerender } = renderHook(() =>
      useRound(
        {
          handle: { player, frame: () => shown } as unknown as PlayerHandle,
          move: (to) => (inHand = all.find((m) => m.moment.id === idOf(to))),
          select: () => (inHand = undefined),
        },
        {
          inHand,
          after: (f: number) => all.find((m) => m.frame > f) ?? all[0],
          around: ({ frame }: MarkHere) => ({ inFrame: frame - 30, outFrame: frame + 60 }),
        },
      ),
    );
    return {
      next: () => {
        result.current.toNext();
        rerender();
        return inHand?.frame;
      },
      /** The mark in hand is told while the loop round it has come to a frame. */
      tell: (frame: number) => {
        all.splice(all.indexOf(inHand!), 1);
        inHand = undefined;
        shown = frame;
        rerender();
      },
      goTo: (frame: number) => {
        loop = null;
        shown = frame;
      },
    };
  };

  test('when one is told while its loop has run past the next, that one should be the next all the same', () => {
    const { next, tell } = bench();
    expect(next()).toBe(100);
    tell(158);
    expect(next()).toBe(150);
    tell(205);
    expect(next()).toBe(200);
  });

  test('when somebody has gone elsewhere since, the next should be the one from there', () => {
    const { next, tell, goTo } = bench();
    expect(next()).toBe(100);
    tell(158);
    goTo(160);
    expect(next()).toBe(200);
  });
});
