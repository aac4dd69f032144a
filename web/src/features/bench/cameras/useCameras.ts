import { BARE_CLIP, angleClock, fileSeconds, footageSeconds, frameAtS, ptsOf } from '@odograph/core';
import { useState } from 'react';
import { useDispatch } from 'react-redux';
import { useSearchParams } from 'react-router';
import { v7 as newId } from 'uuid';
import { useTables, type ClipView } from '../../library/index.js';
import { editQueued } from '../../replica/index.js';
import { instantAt, type Desk } from '../desk/index.js';

/** What can be done where several cameras filmed the same. */
export type Cameras = {
  /** A clip from another camera whose attempt is in hand and not cut from this one. */
  readonly uncut: ClipView | undefined;
  /** The stretch lies outside what this camera filmed. */
  readonly isOutside: boolean;
  readonly show: (angleId: string) => void;
  readonly next: () => void;
  /** Cuts the attempt in hand from this camera as well. */
  readonly cutHere: () => void;
};

/** Changes between the cameras of the footage on the bench: the instant stays, and so does the attempt in hand. */
export const useCameras = ({ bench, table, handle: { frame }, selected }: Desk): Cameras => {
  const [search, setSearch] = useSearchParams();
  const askTables = useTables();
  const dispatch = useDispatch();
  const [isOutside, setOutside] = useState(false);
  const inHand = selected?.attempt.id ?? search.get('of');
  const uncut = selected ? undefined : bench.allClips.find((v) => v.attempt.id === inHand);

  const show = (angleId: string): void => {
    const to = bench.cameras.find((c) => c.angle.id === angleId);
    if (!to || !table || angleId === bench.angle.id) return;
    const atS = footageSeconds(angleClock(bench.angle, bench.file), ptsOf(table, frame()));
    void askTables([angleId]).then((tables) => {
      const there = tables.get(angleId);
      if (!there) return;
      const look = bench.allClips.find((v) => v.attempt.id === inHand && v.angle.id === angleId);
      setSearch(
        {
          camera: angleId,
          frame: String(frameAtS(there, Math.max(0, fileSeconds(angleClock(to.angle, to.file), atS)))),
          ...(look ? { clip: look.clip.id } : inHand ? { of: inHand } : {}),
        },
        { replace: true },
      );
    });
  };
  const next = (): void => {
    const at = bench.cameras.findIndex((c) => c.angle.id === bench.angle.id);
    show(bench.cameras[(at + 1) % bench.cameras.length]!.angle.id);
  };
  const cutHere = (): void => {
    if (!uncut || !table) return;
    const from = angleClock(uncut.angle, uncut.file);
    const here = angleClock(bench.angle, bench.file);
    const filmed = (pts: number): number => fileSeconds(here, footageSeconds(from, pts));
    const [inS, outS] = [filmed(uncut.clip.in.pts), filmed(uncut.clip.out.pts)];
    const within = (atS: number): number =>
      Math.min(bench.angle.toFrame, Math.max(bench.angle.fromFrame, frameAtS(table, Math.max(0, atS))));
    const [inFrame, outFrame] = [within(inS), within(outS)];
    if (outFrame <= inFrame) {
      setOutside(true);
      return;
    }
    const clip = {
      id: newId(),
      version: 0,
      attemptId: uncut.attempt.id,
      angleId: bench.angle.id,
      in: instantAt(table, inFrame),
      out: instantAt(table, outFrame),
      ...BARE_CLIP,
    };
    dispatch(editQueued({ kind: 'new look', editId: newId(), clip }));
    setSearch({ camera: bench.angle.id, clip: clip.id, frame: String(inFrame) }, { replace: true });
  };
  return { uncut, isOutside, show, next, cutHere };
};
