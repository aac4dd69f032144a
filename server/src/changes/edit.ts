import { isDeepStrictEqual } from 'node:util';
import { KEPT, sentName, sentValue, type Entity, type RowOf } from '@odograph/core';
import { Op, type Transaction } from 'sequelize';
import type { AcademyId } from '../database/academyId.js';
import { columnNames, columnsOfField, fromRow, toRow, type Row } from '../database/columns.js';
import type { Models } from '../database/models.js';
import { Refused, notFound } from '../errors/refused.js';
import type { Touched } from '../library/touched.js';
import { WordUses } from './wordUses.js';

/** One column of a row as an edit has changed it; `*` = the row was made. */
export type ChangeRecord = {
  readonly entity: Entity;
  readonly entityId: string;
  readonly field: string;
  readonly beforeValue: unknown;
  readonly afterValue: unknown;
  readonly baseVersion: number | null;
};

/** As it comes back from JSON: times as text, nothing as null. */
const plain = (value: unknown): unknown => JSON.parse(JSON.stringify(value ?? null)) as unknown;
const isSame = (a: unknown, b: unknown): boolean => a === b || isDeepStrictEqual(plain(a), plain(b));

/**
 * One edit while it is being written: every change of a row goes through here and leaves a change record (entity, column, before, after, base version).
 * Lives inside one transaction; nothing of it stays when that fails.
 */
export class Edit {
  private readonly records: ChangeRecord[] = [];
  private readonly touchedIds = new Map<Entity, Set<string>>();
  private readonly words: WordUses;

  constructor(
    private readonly models: Models,
    private readonly academy: AcademyId,
    readonly transaction: Transaction,
    readonly now: Date,
  ) {
    this.words = new WordUses(models, academy, transaction);
  }

  get touched(): Touched {
    return this.touchedIds;
  }

  /** Everything is written: brings the index of words in step, and gives the change records. */
  async settled(): Promise<readonly ChangeRecord[]> {
    await this.words.settle();
    return this.records;
  }

  /** Marks a row as part of the answer, also when it did not change itself. */
  touch(entity: Entity, id: string): void {
    const ids = this.touchedIds.get(entity) ?? new Set();
    this.touchedIds.set(entity, ids.add(id));
  }

  private note(record: ChangeRecord): void {
    this.records.push(record);
    this.touch(record.entity, record.entityId);
  }

  private async locked(entity: Entity, id: string, withBin: boolean): Promise<Row | undefined> {
    const found = await this.models[entity].findOne({
      where: { academyId: this.academy, id, ...(withBin ? {} : { deletedAt: null }) },
      transaction: this.transaction,
      lock: this.transaction.LOCK.UPDATE,
    });
    return found?.get({ plain: true });
  }

  private async required(entity: Entity, id: string, withBin = false): Promise<Row> {
    const row = await this.locked(entity, id, withBin);
    if (!row) throw notFound();
    return row;
  }

  /** The row, locked until the edit ends; rows in the bin count as not there. */
  async find<E extends Entity>(entity: E, id: string): Promise<RowOf[E] | undefined> {
    const row = await this.locked(entity, id, false);
    return row && fromRow(entity, row);
  }

  async require<E extends Entity>(entity: E, id: string): Promise<RowOf[E]> {
    return fromRow(entity, await this.required(entity, id));
  }

  /** Which of these rows are there, without locking them. */
  async there(entity: Entity, ids: readonly string[]): Promise<ReadonlySet<string>> {
    const rows = await this.models[entity].findAll({
      attributes: ['id'],
      where: { academyId: this.academy, deletedAt: null, id: { [Op.in]: [...ids] } },
      transaction: this.transaction,
    });
    return new Set(rows.map((row) => row.get('id') as string));
  }

  /** Whether the academy has any row of a kind. */
  async any(entity: Entity): Promise<boolean> {
    const where = { academyId: this.academy, deletedAt: null };
    return (await this.models[entity].count({ where, transaction: this.transaction })) > 0;
  }

  /** When a row was put in the bin; null where it lies in none. */
  async binnedAt(entity: Entity, id: string): Promise<Date | null> {
    return (await this.required(entity, id, true))['deletedAt'] as Date | null;
  }

  async create<E extends Entity>(entity: E, id: string, values: Omit<RowOf[E], 'id' | 'version'>): Promise<void> {
    const row = toRow(entity, values as Partial<RowOf[E]>);
    const whole = {
      academyId: this.academy,
      id,
      version: 1,
      createdAt: this.now,
      changedAt: this.now,
      deletedAt: null,
    };
    await this.models[entity].create({ ...whole, ...row }, { transaction: this.transaction });
    this.words.note(entity, id, null, row);
    this.note({ entity, entityId: id, field: '*', beforeValue: null, afterValue: row, baseVersion: null });
  }

