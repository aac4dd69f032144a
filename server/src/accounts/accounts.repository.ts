import { Inject, Injectable } from '@nestjs/common';
import type { Me, MemberRole } from '@odograph/core/contract';
import { Op, QueryTypes, Sequelize, UniqueConstraintError } from 'sequelize';
import { v7 as newId } from 'uuid';
import type { AcademyId } from '../database/academyId.js';
import { CONFIG, type Config } from '../config/config.js';
import type { Models } from '../database/models.js';
import { MODELS } from '../database/tokens.js';
import { Refused } from '../errors/refused.js';
import type { Transaction } from '../database/transaction.js';
import type { Session, Who } from '../doors/session.js';
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

type WhoRow = {
  readonly id: string;
  readonly accountId: string;
  readonly academyId: AcademyId;
  readonly lastSeenAt: Date | null;
  readonly name: string;
  readonly email: string;
  readonly ofId: AcademyId;
  readonly role: MemberRole;
  readonly ofName: string;
  readonly timeZone: string;
  readonly isDemo: number;
};
const WHO = `SELECT s.id, s.account_id AS accountId, s.academy_id AS academyId, s.last_seen_at AS lastSeenAt, a.name, a.email, m.academy_id AS ofId, m.role,
    c.name AS ofName, c.time_zone AS timeZone, c.demo_loaded_at IS NOT NULL AS isDemo
  FROM sessions s JOIN accounts a ON a.id = s.account_id JOIN memberships m ON m.account_id = s.account_id AND m.removed_at IS NULL
  JOIN academies c ON c.id = m.academy_id
  WHERE s.token_hash = ? AND s.expires_at > UTC_TIMESTAMP(3) AND (c.demo_loaded_at IS NULL OR ?) ORDER BY m.created_at, m.academy_id`;

/** That a session was used is written down again after this long. */
const SEEN_EVERY_MS = 5 * 60_000;

@Injectable()
export class AccountsRepository {
  constructor(
    @Inject(MODELS) private readonly models: Models,
    @Inject(Sequelize) private readonly sequelize: Sequelize,
    @Inject(CONFIG) private readonly config: Config,
  ) {}

  async byEmail(email: string): Promise<Account | undefined> {
    return (await this.models.account.findOne({ where: { email } }))?.get({ plain: true }) as Account | undefined;
  }

  async byId(id: string): Promise<Account | undefined> {
    return (await this.models.account.findOne({ where: { id } }))?.get({ plain: true }) as Account | undefined;
  }

  /** Runs all of something, or nothing of it. */
  transaction<T>(run: (transaction: Transaction) => Promise<T>): Promise<T> {
    return this.sequelize.transaction(run);
  }

