import {
  angleClock,
  firstFrameFrom,
  footageSeconds,
  framesIn,
  ptsOf,
  type MsSpan,
  type TimeTable,
} from '@odograph/core';
import { useMemo } from 'react';
import type { Stretch } from '../../player/index.js';
import type { OnBench } from './useBenchClips.js';

/** Frames of the camera in hand as milliseconds of the footage, and the other way round. */
export type Times = {
  readonly clock: ReturnType<typeof angleClock>;
  /** 0 as long as the times of the file are not here. */ readonly msOf: (frame: number) => number;
  /** A frame held within what the camera shows of the footage. */ readonly clamp: (frame: number) => number;
  /** The frame at an instant, held within the camera; the camera's first as long as the times are not here. */
  readonly frameAt: (ms: number) => number;
  readonly framesOf: (span: MsSpan) => Stretch | undefined;
};

export const useTimes = ({ angle, file }: OnBench, table: TimeTable | undefined): Times => {
  const clock = useMemo(() => angleClock(angle, file), [angle, file]);
  const clamp = (f: number): number => Math.min(angle.toFrame - 1, Math.max(angle.fromFrame, f));
  return {
    ...{ clock, clamp },
    msOf: (frame) => (table ? footageSeconds(clock, ptsOf(table, frame)) * 1000 : 0),
    frameAt: (ms) => clamp(table ? firstFrameFrom(table, clock, ms) : 0),
    framesOf: (span) => table && framesIn(table, clock, span),
  };
};
