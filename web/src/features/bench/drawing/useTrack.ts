import { frameStartS, type Drawing, type Point, type TimeTable, type TrackPoint } from '@odograph/core';
import { useRef, useState } from 'react';

const LEAST_MS = 1000 / 60;
const MOST = 3600;

export type Track = {
  /** The drawing whose way is being kept: the picture plays on past it. */ readonly of: Drawing | undefined;
  readonly start: (of: Drawing) => void;
  /** Ends it, and gives what was kept. */ readonly stop: () => readonly TrackPoint[];
  readonly onPointer: ((at: Point) => void) | null;
};

/** Keeps where the pointer is while the picture goes, by the time of the picture: at most sixty points a second, and no more than a minute. */
export const useTrack = (table: TimeTable | undefined, frame: () => number): Track => {
  const points = useRef<TrackPoint[]>([]);
  const [drawing, setDrawing] = useState<Drawing>();
  const keep = ({ x, y }: Point): void => {
    if (!table || !drawing) return;
    const t = (frameStartS(table, frame()) - frameStartS(table, drawing.from.frame)) * 1000;
    const last = points.current.at(-1);
    if (t < 0 || points.current.length === MOST) return;
    // of one frame the latest place stands
    if (last && t - last.t < LEAST_MS) {
      if (t >= last.t) points.current[points.current.length - 1] = { t: last.t, x, y };
      return;
    }
    points.current.push({ t, x, y });
  };
  return {
    of: drawing,
    start: (of) => {
      points.current = [];
      setDrawing(of);
    },
    stop: () => {
      // a pointer at rest says nothing of itself, and points up to the end
      const rest = points.current.at(-1);
      if (rest) keep(rest);
      setDrawing(undefined);
      return points.current;
    },
    onPointer: drawing ? keep : null,
  };
};
