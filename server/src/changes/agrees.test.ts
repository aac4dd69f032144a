import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import {
  BARE_CLIP,
  BARE_DRAWING,
  BARE_HOLD,
  BARE_PRINCIPLE,
  BARE_ROUTE,
  BARE_STEP,
  BARE_TODO,
  LISTED,
  LISTS,
  applyEdit,
  draftAttempt,
  requestOf,
  seenVersion,
  type Clip,
  type Doing,
  type Drawing,
  type Instant,
  type Library,
  type LibraryEdit,
  type AcademyPolicy,
  type KeptRoute,
  type Principle,
  type Todo,
} from '@odograph/core';
import fc from 'fast-check';
import { v7 as newId } from 'uuid';
import { PLAN, PRINCIPLE, TODO, drawingRequest } from '../testing/bodies.js';
import { libraryOf, newClip, newPiece } from '../testing/requests.js';
import { COACH, TestApp, type Client } from '../testing/testApp.js';

/** Rows as far as both sides know them: versions, and what only the server fills in, are left out. */
const known = (library: Library): unknown => {
  const plain = (rows: readonly object[]): unknown[] =>
    rows
      .map((row): Record<string, unknown> => ({ ...row, version: 0, accountId: null }))
      .sort((a, b) => (String(a['id']) < String(b['id']) ? -1 : 1));
  const edited = LISTED.filter((kind) => kind !== 'file').map((kind) => library[LISTS[kind]]);
  return [...edited, library.wordChanges].map(plain);
};