  async create(account: Omit<Account, 'id'>, now: Date, transaction: Transaction): Promise<string> {
    const id = newId();
    await this.models.account.create({ ...account, id, createdAt: now }, { transaction });
    return id;
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

  async isTaken(academyId: AcademyId): Promise<boolean> {
    return (await this.models.academy.count({ where: { id: academyId } })) > 0;
  }

  /**
   * A new academy with its first head, who is new as well unless an account is given. All of it or nothing. An invitation to found one is spent by it; one that
   * somebody else has spent meanwhile is refused.
   */
  async found(
    academy: Omit<Academy, 'isDemo'>,
    head: Account | Omit<Account, 'id'>,
    now: Date,
    invitation: string | null,
  ): Promise<string> {
    try {
      return await this.sequelize.transaction(async (transaction) => {
        if (invitation !== null) {
          const where = { tokenHash: hashToken(invitation), spentAt: null };
          const [spent] = await this.models.foundingInvitation.update({ spentAt: now }, { where, transaction });
          if (spent === 0) throw new Refused({ code: 'link-spent', facts: {} });
        }
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

  /** Notes an invitation to found an academy. */
  async inviteToFound(token: string, email: string, createdAt: Date, expiresAt: Date): Promise<void> {
    await this.models.foundingInvitation.create({
      tokenHash: hashToken(token),
      email,
      createdAt,
      expiresAt,
      spentAt: null,
    });
  }

  /** For whom an invitation to found an academy is; undefined where it is spent or was never made. */
  async invitedToFound(token: string, now: Date): Promise<string | undefined> {
    const row = await this.models.foundingInvitation.findOne({
      where: { tokenHash: hashToken(token), spentAt: null, expiresAt: { [Op.gt]: now } },
    });
    return row?.get('email') as string | undefined;
  }

  /** The academies that an account belongs to, the one it has belonged to longest first. Those of the demo only where the demo is on. */
  async academiesOf(accountId: string): Promise<readonly AcademyId[]> {
    const rows = await this.sequelize.query<{ id: AcademyId }>(
      `SELECT c.id FROM memberships m JOIN academies c ON c.id = m.academy_id WHERE m.account_id = :accountId AND m.removed_at IS NULL
       AND (c.demo_loaded_at IS NULL OR :demo) ORDER BY m.created_at, m.academy_id`,
      { type: QueryTypes.SELECT, replacements: { accountId, demo: this.config.demoDir !== null } },
    );
    return rows.map((row) => row.id);
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

  /** Whose session a token opens, in one question: the account with all of its academies, and the role in the present one. */
  async who(token: string, now: Date): Promise<Who | undefined> {
    const rows = await this.sequelize.query<WhoRow>(WHO, {
      type: QueryTypes.SELECT,
      replacements: [hashToken(token), this.config.demoDir !== null],
    });
    const here = rows.find((row) => row.ofId === row.academyId);
    if (!here) return undefined;
    if (now.getTime() - (here.lastSeenAt?.getTime() ?? 0) > SEEN_EVERY_MS)
      await this.models.session.update({ lastSeenAt: now }, { where: { id: here.id } });
    const { id, accountId, academyId, role } = here;
    const me: Me = {
      account: { id: accountId, name: here.name, email: here.email },
      academy: { id: academyId, name: here.ofName, timeZone: here.timeZone, isDemo: here.isDemo !== 0 },
      role,
      academies: rows.map((row) => ({ id: row.ofId, name: row.ofName })),
    };
    return { session: { id, accountId, academyId, role }, me };
  }

  /** The roles in which sessions are still open, by their ids. */
  async rolesOf(
    sessionIds: readonly string[],
    now: Date,
  ): Promise<ReadonlyMap<string, Pick<Session, 'academyId' | 'role'>>> {
    const rows = await this.sequelize.query<Pick<Session, 'id' | 'academyId' | 'role'>>(
      `SELECT s.id, s.academy_id AS academyId, m.role FROM sessions s JOIN memberships m ON m.academy_id = s.academy_id AND m.account_id = s.account_id
       WHERE s.id IN (:sessionIds) AND s.expires_at > :now AND m.removed_at IS NULL`,
      { type: QueryTypes.SELECT, replacements: { sessionIds, now } },
    );
    return new Map(rows.map(({ id, academyId, role }) => [id, { academyId, role }]));
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

  /** Notes a reset link; older ones of the account are good no longer. */
  async newReset(token: string, accountId: string, createdAt: Date, expiresAt: Date): Promise<void> {
    await this.models.passwordReset.update({ spentAt: createdAt }, { where: { accountId, spentAt: null } });
    await this.models.passwordReset.create({
      tokenHash: hashToken(token),
      accountId,
      createdAt,
      expiresAt,
      spentAt: null,
    });
  }

  /** The account that a reset link is for; undefined where it is good no longer. */
  async resetFor(token: string, now: Date): Promise<string | undefined> {
    const where = { tokenHash: hashToken(token), spentAt: null, expiresAt: { [Op.gt]: now } };
    return (await this.models.passwordReset.findOne({ where }))?.get('accountId') as string | undefined;
  }

  /** Sets a password by a reset link, ends every session of the account and all of its links; false where the link was spent meanwhile. */
  setPassword(token: string, accountId: string, passwordHash: string, now: Date): Promise<boolean> {
    return this.sequelize.transaction(async (transaction) => {
      const where = { tokenHash: hashToken(token), spentAt: null, expiresAt: { [Op.gt]: now } };
      const [spent] = await this.models.passwordReset.update({ spentAt: now }, { where, transaction });
      if (spent === 0) return false;
      await this.models.passwordReset.update({ spentAt: now }, { where: { accountId, spentAt: null }, transaction });
      await this.models.account.update({ passwordHash }, { where: { id: accountId }, transaction });
      await this.models.session.destroy({ where: { accountId }, transaction });
      return true;
    });
  }
}
