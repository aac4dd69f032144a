import type { LeadView } from '@odograph/core/contract';
import { useEffect, useMemo, useRef } from 'react';
import type { PlayerHandle } from '../player/index.js';
import { Leading } from './leading.js';

/** What of the view the player doesn't know. */
export type Beside = Pick<LeadView, 'angleId' | 'isMirrored' | 'hasDrawings'>;

/** While one leads, tells what is seen, with each change of the player; gives a function that tells where the pointer is. */
export const useLeading = (
  { player }: PlayerHandle,
  isLead: boolean,
  say: (view: LeadView) => Promise<unknown>,
  { angleId, isMirrored, hasDrawings }: Beside,
): ((at: LeadView['pointer']) => void) => {
  const leading = useMemo(() => (isLead ? new Leading(say) : null), [isLead, say]);
  const pointer = useRef<LeadView['pointer']>(null);
  const tell = useRef<() => void>(() => undefined);
  useEffect(() => {
    tell.current = () => {
      if (!leading || !player) return;
      const { playing, speed, backwards, loop, frame } = player.snapshot();
      const at = playing ? frame : player.meant();
      const of = { angleId, isMirrored, hasDrawings, pointer: pointer.current };
      leading.tell({ ...of, frame: at, playing, speed, backwards, loop });
    };
    tell.current();
    return leading ? player?.subscribe(() => tell.current()) : undefined;
  }, [leading, player, angleId, isMirrored, hasDrawings]);
  return (at) => {
    pointer.current = at;
    tell.current();
  };
};
