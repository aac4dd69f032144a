import { Inject, Injectable } from '@nestjs/common';
import type { Fault } from '@odograph/core';
import type { Job, JobKind, JobState } from '@odograph/core/contract';
import { Op, QueryTypes, Sequelize } from 'sequelize';
import { v7 as newId } from 'uuid';
import type { AcademyId } from '../database/academyId.js';
import { patiently } from '../database/deadlock.js';
import type { Row } from '../database/columns.js';
import type { Models } from '../database/models.js';
import { MODELS } from '../database/tokens.js';
import { readFault } from '../errors/faults.js';

/** A job in the hands of a worker. */
export type Claimed = {
  readonly academyId: AcademyId;
  readonly id: string;
  readonly kind: JobKind;
  readonly subjectId: string;
  readonly tries: number;
  readonly deadlineS: number;
};

/** How long a worker may be silent before its job is given to another, in seconds. */
export const LEASE_S = 15;
/** A job that was begun so often without an end is given up. */
export const MOST_TRIES = 3;
/** Ended jobs are told for so long. */
const TOLD_MINUTES = 10;

/** Kinds that use all of a processor: one at a time on a machine. */
const HEAVY: readonly JobKind[] = ['proxy', 'cut'];
const DEADLINES_S: Readonly<Record<JobKind, number>> = {
  read: 1800,
  proxy: 6 * 3600,
  look: 3600,
  sound: 1800,
  cut: 3600,
  stills: 1800,
};

const secondsLeft = (row: Row): number | null => {
  const [progress, from] = [row['progress'] as number, row['startedAt'] as Date | null];
  if (row['state'] !== 'running' || progress < 0.02 || !from) return null;
  const goneS = ((row['now'] as Date).getTime() - from.getTime()) / 1000;
  return Math.round((goneS / progress) * (1 - progress));
};

const toJob = (row: Row): Job => ({
  id: row['id'] as string,
  kind: row['kind'] as JobKind,
  subjectId: row['subjectId'] as string,
  state: row['state'] as JobState,
  progress: row['progress'] as number,
  leftS: secondsLeft(row),
  tries: row['tries'] as number,
  why: readFault(row['why']),
});

/** The jobs of all academies in the database. Every instant is the database's own, so that workers on several machines agree. */
@Injectable()
export class JobsRepository {
  constructor(
    @Inject(MODELS) private readonly models: Models,
    @Inject(Sequelize) private readonly sequelize: Sequelize,
  ) {}

  /** Adds a job; one of this kind for this subject that is there already stays as it is. */
  async add(academyId: AcademyId, kind: JobKind, subjectId: string, detail: object | null = null): Promise<void> {
    await patiently(() =>
      this.models.job.bulkCreate(
        [
          {
            academyId,
            id: newId(),
            kind,
            subjectId,
            state: 'waiting',
            heavy: HEAVY.includes(kind),
            tries: 0,
            progress: 0,
            deadlineS: DEADLINES_S[kind],
            detail,
            createdAt: new Date(),
          },
        ],
        { ignoreDuplicates: true },
      ),
    );
  }

  /** Adds what is missing: every file gets a proxy and its loudness read; strip and movement once there is a proxy to read them from. */
  async addMissing(): Promise<void> {
    const missing = await this.sequelize.query<{ academyId: AcademyId; id: string; kind: JobKind }>(
      `SELECT f.academy_id AS academyId, f.id, 'proxy' AS kind FROM files f LEFT JOIN jobs j ON j.academy_id = f.academy_id AND j.kind = 'proxy' AND j.subject_id = f.id
         WHERE j.id IS NULL AND f.deleted_at IS NULL
       UNION ALL SELECT f.academy_id, f.id, 'sound' FROM files f LEFT JOIN jobs j ON j.academy_id = f.academy_id AND j.kind = 'sound' AND j.subject_id = f.id
         WHERE j.id IS NULL AND f.deleted_at IS NULL AND f.has_sound
       UNION ALL SELECT p.academy_id, p.subject_id, 'look' FROM jobs p LEFT JOIN jobs j ON j.academy_id = p.academy_id AND j.kind = 'look' AND j.subject_id = p.subject_id
         WHERE j.id IS NULL AND p.kind = 'proxy' AND p.state = 'done'
       UNION ALL SELECT p.academy_id, p.subject_id, 'stills' FROM jobs p LEFT JOIN jobs j ON j.academy_id = p.academy_id AND j.kind = 'stills' AND j.subject_id = p.subject_id
         WHERE j.id IS NULL AND p.kind = 'proxy' AND p.state = 'done' LIMIT 200`,
      { type: QueryTypes.SELECT },
    );
    for (const { academyId, id, kind } of missing) await this.add(academyId, kind, id);
  }