  /**
   * Changes fields of a row, and those that follow from them. `baseVersion` is the version the client saw; when somebody has changed the same fields since, the write is
   * refused with both values, as a request says them. Changes of other fields stand beside it. Null = the caller has checked already. Fields that stay equal leave no record.
   */
  async update<E extends Entity>(
    entity: E,
    id: string,
    baseVersion: number | null,
    changes: Partial<RowOf[E]>,
    follows: Partial<RowOf[E]> = {},
  ): Promise<void> {
    const row = await this.required(entity, id);
    if (baseVersion !== null && row['version'] !== baseVersion)
      await this.holdAgainst(entity, row, baseVersion, changes);
    const changed = Object.entries(toRow(entity, { ...changes, ...follows })).filter(
      ([column, value]) => !isSame(row[column], value),
    );
    if (changed.length) await this.write(entity, row, Object.fromEntries(changed));
    else this.touch(entity, id);
  }

  /** Refuses changes of fields that somebody else has changed since a version, to another value. */
  private async holdAgainst(entity: Entity, row: Row, baseVersion: number, changes: object): Promise<void> {
    const since = await this.changedSince(entity, row['id'] as string, baseVersion);
    const now: Row = { ...fromRow(entity, row) };
    const said = Object.entries(changes).map(([field, yours]) => ({
      field,
      yours: sentValue(KEPT[entity], field, yours),
      theirs: sentValue(KEPT[entity], field, now[field]),
    }));
    const fields = said
      .filter(
        ({ field, yours, theirs }) =>
          columnsOfField(entity, field).some((column) => since.has(column)) && !isSame(yours, theirs),
      )
      .map((difference) => ({ ...difference, field: sentName(KEPT[entity], difference.field) }));
    const version = row['version'] as number;
    if (fields.length || baseVersion > version) throw new Refused({ code: 'stale', facts: { version, fields } });
  }

  /** Columns of a row that were changed at or after a version. */
  private async changedSince(entity: Entity, id: string, version: number): Promise<ReadonlySet<string>> {
    const records = await this.models.changeRecord.findAll({
      where: { academyId: this.academy, entity, entityId: id, baseVersion: { [Op.gte]: version } },
      attributes: ['field'],
      transaction: this.transaction,
    });
    return new Set(records.map((r) => r.get('field') as string));
  }

  async remove(entity: Entity, id: string, baseVersion: number | null): Promise<void> {
    const row = await this.required(entity, id);
    if (baseVersion !== null && row['version'] !== baseVersion)
      throw new Refused({
        code: 'stale',
        facts: { version: row['version'] as number, fields: [{ field: 'deleted', yours: true, theirs: false }] },
      });
    await this.write(entity, row, { deletedAt: this.now });
  }

  /** Takes a row out of the bin. */
  async restore(entity: Entity, id: string): Promise<void> {
    const row = await this.required(entity, id, true);
    if (row['deletedAt'] !== null) await this.write(entity, row, { deletedAt: null });
  }

  private async write(entity: Entity, row: Row, values: Row): Promise<void> {
    const id = row['id'] as string;
    await this.models[entity].update(
      { ...values, version: (row['version'] as number) + 1, changedAt: this.now },
      { where: { academyId: this.academy, id }, transaction: this.transaction },
    );
    this.words.note(entity, id, row, { ...row, ...values });
    for (const [field, value] of Object.entries(values))
      this.note({
        entity,
        entityId: id,
        field,
        beforeValue: row[field] ?? null,
        afterValue: value ?? null,
        baseVersion: row['version'] as number,
      });
  }

  /** Takes one change record back, if the column still has the value that it left. */
  async revert(record: ChangeRecord): Promise<void> {
    const { entity, entityId, field, beforeValue, afterValue } = record;
    // what an earlier version of the product kept otherwise stays as it is
    const isKept = entity in KEPT && ['*', 'deletedAt', ...columnNames(entity)].includes(field);
    if (!isKept) throw new Refused({ code: 'cannot-undo', facts: { field } });
    const row = await this.required(entity, entityId, true);
    if (field === '*') {
      await this.write(entity, row, { deletedAt: this.now });
      return;
    }
    if (!isSame(row[field], afterValue)) throw new Refused({ code: 'cannot-undo', facts: { field } });
    const wasBinned = field === 'deletedAt' && beforeValue !== null;
    await this.write(entity, row, { [field]: wasBinned ? new Date(beforeValue as string) : beforeValue });
  }
}
