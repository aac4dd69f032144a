import { Inject, Injectable } from '@nestjs/common';
import type { FoundingLook, Me, NewAcademy, NewPassword, SessionLook, SignIn } from '@odograph/core/contract';
import { CONFIG, type Config } from '../config/config.js';
import type { AcademyId } from '../database/academyId.js';
import type { Transaction } from '../database/transaction.js';
import { Refused, notFound } from '../errors/refused.js';
import { LettersService } from '../letters/letters.service.js';
import { AccountsRepository, type Account } from './accounts.repository.js';
import { hashPassword, isPassword, mustBeGood } from './passwords.js';
import { RESET_HOURS } from './resets.js';
import type { Session, Who } from '../doors/session.js';
import { markOf, newToken } from './tokens.js';
import { TriesService } from './tries.service.js';

export const SESSION_DAYS = 30;

/** Where a request comes from. */
export type Caller = { readonly address: string; readonly agent: string };
/** A session that was opened, and the token that goes into the cookie. */
export type Opened = { readonly token: string; readonly who: Who };

/** The account that takes part in something: the one that is there, or one to be made. */
export type Partaker = { readonly account: Account | Omit<Account, 'id'>; readonly isNew: boolean };

const wrong = (): Refused => new Refused({ code: 'wrong-sign-in', facts: {} });
const spent = (): Refused => new Refused({ code: 'link-spent', facts: {} });

@Injectable()
export class AccountsService {
  constructor(
    @Inject(CONFIG) private readonly config: Config,
    @Inject(AccountsRepository) private readonly accounts: AccountsRepository,
    @Inject(TriesService) private readonly tries: TriesService,
    @Inject(LettersService) private readonly letters: LettersService,
  ) {}

  /** Signs in and gives the session's token. Unknown mail and wrong password take the same time and get the same answer. */
  async signIn({ email, password }: SignIn, caller: Caller): Promise<Opened> {
    const account = await this.verified(email, password, caller);
    const [academy] = account ? await this.accounts.academiesOf(account.id) : [];
    if (!account || !academy) throw wrong();
    return this.open(account.id, academy, caller);
  }

  /** The account that mail and password belong to; undefined = they do not, or there is none. Counts as a try. */
  private async verified(email: string, password: string, { address }: Caller): Promise<Account | undefined> {
    await this.tries.count('sign-in', { address, email });
    const account = await this.accounts.byEmail(email);
    if (!(await isPassword(account?.passwordHash, password))) return undefined;
    await this.tries.wentWell('sign-in', { address, email });
    return account;
  }

  async open(accountId: string, academyId: AcademyId, { agent }: Caller): Promise<Opened> {
    const token = newToken();
    const now = new Date();
    const until = new Date(now.getTime() + SESSION_DAYS * 86_400_000);
    await this.accounts.openSession(token, { accountId, academyId, agent: agent.slice(0, 200) }, now, until);
    const who = await this.accounts.who(token, now);
    if (!who) throw new Error('a session that was just opened is not there');
    return { token, who };
  }

  /** What founding an academy needs here, and for whom an invitation to do so is. */
  async foundingLook(invitation: string | null, { address }: Caller): Promise<FoundingLook> {
    if (invitation === null) return { isOpen: this.config.isFoundingOpen, email: null };
    await this.tries.count('link', { address });
    const email = await this.accounts.invitedToFound(invitation, new Date());
    return { isOpen: this.config.isFoundingOpen, email: email ?? null };
  }

  /** A new academy, its founder as its head. Whoever has an account gives that account's password. */
  async found(request: NewAcademy, caller: Caller): Promise<Opened> {
    const { email, password, name, academyName, timeZone } = request;
    const id = request.academyId as AcademyId;
    await this.tries.count('found', { address: caller.address });
    const invitation = await this.foundingInvitation(request);
    // before anything is known of the mail: whether it has an account makes no difference to the answer
    if (await this.accounts.isTaken(id)) throw new Refused({ code: 'id-taken', facts: {} });
    const { account } = await this.partaker(email, name, password, caller);
    const accountId = await this.accounts.found({ id, name: academyName, timeZone }, account, new Date(), invitation);
    if (invitation !== null) await this.letters.spent(markOf(invitation), 'founding');
    return this.open(accountId, id, caller);
  }

  /** The invitation that founding needs; null where it needs none. */
  private async foundingInvitation({ invitation, email }: NewAcademy): Promise<string | null> {
    if (this.config.isFoundingOpen) return null;
    if (invitation === null) throw new Refused({ code: 'founding-closed', facts: {} });
    if ((await this.accounts.invitedToFound(invitation, new Date())) !== email) throw spent();
    return invitation;
  }

  /** Whoever takes part under a mail: the account that is there, with its password, or a new one. */
  async partaker(email: string, name: string, password: string, caller: Caller): Promise<Partaker> {
    if (await this.accounts.byEmail(email)) {
      const own = await this.verified(email, password, caller);
      if (!own) throw wrong();
      return { account: own, isNew: false };
    }
    mustBeGood(password);
    return { account: { email, name, passwordHash: await hashPassword(password) }, isNew: true };
  }

  /** The id of the account that takes part, made where it is new. */
  async idOf({ account }: Partaker, now: Date, transaction: Transaction): Promise<string> {
    return 'id' in account ? account.id : this.accounts.create(account, now, transaction);
  }

  /**
   * Notes that a link for a new password is wished for. Whether the mail has an account is found out later, by a worker: nobody can tell by the answer,
   * nor by how long it takes.
   */
  async wishReset(email: string, { address }: Caller): Promise<void> {
    await this.tries.count('reset', { address, email });
    await this.letters.wish(email, new Date(Date.now() + RESET_HOURS * 3_600_000));
  }

  /** Sets a new password by a link, ends every session of the account and all older links, and opens a new session. */
  async setPassword({ token, password }: NewPassword, caller: Caller): Promise<Opened> {
    await this.tries.count('link', caller);
    const accountId = await this.accounts.resetFor(token, new Date());
    const [academy] = accountId === undefined ? [] : await this.accounts.academiesOf(accountId);
    if (accountId === undefined || !academy) throw spent();
    mustBeGood(password);
    if (!(await this.accounts.setPassword(token, accountId, await hashPassword(password), new Date()))) throw spent();
    await this.letters.spent(accountId, 'reset');
    return this.open(accountId, academy, caller);
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
  async goTo(session: Session, academyId: string, token: string): Promise<Me> {
    const id = academyId as AcademyId;
    if (!(await this.accounts.academiesOf(session.accountId)).includes(id)) throw notFound();
    await this.accounts.moveSession(session, id);
    return (await this.accounts.who(token, new Date()))!.me;
  }
}
