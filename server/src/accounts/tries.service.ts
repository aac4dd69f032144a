import { Inject, Injectable } from '@nestjs/common';
import { CONFIG, type Config } from '../config/config.js';
import { Refused } from '../errors/refused.js';
import { blockOf } from './addressBlock.js';
import { TriesRepository } from './tries.repository.js';

/** Tries are counted over so long, in seconds. */
const WINDOW_S = 15 * 60;
/** What is let through in that time, as multiples of what one account has: from one block of addresses, and over all. */
const BLOCK = 5;
const ALL = 100;

/** What may not be tried without end: signing in, asking for a reset link, opening a link, founding. */
export type Tried = 'sign-in' | 'reset' | 'link' | 'found';

/** Who tries: from which address, and for which account, where that is said. */
export type Trying = { readonly address: string; readonly email?: string };

@Injectable()
export class TriesService {
  constructor(
    @Inject(CONFIG) private readonly config: Config,
    @Inject(TriesRepository) private readonly tries: TriesRepository,
  ) {}

  private limits(what: Tried, { address, email }: Trying): readonly (readonly [key: string, most: number])[] {
    const one = this.config.signInTries;
    return [
      ...(email === undefined ? [] : [[`${what} account ${email}`, one] as const]),
      [`${what} block ${blockOf(address)}`, one * BLOCK],
      [`${what} all`, one * ALL],
    ];
  }

  /** Counts a try; refused with how long to wait where there were too many for the account, from the block of addresses, or over all. */
  async count(what: Tried, who: Trying): Promise<void> {
    const limits = this.limits(what, who);
    const tried = await this.tries.count(
      limits.map(([key]) => key),
      WINDOW_S,
    );
    const over = tried.filter(({ points }, i) => points > limits[i]![1]);
    if (over.length)
      throw new Refused({ code: 'too-many-tries', facts: { retryAfterS: Math.max(...over.map((t) => t.leftS)) } });
  }

  /** It went well: for the account nothing was tried, and for its block and over all one time less. */
  async wentWell(what: Tried, who: Trying): Promise<void> {
    const keys = this.limits(what, who).map(([key]) => key);
    const [forgotten, less] = who.email === undefined ? [[], keys] : [keys.slice(0, 1), keys.slice(1)];
    await this.tries.giveBack(less, forgotten);
  }
}
