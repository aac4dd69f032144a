import { frameCount } from '@odograph/core';
import { useState } from 'react';
import type { PlayerHandle } from '../player/index.js';
import { BENCH_TEXT as T } from './bench.text.js';
import type { MatchClock } from './useClock.js';

type Asked = 'go to' | 'clock';
export type Asking = {
  /** The line that is open, in words and with what it does; null while none is. */
  readonly line: {
    readonly key: Asked;
    readonly label: string;
    readonly hint: string;
    readonly refusal: string;
    readonly onSaid: (text: string) => boolean;
  } | null;
  readonly open: (what: Asked) => void;
  readonly leave: () => void;
};

/** What is asked for in a line of its own: an instant to go to, or what the clock of the match shows. */
export const useAsking = (
  { player, table }: Pick<PlayerHandle, 'player' | 'table'>,
  clock: MatchClock,
  onLeft: () => void,
): Asking => {
  const [asking, setAsking] = useState<Asked | null>(null);
  const goTo = (text: string): boolean => {
    const to = clock.frameOf(text);
    if (to === undefined || !table) return false;
    player?.pause();
    player?.seek(Math.min(to, frameCount(table) - 1));
    return true;
  };
  return {
    line:
      asking &&
      (asking === 'clock'
        ? { key: asking, label: T.clock, hint: T.clockHint, refusal: T.clockRefusal, onSaid: clock.note }
        : { key: asking, label: T.goTo, hint: T.goToHint, refusal: T.goToRefusal, onSaid: goTo }),
    open: setAsking,
    leave: () => {
      setAsking(null);
      onLeft();
    },
  };
};
