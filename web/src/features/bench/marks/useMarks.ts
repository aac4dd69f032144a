import {
  angleClock,
  firstFrameFrom,
  footageSeconds,
  learnedLagMs,
  observedLags,
  sightingsIn,
  waitingMarks,
  type Moment,
  type Sighting,
} from '@odograph/core';
import { useMemo, useState } from 'react';
import { useDispatch } from 'react-redux';
import { v7 as newId } from 'uuid';
import { useLibrary, useOwn } from '../../library/index.js';
import { editQueued, useEdit } from '../../replica/index.js';
import { useMeQuery } from '../../server/index.js';
import type { Stretch } from '../../player/index.js';
import { EMPTY, instantAt, useTimes, type Desk, type Edge } from '../desk/index.js';

/** A mark that waits, and its frame on the camera in hand. */
export type MarkHere = { readonly moment: Moment; readonly frame: number };

export type SightingHere = MarkHere & { readonly moment: Sighting };

type Lag = {
  /** By how much marks are put back, in ms, and how many marks that was learned from; null = set by hand. */
  readonly lagMs: number;
  readonly learnedFrom: number | null;
  readonly setLag: (ms: number | null) => void;
};
type Loop = {
  /** How long the loop round a mark is, in s. */
  readonly loopS: number;
  readonly setLoop: (by: 1 | -1) => void;
};
export type Marks = Lag &
  Loop & {
    readonly here: readonly MarkHere[];
    /** Those with a place: somebody was seen there. */ readonly sightings: readonly SightingHere[];
    readonly inHand: MarkHere | undefined;
    /** The frames of the loop round a mark. */
    readonly around: (mark: MarkHere) => Stretch;
    /** Nobody said where it ends: the loop round the mark in hand does. */ readonly isEndAssumed: boolean;
    /** Says of the mark in hand where what happened there begins, and where it ends: the frame that is shown. */
    readonly setEdge: (edge: Edge) => void;
    readonly drop: () => void;
    /** The mark that waits behind an instant, or the first. */
    readonly after: (frame: number) => MarkHere | undefined;
    /** Moves the mark in hand by frames; gives where it is then. */
    readonly nudge: (by: number) => number | undefined;
    readonly forget: () => void;
  };

/** What was said by hand of where a mark's clip begins and ends. */
type Own = { readonly momentId: string; readonly inFrame?: number; readonly outFrame?: number; readonly isLoop?: true };

const BARE_MOMENT = {
  ...{ version: 0, note: '', attemptId: null, settled: false, state: null, subject: null },
} as const satisfies Partial<Moment>;

const LOOPS_S = [1, 2, 3, 4, 6] as const;
/** So much of the loop lies before the mark. */
const BEFORE = 1 / 3;

type MsOf = (angleId: string, pts: number) => number;

/** Instants of any camera in milliseconds of its footage; not a number where the camera is gone. */
const useMsOf = (): MsOf => {
  const { angles, files } = useLibrary();
  return useMemo(() => {
    const clocks = new Map(
      angles.flatMap((a) => {
        const of = files.find((f) => f.id === a.fileId);
        return of ? [[a.id, angleClock(a, of)] as const] : [];
      }),
    );
    return (angleId, pts) => {
      const known = clocks.get(angleId);
      return known ? footageSeconds(known, pts) * 1000 : NaN;
    };
  }, [angles, files]);
};

const useLag = (account: string, msOf: MsOf): Lag => {
  const { moments, attempts } = useLibrary();
  const [own, setOwn] = useOwn<number | null>(`odograph.lag.${account}`, null);
  const observed = useMemo(() => observedLags(moments, attempts, account, msOf), [moments, attempts, account, msOf]);
  return {
    lagMs: own ?? learnedLagMs(observed),
    learnedFrom: own === null ? observed.length : null,
    setLag: (ms) => setOwn(ms === null ? null : Math.min(1500, Math.max(0, ms))),
  };
};

const useLoop = (account: string): Loop => {
  const [loopS, setLoopS] = useOwn<number>(`odograph.loop.${account}`, 3);
  const at = LOOPS_S.findIndex((s) => s === loopS);
  return {
    loopS,
    setLoop: (by) => setLoopS(LOOPS_S[Math.min(LOOPS_S.length - 1, Math.max(0, at + by))]!),
  };
};

