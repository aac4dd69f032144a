import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import { createHash } from 'node:crypto';
import { once } from 'node:events';
import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { request, type APIRequestContext } from '@playwright/test';
import { v7 as newId } from 'uuid';
import type { Job, UnderWay, Upload } from '@odograph/core/contract';
import { ROOT, freePort } from './running.js';

type Database = { readonly socket: string; readonly options: string; readonly user: string; readonly password: string };

/**
 * A program the product runs for media, as it is, but where its arguments match (a pattern of the shell) it does not end: the job that runs it stays under way until
 * somebody kills it.
 */
const UNENDING = (program: string, pids: string, pattern: string): string =>
  `#!/bin/sh\necho $$ >> ${pids}\n/usr/bin/${program} "$@" || exit $?\ncase "$*" in\n${pattern}) exec sleep 300;;\nesac\n`;

/** The pieces of the product as somebody runs them who runs several: a database, web servers, workers, one folder for media. */
export class Parts {
  private readonly folder = mkdtempSync(join(tmpdir(), 'odograph-parts-'));
  private readonly pids = join(this.folder, 'pids');
  private readonly children = new Set<ChildProcess>();
  private databaseProcess: ChildProcess | undefined;
  private database: Database | undefined;

  get media(): string {
    return join(this.folder, 'data');
  }

  /** Starts the database, again on the same data where it has run before. */
  async databaseUp(): Promise<void> {
    const code = `import { startDatabase } from ${JSON.stringify(join(ROOT, 'scripts/database.mjs'))};
      const { stop, ...found } = await startDatabase(process.argv[1]);
      process.once('SIGTERM', () => stop().then(() => process.exit(0)));
      console.log(JSON.stringify(found));
      setInterval(() => {}, 1e6);`;
    const args = ['--input-type=module', '-e', code, join(this.folder, 'db')];
    const child = spawn(process.execPath, args, { stdio: ['ignore', 'pipe', 'inherit'] });
    this.databaseProcess = child;
    const [line] = (await once(child.stdout, 'data')) as [Buffer];
    this.database = JSON.parse(line.toString()) as Database;
  }

  /** `kill -9` of the database. */
  async databaseKilled(): Promise<void> {
    const pid = Number(readFileSync(join(this.folder, 'db/mariadb.pid'), 'utf8'));
    process.kill(pid, 'SIGKILL');
    const keeper = this.databaseProcess!;
    const gone = once(keeper, 'exit');
    keeper.kill('SIGKILL');
    await gone;
  }

  /** Runs SQL on the database. */
  sql(text: string): string {
    const args = [`--defaults-file=${this.database!.options}`, '-N', '-e', text];
    return execFileSync('mariadb', [...args, 'odograph'], { encoding: 'utf8', stdio: ['ignore', 'pipe', 'pipe'] });
  }

  private part(file: 'main.js' | 'worker.js', port: number, path = process.env['PATH']): ChildProcess {
    const { socket, user, password } = this.database!;
    const child = spawn(process.execPath, [join(ROOT, 'server/dist', file)], {
      stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
      env: {
        PATH: path,
        NODE_ENV: 'production',
        PORT: String(port),
        ODOGRAPH_DATA: this.media,
        ODOGRAPH_LOG: 'silent',
        ODOGRAPH_DB_SOCKET: socket,
        ODOGRAPH_DB_USER: user,
        ODOGRAPH_DB_PASSWORD: password,
      },
    });
    this.children.add(child);
    child.once('exit', () => this.children.delete(child));
    return child;
  }

  /** A web server; gives its address once it answers. */
  async server(): Promise<string> {
    const port = await freePort();
    const child = this.part('main.js', port);
    const url = `http://127.0.0.1:${port}`;
    while (!(await fetch(`${url}/api/health`).catch(() => undefined))?.ok) {
      if (child.exitCode !== null) throw new Error(`a server ended with ${child.exitCode} before it answered`);
      await pause(50);
    }
    return url;
  }

  worker(): ChildProcess {
    return this.part('worker.js', 0);
  }

  /** A worker whose programs, or those whose arguments match, do all they should and then never end. */
  unendingWorker(pattern = '*'): ChildProcess {
    const bin = join(this.folder, 'bin');
    mkdirSync(bin, { recursive: true });
    for (const program of ['ffmpeg', 'ffprobe'])
      writeFileSync(join(bin, program), UNENDING(program, this.pids, pattern), { mode: 0o755 });
    return this.part('worker.js', 0, `${bin}:${process.env['PATH']}`);
  }

