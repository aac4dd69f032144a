import { isDeepStrictEqual } from 'node:util';
import { Op, type Transaction } from 'sequelize';
import type { AcademyId } from '../database/academyId.js';
import { columnsOf, type Entity, type Models, type Row } from '../database/models.js';
import { Refused, notFound } from '../errors/refused.js';

type Record_ = {
  readonly entity: Entity;
  readonly entityId: string;
  readonly field: string;
  readonly beforeValue: unknown;
  readonly afterValue: unknown;
  readonly baseVersion: number | null;
};

/** What an edit touched, so that the answer can carry the records as they are now. */
export type Touched = ReadonlyMap<Entity, ReadonlySet<string>>;

/** Rows below another row: a change of theirs is a change of one list of the row above. */
export const ABOVE: Readonly<
  Partial<Record<Entity, { readonly entity: Entity; readonly by: string; readonly list: string }>>
> = {
  control: { entity: 'attempt', by: 'attemptId', list: 'controls' },
  reaction: { entity: 'attempt', by: 'attemptId', list: 'reactions' },
  reason: { entity: 'attempt', by: 'attemptId', list: 'reasons' },
  routeStep: { entity: 'route', by: 'routeId', list: 'steps' },
  alias: { entity: 'word', by: 'wordChangeId', list: 'aliases' },
};
/** As it comes back from JSON: times as text, nothing as null. */
const plain = (value: unknown): unknown => JSON.parse(JSON.stringify(value ?? null)) as unknown;
const LISTS: ReadonlySet<string> = new Set(Object.values(ABOVE).map((a) => a.list));

/** How two versions of a row differ where a write was refused. */
export type Difference = { readonly field: string; readonly yours: unknown; readonly theirs: unknown };

/**
 * One edit while it is being written: every change of a row goes through here and leaves a change record (entity, field, before, after, base version).
 * Lives inside one transaction; nothing of it stays when that fails.
 */
export class Edit {
  private readonly records: Record_[] = [];
  private readonly touchedIds = new Map<Entity, Set<string>>();

  constructor(
    private readonly models: Models,
    private readonly academy: AcademyId,
    readonly transaction: Transaction,
    readonly now: Date,
  ) {}

  get touched(): Touched {
    return this.touchedIds;
  }
  get changes(): readonly Record_[] {
    return this.records;
  }

  /** Marks a row as part of the answer, also when it did not change itself. */
  touch(entity: Entity, id: string): void {
    const ids = this.touchedIds.get(entity) ?? new Set();
    this.touchedIds.set(entity, ids.add(id));
  }

  private note(record: Record_): void {
    this.records.push(record);
    this.touch(record.entity, record.entityId);
  }

  /** The row, locked until the edit ends; rows in the bin count as not there unless asked for. */
  async find(entity: Entity, id: string, withBin = false): Promise<Row | undefined> {
    const found = await this.models[entity].findOne({
      where: { academyId: this.academy, id, ...(withBin ? {} : { deletedAt: null }) },
      transaction: this.transaction,
      lock: this.transaction.LOCK.UPDATE,
    });
    return found?.get({ plain: true });
  }

  async require(entity: Entity, id: string): Promise<Row> {
    const row = await this.find(entity, id);
    if (!row) throw notFound();
    return row;
  }

  async create(entity: Entity, id: string, values: Row): Promise<void> {
    await this.models[entity].create(
      { academyId: this.academy, id, version: 1, createdAt: this.now, changedAt: this.now, deletedAt: null, ...values },
      { transaction: this.transaction },
    );
    this.note({ entity, entityId: id, field: '*', beforeValue: null, afterValue: values, baseVersion: null });
  }

  /**
   * Changes fields of a row. `baseVersion` is the version the client saw; when somebody has changed the same fields since, the write is refused with
   * both values (`differences` says them in the client's words, of which `columnsOfField` gives the columns). Changes of other fields stand
   * beside it. Null = the caller has checked already. Fields that stay equal leave no record.
   */
  async update(
    entity: Entity,
    id: string,
    baseVersion: number | null,
    values: Row,
    differences?: (row: Row) => readonly Difference[],
    columnsOfField: (field: string) => readonly string[] = (field) => [field],
  ): Promise<void> {
    const row = await this.require(entity, id);
    if (baseVersion !== null && row['version'] !== baseVersion) {
      const said =
        differences?.(row) ?? Object.entries(values).map(([field, yours]) => ({ field, yours, theirs: row[field] }));
      const changed = await this.changedSince(entity, id, baseVersion);
      const fields = said.filter(
        ({ field, yours, theirs }) =>
          columnsOfField(field).some((c) => changed.has(c)) && !isDeepStrictEqual(plain(yours), plain(theirs)),
      );
      if (fields.length || baseVersion > (row['version'] as number))
        throw new Refused({ code: 'stale', facts: { version: row['version'] as number, fields } });
    }
    const changed = Object.entries(values).filter(([field, value]) => !isDeepStrictEqual(row[field], value));
    if (!changed.length) {
      this.touch(entity, id);
      return;
    }
    await this.write(entity, row, Object.fromEntries(changed));
  }

