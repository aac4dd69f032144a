// What the stresses of many people share: academies with footage and people in them, and how long answers take.
import { createRequire } from 'node:module';
import { readFileSync, readdirSync } from 'node:fs';
import { Agent, request } from 'node:http';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { root } from '../paths.mjs';
import { Stop } from '../say.mjs';

export const { v7: newId } = createRequire(join(root, 'e2e/package.json'))('uuid');
export const PASSWORD = 'a sentence to come in with';

/** Answers by kind of question, with how long each took, in ms. */
export class Clock {
  taken = new Map();
  failed = new Map();

  note(kind, ms, status) {
    if (status >= 200 && status < 400) this.taken.set(kind, [...(this.taken.get(kind) ?? []), ms]);
    else this.failed.set(`${kind} ${status}`, (this.failed.get(`${kind} ${status}`) ?? 0) + 1);
  }

  at(kind, part) {
    const all = [...(this.taken.get(kind) ?? [])].sort((a, b) => a - b);
    return all.length ? all[Math.min(all.length - 1, Math.floor(all.length * part))] : Number.NaN;
  }

  count(kind) {
    return this.taken.get(kind)?.length ?? 0;
  }

  /** `kind n p50/p95/p99 ms`, one after the other. */
  told() {
    return [...this.taken.keys()]
      .sort()
      .map(
        (kind) =>
          `${kind} ${this.count(kind)}: ${[0.5, 0.95, 0.99].map((p) => this.at(kind, p).toFixed(0)).join('/')} ms`,
      )
      .join(', ');
  }

  faults() {
    return [...this.failed].map(([what, n]) => `${n} × ${what}`).join(', ') || 'none';
  }
}

/** Somebody who asks: one connection that is kept, as a browser has several. */
export class Guest {
  constructor(url, cookie = '') {
    this.url = new URL(url);
    this.cookie = cookie;
    this.agent = new Agent({ keepAlive: true, maxSockets: 4 });
  }

  /** Asks; gives status, head and body, and notes how long it took. */
  ask(method, path, body, { clock, kind = path, headers = {} } = {}) {
    const began = performance.now();
    const bytes = body === undefined ? undefined : Buffer.isBuffer(body) ? body : Buffer.from(JSON.stringify(body));
    return new Promise((resolve, reject) => {
      const asked = request(
        {
          host: this.url.hostname,
          port: this.url.port,
          method,
          path,
          agent: this.agent,
          headers: {
            cookie: this.cookie,
            ...(bytes === undefined ? {} : { 'content-length': bytes.length }),
            ...(body === undefined || Buffer.isBuffer(body) ? {} : { 'content-type': 'application/json' }),
            ...headers,
          },
        },
        (answer) => {
          const chunks = [];
          answer.on('data', (chunk) => chunks.push(chunk));
          answer.on('end', () => {
            clock?.note(kind, performance.now() - began, answer.statusCode);
            resolve({ status: answer.statusCode, headers: answer.headers, body: Buffer.concat(chunks) });
          });
          answer.on('error', reject);
        },
      );
      asked.on('error', reject);
      asked.end(bytes);
    });
  }

  async json(method, path, body, how) {
    const answer = await this.ask(method, path, body, how);
    if (answer.status >= 400)
      throw new Stop(`${method} ${path} gave ${answer.status}: ${answer.body.toString().slice(0, 300)}`);
    return answer.body.length ? JSON.parse(answer.body.toString()) : undefined;
  }

  async enter(path, body) {
    const answer = await this.ask('POST', path, body);
    if (answer.status !== 200) throw new Stop(`${path} gave ${answer.status}: ${answer.body.toString().slice(0, 300)}`);
    this.cookie = answer.headers['set-cookie'][0].split(';')[0];
    return JSON.parse(answer.body.toString());
  }

