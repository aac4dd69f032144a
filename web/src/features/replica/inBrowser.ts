import { betweenWindows } from './channel.js';
import { forgetBefore, keptBefore } from './keptBefore.js';
import { KeptEdits, openEdits } from './keptEdits.js';
import type { KeptIn } from './queue.slice.js';
import type { Around } from './replica.js';
import { byLease, byLocks } from './turns.js';

/** What a window of a browser has around it. A page that does not come over a safe connection has no locks. */
export const inBrowser = (onKept: (where: KeptIn) => void): Around => {
  const database = openEdits();
  // said where something is to be kept
  database.catch(() => undefined);
  const locks = 'locks' in navigator ? navigator.locks : undefined;
  return {
    edits: new KeptEdits(database, onKept),
    turns: locks ? byLocks(locks) : byLease(database),
    channel: betweenWindows(),
    wait: (ms) => new Promise((resolve) => setTimeout(resolve, ms)),
    before: { of: keptBefore, forget: forgetBefore },
  };
};
