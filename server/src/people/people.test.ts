import { readFile, readdir } from 'node:fs/promises';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { Letter, Me, People, SessionLook } from '@odograph/core/contract';
import { v7 as newId } from 'uuid';
import type { Models } from '../database/models.js';
import { MODELS } from '../database/tokens.js';
import { joined, linkTo, wishesAnswered } from '../testing/people.js';
import { libraryOf, newClip, newFootageOf, newPiece } from '../testing/requests.js';
import { COACH, OTHER_COACH, TestApp, type Client } from '../testing/testApp.js';

const meOf = async (client: Client): Promise<Me> => (await client.ask('GET', '/api/me')).body as Me;
const peopleOf = async (client: Client): Promise<People> => (await client.ask('GET', '/api/people')).body as People;

describe('people of an academy', () => {
  let app: TestApp, head: Client;
  beforeAll(async () => {
    app = await TestApp.start({ demo: 'rooms' });
    head = await app.signedIn(COACH);
  });
  afterAll(() => app.stop());

  const academy = (more: object = {}) => ({
    academyId: newId(),
    academyName: 'Harbour Mats',
    timeZone: 'Europe/Lisbon',
    name: 'Ines Varro',
    email: 'ines@harbour.example',
    password: 'a password of ten',
    ...more,
  });

  test('when somebody founds an academy, they should be its head, signed in, with an empty library', async () => {
    const { status, body, headers } = await app.client().ask('POST', '/api/academies', academy());
    expect(status).toBe(200);
    expect(body).toMatchObject({ academy: { name: 'Harbour Mats', timeZone: 'Europe/Lisbon' }, role: 'head' });
    const client = app.client(headers.get('set-cookie')!.split(';')[0]);
    expect(await libraryOf(client)).toMatchObject({ footage: [], clips: [], persons: [] });
    expect((await app.signedIn({ email: 'ines@harbour.example', password: 'a password of ten' })).ask).toBeDefined();
  });

  test('when somebody with an account founds another, the password should have to be theirs, and both be reachable', async () => {
    const wrong = await app.client().ask('POST', '/api/academies', academy({ email: OTHER_COACH.email }));
    expect(wrong).toMatchObject({ status: 401, body: { code: 'wrong-sign-in' } });
    const second = academy({ ...OTHER_COACH, academyName: 'Second Room' });
    const { headers } = await app.client().ask('POST', '/api/academies', second);
    const client = app.client(headers.get('set-cookie')!.split(';')[0]);
    const { academies } = await meOf(client);
    expect(academies.map((a) => a.name)).toEqual(['Tidegate Academy', 'Second Room']);
    const went = await client.ask('POST', '/api/me/academy', { academyId: academies[0]!.id });
    expect(went.body).toMatchObject({ academy: { name: 'Tidegate Academy' } });
    expect((await meOf(client)).academy.name).toBe('Tidegate Academy');
    const foreign = (await meOf(head)).academy.id;
    expect((await client.ask('POST', '/api/me/academy', { academyId: foreign })).status).toBe(404);
  });

  test.each([
    [{ timeZone: 'Mars/Olympus' }, 'timeZone'],
    [{ password: 'short' }, 'password'],
    [{ email: 'no mail' }, 'email'],
    [{ academyName: ' ' }, 'academyName'],
  ])('when %o is wrong, it should be named and nobody be made', async (wrong, field) => {
    const request = academy({ email: 'never@harbour.example', ...wrong });
    const { status, body } = await app.client().ask('POST', '/api/academies', request);
    expect([status, (body as { facts: { fields: { field: string }[] } }).facts.fields[0]!.field]).toEqual([400, field]);
    expect(await app.app.get<Models>(MODELS).account.count({ where: { email: 'never@harbour.example' } })).toBe(0);
  });

  test('when somebody is invited, one letter should go out, the link say what for, and be good for one use', async () => {
    const invitation = { id: newId(), email: 'rhea@lanternwood.example', role: 'coach' };
    await Promise.all([1, 2].map(() => head.ask('POST', '/api/invitations', invitation)));
    const letters = (await head.ask('GET', '/api/letters')).body as readonly Letter[];
    expect(letters.filter((l) => l.to === invitation.email)).toHaveLength(1);
    expect((await peopleOf(head)).invitations).toMatchObject([{ email: invitation.email, role: 'coach' }]);
    const token = await linkTo(head, invitation.email);
    expect((await app.client().ask('POST', '/api/invitation', { token })).body).toEqual({
      academy: 'Lanternwood Grappling Room',
      email: invitation.email,
      role: 'coach',
      hasAccount: false,
    });
    const accept = { token, name: 'Rhea Nolt', password: 'another long one' };
    for (const wrong of [{ name: '' }, { password: 'short' }])
      expect((await app.client().ask('POST', '/api/invitation/accept', { ...accept, ...wrong })).status).toBe(400);
    const taken = await app.client().ask('POST', '/api/invitation/accept', accept);
    expect(taken).toMatchObject({ status: 200, body: { role: 'coach', account: { name: 'Rhea Nolt' } } });
    expect(await app.client().ask('POST', '/api/invitation/accept', accept)).toMatchObject({
      status: 410,
      body: { code: 'link-spent' },
    });
    expect((await peopleOf(head)).invitations).toEqual([]);
    expect(await head.ask('POST', '/api/invitations', { ...invitation, id: newId() })).toMatchObject({
      status: 409,
      body: { code: 'member-already' },
    });
  });

  test('when an invitation is taken back or replaced, its link should lead nowhere', async () => {
    const invite = async (): Promise<{ id: string; token: string }> => {
      const id = newId();
      await head.ask('POST', '/api/invitations', { id, email: 'late@lanternwood.example', role: 'student' });
      return { id, token: await linkTo(head, 'late@lanternwood.example') };
    };
    const [first, second] = [await invite(), await invite()];
    const look = async (token: string) => (await app.client().ask('POST', '/api/invitation', { token })).status;
    expect([await look(first.token), await look(second.token)]).toEqual([410, 200]);
    expect((await head.ask('DELETE', `/api/invitations/${second.id}`)).status).toBe(200);
    expect(await look(second.token)).toBe(410);
    expect((await head.ask('DELETE', `/api/invitations/${second.id}`)).status).toBe(404);
  });

  test('when letters wait, they should lie as files for whoever runs the server until their link is spent, and only a head see them', async () => {
    const coach = await joined(app, head, 'coach', 'Mail Reader');
    const folder = join(app.config.dataDir, 'outbox');
    const readable = async (to: string): Promise<string | undefined> => {
      const texts = await Promise.all((await readdir(folder)).map((f) => readFile(join(folder, f), 'utf8')));
      const letter = texts.find((t) => t.includes(`To: ${to}`));
      return letter && Buffer.from(letter.split('\r\n\r\n')[1]!, 'base64').toString();
    };
    await head.ask('POST', '/api/invitations', { id: newId(), email: 'waits@room.example', role: 'coach' });
    expect(await readable('waits@room.example')).toContain('/invitation#');
    expect(await readable(coach.email)).toBeUndefined();
    expect((await coach.ask('GET', '/api/letters')).status).toBe(403);
  });

  test('when a password is forgotten, a link should set a new one, end every session, and be good for one use', async () => {
    const coach = await joined(app, head, 'coach', 'Forgetful One');
    const wish = (email: string) => app.client().ask('POST', '/api/password-resets', { email });
    expect([(await wish(coach.email)).status, (await wish('nobody@room.example')).status]).toEqual([204, 204]);
    await wishesAnswered(app);
    const token = await linkTo(head, coach.email);
    const set = { token, password: 'a brand new password' };
    expect((await app.client().ask('POST', '/api/password', set)).status).toBe(200);
    expect((await coach.ask('GET', '/api/me')).status).toBe(401);
    expect((await app.client().ask('POST', '/api/password', set)).status).toBe(410);
    expect(await app.signedIn({ email: coach.email, password: set.password })).toBeDefined();
  });

  test('when secrets are kept, the database should hold their hashes only', async () => {
    await head.ask('POST', '/api/invitations', { id: newId(), email: 'secret.keeper@room.example', role: 'coach' });
    const token = await linkTo(head, 'secret.keeper@room.example');
    const models = app.app.get<Models>(MODELS);
    const kept = JSON.stringify([
      await models.invitation.findAll(),
      await models.passwordReset.findAll(),
      await models.letter.findAll(),
    ]);
    expect(kept).not.toContain(token);
  });

  test('when a role changes, what somebody may do should change at once', async () => {
    const coach = await joined(app, head, 'coach', 'Changing Role');
    const { accountId } = (await peopleOf(head)).members.find((m) => m.email === coach.email)!;
    expect((await coach.ask('POST', '/api/undo', { editId: newId() })).status).toBe(409);
    await head.ask('PATCH', `/api/members/${accountId}`, { role: 'student' });
    expect(await coach.ask('POST', '/api/undo', { editId: newId() })).toMatchObject({
      status: 403,
      body: { code: 'not-allowed' },
    });
    expect((await coach.ask('GET', '/api/people')).status).toBe(403);
  });

  test('when a coach leaves, what they logged should stay, and their session be over', async () => {
    const coach = await joined(app, head, 'coach', 'Leaving Soon');
    const { angleId } = await newPiece(coach);
    const { clip } = await newClip(coach, angleId);
    const { accountId } = (await peopleOf(head)).members.find((m) => m.email === coach.email)!;
    expect((await head.ask('DELETE', `/api/members/${accountId}`)).status).toBe(204);
    expect((await coach.ask('GET', '/api/me')).status).toBe(401);
    const signIn = await app
      .client()
      .ask('POST', '/api/sign-in', { email: coach.email, password: 'long enough to hold' });
    expect(signIn.status).toBe(401);
    expect((await libraryOf(head)).clips.some((c) => c.id === clip.id)).toBe(true);
    expect((await peopleOf(head)).members.some((m) => m.email === coach.email)).toBe(false);
    // and comes back by a new invitation
    await head.ask('POST', '/api/invitations', { id: newId(), email: coach.email, role: 'coach' });
    const token = await linkTo(head, coach.email);
    const back = { token, name: '', password: 'long enough to hold' };
    expect((await app.client().ask('POST', '/api/invitation/accept', back)).status).toBe(200);
  });

  test('when the last head would go, it should be refused; also when two go at the same time', async () => {
    const own = (await meOf(head)).account.id;
    expect(await head.ask('DELETE', '/api/me/membership')).toMatchObject({ status: 409, body: { code: 'last-head' } });
    expect((await head.ask('PATCH', `/api/members/${own}`, { role: 'coach' })).status).toBe(409);
    const second = await joined(app, head, 'head', 'Second Head');
    const { accountId } = (await peopleOf(head)).members.find((m) => m.email === second.email)!;
    const both = await Promise.all([
      head.ask('PATCH', `/api/members/${own}`, { role: 'coach' }),
      second.ask('PATCH', `/api/members/${accountId}`, { role: 'coach' }),
    ]);
    expect(both.map((a) => a.status).sort()).toEqual([200, 409]);
    const left = both[0].status === 200 ? second : head;
    await left.ask('PATCH', `/api/members/${own}`, { role: 'head' });
    expect((await meOf(head)).role).toBe('head');
  });

  test('when sessions are listed, one can be ended, and all others', async () => {
    const coach = await joined(app, head, 'coach', 'Many Places');
    const again = await app.signedIn({ email: coach.email, password: 'long enough to hold' });
    const third = await app.signedIn({ email: coach.email, password: 'long enough to hold' });
    const list = (await coach.ask('GET', '/api/sessions')).body as readonly SessionLook[];
    expect([list.length, list.filter((s) => s.isThis).length]).toEqual([3, 1]);
    const those = (await again.ask('GET', '/api/sessions')).body as readonly SessionLook[];
    expect((await coach.ask('DELETE', `/api/sessions/${those.find((s) => s.isThis)!.id}`)).status).toBe(200);
    expect((await again.ask('GET', '/api/me')).status).toBe(401);
    expect((await coach.ask('DELETE', '/api/sessions')).body).toHaveLength(1);
    expect((await third.ask('GET', '/api/me')).status).toBe(401);
    const own = list.find((s) => s.isThis)!.id;
    expect((await head.ask('DELETE', `/api/sessions/${own}`)).status).toBe(404);
  });
});

