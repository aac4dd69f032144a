import { createHash } from 'node:crypto';
import { Inject, Injectable } from '@nestjs/common';
import { Op } from 'sequelize';
import type { AcademyId } from '../database/academyId.js';
import type { Models } from '../database/models.js';
import { MODELS } from '../database/tokens.js';
import type { Session } from './session.js';

export type Account = {
  readonly id: string;
  readonly email: string;
  readonly name: string;
  readonly passwordHash: string;
};
export type Academy = { readonly id: AcademyId; readonly name: string; readonly timeZone: string };

/** Only the hash of a session's token is kept, so that a copy of the database signs nobody in. */
export const hashToken = (token: string): string => createHash('sha256').update(token).digest('hex');

@Injectable()
export class AccountsRepository {
  constructor(@Inject(MODELS) private readonly models: Models) {}

  async byEmail(email: string): Promise<Account | undefined> {
    return (await this.models.account.findOne({ where: { email } }))?.get({ plain: true }) as Account | undefined;
  }

  async byId(id: string): Promise<Account | undefined> {
    return (await this.models.account.findOne({ where: { id } }))?.get({ plain: true }) as Account | undefined;
  }

  async academy(id: AcademyId): Promise<Academy> {
    return (await this.models.academy.findOne({ where: { id }, rejectOnEmpty: true })).get({ plain: true }) as Academy;
  }

  /** The academy an account signs in to: the one it has belonged to longest. */
  async firstMembership(accountId: string): Promise<{ academyId: AcademyId; role: Session['role'] } | undefined> {
    const row = await this.models.membership.findOne({
      where: { accountId },
      order: [
        ['createdAt', 'ASC'],
        ['academyId', 'ASC'],
      ],
    });
    return row?.get({ plain: true }) as { academyId: AcademyId; role: Session['role'] } | undefined;
  }

  async openSession(
    token: string,
    accountId: string,
    academyId: AcademyId,
    createdAt: Date,
    expiresAt: Date,
  ): Promise<void> {
    await this.models.session.destroy({ where: { expiresAt: { [Op.lt]: createdAt } } });
    await this.models.session.create({ tokenHash: hashToken(token), accountId, academyId, createdAt, expiresAt });
  }

  async session(token: string, now: Date): Promise<Session | undefined> {
    const row = (
      await this.models.session.findOne({ where: { tokenHash: hashToken(token), expiresAt: { [Op.gt]: now } } })
    )?.get({ plain: true }) as { accountId: string; academyId: AcademyId; tokenHash: string } | undefined;
    if (!row) return undefined;
    const membership = await this.models.membership.findOne({
      where: { accountId: row.accountId, academyId: row.academyId },
    });
    return membership
      ? {
          accountId: row.accountId,
          academyId: row.academyId,
          tokenHash: row.tokenHash,
          role: membership.get('role') as Session['role'],
        }
      : undefined;
  }

  async endSession(tokenHash: string): Promise<void> {
    await this.models.session.destroy({ where: { tokenHash } });
  }
}
