import { randomBytes } from 'node:crypto';
import { Inject, Injectable } from '@nestjs/common';
import { hash, verify } from '@node-rs/argon2';
import type { Me, SignIn } from '@odograph/core/contract';
import { RateLimiterMemory, RateLimiterRes } from 'rate-limiter-flexible';
import { CONFIG, type Config } from '../config/config.js';
import { Refused } from '../errors/refused.js';
import { AccountsRepository } from './accounts.repository.js';
import type { Session } from './session.js';

/** Argon2id with the least parameters that current advice names: 19 MiB, two passes. */
const HASHING = { memoryCost: 19_456, timeCost: 2, parallelism: 1 } as const;
export const SESSION_DAYS = 30;
const TRIES_WINDOW_S = 15 * 60;

export const hashPassword = (password: string): Promise<string> => hash(password, HASHING);

@Injectable()
export class AccountsService {
  private readonly tries: RateLimiterMemory;
  private nobodysHash: Promise<string> | undefined;

  constructor(
    @Inject(CONFIG) config: Config,
    @Inject(AccountsRepository) private readonly accounts: AccountsRepository,
  ) {
    this.tries = new RateLimiterMemory({ points: config.signInTries, duration: TRIES_WINDOW_S });
  }

  /** Signs in and gives the session's token. Unknown mail and wrong password take the same time and get the same answer. */
  async signIn({ email, password }: SignIn, address: string): Promise<{ token: string; session: Session }> {
    const key = `${email} ${address}`;
    await this.countTry(key);
    const account = await this.accounts.byEmail(email);
    this.nobodysHash ??= hashPassword(randomBytes(16).toString('hex'));
    const right = await verify(account?.passwordHash ?? (await this.nobodysHash), password);
    const membership = account && right ? await this.accounts.firstMembership(account.id) : undefined;
    if (!account || !membership) throw new Refused({ code: 'wrong-sign-in', facts: {} });
    await this.tries.delete(key);
    const token = randomBytes(32).toString('base64url');
    const now = new Date();
    await this.accounts.openSession(
      token,
      account.id,
      membership.academyId,
      now,
      new Date(now.getTime() + SESSION_DAYS * 86_400_000),
    );
    const session = await this.accounts.session(token, now);
    if (!session) throw new Error('a session that was just opened is not there');
    return { token, session };
  }

  private async countTry(key: string): Promise<void> {
    try {
      await this.tries.consume(key);
    } catch (full) {
      if (!(full instanceof RateLimiterRes)) throw full;
      throw new Refused({ code: 'too-many-tries', facts: { retryAfterS: Math.ceil(full.msBeforeNext / 1000) } });
    }
  }

  async signOut(session: Session): Promise<void> {
    await this.accounts.endSession(session.tokenHash);
  }

  async me(session: Session): Promise<Me> {
    const [account, academy] = await Promise.all([
      this.accounts.byId(session.accountId),
      this.accounts.academy(session.academyId),
    ]);
    if (!account) throw new Refused({ code: 'signed-out', facts: {} });
    return {
      account: { id: account.id, name: account.name, email: account.email },
      academy: { id: academy.id, name: academy.name, timeZone: academy.timeZone },
      role: session.role,
    };
  }
}
