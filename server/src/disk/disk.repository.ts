import { Inject, Injectable } from '@nestjs/common';
import { QueryTypes, Sequelize } from 'sequelize';
import type { AcademyId } from '../database/academyId.js';

/** A file as the disk knows it: what it is called, what it shows, and how the job for its proxy stands. */
export type FileOnDisk = {
  readonly id: string;
  readonly name: string;
  readonly isInBin: boolean;
  readonly footage: readonly string[];
  readonly proxyState: string | null;
};

const LINE = '\n';

@Injectable()
export class DiskRepository {
  constructor(@Inject(Sequelize) private readonly sequelize: Sequelize) {}

  /** All files of an academy that lie on the disk, those in the bin too. */
  async files(academyId: AcademyId): Promise<readonly FileOnDisk[]> {
    const rows = await this.sequelize.query<{
      id: string;
      name: string;
      isInBin: number;
      footage: string | null;
      proxyState: string | null;
    }>(
      `SELECT f.id, f.name, f.deleted_at IS NOT NULL AS isInBin, j.state AS proxyState,
         GROUP_CONCAT(DISTINCT g.title ORDER BY g.title SEPARATOR '${LINE}') AS footage
       FROM files f LEFT JOIN angles a ON a.academy_id = f.academy_id AND a.file_id = f.id AND a.deleted_at IS NULL
       LEFT JOIN footage g ON g.academy_id = a.academy_id AND g.id = a.footage_id AND g.deleted_at IS NULL
       LEFT JOIN jobs j ON j.academy_id = f.academy_id AND j.kind = 'proxy' AND j.subject_id = f.id
       WHERE f.academy_id = :academyId GROUP BY f.id ORDER BY f.id`,
      { type: QueryTypes.SELECT, replacements: { academyId } },
    );
    return rows.map(({ footage, isInBin, ...row }) => ({
      ...row,
      isInBin: isInBin === 1,
      footage: footage === null ? [] : footage.split(LINE),
    }));
  }
}
