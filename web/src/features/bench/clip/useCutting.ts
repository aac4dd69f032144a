import { useState } from 'react';
import { useDispatch } from 'react-redux';
import { v7 as newId } from 'uuid';
import { type ClipView } from '../../library/index.js';
import { editQueued, useEdit } from '../../replica/index.js';
import { PARTS, instantAt, newClipEdit, type Desk, type Edge } from '../desk/index.js';

export type Cutting = {
  /** The clip that was made last. */
  readonly fresh: string | null;
  /** The hand was given to it once; it is taken from the picture by no other way. */ readonly onTaken: () => void;
  readonly onIn: () => void;
  readonly onOut: () => void;
  readonly moveEdge: (edge: Edge, frame: number) => void;
  /** Makes of the clip in hand another look at the attempt of `other`; its own attempt goes. */
  readonly lookAt: (other: ClipView) => void;
};

/** Cuts clips: in and out of a new one, or of the one in hand. */
export const useCutting = ({ bench, handle, table, hand, move, selected }: Desk): Cutting => {
  const [fresh, setFresh] = useState<string | null>(null);
  const edit = useEdit();
  const dispatch = useDispatch();
  const { player, frame } = handle;
  const take = (clipId: string): void => move({ does: 'take', held: { is: 'clip', clipId, way: PARTS } });
  const moveEdge = (edge: Edge, to: number): void => {
    if (!table || !selected) return;
    const { clip } = selected;
    const inFrame = edge === 'in' ? to : clip.in.frame,
      outFrame = edge === 'out' ? to : clip.out.frame;
    if (inFrame >= outFrame) return;
    edit({ kind: 'clip', id: clip.id, changes: { [edge]: instantAt(table, to) } });
    player?.loop({ inFrame, outFrame });
  };
  const makeClip = (inFrame: number, outFrame: number): void => {
    if (!table || outFrame <= inFrame) return;
    const subject = bench.clips.filter((v) => v.clip.in.frame <= inFrame).at(-1)?.attempt.subject ?? 'a';
    const of = { footageId: bench.footage.id, angleId: bench.angle.id, table, subject };
    const made = newClipEdit({ ...of, inFrame, outFrame });
    dispatch(editQueued(made));
    take(made.clip.id);
    player?.loop({ inFrame, outFrame });
    setFresh(made.clip.id);
  };
  return {
    ...{ fresh, moveEdge },
    onTaken: () => setFresh(null),
    onIn: () => (selected ? moveEdge('in', frame()) : move({ does: 'take', held: { is: 'begun', inFrame: frame() } })),
    onOut: () => {
      if (selected) moveEdge('out', frame() + 1);
      else if (hand.is === 'begun') makeClip(hand.inFrame, frame() + 1);
    },
    lookAt: (other) => {
      if (!selected) return;
      const clip = { ...selected.clip, id: newId(), version: 0, attemptId: other.attempt.id };
      dispatch(editQueued({ kind: 'new look', editId: newId(), clip }));
      edit({ kind: 'remove', what: 'clip', id: selected.clip.id });
      take(clip.id);
    },
  };
};
