import { randomBytes } from 'node:crypto';
import { existsSync, readdirSync } from 'node:fs';
import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { Sequelize } from 'sequelize';
import { bootstrap } from '../bootstrap.js';
import type { Config } from '../config/config.js';
import { DemoService } from '../demo/demo.service.js';
import { JobRunner } from '../jobs/runner.js';

export const DEMO_FOLDER = join(__dirname, '../../../demo/footage');
export const COACH = { email: 'coach@lanternwood.example', password: 'lanternwood-mat-7' };
export const STUDENT = { email: 'student@lanternwood.example', password: 'lanternwood-mat-8' };
export const OTHER_COACH = { email: 'coach@tidegate.example', password: 'tidegate-mat-3' };

type Account = { readonly email: string; readonly password: string };
type Answer = { readonly status: number; readonly body: unknown; readonly headers: Headers };

/** Somebody with a session: requests carry its cookie. */
export type Client = {
  readonly cookie: string;
  readonly ask: (method: string, path: string, body?: unknown) => Promise<Answer>;
  readonly put: (path: string, bytes: Uint8Array) => Promise<Answer>;
  readonly raw: (path: string, headers?: Record<string, string>) => Promise<Response>;
  /** A request of the upload protocol. */
  readonly send: (
    method: string,
    path: string,
    headers?: Record<string, string>,
    bytes?: Uint8Array,
  ) => Promise<Response>;
};

const database = async (): Promise<Config['database'] & { drop: () => Promise<void> }> => {
  const given = process.env['ODOGRAPH_TEST_DATABASE'];
  if (!given) throw new Error('no test database: run the tests through Jest with this project’s configuration');
  const server = JSON.parse(given) as { socket: string; user: string; password: string };
  const name = `odograph_${randomBytes(6).toString('hex')}`;
  const run = async (sql: string): Promise<void> => {
    const admin = new Sequelize({
      dialect: 'mariadb',
      username: server.user,
      password: server.password,
      logging: false,
      // on a machine that does much beside, a second is too short to be let in
      dialectOptions: { connectTimeout: 20_000, socketPath: server.socket },
    });
    await admin.query(sql);
    await admin.close();
  };
  await run(`CREATE DATABASE ${name} CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci`);
  return { ...server, host: '127.0.0.1', port: 0, name, drop: () => run(`DROP DATABASE ${name}`) };
};

/** A folder with the demo's academies and accounts, nothing filmed: most tests bring what they need themselves. */
const withRooms = async (load: (folder: string) => Promise<void>): Promise<void> => {
  const folder = await mkdtemp(join(tmpdir(), 'odograph-rooms-'));
  const whole = JSON.parse(await readFile(join(DEMO_FOLDER, 'demo.json'), 'utf8')) as { academies: object[] };
  const KEPT = ['id', 'name', 'timeZone', 'accounts'];
  const bare = (academy: object): object =>
    Object.fromEntries(Object.entries(academy).map(([key, value]) => [key, KEPT.includes(key) ? value : []]));
  await writeFile(join(folder, 'demo.json'), JSON.stringify({ academies: whole.academies.map(bare) }));
  await load(folder);
  await rm(folder, { recursive: true });
};

export class TestApp {
  private constructor(
    readonly app: NestExpressApplication,
    readonly config: Config,
    readonly url: string,
    private readonly dispose: () => Promise<void>,
  ) {}

