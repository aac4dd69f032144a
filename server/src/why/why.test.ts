import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { v7 as newId } from 'uuid';
import { PRINCIPLE, TODO, drawingRequest } from '../testing/bodies.js';
import { libraryOf, newClip, newPiece } from '../testing/requests.js';
import { COACH, OTHER_COACH, TestApp, type Client } from '../testing/testApp.js';

describe('what must and may be, lists that stay open, and drawings', () => {
  let app: TestApp, coach: Client, other: Client;
  let angleId: string, footageId: string, clipId: string, athleteId: string;
  beforeAll(async () => {
    app = await TestApp.start({ demo: 'rooms' });
    coach = await app.signedIn(COACH);
    other = await app.signedIn(OTHER_COACH);
    const piece = await newPiece(coach);
    ({ angleId } = piece);
    footageId = piece.footage.id;
    athleteId = piece.footage.athleteA;
    clipId = (await newClip(coach, angleId)).clip.id;
  });
  afterAll(() => app.stop());

  const post = (path: string, body: object) =>
    coach.ask('POST', `/api/${path}`, { editId: newId(), id: newId(), ...body });
  /** The fields that are refused, with why. */
  const refused = async (asked: ReturnType<typeof post>): Promise<readonly unknown[]> => {
    const { status, body } = await asked;
    const { facts } = body as { facts?: { fields?: { field: string; fault: { code: string } }[] } };
    return [status, ...(facts?.fields ?? []).map((f) => `${f.field} ${f.fault.code}`)];
  };

  test('when a principle is kept, changed and taken away, each should be undone, and what it says be there', async () => {
    const id = newId();
    await coach.ask('POST', '/api/principles', { editId: newId(), id, ...PRINCIPLE, clipsFor: [clipId] });
    const of = async () => (await libraryOf(coach)).principles.find((p) => p.id === id);
    expect(await of()).toMatchObject({ ...PRINCIPLE, standing: 'kept', view: { kind: 'academy' }, clipsFor: [clipId] });
    const changes = { standing: 'other', view: { kind: 'speaker', name: 'the corner' } };
    await coach.ask('PATCH', `/api/principles/${id}`, { editId: newId(), baseVersion: 1, changes });
    expect(await of()).toMatchObject(changes);
    await coach.ask('DELETE', `/api/principles/${id}`, { editId: newId(), baseVersion: 2 });
    expect(await of()).toBeUndefined();
    for (const expected of [changes, { standing: 'kept' }]) {
      await coach.ask('POST', '/api/undo', { editId: newId() });
      expect(await of()).toMatchObject(expected);
    }
  });

  test('when an entry and a drawing are made, changed and taken away, each should be undone and redone', async () => {
    for (const [list, body, first, then] of [
      ['todos', TODO, { status: 'open' }, { status: 'done' }],
      ['drawings', drawingRequest(angleId), { holdMs: 0 }, { holdMs: 1500 }],
    ] as const) {
      const id = newId();
      expect((await post(list, { ...body, ...first, id })).status).toBeLessThan(300);
      const of = async (): Promise<unknown> => (await libraryOf(coach))[list].find((row) => row.id === id);
      await coach.ask('PATCH', `/api/${list}/${id}`, { editId: newId(), baseVersion: 1, changes: then });
      await coach.ask('DELETE', `/api/${list}/${id}`, { editId: newId(), baseVersion: 2 });
      expect(await of()).toBeUndefined();
      for (const expected of [then, first]) {
        await coach.ask('POST', '/api/undo', { editId: newId() });
        expect(await of()).toMatchObject(expected);
      }
      await coach.ask('POST', '/api/redo', { editId: newId() });
      expect(await of()).toMatchObject(then);
    }
  });

  test('when two coaches say the same of one entry, the second should be told what the first said, and nothing be lost', async () => {
    const id = newId();
    await post('todos', { ...TODO, id });
    const say = (status: string) =>
      coach.ask('PATCH', `/api/todos/${id}`, { editId: newId(), baseVersion: 1, changes: { status } });
    expect((await say('done')).status).toBe(200);
    const late = await say('dropped');
    expect([late.status, late.body]).toMatchObject([
      409,
      { code: 'stale', facts: { fields: [{ field: 'status', yours: 'dropped', theirs: 'done' }] } },
    ]);
    expect((await libraryOf(coach)).todos.find((t) => t.id === id)).toMatchObject({ status: 'done' });
  });

  test('when a principle cannot be so, each part should be named', async () => {
    const scope = { ...PRINCIPLE.scope };
    const none = { state: null, does: null, action: null, reaction: null, hold: null };
    const cases: readonly (readonly [object, string])[] = [
      [{ scope: none }, 'scope missing'],
      [{ scope: { ...scope, state: { position: 'half-guard', role: 'attacker' } } }, 'scope.state.role no-role'],
      [{ scope: { ...scope, action: 'no-such-thing' } }, 'scope.action not-here'],
      [{ pattern: { ...PRINCIPLE.pattern, value: 'seven' } }, 'pattern.value not-one-of'],
      [{ pattern: null, answer: 'armlock' }, 'scope.reaction missing'],
      [{ answer: 'armlock', scope: { ...scope, reaction: 'frames' } }, 'answer not-possible'],
      [{ strength: 'habit' }, 'habitOf missing'],
      [{ habitOf: athleteId }, 'habitOf not-possible'],
      [{ strength: 'habit', habitOf: newId() }, 'habitOf not-here'],
      [{ clipsAgainst: [clipId, newId()] }, 'clipsAgainst.1 not-here'],
    ];
    for (const [changes, fault] of cases)
      expect(await refused(post('principles', { ...PRINCIPLE, ...changes }))).toEqual([400, fault]);
    expect((await post('principles', { ...PRINCIPLE, strength: 'habit', habitOf: athleteId })).status).toBe(200);
  });

  test('when an entry of a list names what is elsewhere, it should be refused; its frame goes with its footage', async () => {
    const at = { angleId, frame: 5 };
    const cases: readonly (readonly [object, string])[] = [
      [{ footageId: newId() }, 'footageId not-here'],
      [{ clipIds: [newId()] }, 'clipIds.0 not-here'],
      [{ personIds: [newId()] }, 'personIds.0 not-here'],
      [{ at }, 'at.angleId other-footage'],
      [{ footageId, at: { angleId, frame: 99_999_999 } }, 'at.frame outside-footage'],
      [{ opened: '2026-02-31' }, 'opened no-day'],
      [{ parts: [{ id: newId(), name: 'x', clipId: newId(), isCutOff: false }] }, 'parts.0.clipId not-here'],
    ];
    for (const [changes, fault] of cases)
      expect(await refused(post('todos', { ...TODO, ...changes }))).toEqual([400, fault]);
    const id = newId();
    await coach.ask('POST', '/api/todos', { editId: newId(), id, ...TODO, footageId, at, personIds: [athleteId] });
    expect((await libraryOf(coach)).todos.find((t) => t.id === id)).toMatchObject({ ...TODO, at, status: 'open' });
  });

  test('when a collection names clips that aren’t there, it should be refused; one that has gone since may stay', async () => {
    const name = 'for Tuesday';
    expect(await refused(post('collections', { name, clipIds: [clipId, newId()] }))).toEqual([
      400,
      'clipIds.1 not-here',
    ]);
    expect(await refused(post('collections', { name, clipIds: [clipId, clipId] }))).toEqual([400, 'clipIds.1 twice']);
    const [id, more] = [newId(), (await newClip(coach, angleId)).clip.id];
    expect((await post('collections', { id, name, clipIds: [more, clipId] })).status).toBe(200);
    await coach.ask('DELETE', `/api/clips/${more}`, { editId: newId(), baseVersion: 1 });
    const turned = { editId: newId(), baseVersion: 1, changes: { clipIds: [clipId, more] } };
    expect((await coach.ask('PATCH', `/api/collections/${id}`, turned)).status).toBe(200);
    const live = { editId: newId(), baseVersion: 2, changes: { clipIds: [], filter: [{ facet: 'gi', value: 'gi' }] } };
    await coach.ask('PATCH', `/api/collections/${id}`, live);
    const kept = (await libraryOf(coach)).collections.find((c) => c.id === id);
    expect(kept).toMatchObject({ name, clipIds: [], filter: [{ facet: 'gi', value: 'gi' }] });
  });

  test('when a drawing lies beside the footage, ends before it begins, or a shape lacks points, it should be refused', async () => {
    const drawing = drawingRequest(angleId);
    const [shape] = drawing.shapes;
    const cases: readonly (readonly [object, string])[] = [
      [{ fromFrame: 99_999_999, toFrame: 99_999_999 }, 'fromFrame outside-footage'],
      [{ toFrame: 9 }, 'toFrame not-after'],
      [{ shapes: [{ ...shape, points: shape!.points.slice(1) }] }, 'shapes.0.points not-possible'],
      [{ shapes: [{ ...shape, points: [{ x: 1.5, y: 0 }] }] }, 'shapes.0.points.0.x too-large'],
      [
        {
          track: [
            { t: 5, x: 0, y: 0 },
            { t: 4, x: 0, y: 0 },
          ],
        },
        'track.1.t not-after',
      ],
    ];
    for (const [changes, fault] of cases)
      expect(await refused(post('drawings', { ...drawing, ...changes }))).toEqual([400, fault]);
  });

  test('when stretches of a clip overlap, or end before they begin, they should be refused', async () => {
    const instant = (frame: number) => ({ frame, pts: 0 });
    const stretch = (from: number, to: number) => ({
      ...{ id: newId(), in: instant(from), out: instant(to), kind: 'fast' },
    });
    const say = (...views: readonly object[]) =>
      coach.ask('PATCH', `/api/clips/${clipId}`, { editId: newId(), baseVersion: 1, changes: { views } });
    expect(await refused(say(stretch(1, 5), stretch(4, 9)))).toEqual([400, 'changes.views.1 not-possible']);
    expect(await refused(say(stretch(5, 5)))).toEqual([400, 'changes.views.0 not-after']);
    expect((await say(stretch(1, 5), stretch(5, 9))).status).toBe(200);
  });

  test('when its footage goes into the bin and comes back, a drawing should go and come with it', async () => {
    const piece = await newPiece(coach);
    const drawing = drawingRequest(piece.angleId);
    await coach.ask('POST', '/api/drawings', drawing);
    const there = async (): Promise<boolean> => (await libraryOf(coach)).drawings.some((d) => d.id === drawing.id);
    expect(await there()).toBe(true);
    const { version } = (await libraryOf(coach)).footage.find((f) => f.id === piece.footage.id)!;
    await coach.ask('DELETE', `/api/footage/${piece.footage.id}`, { editId: newId(), baseVersion: version });
    expect(await there()).toBe(false);
    await coach.ask('POST', '/api/bin/restore', { editId: newId(), kind: 'footage', id: piece.footage.id });
    expect(await there()).toBe(true);
  });

  test('when ids of another academy are named, they should be as good as none', async () => {
    const drawing = drawingRequest(angleId);
    expect((await other.ask('POST', '/api/drawings', drawing)).status).toBe(404);
    const principle = { editId: newId(), id: newId(), ...PRINCIPLE, clipsFor: [clipId] };
    expect(await refused(other.ask('POST', '/api/principles', principle))).toEqual([400, 'clipsFor.0 not-here']);
    const todo = { editId: newId(), id: newId(), ...TODO, footageId };
    expect(await refused(other.ask('POST', '/api/todos', todo))).toEqual([400, 'footageId not-here']);
  });
});
