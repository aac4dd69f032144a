import { Inject, Injectable } from '@nestjs/common';
import type { Letter } from '@odograph/core/contract';
import { Op, QueryTypes, Sequelize, type Transaction, type WhereOptions } from 'sequelize';
import type { AcademyId } from '../database/academyId.js';
import { patiently } from '../database/deadlock.js';
import type { Row } from '../database/columns.js';
import type { Models } from '../database/models.js';
import { MODELS } from '../database/tokens.js';

export type LetterKind = 'invitation' | 'reset' | 'founding';
/** Why a letter has not gone out. */
export type PostFault = NonNullable<Letter['why']>;

/** A letter as it is kept: `aboutId` is the invitation or the account it is about. */
export type LetterRow = {
  readonly id: string;
  readonly academyId: AcademyId | null;
  readonly accountId: string | null;
  readonly kind: LetterKind;
  readonly aboutId: string | null;
  readonly toEmail: string;
  readonly subject: string;
  readonly body: string;
  readonly state: 'wished' | 'waiting' | 'sending' | 'sent' | 'failed';
  readonly why: PostFault | null;
  readonly tries: number;
  readonly createdAt: Date;
  readonly expiresAt: Date;
};

/** How many letters are shown. */
const SHOWN = 50;
/** How long the sending of one letter may take before another worker takes it up, in seconds. */
const SENDING_S = 120;
/** What is known of letters is forgotten after so long. */
const KEPT_DAYS = 90;

@Injectable()
export class LettersRepository {
  constructor(
    @Inject(MODELS) private readonly models: Models,
    @Inject(Sequelize) private readonly sequelize: Sequelize,
  ) {}

  async create(letter: Omit<LetterRow, 'why' | 'tries'>, transaction?: Transaction): Promise<void> {
    const values = { ...letter, why: null, tries: 0, dueAt: letter.createdAt, endedAt: null };
    await this.models.letter.create(values, transaction ? { transaction } : {});
  }

  /** Takes the oldest letter that is due in a state, for so long. Two workers never get the same one. */
  claim(state: 'wished' | 'waiting'): Promise<LetterRow | undefined> {
    const next = state === 'wished' ? 'wished' : 'sending';
    return patiently(() =>
      this.sequelize.transaction(async (transaction) => {
        const [row] = await this.sequelize.query<Row>(
          `SELECT id FROM letters WHERE state IN (:states) AND due_at <= UTC_TIMESTAMP(3) ORDER BY due_at, id LIMIT 1 FOR UPDATE SKIP LOCKED`,
          { type: QueryTypes.SELECT, transaction, replacements: { states: [state, next] } },
        );
        if (!row) return undefined;
        await this.sequelize.query(
          `UPDATE letters SET state = :next, tries = tries + 1, due_at = UTC_TIMESTAMP(3) + INTERVAL ${SENDING_S} SECOND WHERE id = :id`,
          { transaction, replacements: { next, id: row['id'] } },
        );
        const found = await this.models.letter.findOne({ where: { id: row['id'] }, transaction });
        return found!.get({ plain: true }) as LetterRow;
      }),
    );
  }

  async set(id: string, values: Partial<LetterRow & { readonly endedAt: Date }>): Promise<void> {
    await this.models.letter.update(values, { where: { id } });
  }

  /** Puts a letter back in line, to be tried again after so many seconds. */
  async later(id: string, why: PostFault, inS: number): Promise<void> {
    await this.sequelize.query(
      `UPDATE letters SET state = 'waiting', why = :why, due_at = UTC_TIMESTAMP(3) + INTERVAL :inS SECOND WHERE id = :id`,
      { replacements: { id, why, inS } },
    );
  }

  async remove(id: string): Promise<void> {
    await this.models.letter.destroy({ where: { id } });
  }

  /** Letters about something that have not gone out. */
  async openAbout(aboutId: string, kind: LetterKind): Promise<readonly LetterRow[]> {
    const rows = await this.models.letter.findAll({ where: { aboutId, kind, state: ['waiting', 'sending'] } });
    return rows.map((row) => row.get({ plain: true }) as LetterRow);
  }

  /** Letters whose link is good no longer, and that have not gone out. */
  async expired(now: Date): Promise<readonly LetterRow[]> {
    const where = { state: ['wished', 'waiting', 'sending'], expiresAt: { [Op.lt]: now } };
    return (await this.models.letter.findAll({ where })).map((row) => row.get({ plain: true }) as LetterRow);
  }

  async forgetOld(now: Date): Promise<void> {
    const before = new Date(now.getTime() - KEPT_DAYS * 86_400_000);
    await this.models.letter.destroy({ where: { state: ['sent', 'failed'], createdAt: { [Op.lt]: before } } });
  }

  /** The newest invitations of an academy. */
  async invitationsOf(academyId: AcademyId): Promise<readonly LetterRow[]> {
    return this.newest({ kind: 'invitation', academyId });
  }

  /** The newest letters of an academy of the demo: its invitations, and what is about accounts that belong to academies of the demo only. */
  async demoLettersOf(academyId: AcademyId): Promise<readonly LetterRow[]> {
    const own = await this.sequelize.query<{ id: string }>(
      `SELECT m.account_id AS id FROM memberships m JOIN academies c ON c.id = m.academy_id
       WHERE m.account_id IN (SELECT account_id FROM memberships WHERE academy_id = :academyId)
       GROUP BY m.account_id HAVING SUM(c.demo_loaded_at IS NULL) = 0`,
      { type: QueryTypes.SELECT, replacements: { academyId } },
    );
    const about = { kind: 'reset', accountId: own.map((o) => o.id), state: { [Op.ne]: 'wished' } };
    return this.newest({ [Op.or]: [{ kind: 'invitation', academyId }, about] });
  }

  private async newest(where: WhereOptions<Row>): Promise<readonly LetterRow[]> {
    const rows = await this.models.letter.findAll({
      where,
      order: [
        ['createdAt', 'DESC'],
        ['id', 'DESC'],
      ],
      limit: SHOWN,
    });
    return rows.map((row) => row.get({ plain: true }) as LetterRow);
  }
}
