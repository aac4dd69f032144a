import { readdir } from 'node:fs/promises';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { FoundingLook, Letter, Me } from '@odograph/core/contract';
import { QueryTypes, Sequelize } from 'sequelize';
import { v7 as newId } from 'uuid';
import type { Models } from '../database/models.js';
import { MODELS } from '../database/tokens.js';
import { joined, linkTo, wishesAnswered } from '../testing/people.js';
import { COACH, OTHER_COACH, TestApp, type Client } from '../testing/testApp.js';
import { Founding } from './founding.js';

const codeOf = (body: unknown): string => (body as { code: string }).code;
const PASSWORD = 'long enough to hold';

const academy = (more: object = {}) => ({
  academyId: newId(),
  academyName: 'Harbour Mats',
  timeZone: 'UTC',
  name: 'Ines Varro',
  email: `${newId()}@harbour.example`,
  password: PASSWORD,
  ...more,
});

describe('whose account it is', () => {
  let app: TestApp, head: Client;
  beforeAll(async () => {
    app = await TestApp.start({ demo: 'rooms' });
    head = await app.signedIn(COACH);
  });
  afterAll(() => app.stop());
  const wish = (email: string) => app.client().ask('POST', '/api/password-resets', { email });

  test('when an address only looks like that of an account, no letter should go to it, nor its tries count for the account', async () => {
    for (const email of ['coach@tidegate.exàmple', 'coách@tidegate.example']) {
      expect((await wish(email)).status).toBe(204);
      await wishesAnswered(app);
      expect(await app.client().ask('POST', '/api/sign-in', { ...OTHER_COACH, email })).toMatchObject({ status: 401 });
    }
    expect(await app.app.get<Models>(MODELS).letter.count({ where: { kind: 'reset' } })).toBe(0);
  });

  test.each([
    'co\u200bach@tidegate.example',
    'co\u0000ach@tidegate.example',
    'ｃoach@tidegate.example',
    'coach@tide\u00adgate.example',
  ])(
    'when an address has in it what nobody sees or reads otherwise (%j), every door should refuse it by name',
    async (email) => {
      const tries = [
        wish(email),
        app.client().ask('POST', '/api/sign-in', { email, password: PASSWORD }),
        app.client().ask('POST', '/api/academies', academy({ email })),
        head.ask('POST', '/api/invitations', { id: newId(), email, role: 'coach' }),
      ];
      for (const { status, body } of await Promise.all(tries))
        expect([status, (body as { facts: { fields: { field: string }[] } }).facts.fields[0]!.field]).toEqual([
          400,
          'email',
        ]);
    },
  );

  test('when the same address is written in another way, it should be the same account, and the letter go to the stored one', async () => {
    const spelled = { email: ' Coach@Tidegate.EXAMPLE', password: OTHER_COACH.password };
    expect((await app.client().ask('POST', '/api/sign-in', spelled)).status).toBe(200);
    expect((await wish('COACH@ｔidegate.example')).status).toBe(204);
    await wishesAnswered(app);
    const other = await app.signedIn(OTHER_COACH);
    const letters = (await other.ask('GET', '/api/letters')).body as readonly Letter[];
    expect(letters[0]).toMatchObject({ to: OTHER_COACH.email, subject: 'Choose a new password for Odograph' });
  });

  test('when two addresses differ by an accent, both should be accounts of their own', async () => {
    const [one, two] = ['rene@harbour.example', 'ren\u00e9@harbour.example'];
    for (const email of [one, two])
      expect((await app.client().ask('POST', '/api/academies', academy({ email }))).status).toBe(200);
    const models = app.app.get<Models>(MODELS);
    expect(await models.account.count({ where: { email: [one, two] } })).toBe(2);
    await expect(
      models.account.create({ id: newId(), email: one, name: 'x', passwordHash: 'x', createdAt: new Date() }),
    ).rejects.toThrow();
  });

  test('when a member of two academies resets a password, a head of one should not see the letter', async () => {
    // the demo's letters are shown only of accounts that are the demo's alone
    const member = await joined(app, head, 'coach', 'Two Academies');
    const own = academy({ email: member.email });
    expect((await app.client().ask('POST', '/api/academies', own)).status).toBe(200);
    await wish(member.email);
    await wishesAnswered(app);
    const letters = (await head.ask('GET', '/api/letters')).body as readonly Letter[];
    expect(letters.filter((l) => l.to === member.email && /new password/.test(l.subject))).toEqual([]);
  });

  test('when a head of an academy that is not of the demo looks at letters, invitations should stand there without their secrets', async () => {
    const { headers } = await app.client().ask('POST', '/api/academies', academy());
    const own = app.client(headers.get('set-cookie')!.split(';')[0]);
    await own.ask('POST', '/api/invitations', { id: newId(), email: 'asked@harbour.example', role: 'coach' });
    const [letter] = (await own.ask('GET', '/api/letters')).body as readonly Letter[];
    expect(letter).toMatchObject({ to: 'asked@harbour.example', state: 'kept' });
    expect(letter!.body).not.toContain('#');
    expect(letter!.body).toContain('invites you');
  });

  test('when a new link is asked for, or a new password set, all older links should be good no longer', async () => {
    const coach = await joined(app, head, 'coach', 'Many Links');
    const links: string[] = [];
    for (let i = 0; i < 3; i++) {
      await wish(coach.email);
      await wishesAnswered(app);
      links.push(await linkTo(head, coach.email));
    }
    const set = (token: string) =>
      app.client().ask('POST', '/api/password', { token, password: 'a brand new sentence' });
    expect([(await set(links[0]!)).status, (await set(links[1]!)).status, (await set(links[2]!)).status]).toEqual([
      410, 410, 200,
    ]);
    // of those that were still to go out, nothing is left on the disk
    const left = (await head.ask('GET', '/api/letters')).body as readonly Letter[];
    for (const { body } of left.filter((l) => l.to === coach.email)) expect(body).not.toContain('#');
  });

  test('when six take one invitation at once, one should succeed, and five be told that it is spent', async () => {
    const email = 'six.at.once@room.example';
    await head.ask('POST', '/api/invitations', { id: newId(), email, role: 'coach' });
    const token = await linkTo(head, email);
    const answers = await Promise.all(
      Array.from({ length: 6 }, (_, i) =>
        app.client().ask('POST', '/api/invitation/accept', { token, name: `Taker ${i}`, password: PASSWORD }),
      ),
    );
    expect(answers.map((a) => a.status).sort()).toEqual([200, 410, 410, 410, 410, 410]);
    expect(await app.app.get<Models>(MODELS).account.count({ where: { email } })).toBe(1);
  });

  test('when a reset is wished for, it should take no longer for a mail that has an account', async () => {
    const ms = async (email: string): Promise<number> => {
      const began = performance.now();
      await wish(email);
      return performance.now() - began;
    };
    const [known, unknown]: [number[], number[]] = [[], []];
    for (let i = 0; i < 25; i++) {
      known.push(await ms(COACH.email));
      // the same one each time, as the known one: a first try is written anew, a further one only counted
      unknown.push(await ms('nobody@room.example'));
    }
    const median = (all: number[]): number => all.sort((a, b) => a - b)[12]!;
    expect(median(known) / median(unknown)).toBeLessThan(2);
    expect(median(unknown) / median(known)).toBeLessThan(2);
    await app.app.get<Models>(MODELS).letter.destroy({ where: { state: 'wished' } });
  });

  test('when an academy is founded under an id that is taken, the answer should be one, whether or not the mail has an account', async () => {
    const academyId = ((await head.ask('GET', '/api/me')).body as Me).academy.id;
    const tries = [
      academy({ academyId }),
      academy({ academyId, email: COACH.email }),
      academy({ academyId, ...COACH }),
    ];
    for (const body of tries)
      expect(await app.client().ask('POST', '/api/academies', body)).toMatchObject({
        status: 409,
        body: { code: 'id-taken' },
      });
  });

  test.each(['aaaaaaaaaaaaaaaa', 'elevenchars', 'Password123456', '123456123456'])(
    'when somebody chooses %j for a password, it should be refused by name wherever one is chosen',
    async (password) => {
      const email = 'chooser@room.example';
      await head.ask('POST', '/api/invitations', { id: newId(), email, role: 'coach' });
      const token = await linkTo(head, email);
      await wish(COACH.email);
      await wishesAnswered(app);
      const reset = await linkTo(head, COACH.email);
      for (const [path, body] of [
        ['/api/academies', academy({ password })],
        ['/api/invitation/accept', { token, name: 'x', password }],
        ['/api/password', { token: reset, password }],
      ] as const) {
        const answer = await app.client().ask('POST', path, body);
        const { fields } = (answer.body as { facts: { fields: { field: string }[] } }).facts;
        expect([path, answer.status, fields[0]!.field]).toEqual([path, 400, 'password']);
      }
      expect((await app.client().ask('POST', '/api/sign-in', COACH)).status).toBe(200);
    },
  );
});

