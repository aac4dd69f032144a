import { randomBytes } from 'node:crypto';
import { hostname } from 'node:os';
import { setTimeout as pause } from 'node:timers/promises';
import { Inject, Injectable, type OnModuleDestroy } from '@nestjs/common';
import { createConnection, type Connection, type ConnectionConfig } from 'mariadb';
import type { Fault, Task } from '@odograph/core';
import type { JobKind } from '@odograph/core/contract';
import { CONFIG, type Config } from '../config/config.js';
import { isDatabaseAway } from '../database/away.js';
import { faultOfRefusal } from '../errors/faults.js';
import { Refused } from '../errors/refused.js';
import { JobFault } from '../media/tool.js';
import { JobsRepository, LEASE_S, MOST_TRIES, type Claimed } from '../queue/jobs.repository.js';
import { Inbox } from '../uploads/inbox.js';
import { UploadsService } from '../uploads/uploads.service.js';
import { Post } from '../letters/post.js';
import { LettersService } from '../letters/letters.service.js';
import { Resets } from '../accounts/resets.js';
import { TriesRepository } from '../accounts/tries.repository.js';
import { Handlers } from './handlers.js';

const TASK: Readonly<Record<JobKind, Task>> = {
  read: 'read',
  proxy: 'proxy',
  look: 'look',
  sound: 'sound',
  cut: 'cut',
  stills: 'strip',
};

const BEAT_MS = 2000;
const IDLE_MS = 250;
const MISSING_EVERY_MS = 700;
const INBOX_EVERY_MS = 1500;
const LETTERS_EVERY_MS = 500;
const STILLS_EVERY_MS = 5000;
const OVERLAP_MS = 20_000;
const CLEAR_EVERY_MS = 3_600_000;

/** Takes jobs one after the other and does them, two at a time, of which at most one is heavy on this machine. */
@Injectable()
export class JobRunner implements OnModuleDestroy {
  private readonly worker = `${hostname().slice(0, 40)}-${process.pid}-${randomBytes(4).toString('hex')}`;
  private readonly ending = new AbortController();
  private running: Promise<unknown> = Promise.resolve();
  private turn: Connection | undefined;
  private isStarted = false;
  private onBug: (error: unknown) => void = () => undefined;
  private stillsSince = new Date(0);

  constructor(
    @Inject(CONFIG) private readonly config: Config,
    @Inject(JobsRepository) private readonly jobs: JobsRepository,
    @Inject(Handlers) private readonly handlers: Handlers,
    @Inject(Inbox) private readonly inbox: Inbox,
    @Inject(UploadsService) private readonly uploads: UploadsService,
    @Inject(Resets) private readonly resets: Resets,
    @Inject(Post) private readonly post: Post,
    @Inject(LettersService) private readonly letters: LettersService,
    @Inject(TriesRepository) private readonly tries: TriesRepository,
  ) {}

  /** Begins to take jobs. `onError` hears of what went wrong outside of a job: the database away, for one. */
  start(onError: (error: unknown) => void): void {
    if (this.isStarted) return;
    this.isStarted = true;
    this.onBug = onError;
    this.running = Promise.all([
      this.lane(true, onError),
      this.lane(false, onError),
      this.nowAndThen(MISSING_EVERY_MS, onError, () => this.jobs.addMissing()),
      this.nowAndThen(STILLS_EVERY_MS, onError, () => this.stills()),
      this.nowAndThen(INBOX_EVERY_MS, onError, () => this.inbox.look(Date.now())),
      this.repeat(LETTERS_EVERY_MS, onError, () => this.resets.answerOne()),
      this.repeat(LETTERS_EVERY_MS, onError, () => this.post.sendOne()),
      this.nowAndThen(CLEAR_EVERY_MS, onError, () => this.clear()),
    ]);
  }

  private async stills(): Promise<void> {
    const since = this.stillsSince;
    // edits that are being written now carry an instant that is a little older
    this.stillsSince = new Date(Date.now() - OVERLAP_MS);
    await this.jobs.addStills(since);
  }

  private async clear(): Promise<void> {
    await this.uploads.clearLeftovers(new Date());
    await this.letters.clear(new Date());
    await this.tries.clear();
  }

  async onModuleDestroy(): Promise<void> {
    this.ending.abort();
    await this.running;
    // not ended in good order: where the database has gone, nobody would answer
    this.turn?.destroy();
  }

  private async repeat(
    everyMs: number,
    onError: (error: unknown) => void,
    once: () => Promise<boolean>,
  ): Promise<void> {
    const { signal } = this.ending;
    while (!signal.aborted) {
      const isMore = await once().catch((error: unknown) => {
        if (!signal.aborted) onError(error);
        return false;
      });
      if (!isMore) await pause(everyMs, undefined, { signal }).catch(() => undefined);
    }
  }

