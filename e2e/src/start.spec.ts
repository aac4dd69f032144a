import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, readFileSync, readdirSync, statSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Running } from './support/running.js';
import { slowness } from './support/slowness.js';
import { COACH, DEMO_SIZE, expect, test } from './support/test.js';

const START = join(import.meta.dirname, '../../scripts/start.mjs');

const commandOf = (pid: string): string => {
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'latin1');
  } catch {
    return '';
  }
};

const startWith = (env: Record<string, string>): { code: number | null; says: string } => {
  const { status, stdout, stderr } = spawnSync(process.execPath, [START], {
    env: { ...process.env, ...env },
    encoding: 'utf8',
    timeout: 60_000,
  });
  return { code: status, says: `${stdout}${stderr}`.trim() };
};

test('when it is ended by SIGTERM, database, server and worker should be gone, and the next start take seconds', async ({
  request,
}) => {
  const running = await Running.start();
  try {
    const pids = running.pids();
    expect(pids).toHaveLength(3);
    expect((await request.get(`${running.url}/api/health`)).status()).toBe(200);
    expect(await running.down()).toBe(0);
    expect(pids.filter((pid) => existsSync(`/proc/${pid}`))).toEqual([]);
    const began = Date.now();
    await running.up();
    const took = Date.now() - began;
    expect(took / slowness()).toBeLessThan(15_000);
  } finally {
    await running.dispose();
  }
});

test('when whoever started it is killed, server and worker should end by themselves, and the next start have all there was', async ({
  request,
}) => {
  const running = await Running.start();
  try {
    const left = await running.killStarter();
    expect(left).toHaveLength(2);
    await expect.poll(() => left.filter((pid) => existsSync(`/proc/${pid}`)), { timeout: 40_000 }).toEqual([]);
    await running.up();
    expect((await request.post(`${running.url}/api/sign-in`, { data: COACH })).status()).toBe(200);
  } finally {
    await running.dispose();
  }
});

test('when the port is taken, wrong, or the folder cannot be written, one sentence should say so, with exit code 1', async () => {
  const taken = createServer().listen(0, '127.0.0.1');
  await new Promise((resolve) => taken.once('listening', resolve));
  const { port } = taken.address() as { port: number };
  const refused = startWith({ PORT: String(port) });
  taken.close();
  expect(refused).toEqual({
    code: 1,
    says: `Port ${port} is taken by another program; choose one with PORT=… npm start.`,
  });
  expect(startWith({ PORT: 'ninety' })).toEqual({
    code: 1,
    says: 'PORT is "ninety", which is no port number (1 to 65535).',
  });
  const folder = join(START, 'inside-a-file');
  expect(startWith({ PORT: '4999', ODOGRAPH_FOLDER: folder })).toEqual({
    code: 1,
    says: `The folder ${folder} cannot be written (ENOTDIR).`,
  });
});

test('when the database does not come up, one sentence should say so, and nothing be left running', () => {
  const folder = mkdtempSync(join(tmpdir(), 'odograph-broken-'));
  mkdirSync(join(folder, 'db/data/mysql'), { recursive: true });
  const { code, says } = startWith({ PORT: '4998', ODOGRAPH_FOLDER: folder });
  expect(code).toBe(1);
  expect(says.split('\n')).toHaveLength(1);
  expect(says).toMatch(/^The database did not start: .*were left as they are/);
  const left = readdirSync('/proc').filter((pid) => /^\d+$/.test(pid) && commandOf(pid).includes(folder));
  expect(left).toEqual([]);
});

test('when it runs as root and a user of its own cannot reach the folder, it should say so, and the folder stay as it was', () => {
  test.skip(process.getuid?.() !== 0, 'only root gives a user of its own');
  // nobody else may go through this one
  const folder = join(mkdtempSync(join(tmpdir(), 'odograph-closed-')), 'inside');
  mkdirSync(folder);
  const code = `import { ownUser } from ${JSON.stringify(join(import.meta.dirname, '../../scripts/ownUser.mjs'))};
    console.log(String(ownUser(process.argv[1]) === undefined));`;
  const { stdout } = spawnSync(process.execPath, ['--input-type=module', '-e', code, folder], { encoding: 'utf8' });
  expect(stdout).toMatch(/^It runs as root: the user "odograph" cannot read .* or write .*\.\ntrue\n$/);
  expect(statSync(folder).uid).toBe(0);
});

test('when the disk is full, one sentence should say how much room is missing, and nothing be made', () => {
  const folder = mkdtempSync(join(tmpdir(), 'odograph-full-'));
  const { code, says } = startWith({ PORT: '4997', ODOGRAPH_FOLDER: folder, ODOGRAPH_ROOM_MB: '999999999' });
  expect(code).toBe(1);
  expect(says).toMatch(/^The disk that holds .* is full: \d+ MB are left, 999999999 MB are needed\. Make room/);
  expect(existsSync(join(folder, 'db/data'))).toBe(false);
});

const hasFile = (folder: string): boolean =>
  existsSync(join(folder, 'media')) &&
  readdirSync(join(folder, 'media'), { recursive: true }).some((path) => String(path).endsWith('original'));

const MOMENTS = [
  ['in the middle of the first load', hasFile],
  ['while the database is made', (folder: string) => existsSync(join(folder, 'db/data.half/ibdata1'))],
] as const;

// in `npm test`: a load that is cut short in `demo.test.ts` of the server
for (const [moment, isReached] of MOMENTS)
  test(`when it is killed ${moment}, the next start should finish what was begun, and nothing be there twice @stress`, async ({
    request,
  }) => {
    const running = await Running.interrupted(isReached);
    try {
      await running.up();
      await request.post(`${running.url}/api/sign-in`, { data: COACH });
      const library = (await (await request.get(`${running.url}/api/library`)).json()) as {
        clips: unknown[];
        footage: unknown[];
      };
      expect([library.footage.length, library.clips.length]).toEqual(DEMO_SIZE);
      expect(running.crashes()).toEqual([]);
    } finally {
      await running.dispose();
    }
  });
