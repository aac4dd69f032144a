import type { Turn, Turns } from '@odograph/core';
import { useEffect, useRef, useState } from 'react';
import { ring, stopRinging } from './bell.js';

export type Phase = {
  /** Who works now, or worked last. */ readonly turn: Turn | undefined;
  readonly next: Turn | undefined;
  /** Seconds left of the turn, or of the change, begun ones whole. */ readonly leftS: number;
  readonly isChange: boolean;
  readonly isOver: boolean;
};

/** What a drill is at, so many seconds after it began. */
export const phaseAt = ({ turns }: Turns, seconds: number): Phase => {
  const nth = turns.findLastIndex((t) => t.from <= seconds);
  const [turn, next] = [turns[nth], turns[nth + 1]];
  if (!turn) return { turn, next: turns[0], leftS: 0, isChange: false, isOver: turns.length === 0 };
  if (seconds < turn.to) return { turn, next, leftS: Math.ceil(turn.to - seconds), isChange: false, isOver: false };
  if (!next) return { turn, next, leftS: 0, isChange: false, isOver: true };
  return { turn, next, leftS: Math.ceil(next.from - seconds), isChange: true, isOver: false };
};

const TICK_MS = 100;

/** The clock of a drill: runs, pauses, and rings at the beginning and the end of each turn. */
export const useDrillClock = (turns: Turns | undefined) => {
  const [elapsedS, setElapsed] = useState(0);
  const [isRunning, setRunning] = useState(false);
  const began = useRef(0);
  const phase = turns && phaseAt(turns, elapsedS);
  const isOver = phase?.isOver ?? true;
  useEffect(() => {
    if (!isRunning || isOver) return undefined;
    const tick = setInterval(() => setElapsed((performance.now() - began.current) / 1000), TICK_MS);
    return () => clearInterval(tick);
  }, [isRunning, isOver]);
  useEffect(() => stopRinging, []);
  const start = (): void => {
    if (!turns) return;
    const from = isOver ? 0 : elapsedS;
    setElapsed(from);
    began.current = performance.now() - from * 1000;
    setRunning(true);
    ring(
      turns.turns
        .flatMap((t) => [t.from, t.to])
        .filter((at) => at >= from)
        .map((at) => at - from),
    );
  };
  const pause = (): void => {
    stopRinging();
    setElapsed((performance.now() - began.current) / 1000);
    setRunning(false);
  };
  return { phase, elapsedS, isRunning: isRunning && !isOver, toggle: () => (isRunning && !isOver ? pause() : start()) };
};