describe('where founding is by invitation, and academies have limits', () => {
  let app: TestApp;
  beforeAll(async () => {
    app = await TestApp.start({ isFoundingOpen: false, quota: { accounts: 2, bytes: 1_000_000, uploads: 1 } });
  });
  afterAll(() => app.stop());
  const look = async (invitation: string | null): Promise<FoundingLook> =>
    (await app.client().ask('POST', '/api/founding', { invitation })).body as FoundingLook;
  const invited = async (email: string): Promise<string> => (await app.app.get(Founding).invite(email)).split('#')[1]!;
  const founded = async (): Promise<Client> => {
    const email = `${newId()}@harbour.example`;
    const { headers } = await app
      .client()
      .ask('POST', '/api/academies', academy({ email, invitation: await invited(email) }));
    return app.client(headers.get('set-cookie')!.split(';')[0]);
  };

  test('when somebody founds an academy, the invitation should be theirs, and good for one', async () => {
    const email = 'founder@harbour.example';
    const invitation = await invited(email);
    expect([await look(null), await look(invitation), await look('spent')]).toEqual([
      { isOpen: false, email: null },
      { isOpen: false, email },
      { isOpen: false, email: null },
    ]);
    const found = async (more: object) =>
      codeOf((await app.client().ask('POST', '/api/academies', academy(more))).body);
    expect(await found({ email })).toBe('founding-closed');
    expect(await found({ invitation })).toBe('link-spent');
    const twice = await Promise.all(
      [1, 2].map(() => app.client().ask('POST', '/api/academies', academy({ email, invitation }))),
    );
    expect(twice.map((a) => a.status).filter((status) => status === 200)).toHaveLength(1);
    expect(await found({ email, invitation, password: PASSWORD })).toBe('link-spent');
    const models = app.app.get<Models>(MODELS);
    expect(JSON.stringify(await models.foundingInvitation.findAll())).not.toContain(invitation);
    const waiting = await models.letter.findAll({ where: { toEmail: email, state: ['waiting', 'sending'] } });
    expect(waiting).toEqual([]);
  });

  test('when an academy has the accounts it may have, a further invitation should be refused with both figures', async () => {
    const head = await founded();
    const invite = (email: string) => head.ask('POST', '/api/invitations', { id: newId(), email, role: 'coach' });
    expect(await invite('one@harbour.example')).toMatchObject({
      status: 200,
      body: { accounts: { most: 2, used: 2 } },
    });
    // the same person once more is nobody more
    expect((await invite('one@harbour.example')).status).toBe(200);
    expect(await invite('two@harbour.example')).toMatchObject({
      status: 409,
      body: { code: 'quota', facts: { of: 'accounts', most: 2, used: 2 } },
    });
  });

  test('when uploads or bytes are more than an academy may have, they should be refused before anything is sent', async () => {
    const head = await founded();
    const begin = async (bytes: number): Promise<readonly [number, string]> => {
      const said = Object.entries({ id: newId(), name: 'x.mp4' }).map(
        ([k, v]) => `${k} ${Buffer.from(v).toString('base64')}`,
      );
      const answer = await head.send('POST', '/api/incoming', {
        'upload-length': String(bytes),
        'upload-metadata': said.join(),
      });
      const text = await answer.text();
      return [answer.status, answer.status === 201 ? '' : codeOf(JSON.parse(text))];
    };
    expect(await begin(2_000_000)).toEqual([409, 'quota']);
    expect(await begin(1000)).toEqual([201, '']);
    expect(await begin(1000)).toEqual([409, 'quota']);
  });
});

