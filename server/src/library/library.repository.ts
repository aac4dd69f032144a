import { Inject, Injectable } from '@nestjs/common';
import type { Attempt, Library, WordChange } from '@odograph/core';
import { Op } from 'sequelize';
import type { AcademyId } from '../database/academyId.js';
import type { Entity, Models, Row } from '../database/models.js';
import { MODELS } from '../database/tokens.js';
import { toAngle, toAttempt, toClip, toFile, toFootage, toPerson } from './library.mapper.js';

type Rows = Pick<Library, 'persons' | 'files' | 'footage' | 'angles' | 'attempts' | 'clips'>;

@Injectable()
export class LibraryRepository {
  constructor(@Inject(MODELS) private readonly models: Models) {}

  private async rows(academy: AcademyId, entity: Entity, ids?: ReadonlySet<string>): Promise<Row[]> {
    if (ids?.size === 0) return [];
    const found = await this.models[entity].findAll({
      where: { academyId: academy, deletedAt: null, ...(ids ? { id: { [Op.in]: [...ids] } } : {}) },
      order: [['id', 'ASC']],
    });
    return found.map((r) => r.get({ plain: true }));
  }

  private async attempts(academy: AcademyId, ids?: ReadonlySet<string>): Promise<Attempt[]> {
    const rows = await this.rows(academy, 'attempt', ids);
    const below = async (entity: 'control' | 'reaction' | 'reason'): Promise<Map<string, Row[]>> => {
      const found = await this.models[entity].findAll({
        where: { academyId: academy, deletedAt: null, ...(ids ? { attemptId: { [Op.in]: [...ids] } } : {}) },
        order: [
          ['ordinal', 'ASC'],
          ['id', 'ASC'],
        ],
      });
      const byAttempt = new Map<string, Row[]>();
      for (const row of found.map((r) => r.get({ plain: true })))
        byAttempt.set(row['attemptId'] as string, [...(byAttempt.get(row['attemptId'] as string) ?? []), row]);
      return byAttempt;
    };
    const [controls, reactions, reasons] = rows.length
      ? await Promise.all([below('control'), below('reaction'), below('reason')])
      : [new Map<string, Row[]>(), new Map<string, Row[]>(), new Map<string, Row[]>()];
    return rows.map((row) => {
      const id = row['id'] as string;
      return toAttempt(row, {
        controls: controls.get(id) ?? [],
        reactions: reactions.get(id) ?? [],
        reasons: reasons.get(id) ?? [],
      });
    });
  }

  /** The records of an academy, or those among the given ids; what lies in the bin is left out. */
  async records(academy: AcademyId, ids?: (entity: Entity) => ReadonlySet<string>): Promise<Rows> {
    const [persons, files, footage, angles, attempts, clips] = await Promise.all([
      this.rows(academy, 'person', ids?.('person')),
      this.rows(academy, 'file', ids?.('file')),
      this.rows(academy, 'footage', ids?.('footage')),
      this.rows(academy, 'angle', ids?.('angle')),
      this.attempts(academy, ids?.('attempt')),
      this.rows(academy, 'clip', ids?.('clip')),
    ]);
    return {
      persons: persons.map(toPerson),
      files: files.map(toFile),
      footage: footage.map(toFootage),
      angles: angles.map(toAngle),
      attempts,
      clips: clips.map(toClip),
    };
  }

  async wordChanges(academy: AcademyId): Promise<readonly WordChange[]> {
    const [changes, aliases] = await Promise.all([
      this.models.wordChange.findAll({
        where: { academyId: academy, deletedAt: null },
        order: [
          ['kind', 'ASC'],
          ['wordKey', 'ASC'],
        ],
      }),
      this.models.wordAlias.findAll({ where: { academyId: academy, deletedAt: null }, order: [['alias', 'ASC']] }),
    ]);
    return changes.map((row): WordChange => {
      const c = row.get({ plain: true }) as {
        id: string;
        kind: WordChange['kind'];
        wordKey: string;
        name: string | null;
        hidden: boolean;
      };
      const own = aliases.filter((a) => a.get('wordChangeId') === c.id).map((a) => a.get('alias') as string);
      return {
        kind: c.kind,
        key: c.wordKey,
        ...(c.name === null ? {} : { name: c.name }),
        ...(c.hidden ? { hidden: true } : {}),
        ...(own.length ? { aliases: own } : {}),
      };
    });
  }
}