  /** `kill -9` of a worker, and of what it has started. */
  async kill(worker: ChildProcess): Promise<void> {
    const gone = once(worker, 'exit');
    worker.kill('SIGKILL');
    await gone;
    // a program that ended as it was about to write its id has left an empty line, and 0 would be this process and all beside it
    const pids = existsSync(this.pids) ? readFileSync(this.pids, 'utf8').split('\n').map(Number) : [];
    for (const pid of pids.filter((one) => one > 1))
      try {
        process.kill(-pid, 'SIGKILL');
      } catch {
        // it has ended
      }
    rmSync(this.pids, { force: true });
  }

  /** Ends a part in good order. */
  async end(child: ChildProcess): Promise<void> {
    const gone = once(child, 'exit');
    child.kill('SIGTERM');
    await gone;
  }

  async dispose(): Promise<void> {
    for (const child of [...this.children]) await this.end(child);
    const keeper = this.databaseProcess;
    if (keeper && keeper.exitCode === null && keeper.signalCode === null) await this.end(keeper);
    rmSync(this.folder, { recursive: true, force: true });
  }
}

/** Somebody who asks one of the servers, signed in. */
export class Asker {
  private constructor(
    readonly url: string,
    readonly client: APIRequestContext,
  ) {}

  static async founding(url: string): Promise<Asker> {
    // a connection that is kept may be closed by a server just as it is used again
    const client = await request.newContext({ extraHTTPHeaders: { connection: 'close' } });
    const academy = { academyId: newId(), academyName: 'Millbrook Mats', timeZone: 'UTC', name: 'Ada Quill' };
    const account = { email: `${newId()}@millbrook.example`, password: 'millbrook-mat-1' };
    const made = await client.post(`${url}/api/academies`, { data: { ...academy, ...account } });
    if (!made.ok()) throw new Error(await made.text());
    return new Asker(url, client);
  }

  /** The same person at another server. */
  at(url: string): Asker {
    return new Asker(url, this.client);
  }

  async get<T>(path: string): Promise<T> {
    const answer = await this.client.get(`${this.url}${path}`);
    if (!answer.ok()) throw new Error(`${path}: ${await answer.text()}`);
    return answer.json() as Promise<T>;
  }

  async post(path: string, data: object): Promise<void> {
    const answer = await this.client.post(`${this.url}${path}`, { data });
    if (!answer.ok()) throw new Error(`${path}: ${await answer.text()}`);
  }

  /** Sends a file whole, as the protocol of uploads has it; gives its id. */
  async send(name: string, bytes: Buffer): Promise<string> {
    const id = newId();
    const text = (of: string): string => Buffer.from(of).toString('base64');
    const tus = { 'tus-resumable': '1.0.0' };
    await this.client.post(`${this.url}/api/incoming`, {
      headers: {
        ...tus,
        'upload-length': String(bytes.length),
        'upload-metadata': `id ${text(id)},name ${text(name)}`,
      },
    });
    await this.client.patch(`${this.url}/api/incoming/${id}`, {
      headers: { ...tus, 'upload-offset': '0', 'content-type': 'application/offset+octet-stream' },
      data: bytes,
    });
    await this.post(`/api/uploads/${id}/done`, { sha256: createHash('sha256').update(bytes).digest('hex') });
    return id;
  }

  jobs(): Promise<readonly Job[]> {
    return this.get<UnderWay>('/api/under-way').then(({ jobs }) => jobs);
  }

  uploads(): Promise<readonly Upload[]> {
    return this.get<UnderWay>('/api/under-way').then(({ uploads }) => uploads);
  }

  /** Waits until a job stands as asked for; gives it. */
  async untilJob(kind: Job['kind'], subjectId: string, state: Job['state']): Promise<Job> {
    for (;;) {
      // a server that has just lost its database says so
      const jobs = await this.jobs().catch((): readonly Job[] => []);
      const found = jobs.find((j) => j.kind === kind && j.subjectId === subjectId);
      if (found?.state === state) return found;
      if (found?.state === 'failed') throw new Error(`${kind} failed: ${JSON.stringify(found.why)}`);
      await pause(60);
    }
  }
}
