import { KEPT, wordedFields, wordsSaid, type Entity, type WordKind } from '@odograph/core';
import { Op, type Transaction } from 'sequelize';
import type { AcademyId } from '../database/academyId.js';
import { fromRow, type Row } from '../database/columns.js';
import type { Models } from '../database/models.js';

/** Kinds of rows that can say words. */
const WORDED: ReadonlySet<string> = new Set(
  Object.entries(KEPT).flatMap(([entity, fields]) => (wordedFields(fields).length ? [entity] : [])),
);

type Use = { readonly kind: WordKind; readonly wordKey: string };
/** The words that a row says, each once; what lies in the bin says none. */
export const usesOf = (entity: Entity, row: Row): ReadonlyMap<string, Use> => {
  if (!WORDED.has(entity) || (row['deletedAt'] ?? null) !== null) return new Map();
  const said = wordsSaid(KEPT[entity], fromRow(entity, row));
  return new Map(said.map(({ kind, key }) => [`${kind} ${key}`, { kind, wordKey: key }]));
};

/** The index of which row says which word, kept in step with the rows of one edit. */
export class WordUses {
  private readonly rows = new Map<
    string,
    { readonly entity: Entity; readonly id: string; before: Row | null; after: Row }
  >();

  constructor(
    private readonly models: Models,
    private readonly academyId: AcademyId,
    private readonly transaction: Transaction,
  ) {}

  /** A row is written: as it was (null = it was not there), and as it is. */
  note(entity: Entity, id: string, before: Row | null, after: Row): void {
    if (!WORDED.has(entity)) return;
    const known = this.rows.get(id);
    if (known) known.after = after;
    else this.rows.set(id, { entity, id, before, after });
  }

  async settle(): Promise<void> {
    const { academyId, transaction } = this;
    const added: Row[] = [];
    for (const { entity, id: entityId, before, after } of this.rows.values()) {
      const [was, is] = [before ? usesOf(entity, before) : new Map<string, Use>(), usesOf(entity, after)];
      const gone = [...was].flatMap(([word, use]) => (is.has(word) ? [] : [use]));
      if (gone.length)
        await this.models.wordUse.destroy({
          where: { academyId, entity, entityId, [Op.or]: gone.map((use) => ({ ...use })) },
          transaction,
        });
      for (const [word, use] of is) if (!was.has(word)) added.push({ academyId, entity, entityId, ...use });
    }
    if (added.length) await this.models.wordUse.bulkCreate(added, { transaction });
  }
}