/** Marks and sightings of the footage, at the frames of the camera in hand that show them, in their order. */
const usePlaced = ({ bench, table }: Desk, msOf: MsOf): readonly [readonly MarkHere[], readonly SightingHere[]] => {
  const { moments, attempts } = useLibrary();
  const { footage, angle, file } = bench;
  return useMemo(() => {
    const clock = angleClock(angle, file);
    if (!table || clock.rate === 0) return [[], []];
    const frameOn = ({ angleId, at }: Moment): number =>
      angleId === angle.id ? at.frame : firstFrameFrom(table, clock, msOf(angleId, at.pts));
    const placed = <M extends Moment>(all: readonly M[]): readonly (MarkHere & { readonly moment: M })[] =>
      all
        .map((moment) => ({ moment, frame: frameOn(moment) }))
        .filter((m) => m.frame >= angle.fromFrame && m.frame < angle.toFrame)
        .sort((a, b) => a.frame - b.frame || (a.moment.id < b.moment.id ? -1 : 1));
    const waiting = waitingMarks(moments, attempts).filter((m) => m.footageId === footage.id);
    return [placed(waiting), placed(sightingsIn(moments, footage.id))];
  }, [moments, attempts, footage.id, table, angle, file, msOf]);
};

/** Marks on the footage on the bench: dropped while it plays, put back by the lag of whoever drops them, gone to one after the other. */
export const useMarks = (desk: Desk): Marks => {
  const { bench, table, handle, hand, move } = desk;
  const { frame, player } = handle;
  const { footage, angle } = bench;
  const edit = useEdit();
  const dispatch = useDispatch();
  const account = useMeQuery().data?.account.id ?? '';
  const msOf = useMsOf();
  const [lag, loop] = [useLag(account, msOf), useLoop(account)];
  const [here, sightings] = usePlaced(desk, msOf);
  const { clock, clamp, frameAt, msOf: msHere } = useTimes(bench, table);
  const inHand = hand.is === 'mark' ? [...here, ...sightings].find((m) => m.moment.id === hand.momentId) : undefined;
  const [kept, keep] = useState<Own | null>(null);
  const own = kept && kept.momentId === inHand?.moment.id ? kept : null;
  return {
    ...{ ...lag, ...loop, here, sightings, inHand },
    isEndAssumed: !own?.isLoop && own?.outFrame === undefined,
    setLoop: (by) => {
      loop.setLoop(by);
      if (inHand) keep({ ...own, momentId: inHand.moment.id, isLoop: true });
    },
    setEdge: (edge) => {
      if (!inHand) return;
      const at = frame();
      if (edge === 'in' ? at <= inHand.frame : at >= inHand.frame)
        keep({ ...own, momentId: inHand.moment.id, ...(edge === 'in' ? { inFrame: at } : { outFrame: at + 1 }) });
    },
    around: ({ frame: at, moment }) => {
      if (!table) return { inFrame: at, outFrame: at + 1 };
      const ms = msHere(at);
      const said = moment.id === own?.momentId ? own : null;
      const inFrame = said?.inFrame ?? frameAt(ms - loop.loopS * 1000 * BEFORE);
      const outFrame = said?.outFrame ?? frameAt(ms + loop.loopS * 1000 * (1 - BEFORE));
      return { inFrame, outFrame: Math.max(at + 1, outFrame) };
    },
    drop: () => {
      if (!table || !player || clock.rate === 0) return;
      const { playing, speed, backwards } = player.snapshot();
      const pressed = clamp(frame());
      // a picture that stands, or goes backwards, was not reacted to
      const goes = playing && !backwards ? speed : 0;
      const at = goes ? frameAt(msHere(pressed) - lag.lagMs * goes * clock.rate) : pressed;
      const [atInstant, pressedInstant] = [instantAt(table, at), instantAt(table, pressed)];
      const of = { footageId: footage.id, angleId: angle.id, accountId: account, speed: goes };
      const moment = { ...BARE_MOMENT, ...of, id: newId(), at: atInstant, pressed: pressedInstant };
      dispatch(editQueued({ kind: 'new moment', editId: newId(), moment }));
    },
    after: (f) => here.find((m) => m.frame > f) ?? here[0],
    nudge: (by) => {
      if (!inHand || !table || inHand.moment.angleId !== angle.id) return undefined;
      const to = clamp(inHand.frame + by);
      edit({ kind: 'moment', id: inHand.moment.id, changes: { at: instantAt(table, to) } });
      return to;
    },
    forget: () => {
      if (inHand) edit({ kind: 'remove', what: 'moment', id: inHand.moment.id });
      move({ does: 'take', held: EMPTY });
    },
  };
};