  /** Has pictures made for lists of clips that were made or changed since an instant: their first frames. */
  async addStills(since: Date): Promise<void> {
    // read first, and without locks: the clips stay free for whoever writes them
    const touched = await this.sequelize.query<{ academyId: AcademyId; fileId: string; latest: Date }>(
      `SELECT c.academy_id AS academyId, a.file_id AS fileId, MAX(c.changed_at) AS latest FROM clips c
         JOIN angles a ON a.academy_id = c.academy_id AND a.id = c.angle_id WHERE c.changed_at > :since GROUP BY c.academy_id, a.file_id`,
      { type: QueryTypes.SELECT, replacements: { since } },
    );
    for (const { academyId, fileId, latest } of touched)
      await this.models.job.update(
        { state: 'waiting', tries: 0, progress: 0, endedAt: null },
        // one that was begun later has seen them
        { where: { academyId, kind: 'stills', subjectId: fileId, state: 'done', startedAt: { [Op.lt]: latest } } },
      );
  }

  /** The first frames of all clips that are cut from a file. */
  async firstFrames(academyId: AcademyId, fileId: string): Promise<readonly number[]> {
    const rows = await this.sequelize.query<{ frame: number }>(
      `SELECT DISTINCT c.in_frame AS frame FROM angles a JOIN clips c ON c.academy_id = a.academy_id AND c.angle_id = a.id
       WHERE a.academy_id = :academyId AND a.file_id = :fileId AND c.deleted_at IS NULL ORDER BY 1`,
      { type: QueryTypes.SELECT, replacements: { academyId, fileId } },
    );
    return rows.map((row) => row.frame);
  }

  /** Takes the oldest job that nobody holds, or whose holder has fallen silent; pictures for lists come after all else, since they are made when they are asked for in any case. Two workers never get the same one. */
  async claim(worker: string, withHeavy: boolean): Promise<Claimed | undefined> {
    return patiently(() =>
      this.sequelize.transaction(async (transaction) => {
        const [row] = await this.sequelize.query<Row>(
          `SELECT academy_id AS academyId, id, kind, subject_id AS subjectId, tries, deadline_s AS deadlineS FROM jobs
         WHERE (state = 'waiting' OR (state = 'running' AND lease_until < UTC_TIMESTAMP(3))) ${withHeavy ? '' : 'AND NOT heavy'}
         ORDER BY kind = 'stills', created_at, id LIMIT 1 FOR UPDATE SKIP LOCKED`,
          { type: QueryTypes.SELECT, transaction },
        );
        if (!row) return undefined;
        const claimed = { ...row, tries: (row['tries'] as number) + 1 } as Claimed;
        await this.sequelize.query(
          `UPDATE jobs SET state = 'running', worker = :worker, tries = tries + 1, progress = 0, why = NULL, started_at = UTC_TIMESTAMP(3), ended_at = NULL,
           lease_until = UTC_TIMESTAMP(3) + INTERVAL ${LEASE_S} SECOND WHERE academy_id = :academyId AND id = :id`,
          { replacements: { worker, academyId: claimed.academyId, id: claimed.id }, transaction },
        );
        return claimed;
      }),
    );
  }

  private async mine(
    set: string,
    { academyId, id }: Claimed,
    worker: string,
    values: Record<string, unknown>,
  ): Promise<boolean> {
    const [, changed] = await this.sequelize.query(
      `UPDATE jobs SET ${set} WHERE academy_id = :academyId AND id = :id AND worker = :worker AND state = 'running'`,
      { replacements: { academyId, id, worker, ...values }, type: QueryTypes.UPDATE },
    );
    return changed > 0;
  }

  /** Says that the job is still being worked on; false where it is this worker's no longer (cancelled, or given to another). */
  beat(job: Claimed, worker: string, progress: number): Promise<boolean> {
    // the instant makes each beat a change of the row, so that the count of changed rows tells whether it is still held
    return this.mine(`progress = :progress, lease_until = UTC_TIMESTAMP(3) + INTERVAL ${LEASE_S} SECOND`, job, worker, {
      progress,
    });
  }

  finish(job: Claimed, worker: string): Promise<boolean> {
    return this.mine(`state = 'done', progress = 1, ended_at = UTC_TIMESTAMP(3), lease_until = NULL`, job, worker, {});
  }

  fail(job: Claimed, worker: string, why: Fault): Promise<boolean> {
    return this.mine(`state = 'failed', why = :why, ended_at = UTC_TIMESTAMP(3), lease_until = NULL`, job, worker, {
      why: JSON.stringify(why),
    });
  }

