import { Inject, Injectable } from '@nestjs/common';
import type { Definition, KeptWord, WordKind } from '@odograph/core';
import { Op, type Transaction } from 'sequelize';
import type { AcademyId } from '../database/academyId.js';
import { fromRow } from '../database/columns.js';
import type { Models } from '../database/models.js';
import { MODELS } from '../database/tokens.js';

/** What an academy has said of a word, also when that lies in the bin. */
export type KnownChange = {
  readonly id: string;
  readonly isBinned: boolean;
  readonly aliases: KeptWord['aliases'];
};

@Injectable()
export class WordsRepository {
  constructor(@Inject(MODELS) private readonly models: Models) {}

  async change(
    academyId: AcademyId,
    kind: WordKind,
    wordKey: string,
    transaction: Transaction,
  ): Promise<KnownChange | undefined> {
    const row = await this.models.word.findOne({ where: { academyId, kind, wordKey }, transaction });
    if (!row) return undefined;
    const { id, aliases } = fromRow('word', row.get({ plain: true }));
    return { id, aliases, isBinned: row.get('deletedAt') !== null };
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
