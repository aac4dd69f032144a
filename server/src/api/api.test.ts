import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { KeptRoute } from '@odograph/core';
import type { Me, People } from '@odograph/core/contract';
import { v7 as newId } from 'uuid';
import type { AcademyId } from '../database/academyId.js';
import { JobsRepository } from '../queue/jobs.repository.js';
import { EXAMPLES, PLAN, PRINCIPLE, ROUTE_STEP, TODO, WORD, drawingRequest } from '../testing/bodies.js';
import { joined } from '../testing/people.js';
import { libraryOf, newClip, newPiece } from '../testing/requests.js';
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

/** What is open to anybody, and what a student may do besides looking at the library. Everything else must be closed. */
const OPEN = [
  'GET /api/health',
  'GET /api/openapi.json',
  'POST /api/sign-in',
  'POST /api/academies',
  'POST /api/founding',
  'POST /api/password-resets',
  'POST /api/password',
  'POST /api/invitation',
  'POST /api/invitation/accept',
];
const FOR_STUDENTS = [
  'GET /api/files/{id}/captions',
  'GET /api/news/since',
  'GET /api/news/stream',
  'GET /api/follow/stream',
  'GET /api/me',
  'POST /api/files/{id}/prepare',
  'POST /api/me/academy',
  'DELETE /api/me/membership',
  'POST /api/sign-out',
  'GET /api/sessions',
  'DELETE /api/sessions',
  'DELETE /api/sessions/{id}',
  'GET /api/library',
  'GET /api/files/{id}/media',
  'GET /api/files/{id}/times',
  'GET /api/files/{id}/prepared',
  'GET /api/files/{id}/proxy',
  'GET /api/files/{id}/proxy/times',
  'GET /api/files/{id}/part',
  'GET /api/files/{id}/part/times',
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
  'GET /api/letters',
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
    const principle = { editId: newId(), id: newId(), ...PRINCIPLE };
    expect((await head.ask('POST', '/api/principles', principle)).status).toBe(200);
    const todo = { editId: newId(), id: newId(), ...TODO };
    expect((await head.ask('POST', '/api/todos', todo)).status).toBe(200);
    const collection = { editId: newId(), id: newId(), name: 'for Tuesday' };
    expect((await head.ask('POST', '/api/collections', collection)).status).toBe(200);
    const policy = { editId: newId(), id: newId(), school: 'hold back' };
    expect((await head.ask('POST', '/api/policies', policy)).status).toBe(200);
    const plan = { editId: newId(), id: newId(), ...PLAN };
    expect((await head.ask('POST', '/api/plans', plan)).status).toBe(200);
    const drawing = drawingRequest(angleId);
    expect((await head.ask('POST', '/api/drawings', drawing)).status).toBe(200);
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
      principles: principle.id,
      todos: todo.id,
      collections: collection.id,
      plans: plan.id,
      policies: policy.id,
      drawings: drawing.id,
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

  test('when half a pair of characters stands in any text of any body, or in any part of an address, no route should fail over it', async () => {
    const faults: string[] = [];
    let tried = 0;
    const halved = (value: unknown, at: string): readonly (readonly [string, unknown])[] => {
      if (typeof value === 'string') return [[at, `${value}\ud83e`]];
      if (Array.isArray(value))
        return value.flatMap((item, i) =>
          halved(item, `${at}.${i}`).map(([path, one]) => [path, value.with(i, one)] as const),
        );
      if (typeof value !== 'object' || value === null) return [];
      return Object.entries(value).flatMap(([name, inner]) =>
        halved(inner, `${at}.${name}`).map(([path, one]) => [path, { ...value, [name]: one }] as const),
      );
    };
    const note = async (what: string, answer: Promise<{ readonly status: number }>): Promise<void> => {
      tried++;
      const { status } = await answer;
      if (status >= 500) faults.push(`${what}: ${status}`);
    };
    for (const route of routes.filter((r) => r.body))
      for (const [at, body] of halved(EXAMPLES[nameOf(route)]!(), ''))
        // as it travels: JSON names the half by its number
        await note(`${nameOf(route)} ${at}`, other.ask(route.method, filled(route.path), JSON.stringify(body)));
    for (const route of routes.filter((r) => r.path.includes('{')))
      await note(nameOf(route), ask(other, route, filled(route.path).replace(/[0-9a-f]{4}(?=\/|$)/, '%ED%A0%BE')));
    expect(faults).toEqual([]);
    expect(tried).toBeGreaterThan(150);
  });

  test('when an address only looks like one that is known, every route that takes one should refuse it by name', async () => {
    const taking = routes.filter((r) => r.body?.properties?.['email']);
    expect(taking.length).toBeGreaterThanOrEqual(4);
    for (const route of taking)
      for (const email of [
        'coach@lantern\u200bwood.example',
        'ｃoach@lanternwood.example',
        'coach@lanternwood.example\u0007',
      ]) {
        const { status, body } = await head.ask(route.method, filled(route.path), {
          ...EXAMPLES[nameOf(route)]!(),
          email,
        });
        const { facts } = body as { facts: { fields: { field: string }[] } };
        expect([nameOf(route), status, facts.fields.map((f) => f.field)]).toEqual([nameOf(route), 400, ['email']]);
      }
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
