import { Refused } from '../errors/refused.js';

type Waiting = { readonly signal: AbortSignal; readonly go: () => void; readonly drop: () => void };

const AGAIN_S = 5;

/**
 * Work for several parties, so many at once: their lines are taken in turn, so that a long one holds only its own people up. What nobody waits for any
 * more is dropped, and a line is so long at most.
 */
export class FairQueue {
  /** Lines in the order in which they have their turn. */
  private readonly lines = new Map<string, Waiting[]>();
  private running = 0;

  constructor(
    private readonly atOnce: number,
    private readonly mostWaiting: number,
  ) {}

  /** Does something in the turn of a party; undefined where its `signal` was given before its turn came. */
  async take<T>(party: string, signal: AbortSignal, use: () => Promise<T>): Promise<T | undefined> {
    if (signal.aborted) return undefined;
    const line = (this.lines.get(party) ?? []).filter((one) => !one.signal.aborted);
    if (line.length >= this.mostWaiting) throw new Refused({ code: 'busy', facts: { retryAfterS: AGAIN_S } });
    const isTurn = await new Promise<boolean>((resolve) => {
      const settle = (isMine: boolean): void => {
        signal.removeEventListener('abort', one.drop);
        resolve(isMine);
      };
      const one: Waiting = { signal, go: () => settle(true), drop: () => settle(false) };
      signal.addEventListener('abort', one.drop, { once: true });
      this.lines.set(party, [...line, one]);
      this.next();
    });
    if (!isTurn) return undefined;
    try {
      return await use();
    } finally {
      this.running--;
      this.next();
    }
  }

  private next(): void {
    for (const [party, line] of this.lines) {
      if (this.running >= this.atOnce) return;
      const at = line.findIndex((one) => !one.signal.aborted);
      const rest = at < 0 ? [] : line.slice(at + 1);
      // behind the others for its next turn
      this.lines.delete(party);
      if (rest.length) this.lines.set(party, rest);
      if (at < 0) continue;
      this.running++;
      line[at]!.go();
    }
  }
}