describe('persons', () => {
  let app: TestApp, head: Client;
  beforeAll(async () => {
    app = await TestApp.start({ demo: 'rooms' });
    head = await app.signedIn(COACH);
  });
  afterAll(() => app.stop());
  const personOf = async (client: Client, id: string) => (await libraryOf(client)).persons.find((p) => p.id === id);

  test('when a person is made and changed, it should be kept, undone, and stay with the academy', async () => {
    const id = newId();
    await head.ask('POST', '/api/persons', { editId: newId(), id, name: 'Tove Arden', member: true, age: 'minor' });
    expect(await personOf(head, id)).toMatchObject({ member: true, athlete: false, age: 'minor', shownTo: null });
    const changes = { shownTo: 'academy', filming: true, level: 'second year' };
    await head.ask('PATCH', `/api/persons/${id}`, { editId: newId(), baseVersion: 1, changes });
    expect(await personOf(head, id)).toMatchObject(changes);
    await head.ask('POST', '/api/undo', { editId: newId() });
    expect(await personOf(head, id)).toMatchObject({ shownTo: null, filming: null, level: null });
    const stranger = await app.signedIn(OTHER_COACH);
    const edit = { editId: newId(), baseVersion: 1, changes: { name: 'x' } };
    expect((await stranger.ask('PATCH', `/api/persons/${id}`, edit)).status).toBe(404);
    const theirs = (await meOf(stranger)).account.id;
    const foreign = { editId: newId(), baseVersion: 3, changes: { accountId: theirs } };
    expect((await head.ask('PATCH', `/api/persons/${id}`, foreign)).status).toBe(400);
  });

  test('when somebody is on footage, they should stay; otherwise they go to the bin', async () => {
    const { footage } = await newPiece(head);
    const remove = (id: string) => head.ask('DELETE', `/api/persons/${id}`, { editId: newId(), baseVersion: 1 });
    expect(await remove(footage.athleteA)).toMatchObject({
      status: 409,
      body: { code: 'in-use', facts: { count: 1 } },
    });
    const id = newId();
    await head.ask('POST', '/api/persons', { editId: newId(), id, name: 'Nobody Yet' });
    expect((await remove(id)).status).toBe(200);
    expect(await personOf(head, id)).toBeUndefined();
  });

  test('when somebody may not be shown to the academy, a student should see neither their footage nor its picture', async () => {
    const student = await joined(app, head, 'student', 'Only Looking');
    const { footage, file } = await newPiece(head);
    const sees = async (): Promise<readonly [boolean, number, number]> => [
      (await libraryOf(student)).footage.some((f) => f.id === footage.id),
      (await student.ask('GET', `/api/files/${file.id}/times`)).status,
      (await student.raw(`/api/files/${file.id}/media`)).status,
    ];
    expect(await sees()).toEqual([false, 404, 404]);
    for (const id of [footage.athleteA, footage.athleteB])
      await head.ask('PATCH', `/api/persons/${id}`, {
        editId: newId(),
        baseVersion: 1,
        changes: { shownTo: 'academy' },
      });
    expect(await sees()).toEqual([true, 200, 200]);
    // the same file turns out to show others too, who may not be seen: it goes out whole or not at all
    await newFootageOf(head, file.id, 'In the background');
    expect(await sees()).toEqual([false, 404, 404]);
  });
});