  /** The whole server on a database and a folder of its own, on a free port of loopback; with the demo's rooms, or the whole demo in them. */
  static async start(
    options: {
      readonly demo?: 'rooms' | 'whole';
      /** Does jobs as well, in the same process. */
      readonly worker?: boolean;
      readonly signInTries?: number;
      readonly publicUrl?: string;
      readonly trustedProxies?: readonly string[];
      readonly isFoundingOpen?: boolean;
      readonly smtpUrl?: string;
      readonly quota?: Partial<Config['quota']>;
      /** A database that is there already, with the folder for media: another server on the same. */
      readonly beside?: TestApp;
      /** Where media are to lie; an empty folder of its own otherwise. */
      readonly dataDir?: string;
    } = {},
  ): Promise<TestApp> {
    const { drop, ...db } = options.beside
      ? { ...options.beside.config.database, drop: () => Promise.resolve() }
      : await database();
    const dataDir =
      options.beside?.config.dataDir ?? options.dataDir ?? (await mkdtemp(join(tmpdir(), 'odograph-server-')));
    const webDir = await mkdtemp(join(tmpdir(), 'odograph-web-'));
    await writeFile(join(webDir, 'index.html'), '<!doctype html><title>Odograph</title>');
    const config: Config = {
      host: '127.0.0.1',
      port: 0,
      publicUrl: options.publicUrl === undefined ? null : new URL(options.publicUrl),
      trustedProxies: options.trustedProxies ?? [],
      dataDir,
      webDir,
      demoDir: DEMO_FOLDER,
      version: 'test',
      logLevel: 'silent',
      database: db,
      signInTries: options.signInTries ?? 100,
      isFoundingOpen: options.isFoundingOpen ?? true,
      smtpUrl: options.smtpUrl ?? null,
      mailFrom: 'Odograph <odograph@room.example>',
      quota: { bytes: 1e12, accounts: 500, uploads: 50, ...options.quota },
    };
    const app = await bootstrap(config);
    if (options.demo === 'whole') await app.get(DemoService).load(DEMO_FOLDER);
    if (options.demo === 'rooms') await withRooms((folder) => app.get(DemoService).load(folder));
    if (options.worker) app.get(JobRunner).start((error) => process.stderr.write(`${String(error)}\n`));
    await app.listen(0, '127.0.0.1');
    const { port } = (app.getHttpServer() as { address: () => AddressInfo }).address();
    return new TestApp(app, config, `http://127.0.0.1:${port}`, async () => {
      await app.close();
      await drop();
      await Promise.all(
        [...(options.dataDir || options.beside ? [] : [dataDir]), webDir].map((folder) =>
          rm(folder, { recursive: true, force: true }),
        ),
      );
    });
  }

  /** Where the server keeps what was made of a file of the first demo academy. */
  path(fileId: string, name: string): string {
    const media = join(this.config.dataDir, 'media');
    const academy = readdirSync(media).find((a) => existsSync(join(media, a, fileId)))!;
    return join(media, academy, fileId, name);
  }

  stop(): Promise<void> {
    return this.dispose();
  }

  client(cookie = ''): Client {
    const raw = (path: string, headers: Record<string, string> = {}): Promise<Response> =>
      fetch(this.url + path, { headers: { cookie, ...headers } });
    const answer = async (response: Response): Promise<Answer> => {
      const text = await response.text();
      const isJson = response.headers.get('content-type')?.includes('json');
      return {
        status: response.status,
        headers: response.headers,
        body: isJson ? (JSON.parse(text) as unknown) : text,
      };
    };
    return {
      cookie,
      raw,
      send: (method, path, headers = {}, bytes) =>
        fetch(this.url + path, {
          method,
          headers: { cookie, 'tus-resumable': '1.0.0', ...headers },
          ...(bytes ? { body: bytes } : {}),
        }),
      put: async (path, bytes) =>
        answer(
          await fetch(this.url + path, {
            method: 'PUT',
            headers: { cookie, 'content-type': 'application/octet-stream' },
            body: bytes,
          }),
        ),
      ask: async (method, path, body) =>
        answer(
          await fetch(this.url + path, {
            method,
            headers: { cookie, ...(body === undefined ? {} : { 'content-type': 'application/json' }) },
            ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
          }),
        ),
    };
  }

  async signedIn(account: Account): Promise<Client> {
    const { status, headers } = await this.client().ask('POST', '/api/sign-in', account);
    if (status !== 200) throw new Error(`signing in as ${account.email} gave ${status}`);
    return this.client(headers.get('set-cookie')!.split(';')[0]);
  }
}

/** The demo's files: constant and variable rates, with sound and without. */
export const DEMO_FILES = [
  'lantern-final',
  'lantern-final-phone',
  'harbour-open',
  'thursday-round',
  'morning-round',
  'guard-class',
  'leg-class',
] as const;

export const demoVideo = (name: (typeof DEMO_FILES)[number] = 'lantern-final'): Promise<Buffer> =>
  readFile(join(DEMO_FOLDER, `${name}.mp4`));
