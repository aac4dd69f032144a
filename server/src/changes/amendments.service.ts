import { Inject, Injectable } from '@nestjs/common';
import { amendmentsOf, type AfterEdit } from '@odograph/core';
import type { AmendmentItem } from '@odograph/core/contract';
import { Op, QueryTypes, Sequelize } from 'sequelize';
import type { AcademyId } from '../database/academyId.js';
import { fromRow, type Row } from '../database/columns.js';
import type { Models } from '../database/models.js';
import { MODELS } from '../database/tokens.js';
import type { ChangeRecord } from './edit.js';

/** The latest edits are looked through, in them so many attempts, and so many amendments are told. */
const EDITS = 2000;
const ATTEMPTS = 100;
const MOST = 50;

type EditRow = { readonly id: string; readonly accountId: string; readonly at: Date; readonly isTold: boolean };
type RecordRow = ChangeRecord & { readonly editId: string; readonly ordinal: number };

/** What was said and then said otherwise, found in the change records: each attempt is taken back edit by edit from how it is now. */
@Injectable()
export class AmendmentsService {
  constructor(
    @Inject(Sequelize) private readonly sequelize: Sequelize,
    @Inject(MODELS) private readonly models: Models,
  ) {}

  async latest(academyId: AcademyId): Promise<readonly AmendmentItem[]> {
    const edited = await this.sequelize.query<{ id: string }>(
      `SELECT c.entity_id AS id, MAX(e.number) AS last
       FROM (SELECT id, number FROM edits WHERE academy_id = :academyId AND undoes_id IS NULL AND undone_at IS NULL
             ORDER BY number DESC LIMIT ${EDITS}) e
       STRAIGHT_JOIN change_records c ON c.academy_id = :academyId AND c.edit_id = e.id AND c.entity = 'attempt' AND c.field <> '*'
       GROUP BY c.entity_id ORDER BY last DESC LIMIT ${ATTEMPTS}`,
      { type: QueryTypes.SELECT, replacements: { academyId } },
    );
    const ids = edited.map((row) => row.id);
    if (!ids.length) return [];
    const [rows, records] = await Promise.all([
      this.models.attempt.findAll({ where: { academyId, id: { [Op.in]: ids }, deletedAt: null } }),
      this.models.changeRecord.findAll({ where: { academyId, entity: 'attempt', entityId: { [Op.in]: ids } } }),
    ]);
    const told = records.map((r) => r.get({ plain: true }) as unknown as RecordRow);
    const edits = await this.editsOf(academyId, [...new Set(told.map((r) => r.editId))]);
    const all = rows.flatMap((row) => {
      const plain = row.get({ plain: true });
      return amendmentsOf(
        historyOf(
          plain,
          told.filter((r) => r.entityId === plain['id']),
          edits,
        ),
      );
    });
    const latest = all.sort((a, b) => b.by.at - a.by.at || b.editId.localeCompare(a.editId)).slice(0, MOST);
    const names = await this.namesOf(latest.flatMap((a) => [a.by.accountId, a.saidBy.accountId]));
    return latest.map(({ by, saidBy, ...amendment }) => ({
      ...amendment,
      by: names.get(by.accountId) ?? '',
      at: new Date(by.at).toISOString(),
      saidBy: names.get(saidBy.accountId) ?? '',
      saidAt: new Date(saidBy.at).toISOString(),
    }));
  }

  /** Edits by their ids, in the order in which they were made. */
  private async editsOf(academyId: AcademyId, ids: readonly string[]): Promise<readonly EditRow[]> {
    const edits = await this.models.edit.findAll({
      where: { academyId, id: { [Op.in]: [...ids] } },
      order: [['number', 'ASC']],
    });
    return edits.map((e) => ({
      id: e.get('id') as string,
      accountId: e.get('accountId') as string,
      at: e.get('at') as Date,
      isTold: e.get('undoesId') === null && e.get('undoneAt') === null,
    }));
  }

  private async namesOf(ids: readonly string[]): Promise<ReadonlyMap<string, string>> {
    const accounts = await this.models.account.findAll({
      where: { id: { [Op.in]: [...new Set(ids)] } },
      attributes: ['id', 'name'],
    });
    return new Map(accounts.map((a) => [a.get('id') as string, a.get('name') as string]));
  }
}

/** How each edit left an attempt, the first one first: from how it is now, back by what stood there before each. */
const historyOf = (now: Row, records: readonly RecordRow[], edits: readonly EditRow[]): readonly AfterEdit[] => {
  const row = { ...now };
  const history: AfterEdit[] = [];
  for (const { id, accountId, at, isTold } of [...edits].reverse()) {
    const here = records.filter((r) => r.editId === id).sort((a, b) => b.ordinal - a.ordinal);
    if (!here.length) continue;
    history.push({ editId: id, accountId, at: at.getTime(), isTold, attempt: fromRow('attempt', { ...row }) });
    for (const { field, beforeValue } of here) if (field !== '*') row[field] = beforeValue;
  }
  return history.reverse();
};
