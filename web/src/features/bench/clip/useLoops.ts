import type { DetailLoop } from '@odograph/core';
import { useState } from 'react';
import { v7 as newId } from 'uuid';
import { type ClipView } from '../../library/index.js';
import { useEdit } from '../../replica/index.js';
import type { PlayerHandle } from '../../player/index.js';
import { instantAt } from '../desk/index.js';
import { type KeyTable } from '../keys/index.js';

export type Loops = {
  readonly all: readonly DetailLoop[];
  readonly inHand: DetailLoop | undefined;
  /** Where the loop that is being made begins. */ readonly from: number | null;
  readonly take: (loop: DetailLoop | undefined) => void;
  readonly remove: (loop: DetailLoop) => void;
  readonly keys: KeyTable;
};

/** Loops of a detail of the clip in hand, each at its own speed: U says where one begins and ends, W goes to the next one and back to the whole clip. */
export const useLoops = (
  view: ClipView | undefined,
  { player, table, frame }: Pick<PlayerHandle, 'player' | 'table' | 'frame'>,
): Loops => {
  const edit = useEdit();
  const [making, setMaking] = useState<{ readonly clipId: string; readonly from: number } | null>(null);
  const [taken, setTaken] = useState<string | null>(null);
  const clip = view?.clip;
  const all = clip?.loops ?? [];
  const inHand = all.find((l) => l.id === taken);
  const from = making && making.clipId === clip?.id ? making.from : null;
  const keep = (loops: readonly DetailLoop[]): void => {
    if (clip) edit({ kind: 'clip', id: clip.id, changes: { loops } });
  };
  const take = (loop: DetailLoop | undefined): void => {
    setTaken(loop?.id ?? null);
    const stretch = loop ?? clip;
    if (!stretch) return;
    player?.setSpeed(loop?.speed ?? 1);
    player?.loop({ inFrame: stretch.in.frame, outFrame: stretch.out.frame });
    player?.seek(stretch.in.frame);
    player?.play();
  };
  const onKey = (): void => {
    if (!clip || !table || !player) return;
    const at = frame();
    if (from === null || at <= from) {
      setMaking({ clipId: clip.id, from: at });
      return;
    }
    const loop = {
      id: newId(),
      in: instantAt(table, from),
      out: instantAt(table, at + 1),
      speed: player.snapshot().speed,
    };
    setMaking(null);
    keep([...all, loop]);
    take(loop);
  };
  const next = (): void => take(all[inHand ? all.indexOf(inHand) + 1 : 0]);
  const remove = (loop: DetailLoop): void => {
    keep(all.filter((l) => l.id !== loop.id));
    if (loop.id === taken) take(undefined);
  };
  return {
    all,
    inHand,
    from,
    take,
    remove,
    keys: clip
      ? {
          u: onKey,
          ...(all.length ? { w: next } : {}),
          ...(inHand ? { Delete: () => remove(inHand) } : {}),
        }
      : {},
  };
};
