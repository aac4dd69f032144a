import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { cpSync, mkdtempSync, readFileSync, readdirSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Readable } from 'node:stream';

export const ROOT = join(import.meta.dirname, '../../..');

export const freePort = (): Promise<number> =>
  new Promise((resolve) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as { port: number };
      probe.close(() => resolve(port));
    });
  });

const childrenOf = (pid: number): number[] =>
  readdirSync('/proc')
    .filter((name) => /^\d+$/.test(name))
    .filter((name) => {
      try {
        return readFileSync(`/proc/${name}/stat`, 'utf8').split(') ')[1]?.split(' ')[1] === String(pid);
      } catch {
        return false;
      }
    })
    .map(Number);

/** The environment variable that names the folder of which every start gets a copy. */
export const TEMPLATE = 'ODOGRAPH_JOURNEY_TEMPLATE';

const isServer = (pid: number): boolean =>
  readFileSync(`/proc/${pid}/cmdline`, 'latin1').includes('server/dist/main.js');

/** `kill -9`, or nothing where it has ended already: what one starts ends with it. */
const killed = (pid: number): void => {
  try {
    process.kill(pid, 'SIGKILL');
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code !== 'ESRCH') throw error;
  }
};

/** The product as `npm start` runs it: its own folder, database and port. */
export class Running {
  private process: ChildProcess | undefined;
  log = '';

  private constructor(
    readonly port: number,
    readonly folder: string,
    private readonly env: Readonly<Record<string, string>> = {},
  ) {}

  /** Started on a copy of the folder in which the demo is loaded and everything made of its files (`prepared.ts`); `prepare` puts more into it before. */
  static async start(
    env: Readonly<Record<string, string>> = {},
    prepare: (folder: string) => void = () => undefined,
  ): Promise<Running> {
    const folder = mkdtempSync(join(tmpdir(), 'odograph-journey-'));
    cpSync(process.env[TEMPLATE]!, folder, { recursive: true, preserveTimestamps: true });
    prepare(folder);
    const running = new Running(await freePort(), folder, env);
    await running.up();
    return running;
  }

  /** A first start, on an empty folder. */
  static async fromNothing(env: Readonly<Record<string, string>> = {}): Promise<Running> {
    const running = new Running(await freePort(), mkdtempSync(join(tmpdir(), 'odograph-journey-')), env);
    await running.up();
    return running;
  }

  /** Begins a first start and ends all of it by `kill -9` as soon as something is there in its folder. */
  static async interrupted(isReached: (folder: string) => boolean): Promise<Running> {
    const running = new Running(await freePort(), mkdtempSync(join(tmpdir(), 'odograph-journey-')));
    const child = running.spawn();
    const gone = once(child, 'exit');
    for (let all: number[] = []; ;) {
      await new Promise((resolve) => setImmediate(resolve));
      if (child.exitCode !== null) throw new Error('the start was over before it could be interrupted');
      if (!isReached(running.folder)) continue;
      for (let some = [child.pid!]; some.length; some = some.flatMap(childrenOf)) all = [...all, ...some];
      for (const pid of all) killed(pid);
      break;
    }
    await gone;
    return running;
  }

  get url(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  private spawn(): ChildProcess & { readonly stdout: Readable; readonly stderr: Readable } {
    return spawn(process.execPath, [join(ROOT, 'scripts/start.mjs')], {
      cwd: ROOT,
      env: { ...process.env, PORT: String(this.port), ODOGRAPH_FOLDER: this.folder, ...this.env },
      stdio: ['ignore', 'pipe', 'pipe'],
    });
  }

  /** Starts it (again) on the same folder and port, and waits for the line that says it is there. */
  async up(): Promise<void> {
    const child = this.spawn();
    this.process = child;
    await new Promise<void>((resolve, reject) => {
      const hear = (chunk: Buffer): void => {
        this.log += chunk.toString();
        if (this.log.includes('Odograph is at')) resolve();
      };
      child.stdout.on('data', hear);
      child.stderr.on('data', hear);
      child.once('exit', (code) => reject(new Error(`npm start ended with ${code}: ${this.log}`)));
    });
    this.log = this.log.replaceAll('Odograph is at', 'Odograph was at');
  }

  /** Ends it as Ctrl-C does; gives the exit code. */
  async down(): Promise<number | null> {
    const child = this.process;
    if (!child || child.exitCode !== null) return child?.exitCode ?? null;
    const gone = once(child, 'exit');
    child.kill('SIGTERM');
    const [code] = (await gone) as [number | null];
    return code;
  }

  /** `kill -9` of server and database, at once. */
  async killHard(): Promise<void> {
    const child = this.process!;
    const gone = once(child, 'exit');
    const server = childrenOf(child.pid!).find(isServer)!;
    const database = Number(readFileSync(join(this.folder, 'db/mariadb.pid'), 'utf8'));
    killed(server);
    killed(database);
    await gone;
  }

  /** `kill -9` of the worker; another takes its place. */
  killWorker(): void {
    const worker = childrenOf(this.process!.pid!).find((pid) =>
      readFileSync(`/proc/${pid}/cmdline`, 'latin1').includes('server/dist/worker.js'),
    );
    process.kill(worker!, 'SIGKILL');
  }

  /** `kill -9` of `npm start` itself, and of nothing that it has started; gives the process ids of server and worker. */
  async killStarter(): Promise<readonly number[]> {
    const child = this.process!;
    const gone = once(child, 'exit');
    const left = this.pids().filter((pid) => readFileSync(`/proc/${pid}/cmdline`, 'latin1').includes('server/dist/'));
    child.kill('SIGKILL');
    await gone;
    return left;
  }

  /** Process ids of server, worker and database. */
  pids(): number[] {
    return childrenOf(this.process!.pid!);
  }

  /** What the server reported as its own fault; bad requests are none. */
  crashes(): string[] {
    return this.log.split('\n').filter((line) => line.startsWith('{') && line.includes('"level":50'));
  }

  async dispose(): Promise<void> {
    await this.down();
    rmSync(this.folder, { recursive: true, force: true });
  }
}
