import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { KeptRoute } from '@odograph/core';
import type { Me, People } from '@odograph/core/contract';
import { v7 as newId } from 'uuid';
import type { AcademyId } from '../database/academyId.js';
import { JobsRepository } from '../jobs/jobs.repository.js';
import { joined } from '../testing/people.js';
import { clipRequest, libraryOf, newClip, newPiece } from '../testing/requests.js';
import { COACH, OTHER_COACH, TestApp, type Client } from '../testing/testApp.js';
import type { OpenApi } from './openApi.js';

type Schema = {
  readonly type?: string;
  readonly properties?: Record<string, Schema>;
  readonly required?: readonly string[];
};
type Walked = {
  readonly method: string;
  readonly path: string;
  readonly isOpen: boolean;
  readonly body: Schema | undefined;
};

const ROUTE_STEP = { from: 'turtle/top', action: 'back-take', to: 'back/attacker', clipId: null, cue: '', note: '' };
const WORD = {
  kind: 'reaction',
  key: 'own-walk',
  name: 'walks off',
  hidden: false,
  definition: { kind: 'reaction' },
  scope: { kind: 'academy' },
};
const FOOTAGE = { title: 't', setting: 'training', logged: 'picked', live: true, gi: true, counted: true };
const athlete = (name: string) => ({ id: newId(), name });

/** A body for every route that takes one; each is right by itself. */
const EXAMPLES: Readonly<Record<string, () => Record<string, unknown>>> = {
  'POST /api/sign-in': () => ({ email: 'nobody@room.example', password: 'x' }),
  'POST /api/academies': () => ({
    academyId: newId(),
    academyName: 'A room',
    timeZone: 'UTC',
    name: 'Somebody',
    email: COACH.email,
    password: 'not the right one',
  }),
  'POST /api/password-resets': () => ({ email: 'nobody@room.example' }),
  'POST /api/password': () => ({ token: 'spent', password: 'a password of ten' }),
  'POST /api/me/academy': () => ({ academyId: newId() }),
  'POST /api/invitations': () => ({ id: newId(), email: COACH.email, role: 'coach' }),
  'POST /api/invitation': () => ({ token: 'spent' }),
  'POST /api/invitation/accept': () => ({ token: 'spent', name: 'Somebody', password: 'a password of ten' }),
  'PATCH /api/members/{accountId}': () => ({ role: 'coach' }),
  'POST /api/persons': () => ({
    editId: newId(),
    id: newId(),
    name: 'Somebody',
    athlete: true,
    member: false,
    accountId: null,
    level: null,
    age: null,
    filming: null,
    shownTo: null,
  }),
  'PATCH /api/persons/{id}': () => ({
    editId: newId(),
    baseVersion: 1,
    changes: { name: 'Somebody', shownTo: 'academy' },
  }),
  'DELETE /api/persons/{id}': () => ({ editId: newId(), baseVersion: 1 }),
  'POST /api/undo': () => ({ editId: newId() }),
  'POST /api/bin/restore': () => ({ editId: newId(), kind: 'clip', id: newId() }),
  'POST /api/footage': () => ({
    editId: newId(),
    id: newId(),
    angleId: newId(),
    fileId: newId(),
    athleteA: athlete('A'),
    athleteB: athlete('B'),
    ...FOOTAGE,
    date: null,
    kitA: '',
    kitB: '',
  }),
  'POST /api/footage/{id}/angles': () => ({
    editId: newId(),
    id: newId(),
    fileId: newId(),
    offsetMs: 0,
    rate: 1,
    kind: 'live',
    fromFrame: null,
    toFrame: null,
  }),
  'PATCH /api/angles/{id}': () => ({ editId: newId(), baseVersion: 1, changes: { offsetMs: 10, rate: 1 } }),
  'DELETE /api/angles/{id}': () => ({ editId: newId(), baseVersion: 1 }),
  'PUT /api/files/{id}/captions': () => ({ text: '00:01.000 --> 00:02.000\nwords' }),
  'POST /api/cuts': () => ({ id: newId(), clipIds: [newId()], format: 'mp4' }),
  'POST /api/uploads/{id}/done': () => ({ sha256: '0'.repeat(64) }),
  'PATCH /api/footage/{id}': () => ({
    editId: newId(),
    baseVersion: 1,
    changes: { ...FOOTAGE, athleteA: athlete('A') },
  }),
  'DELETE /api/footage/{id}': () => ({ editId: newId(), baseVersion: 1 }),
  'POST /api/clips': () => clipRequest(newId()),
  'POST /api/attempts/{id}/looks': () => ({ editId: newId(), clip: clipRequest(newId()).clip }),
  'POST /api/clips/many': () => {
    const { editId, ...clip } = clipRequest(newId());
    return { editId, clips: [clip] };
  },
  'PATCH /api/attempts/{id}': () => ({ editId: newId(), baseVersion: 1, changes: { depth: 2, action: 'armlock' } }),
  'PATCH /api/clips/{id}': () => ({ editId: newId(), baseVersion: 1, changes: { note: 'x', inFrame: 1 } }),
  'DELETE /api/clips/{id}': () => ({ editId: newId(), baseVersion: 1 }),
  'PUT /api/words': () => ({ editId: newId(), id: newId(), baseVersion: null, aliases: [], ...WORD }),
  'POST /api/words/aliases': () => ({
    editId: newId(),
    lines: [{ kind: 'position', key: 'mount', aliasId: newId(), changeId: newId(), alias: 'x' }],
  }),
  'DELETE /api/words/{id}': () => ({ editId: newId(), baseVersion: 1 }),
  'POST /api/redo': () => ({ editId: newId() }),
  'POST /api/moments': () => ({
    editId: newId(),
    id: newId(),
    angleId: newId(),
    atFrame: 1,
    pressedFrame: 2,
    speed: 1,
  }),
  'PATCH /api/moments/{id}': () => ({ editId: newId(), baseVersion: 1, changes: { note: 'n' } }),
  'DELETE /api/moments/{id}': () => ({ editId: newId(), baseVersion: 1 }),
  'POST /api/routes': () => ({ editId: newId(), id: newId(), name: 'r', steps: [{ id: newId(), ...ROUTE_STEP }] }),
  'PATCH /api/routes/{id}': () => ({ editId: newId(), baseVersion: 1, changes: { name: 'r' } }),
  'DELETE /api/routes/{id}': () => ({ editId: newId(), baseVersion: 1 }),
};

