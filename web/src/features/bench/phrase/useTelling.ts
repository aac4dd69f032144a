import { mirrorAttempt, sayAttempt, sidesOf, type SaidPart, type SaidSides, type Telling } from '@odograph/core';
import { useMemo } from 'react';
import type { ClipView } from '../../library/index.js';
import { useOwn } from '../../library/index.js';
import { type Desk } from '../desk/index.js';

export type SideTelling = {
  readonly telling: Telling;
  readonly choose: (telling: Telling) => void;
  /** How sides of a clip are told in words. */ readonly of: (view: ClipView) => SaidSides;
  /** The sentence of a clip, with sides told so, and turned over where the picture is. */ readonly said: (
    view: ClipView,
  ) => readonly SaidPart[];
};

/** How left and right are told on the bench, as one person has chosen it on this browser. */
export const useTelling = ({ bench, words, isMirrored }: Desk): SideTelling => {
  const [telling, choose] = useOwn<Telling>('odograph.sides', 'own');
  const { leftMark, rightMark } = bench.angle;
  const told = useMemo(() => {
    const of = ({ clip, attempt }: ClipView): SaidSides => ({
      telling,
      sides: sidesOf(telling, {
        seen: clip.seen,
        facing: (attempt.state && words.position(attempt.state.position)?.facing) ?? 'facing',
        isMirrored,
        landmarks: { left: leftMark, right: rightMark },
      }),
    });
    // said once for each clip: a row of the list is drawn anew only where its words change
    const known = new WeakMap<ClipView, readonly SaidPart[]>();
    const said = (view: ClipView): readonly SaidPart[] => {
      if (telling === 'own' && !isMirrored) return view.said;
      const attempt = isMirrored ? mirrorAttempt(view.attempt) : view.attempt;
      const parts = known.get(view) ?? sayAttempt(attempt, words, view.athletes, of(view));
      known.set(view, parts);
      return parts;
    };
    return { of, said };
  }, [telling, isMirrored, words, leftMark, rightMark]);
  return { telling, choose, ...told };
};