  /** Gives a job back unfinished, to be begun anew: as if it had never been begun where a worker ends in good order, as one of its tries elsewhere. */
  giveBack(job: Claimed, worker: string, isTry: boolean): Promise<boolean> {
    return this.mine(
      `state = 'waiting', tries = tries - :untried, progress = 0, lease_until = NULL, worker = NULL`,
      job,
      worker,
      { untried: isTry ? 0 : 1 },
    );
  }

  /** Jobs of an academy that are under way, that went wrong, or that ended a short while ago. */
  async told(academyId: AcademyId): Promise<readonly Job[]> {
    const rows = await this.sequelize.query<Row>(
      `SELECT id, kind, subject_id AS subjectId, state, progress, tries, why, started_at AS startedAt, UTC_TIMESTAMP(3) AS now FROM jobs
       WHERE academy_id = :academyId AND (state IN ('waiting', 'running', 'failed') OR ended_at > UTC_TIMESTAMP(3) - INTERVAL ${TOLD_MINUTES} MINUTE)
       ORDER BY created_at, id`,
      { type: QueryTypes.SELECT, replacements: { academyId } },
    );
    return rows.map(toJob);
  }

  /** What a job was asked for. */
  async detail(academyId: AcademyId, kind: JobKind, subjectId: string): Promise<unknown> {
    const row = await this.models.job.findOne({ where: { academyId, kind, subjectId } });
    return row?.get('detail') ?? undefined;
  }

  async job(academyId: AcademyId, id: string): Promise<Job | undefined> {
    const row = await this.models.job.findOne({ where: { academyId, id } });
    return row ? toJob({ ...row.get({ plain: true }), now: new Date() }) : undefined;
  }

  /** Ends a job that waits or runs; whoever works on it hears of it with the next beat. */
  async cancel(academyId: AcademyId, id: string): Promise<void> {
    await this.models.job.update(
      { state: 'cancelled', endedAt: new Date(), leaseUntil: null },
      { where: { academyId, id, state: { [Op.in]: ['waiting', 'running'] } } },
    );
  }

  /**
   * Marks what a job has made as no longer wanted, so that it is not made again by itself; false while the job, or one that reads what it made (of the
   * kinds `readers`), has not ended.
   */
  putOff(academyId: AcademyId, kind: JobKind, subjectId: string, readers: readonly JobKind[]): Promise<boolean> {
    return this.sequelize.transaction(async (transaction) => {
      const rows = await this.sequelize.query<{ kind: JobKind; state: JobState }>(
        `SELECT kind, state FROM jobs WHERE academy_id = :academyId AND subject_id = :subjectId AND kind IN (:kinds) FOR UPDATE`,
        {
          type: QueryTypes.SELECT,
          transaction,
          replacements: { academyId, subjectId, kinds: [kind, ...readers] },
        },
      );
      const isDone = (of: JobKind): boolean => rows.some((row) => row.kind === of && row.state === 'done');
      const isUnderWay = rows.some((row) => row.state === 'running' || row.state === 'waiting');
      if (!isDone(kind) || isUnderWay || !readers.every((of) => rows.some((row) => row.kind === of))) return false;
      await this.models.job.update(
        { state: 'cancelled', endedAt: null, leaseUntil: null, worker: null },
        { where: { academyId, kind, subjectId }, transaction },
      );
      return true;
    });
  }

  /** Puts the job of a kind for a subject in line once more, where it has failed, was cancelled or was put off. */
  async resume(academyId: AcademyId, kind: JobKind, subjectId: string): Promise<void> {
    const row = await this.models.job.findOne({ where: { academyId, kind, subjectId } });
    if (row) await this.again(academyId, row.get('id') as string);
  }

  /** Takes jobs of a kind off that ended before an instant; gives what they were about. */
  async forget(
    kind: JobKind,
    before: Date,
  ): Promise<readonly { readonly academyId: AcademyId; readonly subjectId: string }[]> {
    const rows = await this.models.job.findAll({
      where: { kind, state: { [Op.in]: ['done', 'failed', 'cancelled'] }, endedAt: { [Op.lt]: before } },
    });
    for (const row of rows) await row.destroy();
    return rows.map((row) => ({
      academyId: row.get('academyId') as AcademyId,
      subjectId: row.get('subjectId') as string,
    }));
  }

  /** Puts a job that has failed or was cancelled in line once more. */
  async again(academyId: AcademyId, id: string): Promise<void> {
    await this.models.job.update(
      { state: 'waiting', tries: 0, progress: 0, why: null, endedAt: null },
      { where: { academyId, id, state: { [Op.in]: ['failed', 'cancelled'] } } },
    );
  }
}