  /** Columns and lists of a row that were changed at or after a version. */
  private async changedSince(entity: Entity, id: string, version: number): Promise<ReadonlySet<string>> {
    const records = await this.models.changeRecord.findAll({
      where: { academyId: this.academy, entity, entityId: id, baseVersion: { [Op.gte]: version } },
      attributes: ['field'],
      transaction: this.transaction,
    });
    return new Set(records.map((r) => r.get('field') as string));
  }

  async remove(entity: Entity, id: string, baseVersion: number | null): Promise<void> {
    const row = await this.require(entity, id);
    if (baseVersion !== null && row['version'] !== baseVersion)
      throw new Refused({
        code: 'stale',
        facts: { version: row['version'] as number, fields: [{ field: 'deleted', yours: true, theirs: false }] },
      });
    await this.write(entity, row, { deletedAt: this.now });
  }

  /** Takes a row out of the bin. */
  async restore(entity: Entity, id: string): Promise<void> {
    const row = await this.find(entity, id, true);
    if (!row) throw notFound();
    if (row['deletedAt'] !== null) await this.write(entity, row, { deletedAt: null });
  }

  /** A change of rows below it counts as a change of one list of the row: its version moves on, and the list is on record. */
  async bump(entity: Entity, id: string, list: string): Promise<void> {
    const row = await this.find(entity, id, true);
    if (!row) return;
    await this.models[entity].increment('version', {
      where: { academyId: this.academy, id },
      transaction: this.transaction,
    });
    const baseVersion = row['version'] as number;
    this.note({ entity, entityId: id, field: list, beforeValue: null, afterValue: null, baseVersion });
  }

  /** Brings the rows of a list to what was sent, by their ids, and says whether anything changed. */
  async writeList<T extends { readonly id: string }>(
    entity: Entity,
    aboveId: string,
    before: readonly { readonly id: string }[],
    after: readonly T[],
    toRow: (item: T, ordinal: number) => Row,
  ): Promise<boolean> {
    const records = this.records.length;
    const kept = new Set(after.map((item) => item.id));
    for (const item of before) if (!kept.has(item.id)) await this.remove(entity, item.id, null);
    for (const [ordinal, item] of after.entries()) {
      if (before.some((b) => b.id === item.id)) await this.update(entity, item.id, null, toRow(item, ordinal));
      else await this.create(entity, item.id, { [ABOVE[entity]!.by]: aboveId, ...toRow(item, ordinal) });
    }
    return this.records.length > records;
  }

  private async write(entity: Entity, row: Row, values: Row): Promise<void> {
    const id = row['id'] as string;
    await this.models[entity].update(
      { ...values, version: (row['version'] as number) + 1, changedAt: this.now },
      { where: { academyId: this.academy, id }, transaction: this.transaction },
    );
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

  /** Takes one change record back, if the field still has the value that it left. */
  async revert(record: Record_): Promise<void> {
    const row = await this.find(record.entity, record.entityId, true);
    if (!row) throw notFound();
    // that a list has changed is said by the rows of the list
    if (LISTS.has(record.field)) return;
    if (record.field === '*') {
      await this.write(record.entity, row, { deletedAt: this.now });
      return;
    }
    if (!isDeepStrictEqual(plain(row[record.field]), plain(record.afterValue)))
      throw new Refused({ code: 'cannot-undo', facts: { field: record.field } });
    const before =
      record.field === 'deletedAt' && record.beforeValue !== null
        ? new Date(record.beforeValue as string)
        : record.beforeValue;
    if (record.field !== 'deletedAt' && !columnsOf(record.entity).includes(record.field))
      throw new Refused({ code: 'cannot-undo', facts: { field: record.field } });
    await this.write(record.entity, row, { [record.field]: before });
  }
}
