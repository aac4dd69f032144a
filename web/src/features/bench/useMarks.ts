import {
  angleClock,
  firstFrameFrom,
  footageSeconds,
  learnedLagMs,
  observedLags,
  ptsOf,
  sightingsIn,
  waitingMarks,
  type Moment,
  type Sighting,
  type TimeTable,
} from '@odograph/core';
import { useMemo, useState } from 'react';
import { useDispatch } from 'react-redux';
import { v7 as newId } from 'uuid';
import { useLibrary, useOwn } from '../library/index.js';
import { editQueued, useEdit } from '../replica/index.js';
import { useMeQuery } from '../server/index.js';
import type { PlayerHandle, Stretch } from '../player/index.js';
import { instantAt } from './newClip.js';
import type { OnBench } from './useBenchClips.js';

/** A mark that waits, and its frame on the camera in hand. */
export type MarkHere = { readonly moment: Moment; readonly frame: number };

export type SightingHere = MarkHere & { readonly moment: Sighting };

export type Marks = {
  readonly here: readonly MarkHere[];
  /** Those with a place: somebody was seen there. */ readonly sightings: readonly SightingHere[];
  readonly inHand: MarkHere | undefined;
  /** By how much marks are put back, in ms, and how many marks that was learned from; null = set by hand. */
  readonly lagMs: number;
  readonly learnedFrom: number | null;
  readonly setLag: (ms: number | null) => void;
  /** How long the loop round a mark is, in s. */
  readonly loopS: number;
  readonly setLoop: (by: 1 | -1) => void;
  /** The frames of the loop round a mark. */
  readonly around: (mark: MarkHere) => Stretch;
  readonly drop: () => void;
  /** The mark that waits behind an instant, or the first. */
  readonly after: (frame: number) => MarkHere | undefined;
  readonly take: (mark: MarkHere | undefined) => void;
  /** Moves the mark in hand by frames; gives where it is then. */
  readonly nudge: (by: number) => number | undefined;
  readonly forget: () => void;
};

const LOOPS_S = [1, 2, 3, 4, 6] as const;
/** So much of the loop lies before the mark. */
const BEFORE = 1 / 3;

/** Marks on the footage on the bench: dropped while it plays, put back by the lag of whoever drops them, gone to one after the other. */
export const useMarks = (bench: OnBench, handle: PlayerHandle): Marks => {
  const { table, frame, player } = handle;
  const { footage, angle, file } = bench;
  const library = useLibrary();
  const edit = useEdit();
  const dispatch = useDispatch();
  const account = useMeQuery().data?.account.id ?? '';
  const [ownLag, setLag] = useOwn<number | null>(`odograph.lag.${account}`, null);
  const [loopS, setLoopS] = useOwn<number>(`odograph.loop.${account}`, 3);
  const [inHandId, setInHand] = useState<string | null>(null);
  const clock = useMemo(() => angleClock(angle, file), [angle, file]);
  const msOf = useMemo(() => {
    const clocks = new Map(
      library.angles.flatMap((a) => {
        const of = library.files.find((f) => f.id === a.fileId);
        return of ? [[a.id, angleClock(a, of)] as const] : [];
      }),
    );
    return (angleId: string, pts: number): number => {
      const known = clocks.get(angleId);
      return known ? footageSeconds(known, pts) * 1000 : NaN;
    };
  }, [library.angles, library.files]);
  const observed = useMemo(
    () => observedLags(library.moments, library.attempts, account, msOf),
    [library.moments, library.attempts, account, msOf],
  );
  const [here, sightings] = useMemo((): readonly [readonly MarkHere[], readonly SightingHere[]] => {
    if (!table || clock.rate === 0) return [[], []];
    const placed = <M extends Moment>(moments: readonly M[]): readonly (MarkHere & { readonly moment: M })[] =>
      moments
        .map((moment) => ({
          moment,
          frame: frameOn(table, angle.id, moment, (pts) => msOf(moment.angleId, pts), clock),
        }))
        .filter((m) => m.frame >= angle.fromFrame && m.frame < angle.toFrame)
        .sort((a, b) => a.frame - b.frame || (a.moment.id < b.moment.id ? -1 : 1));
    const waiting = waitingMarks(library.moments, library.attempts).filter((m) => m.footageId === footage.id);
    return [placed(waiting), placed(sightingsIn(library.moments, footage.id))];
  }, [library.moments, library.attempts, footage.id, table, angle, clock, msOf]);
  const inHand = [...here, ...sightings].find((m) => m.moment.id === inHandId);
  const lagMs = ownLag ?? learnedLagMs(observed);
  const clamp = (f: number): number => Math.min(angle.toFrame - 1, Math.max(angle.fromFrame, f));
  const frameAtMs = (of: TimeTable, ms: number): number => clamp(firstFrameFrom(of, clock, ms));
  const msHere = (of: TimeTable, f: number): number => footageSeconds(clock, ptsOf(of, f)) * 1000;
  return {
    here,
    sightings,
    inHand,
    lagMs,
    learnedFrom: ownLag === null ? observed.length : null,
    setLag: (ms) => setLag(ms === null ? null : Math.min(1500, Math.max(0, ms))),
    loopS,
    setLoop: (by) =>
      setLoopS(LOOPS_S[Math.min(LOOPS_S.length - 1, Math.max(0, LOOPS_S.findIndex((s) => s === loopS) + by))]!),
    around: ({ frame: at }) => {
      if (!table) return { inFrame: at, outFrame: at + 1 };
      const ms = msHere(table, at);
      const inFrame = frameAtMs(table, ms - loopS * 1000 * BEFORE);
      return { inFrame, outFrame: Math.max(at + 1, frameAtMs(table, ms + loopS * 1000 * (1 - BEFORE))) };
    },
    drop: () => {
      if (!table || !player || clock.rate === 0) return;
      const { playing, speed, backwards } = player.snapshot();
      const pressed = clamp(frame());
      // a picture that stands, or goes backwards, was not reacted to
      const goes = playing && !backwards ? speed : 0;
      const at = goes ? frameAtMs(table, msHere(table, pressed) - lagMs * goes * clock.rate) : pressed;
      const moment: Moment = {
        ...{ id: newId(), version: 0, footageId: footage.id, angleId: angle.id, note: '', attemptId: null },
        ...{ at: instantAt(table, at), pressed: instantAt(table, pressed), speed: goes, settled: false },
        ...{ accountId: account, state: null, subject: null },
      };
      dispatch(editQueued({ kind: 'new moment', editId: newId(), moment }));
    },
    after: (f) => here.find((m) => m.frame > f) ?? here[0],
    take: (mark) => setInHand(mark?.moment.id ?? null),
    nudge: (by) => {
      if (!inHand || !table || inHand.moment.angleId !== angle.id) return undefined;
      const to = clamp(inHand.frame + by);
      edit({ kind: 'moment', id: inHand.moment.id, changes: { at: instantAt(table, to) } });
      return to;
    },
    forget: () => {
      if (inHand) edit({ kind: 'remove', what: 'moment', id: inHand.moment.id });
      setInHand(null);
    },
  };
};

const frameOn = (
  table: TimeTable,
  angleId: string,
  moment: Moment,
  msOf: (pts: number) => number,
  clock: Parameters<typeof firstFrameFrom>[1],
): number => (moment.angleId === angleId ? moment.at.frame : firstFrameFrom(table, clock, msOf(moment.at.pts)));
