import { angleClock, clockOfPairs, frameStartS, type SamePair, type TimeTable } from '@odograph/core';
import { useState } from 'react';
import { useEdit } from '../../replica/index.js';
import { type OnBench } from '../desk/index.js';

/** Instants that were found on two cameras of a footage; kept while the bench changes between them. */
export type Remembered = {
  readonly footageId: string;
  /** Instant of the footage that is to be found again, in milliseconds, and the camera on which it was remembered. */
  readonly instant: { readonly atMs: number; readonly angleId: string } | null;
  readonly pairs: Readonly<Record<string, readonly SamePair[]>>;
};

export const NOTHING_REMEMBERED: Remembered = { footageId: '', instant: null, pairs: {} };

export type SameInstant = {
  readonly isRemembered: boolean;
  /** How many instants are paired for the camera in hand. */
  readonly pairs: number;
  /** The pairs say something that cannot be. */
  readonly isContrary: boolean;
  readonly remember: () => void;
  /** The frame in hand shows the instant that is remembered: the camera in hand is moved so that it does. */
  readonly isHere: () => void;
};

/** Lines cameras up by eye: an instant is remembered on one, and found on another; two such instants also say how slow a replay is. */
export const useSameInstant = (
  bench: OnBench,
  table: TimeTable | undefined,
  frame: () => number,
  msOf: (frame: number) => number,
  [kept, keep]: readonly [Remembered, (next: Remembered) => void],
): SameInstant => {
  const edit = useEdit();
  const [isContrary, setContrary] = useState(false);
  const { angle, file, footage } = bench;
  const here = kept.footageId === footage.id ? kept : { ...NOTHING_REMEMBERED, footageId: footage.id };
  const pairs = here.pairs[angle.id] ?? [];
  const mayPair = here.instant !== null && here.instant.angleId !== angle.id;
  return {
    isRemembered: mayPair,
    pairs: pairs.length,
    isContrary,
    remember: () => keep({ ...here, instant: { atMs: msOf(frame()), angleId: angle.id } }),
    isHere: () => {
      if (!here.instant || !mayPair || !table) return;
      const all = [...pairs, { footageMs: here.instant.atMs, fileS: frameStartS(table, frame()) }];
      const change = clockOfPairs(angleClock(angle, file), all);
      setContrary(!change);
      keep({ ...here, instant: null, pairs: { ...here.pairs, [angle.id]: change ? all : [] } });
      if (change) edit({ kind: 'angle', id: angle.id, changes: change });
    },
  };
};