describe('what an edit is shown to do, and what the server does with it', () => {
  let app: TestApp, coach: Client, angleId: string, footageId: string;
  let ticks: (frame: number) => Instant;
  beforeAll(async () => {
    app = await TestApp.start({ demo: 'rooms' });
    coach = await app.signedIn(COACH);
    const piece = await newPiece(coach);
    ({ angleId } = piece);
    footageId = piece.footage.id;
    const { clip } = await newClip(coach, angleId, { clip: { inFrame: 0, outFrame: 100 } });
    const each = (clip.out.pts - clip.in.pts) / 100;
    ticks = (frame) => ({ frame, pts: clip.in.pts + Math.round(frame * each) });
  });
  afterAll(() => app.stop());

  const agree = async (doing: Doing): Promise<Library> => {
    const edit: LibraryEdit = { ...doing, editId: newId() };
    const before = await libraryOf(coach);
    const { url, method, body } = requestOf(edit, seenVersion(edit, before));
    const answer = await coach.ask(method, `/api/${url}`, body);
    expect([url, answer.status, answer.status >= 400 ? answer.body : null]).toEqual([url, expect.any(Number), null]);
    const after = await libraryOf(coach);
    expect(known(after)).toEqual(known(applyEdit(before, edit)));
    return after;
  };
  const fresh = (inFrame: number, outFrame: number, id = newId()) => {
    const [start, end] = [ticks(inFrame), ticks(outFrame)];
    const attempt = draftAttempt({ id, footageId, angleId, subject: 'a', start, end });
    const clip: Clip = { ...BARE_CLIP, id: newId(), version: 0, attemptId: id, angleId, in: start, out: end };
    return { attempt, clip };
  };

  test('when records of every kind are made, changed and put in the bin, both should come to the same rows', async () => {
    const one = fresh(10, 60);
    const hold = {
      ...BARE_HOLD,
      id: newId(),
      holder: 'subject',
      limb: 'hand',
      limbSide: 'left',
      kind: 'grip',
    } as const;
    const control = { ...hold, target: 'collar', targetOwner: 'other', targetSide: null, cloth: true } as const;
    const said = { ...one.attempt, action: 'armlock', controls: [control], commit: ticks(30) } as const;
    await agree({ kind: 'new clip', attempt: said, clip: { ...one.clip, note: 'slow' } });
    await agree({ kind: 'new clips', made: [fresh(60, 90), fresh(70, 95)] });
    const look: Clip = { ...one.clip, id: newId(), in: ticks(12), out: ticks(50) };
    await agree({ kind: 'new look', clip: look });
    const id = one.attempt.id;
    const state = { position: 'mount', role: 'top' } as const;
    await agree({ kind: 'attempt', id, changes: { state, result: 'success', proposed: ['stateRole', 'result'] } });
    await agree({ kind: 'attempt', id, changes: { result: 'failed', start: ticks(12), end: ticks(55), commit: null } });
    await agree({ kind: 'attempt', id, changes: { controls: [], followsId: null, depth: 2 } });
    const aim = { kind: 'submission', submission: 'collar-choke' } as const;
    await agree({ kind: 'attempt', id, changes: { aim, runName: 'the long way' } });
    await agree({ kind: 'clip', id: one.clip.id, changes: { in: ticks(20), out: ticks(52) } });
    await agree({
      ...{ kind: 'clip', id: one.clip.id },
      changes: {
        seen: 'back',
        keyMoments: [
          { name: 'grips on', at: ticks(25) },
          { name: 'hips switch', at: ticks(31) },
        ],
        loops: [],
      },
    });
    const person = {
      id: newId(),
      version: 0,
      name: 'Ana Ruel',
      athlete: true,
      member: false,
      accountId: null,
    } as const;
    await agree({ kind: 'new person', person: { ...person, level: 'blue', age: null, filming: null, shownTo: null } });
    await agree({ kind: 'person', id: person.id, changes: { age: 'adult', filming: true } });
    await agree({
      kind: 'footage',
      id: footageId,
      changes: { title: 'Said anew', athleteB: { id: newId(), name: 'Lio Tarn' } },
    });
    await agree({ kind: 'angle', id: angleId, changes: { offsetMs: 250, leftMark: 'the door' } });
    const region = { left: 0.7, top: 0, right: 1, bottom: 0.3 };
    await agree({ kind: 'angle', id: angleId, changes: { region } });
    await agree({ kind: 'angle', id: angleId, changes: { region: null } });
    const at = { at: ticks(40), pressed: ticks(44) };
    const moment = { ...at, id: newId(), version: 0, footageId, angleId, speed: 1, settled: false, accountId: null };
    await agree({ kind: 'new moment', moment: { ...moment, attemptId: null, state: null, subject: null, note: '' } });
    await agree({ kind: 'moment', id: moment.id, changes: { at: ticks(38) } });
    await agree({ kind: 'moment', id: moment.id, changes: { attemptId: id, note: 'there' } });
    await agree({ kind: 'remove', what: 'moment', id: moment.id });
    const step = { id: newId(), from: 'mount/top', action: 'armlock', to: 'won:straight-armlock', clipId: one.clip.id };
    const first = { ...BARE_STEP, ...step };
    const route: KeptRoute = { id: newId(), version: 0, name: 'To the arm', steps: [first], ...BARE_ROUTE };
    await agree({ kind: 'new route', route });
    await agree({ kind: 'route', id: route.id, changes: { name: 'The arm' } });
    const way = { id: newId(), from: first.id, on: { kind: 'choice' as const, text: 'they hold on' }, joins: null };
    const turned = { ...BARE_STEP, id: newId(), kind: 'look' as const, title: 'the elbow', branch: way.id };
    await agree({ kind: 'route', id: route.id, changes: { steps: [first, turned], branches: [way] } });
    await agree({ kind: 'remove', what: 'route', id: route.id });
    const principle = {
      ...BARE_PRINCIPLE,
      ...(PRINCIPLE as Omit<Principle, 'id' | 'version'>),
      id: newId(),
      version: 0,
    };
    await agree({ kind: 'new principle', principle });
    await agree({ kind: 'principle', id: principle.id, changes: { strength: 'usual', clipsFor: [one.clip.id] } });
    await agree({ kind: 'remove', what: 'principle', id: principle.id });
    const todo = { ...BARE_TODO, ...(TODO as Pick<Todo, 'kind' | 'text' | 'opened'>), id: newId(), version: 0 };
    await agree({ kind: 'new todo', todo });
    await agree({ kind: 'todo', id: todo.id, changes: { due: '2026-04-01', footageId, at: { angleId, frame: 12 } } });
    await agree({ kind: 'todo', id: todo.id, changes: { status: 'done', clipIds: [one.clip.id] } });
    await agree({ kind: 'remove', what: 'todo', id: todo.id });
    const gathered = { id: newId(), version: 0, name: 'for Tuesday', clipIds: [one.clip.id], filter: null };
    await agree({ kind: 'new collection', collection: gathered });
    const filter = [{ facet: 'gi', value: 'gi' }];
    await agree({ kind: 'collection', id: gathered.id, changes: { clipIds: [], filter } });
    await agree({ kind: 'remove', what: 'collection', id: gathered.id });
    const policy: AcademyPolicy = { id: newId(), version: 0, school: 'hold back', rows: [] };
    await agree({ kind: 'new policy', policy });
    await agree({ kind: 'policy', id: policy.id, changes: { school: 'early, controlled' } });
    const plan = { ...PLAN, id: newId(), version: 0 };
    await agree({ kind: 'new plan', plan });
    await agree({ kind: 'plan', id: plan.id, changes: { name: 'by the long way' } });
    await agree({ kind: 'remove', what: 'plan', id: plan.id });
    const shapes = drawingRequest(angleId).shapes as Drawing['shapes'];
    const frames = { from: ticks(10), to: ticks(20) };
    const drawn = { ...BARE_DRAWING, ...frames, id: newId(), version: 0, footageId, angleId, shapes };
    await agree({ kind: 'new drawing', drawing: drawn });
    await agree({ kind: 'drawing', id: drawn.id, changes: { to: ticks(25), holdMs: 1500, shapes: [] } });
    const view = { id: newId(), in: ticks(4), out: ticks(9), kind: 'referee' } as const;
    await agree({ kind: 'clip', id: one.clip.id, changes: { views: [view] } });
    const word = { id: newId(), version: 0, kind: 'action', key: 'armlock', name: 'cross arm' } as const;
    await agree({ kind: 'word', change: word });
    await agree({ kind: 'remove', what: 'word', id: word.id });
    await agree({ kind: 'remove', what: 'clip', id: one.clip.id });
    await agree({ kind: 'remove', what: 'clip', id: look.id });
    await agree({ kind: 'remove', what: 'footage', id: footageId });
  });

  test('when the edges of a clip move anyhow, the instants of its attempt should come out alike', async () => {
    const piece = await newPiece(coach);
    ({ angleId } = piece);
    footageId = piece.footage.id;
    const frames = fc.uniqueArray(fc.nat(100), { minLength: 2, maxLength: 2 }).map((two) => two.sort((a, b) => a - b));
    const { attempt, clip } = fresh(20, 80);
    await agree({
      kind: 'new clip',
      attempt: { ...attempt, start: ticks(30), commit: ticks(50), end: ticks(70) },
      clip,
    });
    for (const [inFrame, outFrame] of fc.sample(frames, { numRuns: 12, seed: 20_261_129 }))
      await agree({ kind: 'clip', id: clip.id, changes: { in: ticks(inFrame!), out: ticks(outFrame!) } });
  });

  test('when an edit is sent once more after its row has gone, it should be known as done; one that was not, as too late', async () => {
    const { attempt, clip } = fresh(10, 60);
    await agree({ kind: 'new clip', attempt, clip });
    const send = (edit: LibraryEdit) => {
      const { url, method, body } = requestOf(edit, 1);
      return coach.ask(method, `/api/${url}`, body);
    };
    const said: LibraryEdit = { kind: 'attempt', editId: newId(), id: attempt.id, changes: { depth: 2 } };
    const noted: LibraryEdit = { kind: 'clip', editId: newId(), id: clip.id, changes: { note: 'low' } };
    for (const edit of [said, noted]) expect((await send(edit)).status).toBe(200);
    await agree({ kind: 'remove', what: 'clip', id: clip.id });
    for (const edit of [said, noted]) {
      expect((await send(edit)).status).toBe(200);
      expect((await send({ ...edit, editId: newId() })).status).toBe(404);
    }
  });

  test('when two change the edges of a clip at once, each should be checked against what the other has made of it', async () => {
    const { attempt, clip } = fresh(20, 60);
    await agree({ kind: 'new clip', attempt, clip });
    const now = async (): Promise<Clip> => (await libraryOf(coach)).clips.find((c) => c.id === clip.id)!;
    const cut = async (changes: object, { version }: Clip): Promise<number> =>
      (await coach.ask('PATCH', `/api/clips/${clip.id}`, { editId: newId(), baseVersion: version, changes })).status;
    for (let i = 0; i < 5; i++) {
      expect(await cut({ inFrame: 20, outFrame: 60 }, await now())).toBe(200);
      const seen = await now();
      const answers = await Promise.all([cut({ inFrame: 55 }, seen), cut({ outFrame: 30 }, seen)]);
      expect(answers.sort()).toEqual([200, 400]);
      const { in: inAt, out } = await now();
      expect(inAt.frame).toBeLessThan(out.frame);
    }
  });
});