describe('limits that hold', () => {
  let app: TestApp, client: Client;
  beforeAll(async () => {
    app = await TestApp.start({ demo: 'rooms', signInTries: 4, trustedProxies: ['127.0.0.1'] });
    client = await app.signedIn(COACH);
  });
  afterAll(() => app.stop());
  const from = (of: TestApp, address: string, path: string, body: object) =>
    fetch(`${of.url}${path}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', 'x-forwarded-for': address },
      body: JSON.stringify(body),
    });

  test('when two servers stand on one database, tries at both should count together', async () => {
    const second = await TestApp.start({ beside: app, signInTries: 4, trustedProxies: ['127.0.0.1'] });
    try {
      const tries = { email: 'tried@lanternwood.example', password: 'x' };
      const statuses: number[] = [];
      for (let i = 0; i < 6; i++)
        statuses.push((await from(i % 2 ? app : second, `198.51.${i}.1`, '/api/sign-in', tries)).status);
      expect(statuses).toEqual([401, 401, 401, 401, 429, 429]);
    } finally {
      await second.stop();
    }
  });

  test('when ever new mails are tried from one block of addresses, it should have to wait, others not; a right password gives its try back', async () => {
    const tries = async (n: number, address: string): Promise<number[]> =>
      Promise.all(
        Array.from({ length: n }, () =>
          from(app, address, '/api/sign-in', { email: `${newId()}@x.example`, password: 'x' }),
        ),
      ).then((all) => all.map((a) => a.status));
    for (let i = 0; i < 20; i++) await tries(1, `203.0.113.${i}`);
    expect(await tries(1, '203.0.113.99')).toEqual([429]);
    expect(await tries(1, '203.0.114.1')).toEqual([401]);
    for (let i = 0; i < 30; i++) expect((await from(app, '203.0.115.1', '/api/sign-in', COACH)).status).toBe(200);
  });

  test('when more are tried over all than may be, everybody should have to wait, from wherever they come', async () => {
    const few = await TestApp.start({ signInTries: 1, trustedProxies: ['127.0.0.1'] });
    try {
      const statuses: number[] = [];
      // each for a mail and from a block of its own
      for (let i = 0; i < 102; i++)
        statuses.push(
          (await from(few, `198.51.${i}.1`, '/api/password-resets', { email: `${newId()}@x.example` })).status,
        );
      expect(statuses).toEqual([...Array<number>(100).fill(204), 429, 429]);
    } finally {
      await few.stop();
    }
  });

  test('when an address is only claimed, it should count where a proxy that is named says it, and not otherwise', async () => {
    const bare = await TestApp.start({ beside: app, signInTries: 4 });
    try {
      const statuses: number[] = [];
      // each claims another address; the connection is what counts
      for (let i = 0; i < 22; i++)
        statuses.push(
          (await from(bare, `192.0.${i}.1`, '/api/sign-in', { email: `${newId()}@x.example`, password: 'x' })).status,
        );
      expect(statuses.slice(-2)).toEqual([429, 429]);
    } finally {
      await bare.stop();
    }
    // the last address in the line that is no proxy of ours counts, whatever stands before it
    const statuses: number[] = [];
    for (let i = 0; i < 21; i++)
      statuses.push(
        (await from(app, `10.9.${i}.1, 198.18.0.7`, '/api/sign-in', { email: `${newId()}@x.example`, password: 'x' }))
          .status,
      );
    expect(statuses.at(-1)).toBe(429);
  });

  test('when a hundred ask with spent links at once, others should be answered, and nothing be hashed', async () => {
    const junk = Array.from({ length: 100 }, (_, i) =>
      from(app, `198.19.${i}.1`, '/api/password', { token: 'spent', password: PASSWORD }),
    );
    const me = Promise.all(Array.from({ length: 5 }, () => client.ask('GET', '/api/me')));
    expect((await me).every((a) => a.status === 200)).toBe(true);
    const statuses = (await Promise.all(junk)).map((a) => a.status);
    // of a hundred that were to be hashed, all but fourteen would be told to come again
    expect(new Set(statuses)).toEqual(new Set([410]));
  });

  test('when sign-ins come faster than they can be hashed, those beyond should be told to come again, in so many seconds', async () => {
    const answers = await Promise.all(
      Array.from({ length: 60 }, (_, i) =>
        from(app, `198.${20 + i}.0.1`, '/api/sign-in', { email: `${newId()}@x.example`, password: 'x' }),
      ),
    );
    const busy = answers.filter((a) => a.status === 429);
    expect(busy.length).toBeGreaterThan(10);
    for (const answer of busy) expect(Number(answer.headers.get('retry-after'))).toBeGreaterThan(0);
    expect(answers.filter((a) => a.status === 401).length).toBeGreaterThan(1);
  });

  test('when the database is read, it should not say who tried', async () => {
    const rows = await app.app.get(Sequelize).query('SELECT * FROM tries', { type: QueryTypes.SELECT });
    expect(JSON.stringify(rows)).not.toMatch(/198\.|lanternwood|@/);
    expect(await readdir(join(app.config.dataDir))).toContain('media');
  });
});
