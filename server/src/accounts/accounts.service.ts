import { Inject, Injectable } from '@nestjs/common';
import type { Me, NewAcademy, NewPassword, SessionLook, SignIn } from '@odograph/core/contract';
import { RateLimiterMemory, RateLimiterRes } from 'rate-limiter-flexible';
import { CONFIG, addressOf, type Config } from '../config/config.js';
import type { AcademyId } from '../database/academyId.js';
import { Refused, notFound } from '../errors/refused.js';
import { MAILER, type Mailer } from '../outbox/mailer.js';
import { AccountsRepository } from './accounts.repository.js';
import type { Session } from './session.js';
import { hashPassword, isPassword, newToken } from './tokens.js';

export const SESSION_DAYS = 30;
const TRIES_WINDOW_S = 15 * 60;
const RESET_HOURS = 2;

/** Where a request comes from. */
export type Caller = { readonly address: string; readonly agent: string };
/** A session that was opened, and the token that goes into the cookie. */
export type Opened = { readonly token: string; readonly session: Session };

@Injectable()
export class AccountsService {
  private readonly tries: RateLimiterMemory;

  constructor(
    @Inject(CONFIG) private readonly config: Config,
    @Inject(AccountsRepository) private readonly accounts: AccountsRepository,
    @Inject(MAILER) private readonly mailer: Mailer,
  ) {
    this.tries = new RateLimiterMemory({ points: config.signInTries, duration: TRIES_WINDOW_S });
  }

  /** Signs in and gives the session's token. Unknown mail and wrong password take the same time and get the same answer. */
  async signIn({ email, password }: SignIn, caller: Caller): Promise<Opened> {
    const account = await this.verified(email, password, caller);
    const [academy] = account ? await this.accounts.academiesOf(account.id) : [];
    if (!account || !academy) throw new Refused({ code: 'wrong-sign-in', facts: {} });
    return this.open(account.id, academy.id, caller);
  }

  /** The account that mail and password belong to; undefined = they do not, or there is none. Counts as a try. */
  private async verified(email: string, password: string, caller: Caller) {
    const key = `${email} ${caller.address}`;
    await this.countTry(key);
    const account = await this.accounts.byEmail(email);
    if (!(await isPassword(account?.passwordHash, password))) return undefined;
    await this.tries.delete(key);
    return account;
  }

  async open(accountId: string, academyId: AcademyId, { agent }: Caller): Promise<Opened> {
    const token = newToken();
    const now = new Date();
    const until = new Date(now.getTime() + SESSION_DAYS * 86_400_000);
    await this.accounts.openSession(token, { accountId, academyId, agent: agent.slice(0, 200) }, now, until);
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

  /** A new academy, its founder as its head. Whoever has an account gives that account's password. */
  async found(request: NewAcademy, caller: Caller): Promise<Opened> {
    const { email, password, name, academyName, timeZone } = request;
    const id = request.academyId as AcademyId;
    const known = await this.accounts.byEmail(email);
    const own = known && (await this.verified(email, password, caller));
    if (known && !own) throw new Refused({ code: 'wrong-sign-in', facts: {} });
    const head = own ?? { email, name, passwordHash: await hashPassword(password) };
    const accountId = await this.accounts.found({ id, name: academyName, timeZone }, head, new Date());
    return this.open(accountId, id, caller);
  }

  /** The account for an invitation's mail: the one that is there, with its password, or a new one. */
  async accountFor(email: string, name: string, password: string, caller: Caller): Promise<string> {
    if (await this.accounts.byEmail(email)) {
      const own = await this.verified(email, password, caller);
      if (!own) throw new Refused({ code: 'wrong-sign-in', facts: {} });
      return own.id;
    }
    return this.accounts.create({ email, name, passwordHash: await hashPassword(password) }, new Date());
  }

  /** Sends a link for a new password, if the mail has an account. The answer is the same if not. */
  async wishReset(email: string, caller: Caller): Promise<void> {
    await this.countTry(`reset ${email} ${caller.address}`);
    const account = await this.accounts.byEmail(email);
    const [academy] = account ? await this.accounts.academiesOf(account.id) : [];
    if (!account || !academy) return;
    const [token, now] = [newToken(), new Date()];
    await this.accounts.newReset(token, account.id, now, new Date(now.getTime() + RESET_HOURS * 3_600_000));
    await this.mailer.send(academy.id, {
      to: email,
      subject: 'A new password for Odograph',
      body: `Hello ${account.name},\n\nsomebody, probably you, has asked for a new password. Set it here within ${RESET_HOURS} hours:\n\n${addressOf(this.config)}/new-password#${token}\n\nIf it was not you, nothing has changed and there is nothing to do.\n`,
    });
  }

  /** Sets a new password by a link, ends every session of the account, and opens a new one. */
  async setPassword({ token, password }: NewPassword, caller: Caller): Promise<Opened> {
    const passwordHash = await hashPassword(password);
    const accountId = await this.accounts.spendReset(token, new Date());
    const [academy] = accountId === undefined ? [] : await this.accounts.academiesOf(accountId);
    if (accountId === undefined || !academy) throw new Refused({ code: 'link-spent', facts: {} });
    await this.accounts.setPassword(accountId, passwordHash);
    await this.accounts.endSessions(accountId);
    return this.open(accountId, academy.id, caller);
  }

  async signOut(session: Session): Promise<void> {
    await this.accounts.endSessions(session.accountId, { only: session.id });
  }

  async sessions(session: Session): Promise<readonly SessionLook[]> {
    const rows = await this.accounts.sessions(session.accountId, new Date());
    return rows.map((row) => ({
      id: row.id,
      since: row.createdAt.toISOString(),
      lastSeenAt: (row.lastSeenAt ?? row.createdAt).toISOString(),
      agent: row.agent,
      isThis: row.id === session.id,
    }));
  }

  async endSession(session: Session, id: string): Promise<readonly SessionLook[]> {
    if ((await this.accounts.endSessions(session.accountId, { only: id })) === 0) throw notFound();
    return this.sessions(session);
  }

  async endOthers(session: Session): Promise<readonly SessionLook[]> {
    await this.accounts.endSessions(session.accountId, { but: session.id });
    return this.sessions(session);
  }

  /** Goes over to another academy of the same account. */
  async goTo(session: Session, academyId: string): Promise<Me> {
    const id = academyId as AcademyId;
    const role = await this.accounts.role(id, session.accountId);
    if (!role) throw notFound();
    await this.accounts.moveSession(session, id);
    return this.me({ ...session, academyId: id, role });
  }

  async me(session: Session): Promise<Me> {
    const [account, academies] = await Promise.all([
      this.accounts.byId(session.accountId),
      this.accounts.academiesOf(session.accountId),
    ]);
    const academy = academies.find((a) => a.id === session.academyId);
    if (!account || !academy) throw new Refused({ code: 'signed-out', facts: {} });
    return {
      account: { id: account.id, name: account.name, email: account.email },
      academy: {
        id: academy.id,
        name: academy.name,
        timeZone: academy.timeZone,
        isDemo: academy.isDemo && this.config.demoDir !== null,
      },
      role: session.role,
      academies: academies.map(({ id, name }) => ({ id, name })),
    };
  }
}