/** What is open to anybody, and what a student may do besides looking at the library. Everything else must be closed. */
const OPEN = [
  'GET /api/health',
  'GET /api/openapi.json',
  'POST /api/sign-in',
  'POST /api/academies',
  'POST /api/password-resets',
  'POST /api/password',
  'POST /api/invitation',
  'POST /api/invitation/accept',
];
const FOR_STUDENTS = [
  'GET /api/files/{id}/captions',
  'GET /api/news/since',
  'GET /api/news/stream',
  'GET /api/me',
  'POST /api/files/{id}/prepare',
  'POST /api/me/academy',
  'DELETE /api/me/membership',
  'POST /api/sign-out',
  'GET /api/sessions',
  'DELETE /api/sessions',
  'DELETE /api/sessions/{id}',
  'GET /api/library',
  'GET /api/export/library.json',
  'GET /api/export/map.graphml',
  'GET /api/files/{id}/media',
  'GET /api/files/{id}/times',
  'GET /api/files/{id}/prepared',
  'GET /api/files/{id}/proxy',
  'GET /api/files/{id}/proxy/times',
  'GET /api/files/{id}/strip',
  'GET /api/files/{id}/look',
  'GET /api/files/{id}/sound',
  'GET /api/files/{id}/stills/{frame}',
  'GET /api/routes/{id}/cues.vtt',
  'GET /api/map/rows',
  'GET /api/library/base',
  'GET /api/library/part',
];
const FOR_HEADS = [
  'GET /api/outbox',
  'POST /api/invitations',
  'DELETE /api/invitations/{id}',
  'PATCH /api/members/{accountId}',
  'DELETE /api/members/{accountId}',
];

