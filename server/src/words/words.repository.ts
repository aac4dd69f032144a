import { Inject, Injectable } from '@nestjs/common';
import type { Definition, WordKind } from '@odograph/core';
import { Op, type Transaction } from 'sequelize';
import type { AcademyId } from '../database/academyId.js';
import type { Models } from '../database/models.js';
import { MODELS } from '../database/tokens.js';

/** What an academy has said of a word, also when that lies in the bin. */
export type KnownChange = {
  readonly id: string;
  readonly isBinned: boolean;
  readonly aliases: readonly { readonly id: string; readonly alias: string }[];
};

@Injectable()
export class WordsRepository {
  constructor(@Inject(MODELS) private readonly models: Models) {}

  async change(
    academyId: AcademyId,
    kind: WordKind,
    wordKey: string,
    transaction: Transaction | null = null,
  ): Promise<KnownChange | undefined> {
    const row = await this.models.word.findOne({ where: { academyId, kind, wordKey }, transaction });
    if (!row) return undefined;
    const id = row.get('id') as string;
    const aliases = await this.models.alias.findAll({
      where: { academyId, wordChangeId: id, deletedAt: null },
      order: [['id', 'ASC']],
      transaction,
    });
    return {
      id,
      isBinned: row.get('deletedAt') !== null,
      aliases: aliases.map((a) => ({ id: a.get('id') as string, alias: a.get('alias') as string })),
    };
  }

  /** The words of an academy's own with what they are. */
  async changes(
    academyId: AcademyId,
  ): Promise<
    readonly { readonly id: string; readonly kind: WordKind; readonly key: string; readonly definition: Definition }[]
  > {
    const rows = await this.models.word.findAll({
      where: { academyId, deletedAt: null, definition: { [Op.ne]: null } },
    });
    return rows.map((row) => ({
      id: row.get('id') as string,
      kind: row.get('kind') as WordKind,
      key: row.get('wordKey') as string,
      definition: row.get('definition') as Definition,
    }));
  }

  /** Whether a change makes a word of the academy's own; undefined = there is no such change. */
  async isOwn(academyId: AcademyId, id: string): Promise<boolean | undefined> {
    const row = await this.models.word.findOne({ where: { academyId, id, deletedAt: null } });
    return row ? row.get('definition') !== null : undefined;
  }

  async isFootage(academyId: AcademyId, id: string): Promise<boolean> {
    return (await this.models.footage.count({ where: { academyId, id, deletedAt: null } })) > 0;
  }
}
