import { frameCount } from '@odograph/core';
import { AskLine, type Desk, type Room } from '../desk/index.js';
import { ASK_KEYS } from '../keys/index.js';
import { CLOCK_TEXT as T } from './clock.text.js';
import { useClock, type MatchClock } from './useClock.js';

/** The clock of the match: what it shows is noted, and an instant by it is gone to. */
export const useClockRoom = (desk: Desk): { readonly clock: MatchClock; readonly room: Room } => {
  const { bench, table, handle, hand, move, mayWrite, toPicture } = desk;
  const { player, frame } = handle;
  const clock = useClock(bench, table, frame);
  const goTo = (text: string): boolean => {
    const to = clock.frameOf(text);
    if (to === undefined || !table) return false;
    player?.pause();
    player?.seek(Math.min(to, frameCount(table) - 1));
    return true;
  };
  const leave = (): void => {
    move({ does: 'answer' });
    toPicture();
  };
  const asks = hand.is === 'question' && (hand.asks === 'go to' || hand.asks === 'clock') ? hand.asks : undefined;
  const asked =
    asks === undefined
      ? undefined
      : {
          'go to': { label: T.goTo, hint: T.goToHint, refusal: T.goToRefusal, onSaid: goTo },
          clock: { label: T.clock, hint: T.clockHint, refusal: T.clockRefusal, onSaid: clock.note },
        }[asks];
  return {
    clock,
    room: {
      keys: {
        g: () => move({ does: 'ask', asks: 'go to' }),
        ...(mayWrite ? { t: () => move({ does: 'ask', asks: 'clock' }) } : {}),
      },
      ...(asked && { hints: ASK_KEYS, panel: <AskLine key={asked.label} {...asked} onLeave={leave} /> }),
    },
  };
};