  private nowAndThen(everyMs: number, onError: (error: unknown) => void, once: () => Promise<void>): Promise<void> {
    return this.repeat(everyMs, onError, async () => {
      await once();
      return false;
    });
  }

  /** One job after the other. The lane for heavy ones takes its turn of the machine first. */
  private lane(isHeavy: boolean, onError: (error: unknown) => void): Promise<void> {
    return this.repeat(IDLE_MS, onError, async () => {
      const job = await this.jobs.claim(this.worker, isHeavy && (await this.hasTurn()));
      if (job) await this.work(job);
      return job !== undefined;
    });
  }

  /**
   * Whether this worker has the machine's turn for heavy jobs: a lock of the database that lasts as long as its connection, so a worker that is killed
   * gives it back by that alone.
   */
  private async hasTurn(): Promise<boolean> {
    const { socket, host, port, user, password, name } = this.config.database;
    const place = socket === null ? { host, port } : { socketPath: socket };
    try {
      this.turn ??= await this.connected({ ...place, user, password, database: name, connectTimeout: 15_000 });
      const [row] = await this.turn.query<{ got: bigint | number }[]>('SELECT GET_LOCK(?, 0) AS got', [
        `odograph ${name} ${hostname()}`.slice(0, 64),
      ]);
      return Number(row?.got) === 1;
    } catch (error) {
      this.turn?.destroy();
      this.turn = undefined;
      throw error;
    }
  }

  private async connected(options: ConnectionConfig): Promise<Connection> {
    const connection = await createConnection(options);
    // the database has gone: the turn is lost with it, and asked for again
    connection.on('error', () => {
      if (this.turn === connection) this.turn = undefined;
    });
    return connection;
  }

  private async work(job: Claimed): Promise<void> {
    if (job.tries > MOST_TRIES) {
      await this.jobs.fail(job, this.worker, { code: 'given-up', facts: { times: MOST_TRIES } });
      return;
    }
    const stop = new AbortController();
    const onEnding = (): void => stop.abort('ending');
    this.ending.signal.addEventListener('abort', onEnding, { once: true });
    const late = setTimeout(() => stop.abort('late'), job.deadlineS * 1000);
    let [part, heardAt] = [0, Date.now()];
    const beat = async (): Promise<void> => {
      try {
        if (await this.jobs.beat(job, this.worker, part)) heardAt = Date.now();
        else stop.abort('lost');
      } catch {
        // the database is away: after a lease's length somebody else may have the job
        if (Date.now() - heardAt > LEASE_S * 1000) stop.abort('lost');
      }
    };
    const beats = setInterval(() => void beat(), BEAT_MS);
    try {
      await this.handlers.do(job, { signal: stop.signal, deadlineS: job.deadlineS, progress: (now) => (part = now) });
      await this.patiently(() => this.jobs.finish(job, this.worker));
      // what can be made of it now need not wait
      await this.jobs.addMissing();
    } catch (error) {
      const { signal } = stop;
      if (signal.reason === 'lost') return;
      if (signal.reason === 'ending') await this.jobs.giveBack(job, this.worker, false);
      else if (signal.reason === 'late')
        await this.failed(job, { code: 'took-too-long', facts: { task: TASK[job.kind] } });
      // the job is not at fault, but must not go round for ever either
      else if (isDatabaseAway(error)) await this.patiently(() => this.jobs.giveBack(job, this.worker, true));
      else {
        const why = whyOf(error);
        // a reason that lies with the product is for its log
        if (why.code === 'unexpected') this.onBug(error);
        await this.failed(job, why);
      }
    } finally {
      clearInterval(beats);
      clearTimeout(late);
      this.ending.signal.removeEventListener('abort', onEnding);
    }
  }

  private failed(job: Claimed, why: Fault): Promise<boolean> {
    return this.patiently(() => this.jobs.fail(job, this.worker, why));
  }

  /** What was made must not be made again only because the database was away at the end: tries for as long as the lease may last. */
  private async patiently(write: () => Promise<boolean>): Promise<boolean> {
    for (let tries = 1; ; tries++) {
      try {
        return await write();
      } catch (error) {
        if (tries === LEASE_S) throw error;
        await pause(1000);
      }
    }
  }
}

const whyOf = (error: unknown): Fault => {
  if (error instanceof JobFault) return error.fault;
  if (error instanceof Refused) return faultOfRefusal(error.refusal);
  if ((error as NodeJS.ErrnoException).code === 'ENOSPC') return { code: 'disk-full' };
  return { code: 'unexpected' };
};