  /** Listens to the stream of events; `tell` hears each version. Gives what ends it. */
  listen(tell) {
    const asked = request({
      host: this.url.hostname,
      port: this.url.port,
      path: '/api/news/stream',
      headers: { cookie: this.cookie },
    });
    let text = '';
    asked.on('response', (answer) =>
      answer.on('data', (chunk) => {
        text += chunk;
        for (let at = text.indexOf('\n\n'); at >= 0; at = text.indexOf('\n\n')) {
          const [, version] = /^data: (\d+)/.exec(text.slice(0, at)) ?? [];
          if (version !== undefined) tell(Number(version));
          text = text.slice(at + 2);
        }
      }),
    );
    asked.on('error', () => undefined);
    asked.end();
    return () => asked.destroy();
  }
}

/** The secret of the newest letter to somebody, as whoever runs the server finds it. */
const secretTo = (folder, email) => {
  const letters = readdirSync(join(folder, 'outbox')).sort().reverse();
  for (const name of letters) {
    const text = readFileSync(join(folder, 'outbox', name), 'utf8');
    if (!text.includes(`To: ${email}`)) continue;
    return /#([\w-]+)/.exec(Buffer.from(text.split('\r\n\r\n')[1], 'base64').toString())[1];
  }
  throw new Stop(`No letter to ${email}.`);
};

/** An academy with so many people, footage on its shelf, and clips on it. */
export const academyWith = async (url, folder, people, clips, role = 'coach') => {
  const head = new Guest(url);
  const name = newId().slice(-12);
  await head.enter('/api/academies', {
    ...{ academyId: newId(), academyName: `Room ${name}`, timeZone: 'UTC', name: 'Head Coach' },
    ...{ email: `head@${name}.example`, password: PASSWORD, invitation: null },
  });
  const fileId = newId();
  const video = readFileSync(join(root, 'demo/footage/leg-class.mp4'));
  await head.json('PUT', `/api/files/${fileId}?name=leg-class.mp4`, video, {
    headers: { 'content-type': 'application/octet-stream' },
  });
  const [footageId, angleId] = [newId(), newId()];
  const athletes = { athleteA: { id: newId(), name: 'Orla Venn' }, athleteB: { id: newId(), name: 'Sten Abara' } };
  await head.json('POST', '/api/footage', {
    ...{ editId: newId(), id: footageId, angleId, fileId, title: 'A round', setting: 'training', gi: true },
    ...athletes,
  });
  for (const { id } of Object.values(athletes))
    await head.json('PATCH', `/api/persons/${id}`, {
      editId: newId(),
      baseVersion: 1,
      changes: { shownTo: 'academy' },
    });
  const made = Array.from({ length: clips }, (_, i) => ({
    attempt: { id: newId(), subject: i % 2 ? 'a' : 'b' },
    clip: { id: newId(), angleId, inFrame: (i * 3) % 600, outFrame: ((i * 3) % 600) + 40 },
  }));
  for (let i = 0; i < made.length; i += 100)
    await head.json('POST', '/api/clips/many', { editId: newId(), clips: made.slice(i, i + 100) });
  const all = [head];
  for (let i = 1; i < people; i++) {
    const email = `p${i}@${name}.example`;
    await head.json('POST', '/api/invitations', { id: newId(), email, role });
    const guest = new Guest(url);
    await guest.enter('/api/invitation/accept', {
      token: secretTo(folder, email),
      name: `Coach ${i}`,
      password: PASSWORD,
    });
    all.push(guest);
  }
  return { head, people: all, fileId, footageId, angleId, made };
};

const MADE_OF_FOOTAGE = ['proxy', 'look', 'stills'];

/** Waits until all that is made of an academy's footage is there: some of it is put in line only when other things have ended. */
export const untilReady = async ({ head }) => {
  for (;;) {
    const { jobs } = await head.json('GET', '/api/under-way');
    const isDone = (kind) => jobs.some((j) => j.kind === kind && j.state === 'done');
    if (MADE_OF_FOOTAGE.every(isDone) && jobs.every((j) => j.state === 'done')) return;
    await pause(300);
  }
};
