// npm run bench -- doors: who is signed in, asked beside a bare route of the same stack that reads one row.
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { databaseThatRuns, freePort } from '../database.mjs';
import { root } from '../paths.mjs';
import { note } from '../say.mjs';
import { Guest } from '../stress/world.mjs';
import { signIn, up } from './product.mjs';
import { measuredOn, median, putSection } from './report.mjs';

const CONNECTIONS = 16;
/** Short rounds, so that both of a pair fall into the same moment of a machine that is not always equally quick. */
const SECONDS = 1.5;
const ROUNDS = 25;
const GOAL = 0.7;

/** Requests a second that a route answers. */
const rate = async (url, path, cookie) => {
  const until = Date.now() + SECONDS * 1000;
  let answered = 0;
  await Promise.all(
    Array.from({ length: CONNECTIONS }, async () => {
      const guest = new Guest(url, cookie);
      while (Date.now() < until) {
        const { status } = await guest.ask('GET', path);
        if (status === 200) answered++;
      }
    }),
  );
  return answered / SECONDS;
};

export const doors = async () => {
  const folder = mkdtempSync(join(tmpdir(), 'odograph-bench-'));
  const port = await freePort();
  const url = `http://127.0.0.1:${port}`;
  const product = await up(folder, port);
  const { socket, password } = databaseThatRuns(join(folder, 'db'));
  const bare = spawn(process.execPath, [join(root, 'scripts/bench/bare.mjs'), socket, 'odograph', 'odograph'], {
    stdio: ['ignore', 'pipe', 'inherit'],
    env: { ...process.env, DB_PASSWORD: password },
  });
  try {
    const barePort = await new Promise((resolve) => bare.stdout.once('data', (d) => resolve(String(d).trim())));
    const cookie = await signIn(url, 'coach@lanternwood.example', 'lanternwood-mat-7');
    const head = new Guest(url, cookie);
    // the demo's footage is made ready first: that takes all there is of the processors
    const { files } = await head.json('GET', '/api/library/base');
    for (const { id } of files) while (!(await head.json('GET', `/api/files/${id}/prepared`)).look) await pause(500);
    const [rows, mes] = [[], []];
    for (let round = 0; round <= ROUNDS; round++) {
      const both = [await rate(`http://127.0.0.1:${barePort}`, '/api/row', ''), await rate(url, '/api/me', cookie)];
      // the first one warms both up
      if (round === 0) continue;
      rows.push(both[0]);
      mes.push(both[1]);
      note(`${both[0].toFixed(0)} and ${both[1].toFixed(0)} a second`);
    }
    const ratio = median(mes.map((me, i) => me / rows[i]));
    putSection('npm run bench -- doors', [
      measuredOn(),
      '',
      `- at ${CONNECTIONS} connections, medians of ${ROUNDS} rounds in turn: a bare route that reads one row ${median(rows).toFixed(0)} a second, \`GET /api/me\` (session, role, academies) ${median(mes).toFixed(0)}; ratio ${ratio.toFixed(2)}, goal at least ${GOAL}: ${ratio >= GOAL ? 'held' : '**missed**'}`,
    ]);
  } finally {
    bare.kill();
    await product.down();
    rmSync(folder, { recursive: true, force: true });
  }
};
