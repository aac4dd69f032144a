import type { Drawing } from '@odograph/core';
import { useEffect } from 'react';
import type { PlayerHandle } from '../../player/index.js';

/** Frames that the picture may go on between two looks at it: a drawing that lies between them is held all the same. */
const STRIDE = 12;

/** While it plays, holds the picture where a drawing begins for as long as that says, and goes on. */
export const useHolds = ({ player }: PlayerHandle, drawings: readonly Drawing[], isOn: boolean): void => {
  useEffect(() => {
    const held = drawings.filter((d) => d.holdMs > 0);
    if (!player || !isOn || !held.length) return undefined;
    let before = player.snapshot().frame;
    let goesOn: ReturnType<typeof setTimeout> | undefined;
    const stop = player.subscribe(() => {
      const { frame, playing } = player.snapshot();
      const from = before;
      before = frame;
      if (!playing || frame <= from || frame - from > STRIDE) return;
      const reached = held.find((d) => from < d.from.frame && d.from.frame <= frame);
      if (!reached) return;
      player.pause();
      player.seek(reached.from.frame);
      before = reached.from.frame;
      goesOn = setTimeout(() => player.play(), reached.holdMs);
    });
    return () => {
      stop();
      clearTimeout(goesOn);
    };
  }, [player, drawings, isOn]);
};
