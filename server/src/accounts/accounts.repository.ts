import { Inject, Injectable } from '@nestjs/common';
import type { MemberRole } from '@odograph/core/contract';
import { Op, Sequelize, UniqueConstraintError } from 'sequelize';
import { v7 as newId } from 'uuid';
import type { AcademyId } from '../database/academyId.js';
import type { Models } from '../database/models.js';
import { MODELS } from '../database/tokens.js';
import { Refused } from '../errors/refused.js';
import type { Session } from './session.js';
import { hashToken } from './tokens.js';

export type Account = {
  readonly id: string;
  readonly email: string;
  readonly name: string;
  readonly passwordHash: string;
};
export type Academy = {
  readonly id: AcademyId;
  readonly name: string;
  readonly timeZone: string;
  /** Whether it is one of those that ship with the product. */
  readonly isDemo: boolean;
};
export type SessionRow = {
  readonly id: string;
  readonly createdAt: Date;
  readonly lastSeenAt: Date | null;
  readonly agent: string;
};

/** That a session was used is written down again after this long. */
const SEEN_EVERY_MS = 5 * 60_000;

@Injectable()
export class AccountsRepository {
  constructor(
    @Inject(MODELS) private readonly models: Models,
    @Inject(Sequelize) private readonly sequelize: Sequelize,
  ) {}

  async byEmail(email: string): Promise<Account | undefined> {
    return (await this.models.account.findOne({ where: { email } }))?.get({ plain: true }) as Account | undefined;
  }

  async byId(id: string): Promise<Account | undefined> {
    return (await this.models.account.findOne({ where: { id } }))?.get({ plain: true }) as Account | undefined;
  }

  async create(account: Omit<Account, 'id'>, now: Date): Promise<string> {
    const id = newId();
    await this.models.account.create({ ...account, id, createdAt: now });
    return id;
  }

  async setPassword(accountId: string, passwordHash: string): Promise<void> {
    await this.models.account.update({ passwordHash }, { where: { id: accountId } });
  }

  async academy(id: AcademyId): Promise<Academy> {
    const row = await this.models.academy.findOne({ where: { id }, rejectOnEmpty: true });
    return {
      id,
      name: row.get('name') as string,
      timeZone: row.get('timeZone') as string,
      isDemo: row.get('demoLoadedAt') !== null,
    };
  }

  /** A new academy with its first head, who is new as well unless an account is given. All of it or nothing. */
  async found(academy: Omit<Academy, 'isDemo'>, head: Account | Omit<Account, 'id'>, now: Date): Promise<string> {
    try {
      return await this.sequelize.transaction(async (transaction) => {
        await this.models.academy.create(
          { ...academy, createdAt: now, demoLoadedAt: null, libraryVersion: 0 },
          { transaction },
        );
        const accountId = 'id' in head ? head.id : newId();
        if (!('id' in head))
          await this.models.account.create({ ...head, id: accountId, createdAt: now }, { transaction });
        await this.models.membership.create(
          { academyId: academy.id, accountId, role: 'head', createdAt: now, removedAt: null },
          { transaction },
        );
        return accountId;
      });
    } catch (error) {
      if (error instanceof UniqueConstraintError) throw new Refused({ code: 'id-taken', facts: {} });
      throw error;
    }
  }

  /** The academies that an account belongs to, the one it has belonged to longest first. */
  async academiesOf(accountId: string): Promise<readonly Academy[]> {
    const rows = await this.models.membership.findAll({
      where: { accountId, removedAt: null },
      order: [
        ['createdAt', 'ASC'],
        ['academyId', 'ASC'],
      ],
    });
    return Promise.all(rows.map((row) => this.academy(row.get('academyId') as AcademyId)));
  }

  async role(academyId: AcademyId, accountId: string): Promise<MemberRole | undefined> {
    const row = await this.models.membership.findOne({ where: { accountId, academyId, removedAt: null } });
    return row?.get('role') as MemberRole | undefined;
  }

  async openSession(
    token: string,
    owner: { readonly accountId: string; readonly academyId: AcademyId; readonly agent: string },
    createdAt: Date,
    expiresAt: Date,
  ): Promise<void> {
    await this.models.session.destroy({ where: { expiresAt: { [Op.lt]: createdAt } } });
    const tokenHash = hashToken(token);
    await this.models.session.create({ ...owner, tokenHash, id: newId(), createdAt, lastSeenAt: createdAt, expiresAt });
  }

  async session(token: string, now: Date): Promise<Session | undefined> {
    const row = (
      await this.models.session.findOne({ where: { tokenHash: hashToken(token), expiresAt: { [Op.gt]: now } } })
    )?.get({ plain: true }) as
      { id: string; accountId: string; academyId: AcademyId; lastSeenAt: Date | null } | undefined;
    if (!row) return undefined;
    const role = await this.role(row.academyId, row.accountId);
    if (!role) return undefined;
    if (now.getTime() - (row.lastSeenAt?.getTime() ?? 0) > SEEN_EVERY_MS)
      await this.models.session.update({ lastSeenAt: now }, { where: { id: row.id } });
    return { id: row.id, accountId: row.accountId, academyId: row.academyId, role };
  }

  async sessions(accountId: string, now: Date): Promise<readonly SessionRow[]> {
    const rows = await this.models.session.findAll({
      where: { accountId, expiresAt: { [Op.gt]: now } },
      order: [
        ['lastSeenAt', 'DESC'],
        ['id', 'DESC'],
      ],
    });
    return rows.map((row) => row.get({ plain: true }) as SessionRow);
  }

  /** Ends one session of an account, or all of them (but one). Says how many there were. */
  endSessions(accountId: string, which: { readonly only?: string; readonly but?: string } = {}): Promise<number> {
    const id = which.only ?? (which.but === undefined ? undefined : { [Op.ne]: which.but });
    return this.models.session.destroy({ where: { accountId, ...(id === undefined ? {} : { id }) } });
  }

  async moveSession(session: Session, academyId: AcademyId): Promise<void> {
    await this.models.session.update({ academyId }, { where: { id: session.id } });
  }

  async newReset(token: string, accountId: string, createdAt: Date, expiresAt: Date): Promise<void> {
    await this.models.passwordReset.create({
      tokenHash: hashToken(token),
      accountId,
      createdAt,
      expiresAt,
      spentAt: null,
    });
  }

  /** The account that a reset link is for; the link is spent by asking, once, whoever comes first. */
  async spendReset(token: string, now: Date): Promise<string | undefined> {
    const tokenHash = hashToken(token);
    const [spent] = await this.models.passwordReset.update(
      { spentAt: now },
      { where: { tokenHash, spentAt: null, expiresAt: { [Op.gt]: now } } },
    );
    if (spent === 0) return undefined;
    return (await this.models.passwordReset.findOne({ where: { tokenHash } }))?.get('accountId') as string;
  }
}
