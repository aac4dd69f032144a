import { Inject, Injectable } from '@nestjs/common';
import type { Entity } from '@odograph/core';
import { QueryTypes, Sequelize, UniqueConstraintError } from 'sequelize';
import type { Session } from '../doors/session.js';
import { patiently } from '../database/deadlock.js';
import type { Models } from '../database/models.js';
import { MODELS } from '../database/tokens.js';
import { Refused, notFound } from '../errors/refused.js';
import { Edit, type ChangeRecord } from './edit.js';
import { type Touched } from '../library/touched.js';

/** How many of a person's latest edits can be undone. */
const UNDO_DEPTH = 100;
const DEADLOCK_TRIES = 3;
/** Taking footage in is not taken back by a key pressed once too often: everything that was done in it would go with it. */
const isTakingIn = ({ entity, field }: ChangeRecord): boolean => ['file', 'footage'].includes(entity) && field === '*';

/** The only way rows of an academy are changed: an edit with an id made by the client, in one transaction, kept as change records. */
@Injectable()
export class ChangesService {
  constructor(
    @Inject(Sequelize) private readonly sequelize: Sequelize,
    @Inject(MODELS) private readonly models: Models,
  ) {}

  /** Runs an edit. One that was done before (same id) is not done again: what it touched then is the answer. */
  edit(session: Session, editId: string, write: (edit: Edit) => Promise<void>): Promise<Touched> {
    return this.settled(session, editId, () => this.once(session, editId, null, write));
  }

  /** Runs an edit, again after a deadlock. A key that is there already means the same edit won the race, or an id in use for something else. */
  private async settled(session: Session, editId: string, run: () => Promise<Touched>): Promise<Touched> {
    try {
      return await patiently(run, DEADLOCK_TRIES);
    } catch (error) {
      if (!(error instanceof UniqueConstraintError)) throw error;
      const done = await this.repeat(session, editId);
      if (done) return done;
      throw new Refused({ code: 'id-taken', facts: {} });
    }
  }

  /** What an edit touched that this person has already made; undefined where there is none. */
  async repeat(session: Session, editId: string): Promise<Touched | undefined> {
    const done = await this.models.edit.findOne({
      where: { academyId: session.academyId, id: editId, accountId: session.accountId },
    });
    return done ? this.touchedBy(session, editId) : undefined;
  }

  private async once(
    session: Session,
    editId: string,
    undoes: string | null,
    write: (edit: Edit) => Promise<void>,
  ): Promise<Touched> {
    return this.sequelize.transaction(async (transaction) => {
      const academyId = session.academyId;
      // the edits of one academy come one after the other, so that versions of its library appear in their order
      await this.models.academy.increment('libraryVersion', { where: { id: academyId }, transaction });
      const [academy] = await this.sequelize.query<{ version: number; doneBy: string | null }>(
        `SELECT c.library_version AS version, e.account_id AS doneBy FROM academies c
         LEFT JOIN edits e ON e.academy_id = c.id AND e.id = :editId WHERE c.id = :academyId`,
        { type: QueryTypes.SELECT, replacements: { academyId, editId }, transaction },
      );
      if (!academy) throw notFound();
      if (academy.doneBy !== null) {
        if (academy.doneBy !== session.accountId) throw new Refused({ code: 'id-taken', facts: {} });
        return this.touchedBy(session, editId);
      }
      const now = new Date();
      await this.models.edit.create(
        {
          academyId,
          id: editId,
          accountId: session.accountId,
          at: now,
          undoesId: undoes,
          undoneAt: null,
          libraryVersion: academy.version,
        },
        { transaction },
      );
      const edit = new Edit(this.models, academyId, transaction, now);
      await write(edit);
      const records = await edit.settled();
      await this.models.changeRecord.bulkCreate(
        records.map((c, ordinal) => ({ academyId, editId, ordinal, ...c })),
        { transaction },
      );
      return edit.touched;
    });
  }

  private async recordsOf(session: Session, editId: string): Promise<ChangeRecord[]> {
    const rows = await this.models.changeRecord.findAll({
      where: { academyId: session.academyId, editId },
      order: [['ordinal', 'ASC']],
    });
    return rows.map((r) => r.get({ plain: true }) as unknown as ChangeRecord);
  }

  private async touchedBy(session: Session, editId: string): Promise<Touched> {
    const touched = new Map<Entity, Set<string>>();
    for (const { entity, entityId } of await this.recordsOf(session, editId))
      touched.set(entity, (touched.get(entity) ?? new Set()).add(entityId));
    return touched;
  }

  /** Takes back the newest edit of this person that is not undone yet, among the last hundred, made out of its change records. */
  async undo(session: Session, editId: string): Promise<Touched> {
    const latest = await this.models.edit.findAll({
      where: { academyId: session.academyId, accountId: session.accountId, undoesId: null },
      order: [['number', 'DESC']],
      limit: UNDO_DEPTH,
    });
    const already = await this.models.edit.findOne({ where: { academyId: session.academyId, id: editId } });
    const target = latest.find((e) => e.get('undoneAt') === null);
    if (!target && !already) throw new Refused({ code: 'nothing-to-undo', facts: {} });
    const targetId = (already?.get('undoesId') ?? target?.get('id')) as string;
    const records = await this.recordsOf(session, targetId);
    if (records.some(isTakingIn)) throw new Refused({ code: 'nothing-to-undo', facts: {} });
    return this.settled(session, editId, () =>
      this.once(session, editId, targetId, (edit) => this.takeBack(session, edit, targetId, records)),
    );
  }

  /** Takes back the newest undo of this person that is not taken back itself, if nothing else was edited since. */
  async redo(session: Session, editId: string): Promise<Touched> {
    const { academyId, accountId } = session;
    const latest = (
      await this.models.edit.findAll({
        where: { academyId, accountId },
        order: [['number', 'DESC']],
        limit: 4 * UNDO_DEPTH,
      })
    ).map((e) => e.get({ plain: true }));
    const undos = new Set(latest.filter((e) => e['undoesId'] !== null).map((e) => e['id'] as string));
    // an edit of another kind ends what can be done again
    const since = latest.findIndex((e) => e['undoesId'] === null);
    const open = since < 0 ? latest : latest.slice(0, since);
    const target = open.find((e) => e['undoneAt'] === null && !undos.has(e['undoesId'] as string));
    const already = await this.models.edit.findOne({ where: { academyId, id: editId } });
    const undo = already
      ? await this.models.edit.findOne({ where: { academyId, id: already.get('undoesId') as string } })
      : undefined;
    const [targetId, editUndone] = already
      ? [already.get('undoesId') as string, undo?.get('undoesId') as string]
      : [target?.['id'] as string | undefined, target?.['undoesId'] as string];
    if (targetId === undefined) throw new Refused({ code: 'nothing-to-redo', facts: {} });
    const records = await this.recordsOf(session, targetId);
    return this.settled(session, editId, () =>
      this.once(session, editId, targetId, async (edit) => {
        await this.takeBack(session, edit, targetId, records);
        await this.models.edit.update(
          { undoneAt: null },
          { where: { academyId, id: editUndone }, transaction: edit.transaction },
        );
      }),
    );
  }

  /** Takes the records of an edit back, the last one first, and notes that it is undone. */
  private async takeBack(
    session: Session,
    edit: Edit,
    targetId: string,
    records: readonly ChangeRecord[],
  ): Promise<void> {
    for (const record of [...records].reverse()) await edit.revert(record);
    await this.models.edit.update(
      { undoneAt: edit.now },
      { where: { academyId: session.academyId, id: targetId }, transaction: edit.transaction },
    );
  }
}
