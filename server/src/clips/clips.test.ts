import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { BARE_HOLD, type Attempt, type Clip, type Library, type MediaFile } from '@odograph/core';
import { v7 as newId } from 'uuid';
import type { Models } from '../database/models.js';
import { MODELS } from '../database/tokens.js';
import { clipRequest, libraryOf, newClip, newFootageOf, newPiece } from '../testing/requests.js';
import { COACH, TestApp, type Client } from '../testing/testApp.js';

const control = (id: string, more: object = {}): object => ({
  id,
  holder: 'subject',
  limb: 'hand',
  limbSide: 'right',
  kind: 'grip',
  target: 'collar',
  targetOwner: 'other',
  targetSide: 'left',
  ...BARE_HOLD,
  cloth: true,
  gained: null,
  lost: null,
  ...more,
});

describe('clips and their attempts', () => {
  let app: TestApp, coach: Client, models: Models, film: MediaFile;
  beforeAll(async () => {
    app = await TestApp.start({ demo: 'rooms' });
    coach = await app.signedIn(COACH);
    models = app.app.get<Models>(MODELS);
    ({ file: film } = await newPiece(coach));
  });
  afterAll(() => app.stop());
  const attemptIn = (library: Library, id: string): Attempt | undefined => library.attempts.find((a) => a.id === id);
  /** Footage of its own; all of it on one file. */
  const piece = async (): Promise<Awaited<ReturnType<typeof newPiece>>> => ({
    file: film,
    ...(await newFootageOf(coach, film.id, 'A round')),
  });
  const edit = (attempt: { id: string; version: number }, changes: object, more: object = {}) =>
    coach.ask('PATCH', `/api/attempts/${attempt.id}`, {
      editId: newId(),
      baseVersion: attempt.version,
      changes,
      ...more,
    });

  test('when a clip is made, attempt and clip should be two records with frames and their presentation times', async () => {
    const { angleId, file } = await piece();
    const { attempt, clip } = await newClip(coach, angleId, { attempt: { state: { position: 'mount', role: 'top' } } });
    expect(attempt).toMatchObject({
      state: { position: 'mount', role: 'top' },
      action: null,
      result: null,
      start: { frame: 10 },
      end: { frame: 40 },
      version: 1,
    });
    expect(clip).toMatchObject({ attemptId: attempt.id, in: { frame: 10 }, out: { frame: 40 } });
    expect((clip.in.pts * file.timeBaseNum) / file.timeBaseDen).toBeCloseTo(10 / 25, 9);
  });

  test('when the same request comes twice, it should be done once and answered alike', async () => {
    const { angleId } = await piece();
    const request = clipRequest(angleId);
    const [first, second] = [
      await coach.ask('POST', '/api/clips', request),
      await coach.ask('POST', '/api/clips', request),
    ];
    expect(second.body).toEqual(first.body);
    expect(await models.edit.count({ where: { id: request.editId } })).toBe(1);
    expect(await models.clip.count({ where: { attemptId: request.attempt.id } })).toBe(1);
  });

  test('when an attempt is enriched field by field, each edit should be kept and read back', async () => {
    const { angleId } = await piece();
    let { attempt } = await newClip(coach, angleId);
    const [one, two, reaction, reason] = [newId(), newId(), newId(), newId()];
    const steps: object[] = [
      { state: { position: 'closed-guard', role: 'bottom' }, lead: 'left' },
      { action: 'triangle' },
      { controls: [control(one), control(two, { limbSide: 'left', gained: { frame: 12 }, lost: { frame: 30 } })] },
      { reactions: [{ id: reaction, what: 'postures', isAction: false, deciding: true }] },
      { finish: { kind: 'reset', how: 'edge', restart: { position: 'standing', role: 'even' } } },
      { result: 'failed', depth: 2, reasons: [{ id: reason, reason: 'no-angle', main: true }], commitFrame: 20 },
    ];
    for (const changes of steps) {
      const { status, body } = await edit(attempt, changes);
      expect(status).toBe(200);
      attempt = (body as { attempts: Attempt[] }).attempts[0]!;
    }
    const kept = attemptIn(await libraryOf(coach), attempt.id)!;
    expect(kept).toEqual(attempt);
    expect(kept).toMatchObject({
      lead: 'left',
      action: 'triangle',
      result: 'failed',
      depth: 2,
      commit: { frame: 20 },
      finish: { kind: 'reset', how: 'edge', restart: { position: 'standing', role: 'even' } },
    });
    expect(kept.controls.map((c) => [c.id, c.gained?.frame ?? null, c.lost?.frame ?? null])).toEqual([
      [one, null, null],
      [two, 12, 30],
    ]);
  });

  test('when controls have instants, their presentation times should be filled in by the server, whatever was sent', async () => {
    const { angleId } = await piece();
    const { attempt } = await newClip(coach, angleId);
    await edit(attempt, { controls: [control(newId(), { gained: { frame: 25, pts: 7 } })] });
    const [kept] = attemptIn(await libraryOf(coach), attempt.id)!.controls;
    expect(kept!.gained).toEqual({ frame: 25, pts: 90_000 });
  });

  test('when somebody else has changed it meanwhile, both values should come back and nothing be overwritten', async () => {
    const { angleId } = await piece();
    const { attempt } = await newClip(coach, angleId, { attempt: { action: 'armlock' } });
    await edit(attempt, { action: 'triangle' });
    const stale = await edit(attempt, { action: 'rear-choke' });
    expect(stale).toMatchObject({
      status: 409,
      body: {
        code: 'stale',
        facts: { version: 2, fields: [{ field: 'action', yours: 'rear-choke', theirs: 'triangle' }] },
      },
    });
    expect(attemptIn(await libraryOf(coach), attempt.id)!.action).toBe('triangle');
  });

  test('when an edge is moved, start and end should follow and stay inside', async () => {
    const { angleId } = await piece();
    const { attempt, clip } = await newClip(coach, angleId, { attempt: { commitFrame: 15 } });
    const { body } = await coach.ask('PATCH', `/api/clips/${clip.id}`, {
      editId: newId(),
      baseVersion: clip.version,
      changes: { inFrame: 20, outFrame: 35 },
    });
    const { attempts, clips } = body as { attempts: Attempt[]; clips: Clip[] };
    expect(clips[0]).toMatchObject({ in: { frame: 20 }, out: { frame: 35 }, version: 2 });
    expect(attempts[0]).toMatchObject({
      id: attempt.id,
      start: { frame: 20 },
      commit: { frame: 20 },
      end: { frame: 35 },
    });
  });

  test('when a clip goes to the bin, its attempt should go with it, stay in the database, and come back by undo', async () => {
    const { angleId } = await piece();
    const { attempt, clip } = await newClip(coach, angleId);
    const gone = await coach.ask('DELETE', `/api/clips/${clip.id}`, { editId: newId(), baseVersion: 1 });
    expect((gone.body as { removed: string[] }).removed).toEqual(expect.arrayContaining([clip.id, attempt.id]));
    expect(attemptIn(await libraryOf(coach), attempt.id)).toBeUndefined();
    expect(await models.clip.count({ where: { id: clip.id } })).toBe(1);
    await coach.ask('POST', '/api/undo', { editId: newId() });
    expect(attemptIn(await libraryOf(coach), attempt.id)).toBeDefined();
  });

  test('when edits are undone one after the other, each should be taken back, the newest first', async () => {
    const { angleId } = await piece();
    let { attempt } = await newClip(coach, angleId, { attempt: { action: 'armlock' } });
    const read = async (): Promise<Attempt> => attemptIn(await libraryOf(coach), attempt.id)!;
    for (const changes of [{ action: 'triangle' }, { controls: [control(newId())] }, { result: 'success' }]) {
      await edit(attempt, changes);
      attempt = await read();
    }
    const undo = (): Promise<{ status: number }> => coach.ask('POST', '/api/undo', { editId: newId() });
    await undo();
    expect(await read()).toMatchObject({ result: null, controls: [{ target: 'collar' }] });
    await undo();
    expect((await read()).controls).toEqual([]);
    await undo();
    expect(await read()).toMatchObject({ action: 'armlock' });
    await undo();
    expect(await read()).toBeUndefined();
  });

  test('when the field was changed again since, undo should say so and change nothing', async () => {
    const { angleId } = await piece();
    const { attempt, clip } = await newClip(coach, angleId);
    await edit(attempt, { action: 'triangle' });
    await models.attempt.update({ action: 'armlock', version: 3 }, { where: { id: attempt.id } });
    expect(await coach.ask('POST', '/api/undo', { editId: newId() })).toMatchObject({
      status: 409,
      body: { code: 'cannot-undo', facts: { field: 'action' } },
    });
    expect(attemptIn(await libraryOf(coach), attempt.id)!.action).toBe('armlock');
    await coach.ask('DELETE', `/api/clips/${clip.id}`, { editId: newId(), baseVersion: 1 });
  });

  test('when many clips come at once, all should be there or none, and one undo take them back', async () => {
    const { angleId } = await piece();
    const many = (n: number, more: object = {}) => ({
      editId: newId(),
      clips: Array.from({ length: n }, (_, i) => {
        const { editId, ...made } = clipRequest(angleId, { clip: { inFrame: i, outFrame: i + 9 } });
        void editId;
        return i === n - 1 ? { ...made, ...more } : made;
      }),
    });
    const here = async (): Promise<number> =>
      (await libraryOf(coach)).clips.filter((c) => c.angleId === angleId).length;
    const wrong = await coach.ask(
      'POST',
      '/api/clips/many',
      many(3, { attempt: { id: newId(), subject: 'a', action: 'teleport' } }),
    );
    expect(wrong).toMatchObject({ status: 400, body: { facts: { fields: [{ field: 'clips.2.attempt.action' }] } } });
    expect(await here()).toBe(0);
    expect((await coach.ask('POST', '/api/clips/many', many(200))).status).toBe(200);
    expect(await here()).toBe(200);
    await coach.ask('POST', '/api/undo', { editId: newId() });
    expect(await here()).toBe(0);
    expect((await coach.ask('POST', '/api/clips/many', many(201))).status).toBe(400);
  });

  test('when a hundred edits were undone, the one before should be out of reach', async () => {
    const { angleId } = await piece();
    let { attempt } = await newClip(coach, angleId);
    for (let i = 0; i < 102; i++) {
      const { body } = await edit(attempt, { depth: i % 5 });
      attempt = (body as { attempts: Attempt[] }).attempts[0]!;
    }
    const answers = [];
    for (let i = 0; i < 101; i++) answers.push((await coach.ask('POST', '/api/undo', { editId: newId() })).status);
    expect(answers).toEqual([...Array<number>(100).fill(200), 409]);
  });

  test('when the change records of an edit are read, they should say who, when, entity, field, before, after and base version', async () => {
    const { angleId } = await piece();
    const { attempt } = await newClip(coach, angleId, { attempt: { action: 'armlock' } });
    const editId = newId();
    await edit(attempt, { action: 'triangle' }, { editId });
    const records = (await models.changeRecord.findAll({ where: { editId } })).map((r) => r.get({ plain: true }));
    expect(records).toEqual([
      expect.objectContaining({
        entity: 'attempt',
        entityId: attempt.id,
        field: 'action',
        beforeValue: 'armlock',
        afterValue: 'triangle',
        baseVersion: 1,
      }),
    ]);
    const made = await models.edit.findOne({ where: { id: editId } });
    expect(made!.get('accountId')).toBeTruthy();
    expect(Math.abs((made!.get('at') as Date).getTime() - Date.now())).toBeLessThan(60_000);
  });

  test('when two people write at once, exactly one should win and the other be told', async () => {
    const { angleId } = await piece();
    const { attempt } = await newClip(coach, angleId);
    const answers = await Promise.all(['triangle', 'armlock', 'rear-choke'].map((action) => edit(attempt, { action })));
    expect(answers.map((a) => a.status).sort()).toEqual([200, 409, 409]);
  });
});
