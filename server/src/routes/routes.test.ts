import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { KeptRoute } from '@odograph/core';
import type { BinItem, References } from '@odograph/core/contract';
import { v7 as newId } from 'uuid';
import { libraryOf, newClip, newPiece } from '../testing/requests.js';
import { COACH, OTHER_COACH, STUDENT, TestApp, type Client } from '../testing/testApp.js';

describe('kept routes', () => {
  let app: TestApp, coach: Client, clipId: string;
  beforeAll(async () => {
    app = await TestApp.start({ demo: 'rooms' });
    coach = await app.signedIn(COACH);
    const { angleId } = await newPiece(coach);
    ({ id: clipId } = (await newClip(coach, angleId)).clip);
  });
  afterAll(() => app.stop());

  const steps = () => [
    { id: newId(), from: 'turtle/top', action: 'back-take', to: 'back/attacker', clipId, cue: 'Hips low', note: '' },
    {
      id: newId(),
      from: 'back/attacker',
      action: 'rear-choke',
      to: 'won:rear-choke',
      clipId: null,
      cue: '',
      note: 'Slow',
    },
  ];
  const make = async (name = 'From turtle'): Promise<KeptRoute> => {
    const request = { editId: newId(), id: newId(), name, steps: steps() };
    const { body } = await coach.ask('POST', '/api/routes', request);
    return (body as { routes: KeptRoute[] }).routes[0]!;
  };
  const routeOf = async (id: string) => (await libraryOf(coach)).routes.find((r) => r.id === id);
  const edit = (route: KeptRoute, changes: object) =>
    coach.ask('PATCH', `/api/routes/${route.id}`, { editId: newId(), baseVersion: route.version, changes });

  test('when a route is kept, it should come back with its steps in order, and changes be undone', async () => {
    const route = await make();
    expect((await routeOf(route.id))!.steps.map((s) => [s.action, s.cue])).toEqual([
      ['back-take', 'Hips low'],
      ['rear-choke', ''],
    ]);
    const changed = [{ ...route.steps[0]!, cue: 'Chest first', clipId: null }, route.steps[1]!];
    expect((await edit(route, { steps: changed })).status).toBe(200);
    expect((await routeOf(route.id))!.steps[0]).toMatchObject({ cue: 'Chest first', clipId: null });
    await coach.ask('POST', '/api/undo', { editId: newId() });
    expect((await routeOf(route.id))!.steps[0]).toMatchObject({ cue: 'Hips low', clipId });
  });

  test('when more write at once than there are connections, each should come to its turn: an edit asks nothing beside its own', async () => {
    // what the words are is asked anew by each first one
    await coach.ask('POST', '/api/undo', { editId: newId() });
    const request = (name: string): object => ({ editId: newId(), id: newId(), name, steps: steps() });
    const many = Array.from({ length: 40 }, (_, i) => coach.ask('POST', '/api/routes', request(`Route ${i}`)));
    // whoever waits for a connection that is never free gives up after a minute, and is told so
    expect(new Set((await Promise.all(many)).map(({ status }) => status))).toEqual(new Set([200]));
  });

  test('when steps say unknown words, too little, or what is not there, each should be named; one that starts elsewhere may stand', async () => {
    const [first, second] = steps() as [object, object];
    const broken: readonly (readonly [object[], string])[] = [
      [[{ ...first, action: 'teleport' }], 'steps.0.action'],
      [[{ ...first, action: null }], 'steps.0.action'],
      [[{ ...first, from: 'floating/top' }], 'steps.0.from'],
      [[{ ...first, to: 'back/even' }], 'steps.0.to'],
      [[{ ...first, clipId: newId() }], 'steps.0.clipId'],
      [[{ ...first, clips: [{ role: 'slow', clipId: newId() }] }], 'steps.0.clips.0.clipId'],
      [[{ ...first, clips: ['slow', 'slow'].map((role) => ({ role, clipId })) }], 'steps.0.clips.1'],
      [[{ id: newId(), kind: 'talk' }], 'steps.0.title'],
      [[first, { ...second, branch: newId() }], 'steps.1.branch'],
      [[{ ...first, branch: newId() }], 'steps'],
      [[], 'steps'],
    ];
    for (const [wrong, field] of broken) {
      const request = { editId: newId(), id: newId(), name: 'x', steps: wrong };
      const { status, body } = await coach.ask('POST', '/api/routes', request);
      const { fields } = (body as { facts: { fields: { field: string }[] } }).facts;
      expect([status, fields[0]!.field]).toEqual([400, field]);
    }
    const elsewhere = { editId: newId(), id: newId(), name: 'x', steps: [first, { ...second, from: 'mount/top' }] };
    expect((await coach.ask('POST', '/api/routes', elsewhere)).status).toBe(200);
  });

  test('when branches lead nowhere, twice the same way or round in a circle, it should be named; one that joins or leads back may stand', async () => {
    const route = await make('With branches');
    const [first, second] = route.steps as [KeptRoute['steps'][number], KeptRoute['steps'][number]];
    const on = { kind: 'reaction', reaction: 'frames' };
    const way = { id: newId(), from: first.id, on, joins: second.id };
    const ask = async (branches: object[], more: object[] = []): Promise<readonly unknown[]> => {
      const { status, body } = await edit(route, {
        branches,
        ...(more.length ? { steps: [...route.steps, ...more] } : {}),
      });
      const { facts } = body as { facts?: { fields?: { field: string; fault: { code: string } }[] } };
      return [status, ...(facts?.fields ?? []).map((f) => `${f.field} ${f.fault.code}`)];
    };
    expect(await ask([{ ...way, from: newId() }])).toEqual([400, 'changes.branches.0.from not-here']);
    expect(await ask([{ ...way, joins: newId() }])).toEqual([400, 'changes.branches.0.joins not-here']);
    expect(await ask([{ ...way, joins: null }])).toEqual([400, 'changes.branches.0.joins missing']);
    expect(await ask([way, { ...way, id: newId() }])).toEqual([400, 'changes.branches.1.on twice']);
    const unknown = { kind: 'reaction', reaction: 'flies-off' };
    expect(await ask([{ ...way, on: unknown }])).toEqual([400, 'changes.branches.0.on.reaction not-here']);
    const look = (branch: string): object => ({ id: newId(), kind: 'look', title: 'the elbow', branch });
    const [a, b] = [look(way.id), look('')] as { id: string }[];
    const other = { ...way, id: newId(), on: { kind: 'choice', text: 'they wait' }, joins: a!.id };
    const round = [{ ...way, joins: b!.id }, other];
    expect(await ask(round, [a!, { ...b!, branch: other.id }])).toEqual([400, 'changes.branches.1.joins goes-round']);
    expect(await ask([way, { ...other, joins: first.id }])).toEqual([200]);
    expect((await routeOf(route.id))!.branches).toMatchObject([way, { joins: first.id }]);
  });

  test('when two coaches change name and steps of one route, both should stand; the same field is asked about', async () => {
    const route = await make('Old name');
    expect((await edit(route, { name: 'New name' })).status).toBe(200);
    const changed = [{ ...route.steps[0]!, cue: 'Other cue' }, route.steps[1]!];
    expect((await edit(route, { steps: changed })).status).toBe(200);
    expect(await edit(route, { name: 'Third name' })).toMatchObject({
      status: 409,
      body: { code: 'stale', facts: { fields: [{ field: 'name', yours: 'Third name', theirs: 'New name' }] } },
    });
    expect(await routeOf(route.id)).toMatchObject({ name: 'New name', steps: [{ cue: 'Other cue' }, {}] });
  });

  test('when a clip is shown by a route, that should be said before it goes; the step then stands without it', async () => {
    const route = await make('Shows a clip');
    const said = (await coach.ask('GET', `/api/references/clip/${clipId}`)).body as References;
    expect(said.routes).toContain('Shows a clip');
    await coach.ask('DELETE', `/api/routes/${route.id}`, { editId: newId(), baseVersion: 1 });
    expect(await routeOf(route.id)).toBeUndefined();
    const bin = (await coach.ask('GET', '/api/bin')).body as readonly BinItem[];
    expect(bin.find((i) => i.id === route.id)).toMatchObject({ kind: 'route', name: 'Shows a clip' });
    await coach.ask('POST', '/api/bin/restore', { editId: newId(), kind: 'route', id: route.id });
    expect((await routeOf(route.id))!.steps).toHaveLength(2);
  });

  test('when timed text is asked for, cues and cautions should be in it; another academy has none', async () => {
    const route = await make('For the wall');
    const { status, body, headers } = await coach.ask('GET', `/api/routes/${route.id}/cues.vtt`);
    expect([status, headers.get('content-type')]).toEqual([200, 'text/vtt; charset=utf-8']);
    expect(body).toMatch(/^WEBVTT - For the wall\n/);
    expect(body).toMatch(/Hips low[\s\S]*Caution, rear choke/);
    const other = await app.signedIn(OTHER_COACH);
    expect((await other.ask('GET', `/api/routes/${route.id}/cues.vtt`)).status).toBe(404);
    expect((await other.ask('DELETE', `/api/routes/${route.id}`, { editId: newId(), baseVersion: 1 })).status).toBe(
      404,
    );
    const foreignClip = { editId: newId(), id: newId(), name: 'x', steps: steps() };
    expect((await other.ask('POST', '/api/routes', foreignClip)).status).toBe(400);
    const student = await app.signedIn(STUDENT);
    expect((await student.ask('GET', `/api/routes/${route.id}/cues.vtt`)).status).toBe(200);
  });
});
