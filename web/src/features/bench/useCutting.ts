import { useState } from 'react';
import { useDispatch } from 'react-redux';
import { useSearchParams } from 'react-router';
import { v7 as newId } from 'uuid';
import { type ClipView } from '../library/index.js';
import { editQueued, useEdit } from '../replica/index.js';
import type { PlayerHandle } from '../player/index.js';
import type { Edge } from './EdgeHandle.js';
import { instantAt, newClipEdit } from './newClip.js';
import type { OnBench } from './useBenchClips.js';

export type Cutting = {
  /** Where a clip or a stretch is to begin. */
  readonly inMark: number | null;
  readonly setInMark: (frame: number | null) => void;
  /** The clip that was made last. */
  readonly fresh: string | null;
  /** The hand was given to it once; it is taken from the picture by no other way. */ readonly onTaken: () => void;
  readonly onIn: () => void;
  readonly onOut: () => void;
  readonly moveEdge: (edge: Edge, frame: number) => void;
  /** Makes of the clip in hand another look at the attempt of `other`; its own attempt goes. */
  readonly lookAt: (other: ClipView) => void;
};

/** Cuts clips: in and out of a new one, or of the one in hand. `here`: what stays in the address. */
export const useCutting = (
  bench: OnBench,
  handle: PlayerHandle,
  selected: ClipView | undefined,
  here: Readonly<Record<string, string>>,
): Cutting => {
  const [, setSearch] = useSearchParams();
  const [inMark, setInMark] = useState<number | null>(null);
  const [fresh, setFresh] = useState<string | null>(null);
  const edit = useEdit();
  const dispatch = useDispatch();
  const { player, table, frame } = handle;
  const moveEdge = (edge: Edge, to: number): void => {
    if (!table || !selected) return;
    const { clip } = selected;
    const inFrame = edge === 'in' ? to : clip.in.frame,
      outFrame = edge === 'out' ? to : clip.out.frame;
    if (inFrame >= outFrame) return;
    edit({
      kind: 'clip',
      id: clip.id,
      changes: { [edge]: instantAt(table, to) },
    });
    player?.loop({ inFrame, outFrame });
  };
  const makeClip = (outFrame: number): void => {
    if (!table || inMark === null || outFrame <= inMark) return;
    const subject = bench.clips.filter((v) => v.clip.in.frame <= inMark).at(-1)?.attempt.subject ?? 'a';
    const made = newClipEdit({
      footageId: bench.footage.id,
      angleId: bench.angle.id,
      table,
      subject,
      inFrame: inMark,
      outFrame,
    });
    dispatch(editQueued(made));
    setInMark(null);
    setSearch({ ...here, clip: made.clip.id }, { replace: true });
    player?.loop({ inFrame: inMark, outFrame });
    setFresh(made.clip.id);
  };
  const onIn = (): void => (selected ? moveEdge('in', frame()) : setInMark(frame()));
  const onOut = (): void => (selected ? moveEdge('out', frame() + 1) : makeClip(frame() + 1));
  const lookAt = (other: ClipView): void => {
    if (!selected) return;
    const clip = { ...selected.clip, id: newId(), version: 0, attemptId: other.attempt.id };
    dispatch(editQueued({ kind: 'new look', editId: newId(), clip }));
    edit({ kind: 'remove', what: 'clip', id: selected.clip.id });
    setSearch({ ...here, clip: clip.id }, { replace: true });
  };
  const onTaken = (): void => setFresh(null);
  return { inMark, setInMark, fresh, onTaken, onIn, onOut, moveEdge, lookAt };
};
