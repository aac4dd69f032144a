import { frameStartS, type Drawing, type Point, type TimeTable, type TrackPoint } from '@odograph/core';
import { useRef, useState } from 'react';

const LEAST_MS = 1000 / 60;
const MOST = 3600;

export type Track = {
  readonly isRecording: boolean;
  readonly start: () => void;
  /** Ends it, and gives what was kept. */ readonly stop: () => readonly TrackPoint[];
  readonly onPointer: ((at: Point) => void) | null;
};

/** Keeps where the pointer is while the picture goes, by the time of the picture: at most sixty points a second, and no more than a minute. */
export const useTrack = (table: TimeTable | undefined, frame: () => number, drawing: Drawing | undefined): Track => {
  const points = useRef<TrackPoint[]>([]);
  const [isRecording, setRecording] = useState(false);
  const onPointer = ({ x, y }: Point): void => {
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
    isRecording,
    start: () => {
      points.current = [];
      setRecording(true);
    },
    stop: () => {
      setRecording(false);
      return points.current;
    },
    onPointer: isRecording ? onPointer : null,
  };
};
