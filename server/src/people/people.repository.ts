import { Inject, Injectable } from '@nestjs/common';
import type { Invitation, Member, MemberRole } from '@odograph/core/contract';
import { Op, Sequelize, UniqueConstraintError, type Transaction } from 'sequelize';
import { hashToken } from '../accounts/tokens.js';
import type { AcademyId } from '../database/academyId.js';
import type { Models } from '../database/models.js';
import { MODELS } from '../database/tokens.js';

export type OpenInvitation = {
  readonly id: string;
  readonly academyId: AcademyId;
  readonly email: string;
  readonly role: MemberRole;
};

@Injectable()
export class PeopleRepository {
  constructor(
    @Inject(MODELS) private readonly models: Models,
    @Inject(Sequelize) private readonly sequelize: Sequelize,
  ) {}

  async members(academyId: AcademyId): Promise<readonly Member[]> {
    const rows = await this.models.membership.findAll({
      where: { academyId, removedAt: null },
      order: [
        ['createdAt', 'ASC'],
        ['accountId', 'ASC'],
      ],
    });
    const ids = rows.map((row) => row.get('accountId') as string);
    const accounts = await this.models.account.findAll({ where: { id: { [Op.in]: ids } } });
    const byId = new Map(accounts.map((a) => [a.get('id') as string, a]));
    return rows.map((row) => {
      const accountId = row.get('accountId') as string;
      const account = byId.get(accountId)!;
      return {
        accountId,
        name: account.get('name') as string,
        email: account.get('email') as string,
        role: row.get('role') as MemberRole,
        since: (row.get('createdAt') as Date).toISOString(),
      };
    });
  }

  async invitations(academyId: AcademyId, now: Date): Promise<readonly Invitation[]> {
    const rows = await this.models.invitation.findAll({
      where: { academyId, spentAt: null, expiresAt: { [Op.gt]: now } },
      order: [
        ['createdAt', 'DESC'],
        ['id', 'DESC'],
      ],
    });
    return rows.map((row) => ({
      id: row.get('id') as string,
      email: row.get('email') as string,
      role: row.get('role') as MemberRole,
      sentAt: (row.get('createdAt') as Date).toISOString(),
      expiresAt: (row.get('expiresAt') as Date).toISOString(),
    }));
  }

  async isInvited(academyId: AcademyId, email: string): Promise<boolean> {
    return (await this.models.invitation.count({ where: { academyId, email, spentAt: null } })) > 0;
  }

  /** Keeps an invitation with its letter, unless it was kept before (the same id again). Older ones to the same mail are spent: gives their ids. */
  async invite(
    academyId: AcademyId,
    invitation: { readonly id: string; readonly email: string; readonly role: MemberRole; readonly invitedBy: string },
    token: string,
    createdAt: Date,
    expiresAt: Date,
    write: (transaction: Transaction) => Promise<void>,
  ): Promise<readonly string[]> {
    const tokenHash = hashToken(token);
    try {
      return await this.sequelize.transaction(async (transaction) => {
        const values = { ...invitation, academyId, tokenHash, createdAt, expiresAt, spentAt: null };
        await this.models.invitation.create(values, { transaction });
        const others = { academyId, email: invitation.email, spentAt: null, id: { [Op.ne]: invitation.id } };
        const before = await this.models.invitation.findAll({ where: others, attributes: ['id'], transaction });
        await this.models.invitation.update({ spentAt: createdAt }, { where: others, transaction });
        await write(transaction);
        return before.map((row) => row.get('id') as string);
      });
    } catch (error) {
      if (error instanceof UniqueConstraintError) return [];
      throw error;
    }
  }

  async withdraw(academyId: AcademyId, id: string, now: Date): Promise<boolean> {
    const [n] = await this.models.invitation.update({ spentAt: now }, { where: { academyId, id, spentAt: null } });
    return n > 0;
  }

  async openInvitation(token: string, now: Date): Promise<OpenInvitation | undefined> {
    const row = await this.models.invitation.findOne({
      where: { tokenHash: hashToken(token), spentAt: null, expiresAt: { [Op.gt]: now } },
    });
    return row?.get({ plain: true }) as OpenInvitation | undefined;
  }

  /** Makes an account a member by an invitation, which is spent by it; undefined where somebody else was faster. `make` gives the account, new or not. */
  async join(
    invitation: OpenInvitation,
    now: Date,
    make: (now: Date, transaction: Transaction) => Promise<string>,
  ): Promise<string | undefined> {
    const { academyId, id, role } = invitation;
    return this.sequelize.transaction(async (transaction) => {
      const [n] = await this.models.invitation.update(
        { spentAt: now },
        { where: { academyId, id, spentAt: null }, transaction },
      );
      if (n === 0) return undefined;
      const accountId = await make(now, transaction);
      const where = { academyId, accountId };
      const there = await this.models.membership.findOne({ where, transaction });
      if (there) await this.models.membership.update({ role, removedAt: null }, { where, transaction });
      else await this.models.membership.create({ ...where, role, createdAt: now, removedAt: null }, { transaction });
      return accountId;
    });
  }

  /**
   * Changes a membership, or ends it (`role` null), unless nobody would be left who is a head. All heads are locked meanwhile, so that two who leave
   * at the same time do not both go.
   */
  async change(
    academyId: AcademyId,
    accountId: string,
    role: MemberRole | null,
    now: Date,
  ): Promise<'done' | 'not there' | 'last head'> {
    return this.sequelize.transaction(async (transaction: Transaction) => {
      const heads = await this.models.membership.findAll({
        where: { academyId, role: 'head', removedAt: null },
        lock: transaction.LOCK.UPDATE,
        transaction,
      });
      const where = { academyId, accountId, removedAt: null };
      if (!(await this.models.membership.findOne({ where, transaction }))) return 'not there';
      const others = heads.filter((h) => h.get('accountId') !== accountId);
      if (role !== 'head' && others.length === 0) return 'last head';
      await this.models.membership.update(role === null ? { removedAt: now } : { role }, { where, transaction });
      if (role === null) await this.models.session.destroy({ where: { academyId, accountId }, transaction });
      return 'done';
    });
  }
}
