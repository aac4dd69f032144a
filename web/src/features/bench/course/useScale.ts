import { frameAtS, frameStartS } from '@odograph/core';
import { useCallback, type RefObject } from 'react';
import type { Desk } from '../desk/index.js';
import { COURSE, LEFT, RIGHT, TOP } from './measures.js';

export type Scale = {
  /** Where a second of the file lies, and where a frame. */ readonly xOfS: (atS: number) => number;
  readonly xOf: (frame: number) => number;
  readonly yOf: (height: number) => number;
  /** The frame of the camera in hand under a point of the window. */ readonly frameAtX: (clientX: number) => number;
};

/** The line's axes: time across, heights up. */
export const useScale = (
  { bench }: Pick<Desk, 'bench'>,
  table: NonNullable<Desk['table']>,
  width: number,
  svg: RefObject<SVGSVGElement | null>,
): Scale => {
  const { fromFrame, toFrame } = bench.angle;
  const startS = frameStartS(table, fromFrame);
  const scale = (width - LEFT - RIGHT) / (frameStartS(table, toFrame) - startS);
  const xOfS = useCallback((atS: number): number => LEFT + (atS - startS) * scale, [startS, scale]);
  const xOf = useCallback((f: number): number => xOfS(frameStartS(table, f)), [xOfS, table]);
  return {
    ...{ xOfS, xOf },
    yOf: (height) => TOP + ((5 - height) / 10) * COURSE,
    frameAtX: (clientX) => {
      const box = svg.current!.getBoundingClientRect();
      const frame = frameAtS(table, startS + (clientX - box.left - LEFT) / scale);
      return Math.min(toFrame - 1, Math.max(fromFrame, frame));
    },
  };
};