describe('every route', () => {
  let app: TestApp, head: Client, other: Client, student: Client, coach: Client;
  let routes: readonly Walked[];
  beforeAll(async () => {
    app = await TestApp.start({ demo: 'rooms', signInTries: 10_000 });
    head = await app.signedIn(COACH);
    other = await app.signedIn(OTHER_COACH);
    student = await joined(app, head, 'student', 'Walks Student');
    coach = await joined(app, head, 'coach', 'Walks Coach');
    const { paths } = (await app.client().ask('GET', '/api/openapi.json')).body as OpenApi;
    routes = Object.entries(paths).flatMap(([path, operations]) =>
      Object.entries(operations).map(([verb, { security, requestBody }]): Walked => ({
        method: verb.toUpperCase(),
        path,
        isOpen: security.length === 0,
        body: (requestBody as { content: Record<string, { schema: Schema }> } | undefined)?.content['application/json']!
          .schema,
      })),
    );
  });
  afterAll(() => app.stop());
  const nameOf = ({ method, path }: Walked): string => `${method} ${path}`;
  const filled = (path: string): string =>
    path
      .replace(/\{frame\}/, '1')
      .replace(/\{kind\}/, 'clip')
      .replace(/\{\w+\}/g, () => newId());
  const ask = (client: Client, route: Walked, path = filled(route.path)) =>
    client.ask(route.method, path, EXAMPLES[nameOf(route)]?.());

  test('when the description is asked for, it should name exactly the routes that the server has', () => {
    type Layer = { readonly route?: { readonly path: string; readonly methods: Record<string, boolean> } };
    const { router } = app.app.getHttpAdapter().getInstance() as unknown as { router: { stack: readonly Layer[] } };
    const there = router.stack.flatMap(({ route }) =>
      route ? Object.keys(route.methods).map((m) => `${m.toUpperCase()} ${route.path.replace(/:(\w+)/g, '{$1}')}`) : [],
    );
    expect(routes.map(nameOf).sort()).toEqual(there.sort());
    expect(there.length).toBeGreaterThanOrEqual(40);
  });

  test('when a route takes a body, it should be described field by field, and an example stand here', () => {
    const bodies = routes.filter((r) => r.body);
    expect(bodies.map(nameOf).sort()).toEqual(Object.keys(EXAMPLES).sort());
    for (const route of bodies)
      expect([nameOf(route), Object.keys(route.body!.properties!).sort()]).toEqual([
        nameOf(route),
        expect.arrayContaining(Object.keys(EXAMPLES[nameOf(route)]!())),
      ]);
  });

  test('when an answer has come, its connection should stay open for longer than clients and proxies wait', async () => {
    const { headers } = await coach.raw('/api/health');
    expect(Number(/timeout=(\d+)/.exec(headers.get('keep-alive') ?? '')?.[1])).toBeGreaterThan(60);
  });

  test('when nobody is signed in, every route that is not meant to be open should say so', async () => {
    expect(
      routes
        .filter((r) => r.isOpen)
        .map(nameOf)
        .sort(),
    ).toEqual([...OPEN].sort());
    for (const route of routes.filter((r) => !r.isOpen)) {
      const { status } = await ask(app.client(), route);
      expect([nameOf(route), status]).toEqual([nameOf(route), 401]);
      expect([nameOf(route), (await ask(app.client('odograph_session=forged'), route)).status]).toEqual([
        nameOf(route),
        401,
      ]);
    }
  });

  test('when a student or a coach asks for more than their role may do, every such route should refuse', async () => {
    for (const route of routes.filter((r) => !r.isOpen)) {
      const name = nameOf(route);
      if (!FOR_STUDENTS.includes(name)) expect([name, (await ask(student, route)).status]).toEqual([name, 403]);
      if (FOR_HEADS.includes(name)) expect([name, (await ask(coach, route)).status]).toEqual([name, 403]);
    }
  });

  test('when the ids of another academy are given, every route should answer as if there were none', async () => {
    const { file, footage, angleId } = await newPiece(head);
    const { clip, attempt } = await newClip(head, angleId);
    const route = { editId: newId(), id: newId(), name: 'r', steps: [{ id: newId(), ...ROUTE_STEP }] };
    const made = (await head.ask('POST', '/api/routes', route)).body as { routes: KeptRoute[] };
    await head.ask('PUT', '/api/words', { editId: newId(), id: newId(), baseVersion: null, aliases: [], ...WORD });
    const { members } = (await head.ask('GET', '/api/people')).body as People;
    const momentId = newId();
    const moment = { editId: newId(), id: momentId, angleId, atFrame: 1, pressedFrame: 2, speed: 1 };
    expect((await head.ask('POST', '/api/moments', moment)).status).toBe(200);
    const uploadId = newId();
    const said = { id: uploadId, name: 'x.mp4' };
    const metadata = Object.entries(said).map(([k, v]) => `${k} ${Buffer.from(v).toString('base64')}`);
    await head.send('POST', '/api/incoming', { 'upload-length': '9', 'upload-metadata': metadata.join() });
    const { academy } = await libraryOf(head);
    const jobs = app.app.get(JobsRepository);
    await jobs.add(academy.id as AcademyId, 'proxy', file.id);
    const cutId = newId();
    await head.ask('POST', '/api/cuts', { id: cutId, clipIds: [newId()], format: 'mp4' });
    const jobId = (await jobs.told(academy.id as AcademyId)).find((j) => j.kind === 'proxy')!.id;
    const id = newId();
    await head.ask('POST', '/api/invitations', { id, email: 'open@room.example', role: 'coach' });
    const theirs: Readonly<Record<string, string>> = {
      files: file.id,
      angles: angleId,
      uploads: uploadId,
      jobs: jobId,
      cuts: cutId,
      footage: footage.id,
      clips: clip.id,
      moments: momentId,
      attempts: attempt.id,
      persons: footage.athleteA,
      routes: made.routes[0]!.id,
      words: (await libraryOf(head)).wordChanges[0]!.id,
      members: members.at(-1)!.accountId,
      invitations: id,
      sessions: ((await head.ask('GET', '/api/sessions')).body as { id: string }[])[0]!.id,
      references: clip.id,
    };
    const before = JSON.stringify([await libraryOf(head), (await head.ask('GET', '/api/people')).body]);
    for (const route of routes.filter((r) => r.path.includes('{') && r.method !== 'PUT')) {
      const kind = route.path.split('/')[2]!;
      const path = filled(route.path.replace(/\{(id|accountId)\}/, theirs[kind]!));
      const { status, body } = await ask(other, route, path);
      // what refers to a thing that is not there: nothing
      if (kind === 'references') expect(body).toEqual({ clips: 0, attempts: 0, footage: [], routes: [] });
      else expect([nameOf(route), status]).toEqual([nameOf(route), 404]);
    }
    expect(JSON.stringify([await libraryOf(head), (await head.ask('GET', '/api/people')).body])).toBe(before);
  });

  test('when any field of any body is missing or broken, it should be named and nothing be changed', async () => {
    const state = async (): Promise<string> =>
      JSON.stringify([
        await libraryOf(head),
        (await head.ask('GET', '/api/people')).body,
        ((await head.ask('GET', '/api/me')).body as Me).role,
      ]);
    const before = await state();
    const broken = (schema: Schema): unknown =>
      schema.type === undefined || ['object', 'array'].includes(schema.type) ? 7 : { broken: true };
    const faults: string[] = [];
    let tried = 0;
    const wrongFields = async (route: Walked, body: unknown): Promise<readonly string[]> => {
      const answer = await head.ask(route.method, filled(route.path), body);
      const { facts } = answer.body as { facts?: { fields?: { field: string }[] } };
      return answer.status === 400 ? (facts?.fields ?? []).map((f) => f.field) : [];
    };
    const walk = async (route: Walked, schema: Schema, at: readonly string[]): Promise<void> => {
      for (const [name, property] of Object.entries(schema.properties ?? {})) {
        const path = [...at, name];
        const variant = (value: unknown): unknown => {
          const body = structuredClone(EXAMPLES[nameOf(route)]!());
          const parent = at.reduce<Record<string, unknown>>((o, key) => o[key] as Record<string, unknown>, body);
          if (value === undefined) delete parent[name];
          else parent[name] = value;
          return body;
        };
        const isNamed = async (value: unknown): Promise<void> => {
          tried++;
          const fields = await wrongFields(route, variant(value));
          if (!fields.some((f) => f === path.join('.') || f.startsWith(`${path.join('.')}.`)))
            faults.push(`${nameOf(route)} ${path.join('.')} = ${JSON.stringify(value)}: ${fields.join()}`);
        };
        await isNamed(broken(property));
        if (schema.required?.includes(name)) await isNamed(undefined);
        const example = EXAMPLES[nameOf(route)]!();
        const inside = path.reduce<unknown>((o, key) => (o as Record<string, unknown> | undefined)?.[key], example);
        if (property.properties && typeof inside === 'object') await walk(route, property, path);
      }
    };
    for (const route of routes.filter((r) => r.body)) await walk(route, route.body!, []);
    expect(faults).toEqual([]);
    expect(tried).toBeGreaterThan(150);
    expect(await state()).toBe(before);
  });
});
