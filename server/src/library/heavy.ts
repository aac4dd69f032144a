import { Injectable } from '@nestjs/common';
import { Refused } from '../errors/refused.js';

/** Heavy questions that are answered at once on a server, and that wait for their turn at most. */
const AT_ONCE = 2;
const MOST_WAITING = 20;
const AGAIN_S = 5;

type Waiting = { readonly accountId: string; readonly go: () => void };

/**
 * Turns for questions about whole libraries: at most two at once on a server, and one for each account; the others wait in the order in which they came,
 * and beyond that are told to come again.
 */
@Injectable()
export class HeavyTurns {
  private readonly running = new Set<string>();
  private readonly waiting: Waiting[] = [];

  async take<T>(accountId: string, use: () => Promise<T>): Promise<T> {
    if (this.waiting.length >= MOST_WAITING) throw new Refused({ code: 'busy', facts: { retryAfterS: AGAIN_S } });
    await new Promise<void>((go) => {
      this.waiting.push({ accountId, go });
      this.next();
    });
    try {
      return await use();
    } finally {
      this.running.delete(accountId);
      this.next();
    }
  }

  private next(): void {
    while (this.running.size < AT_ONCE) {
      const at = this.waiting.findIndex(({ accountId }) => !this.running.has(accountId));
      if (at < 0) return;
      const [first] = this.waiting.splice(at, 1);
      this.running.add(first!.accountId);
      first!.go();
    }
  }
}
