import { Inject, Injectable } from '@nestjs/common';
import type { Fault } from '@odograph/core';
import type { UploadSource, UploadState } from '@odograph/core/contract';
import pLimit from 'p-limit';
import { Op, QueryTypes, Sequelize, UniqueConstraintError } from 'sequelize';
import type { AcademyId } from '../database/academyId.js';
import type { Row } from '../database/columns.js';
import type { Models } from '../database/models.js';
import { MODELS } from '../database/tokens.js';
import { inTurn } from '../database/turn.js';
import { readFault } from '../errors/faults.js';
import { Refused } from '../errors/refused.js';

/** Uploads are begun one after the other: so long one waits for the others at most, in seconds. */
const TURN_S = 10;

export type UploadRow = {
  readonly academyId: AcademyId;
  readonly id: string;
  /** Who sent it; nobody for a file of the inbox. */
  readonly accountId: string | null;
  readonly name: string;
  readonly sizeBytes: number;
  readonly source: UploadSource;
  readonly state: UploadState;
  readonly sha256: string | null;
  readonly why: Fault | null;
  readonly fileId: string | null;
  readonly inboxKey: string | null;
  readonly changedAt: Date;
};

const toUpload = (row: Row): UploadRow => ({
  ...(row as unknown as UploadRow),
  sizeBytes: Number(row['sizeBytes']),
  why: readFault(row['why']),
});
/** As the columns have it: a reason is kept as JSON. */
const fromUpload = <T extends Partial<UploadRow>>(row: T): Row => ({
  ...row,
  ...(row.why === undefined ? {} : { why: row.why && JSON.stringify(row.why) }),
});

@Injectable()
export class UploadsRepository {
  /** Each that waits for its turn holds a connection to the database, so only one of this server does. */
  private readonly ownTurn = pLimit(1);

  constructor(
    @Inject(MODELS) private readonly models: Models,
    @Inject(Sequelize) private readonly sequelize: Sequelize,
  ) {}

  /** Runs something while no other upload is begun, on whatever server. */
  async inTurn<T>(use: () => Promise<T>): Promise<T> {
    const turn = await this.ownTurn(() => inTurn(this.sequelize, 'uploads', TURN_S, use));
    if (!turn) throw new Refused({ code: 'busy', facts: { retryAfterS: TURN_S } });
    return turn.done;
  }

  /** All uploads of the browser that are still coming, of all academies. */
  async coming(): Promise<readonly Pick<UploadRow, 'id' | 'sizeBytes'>[]> {
    const rows = await this.models.upload.findAll({
      where: { state: 'coming', source: 'browser' },
      attributes: ['id', 'sizeBytes'],
    });
    return rows.map((row) => toUpload(row.get({ plain: true })));
  }

  /** Notes an upload; false where its id, or its place in the inbox, is known already. */
  async create(row: Omit<UploadRow, 'changedAt' | 'fileId'>): Promise<boolean> {
    const now = new Date();
    try {
      await this.models.upload.create({ ...fromUpload(row), fileId: null, createdAt: now, changedAt: now });
      return true;
    } catch (error) {
      if (error instanceof UniqueConstraintError) return false;
      throw error;
    }
  }

  async upload(academyId: AcademyId, id: string): Promise<UploadRow | undefined> {
    const row = await this.models.upload.findOne({ where: { academyId, id } });
    return row ? toUpload(row.get({ plain: true })) : undefined;
  }

  /** What is known of a file of the inbox. */
  async inbox(academyId: AcademyId, inboxKey: string): Promise<UploadRow | undefined> {
    const row = await this.models.upload.findOne({ where: { academyId, inboxKey } });
    return row ? toUpload(row.get({ plain: true })) : undefined;
  }

  /** Goes on with a file of the inbox that has waited for room; false where another worker did. */
  async begin(academyId: AcademyId, id: string): Promise<boolean> {
    const [changed] = await this.models.upload.update(
      { state: 'reading', why: null, changedAt: new Date() },
      { where: { academyId, id, state: 'coming' } },
    );
    return changed > 0;
  }

  async set(academyId: AcademyId, id: string, values: Partial<UploadRow>): Promise<void> {
    await this.models.upload.update({ ...fromUpload(values), changedAt: new Date() }, { where: { academyId, id } });
  }

  /** Uploads that are not yet dealt with: on their way, being read, refused, here already, or taken but on no shelf. */
  async open(
    academyId: AcademyId,
  ): Promise<readonly (UploadRow & { readonly frames: number | null; readonly cutOff: boolean })[]> {
    const rows = await this.sequelize.query<Row>(
      `SELECT u.id, u.account_id AS accountId, u.name, u.size_bytes AS sizeBytes, u.source, u.state, u.why, u.file_id AS fileId, f.frames, f.cut_off AS cutOff
       FROM uploads u LEFT JOIN files f ON f.academy_id = u.academy_id AND f.id = u.file_id
       WHERE u.academy_id = :academyId AND NOT u.put_aside AND NOT (u.state = 'taken' AND u.file_id = u.id AND (f.id IS NULL OR EXISTS
         (SELECT 1 FROM angles g WHERE g.academy_id = u.academy_id AND g.file_id = u.file_id AND g.deleted_at IS NULL)))
       ORDER BY u.id LIMIT 500`,
      { type: QueryTypes.SELECT, replacements: { academyId } },
    );
    return rows.map((row) => ({
      ...toUpload(row),
      frames: row['frames'] as number | null,
      cutOff: row['cutOff'] === 1,
    }));
  }

  /** Takes an upload off the list. Of the inbox it stays known, so that it is not taken in again. */
  async putAside(academyId: AcademyId, id: string): Promise<void> {
    await this.models.upload.update({ putAside: true, changedAt: new Date() }, { where: { academyId, id } });
  }

  async remove(academyId: AcademyId, id: string): Promise<void> {
    await this.models.upload.destroy({ where: { academyId, id } });
  }

  /** Uploads that nobody has gone on with since an instant. */
  async abandoned(before: Date): Promise<readonly UploadRow[]> {
    const rows = await this.models.upload.findAll({ where: { state: 'coming', changedAt: { [Op.lt]: before } } });
    return rows.map((row) => toUpload(row.get({ plain: true })));
  }

  async knows(id: string): Promise<boolean> {
    return (await this.models.upload.count({ where: { id } })) > 0;
  }

  async academies(): Promise<readonly AcademyId[]> {
    const rows = await this.models.academy.findAll({ attributes: ['id'] });
    return rows.map((row) => row.get('id') as AcademyId);
  }

  /** Somebody who answers for what the academy's inbox takes in: the head who has been there longest. */
  async headOf(academyId: AcademyId): Promise<string | undefined> {
    const row = await this.models.membership.findOne({
      where: { academyId, role: 'head', removedAt: null },
      order: [['createdAt', 'ASC']],
    });
    return row?.get('accountId') as string | undefined;
  }
}
