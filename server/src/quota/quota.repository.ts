import { Inject, Injectable } from '@nestjs/common';
import { QueryTypes, Sequelize } from 'sequelize';
import type { AcademyId } from '../database/academyId.js';

/** What an academy may not have without end. */
export const QUOTAS = ['bytes', 'accounts', 'uploads'] as const;
export type QuotaOf = (typeof QUOTAS)[number];

const COLUMN: Readonly<Record<QuotaOf, string>> = {
  bytes: 'quota_bytes',
  accounts: 'quota_accounts',
  uploads: 'quota_uploads',
};
/** What there is: originals and what is coming in; members and open invitations; uploads that are under way. */
const USED: Readonly<Record<QuotaOf, string>> = {
  bytes: `(SELECT COALESCE(SUM(size_bytes), 0) FROM files WHERE academy_id = c.id) +
    (SELECT COALESCE(SUM(size_bytes), 0) FROM uploads WHERE academy_id = c.id AND state IN ('coming', 'reading'))`,
  accounts: `(SELECT COUNT(*) FROM memberships WHERE academy_id = c.id AND removed_at IS NULL) +
    (SELECT COUNT(*) FROM invitations WHERE academy_id = c.id AND spent_at IS NULL AND expires_at > UTC_TIMESTAMP(3))`,
  uploads: `(SELECT COUNT(*) FROM uploads WHERE academy_id = c.id AND state = 'coming' AND source = 'browser')`,
};

@Injectable()
export class QuotaRepository {
  constructor(@Inject(Sequelize) private readonly sequelize: Sequelize) {}

  /** What an academy may have where that was settled for it, null otherwise, and what it has. */
  async of(academyId: AcademyId, of: QuotaOf): Promise<{ readonly own: number | null; readonly used: number }> {
    const [row] = await this.sequelize.query<{ own: number | null; used: number }>(
      `SELECT c.${COLUMN[of]} AS own, ${USED[of]} AS used FROM academies c WHERE c.id = :academyId`,
      { type: QueryTypes.SELECT, replacements: { academyId } },
    );
    return { own: row?.own == null ? null : Number(row.own), used: Number(row?.used ?? 0) };
  }

  /** Settles what an academy may have; null = what every academy may. False where there is no such academy. */
  async set(academyId: AcademyId, of: QuotaOf, most: number | null): Promise<boolean> {
    const [, changed] = await this.sequelize.query(`UPDATE academies SET ${COLUMN[of]} = :most WHERE id = :academyId`, {
      type: QueryTypes.UPDATE,
      replacements: { academyId, most },
    });
    const there = await this.sequelize.query('SELECT 1 FROM academies WHERE id = :academyId', {
      type: QueryTypes.SELECT,
      replacements: { academyId },
    });
    return changed > 0 || there.length > 0;
  }
}
