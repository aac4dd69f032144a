import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { BARE_HOLD, type Attempt, type Clip, type Control } from '@odograph/core';
import { v7 as newId } from 'uuid';
import { libraryOf, newClip, newPiece } from '../testing/requests.js';
import { COACH, TestApp, type Client } from '../testing/testApp.js';

/** A frame as the browser sends it: the presentation time is put in by the server, from the file. */
const at = (frame: number) => ({ frame, pts: -1 });

describe('what is said of an attempt in detail', () => {
  let app: TestApp, coach: Client;
  beforeAll(async () => {
    app = await TestApp.start({ demo: 'rooms' });
    coach = await app.signedIn(COACH);
  });
  afterAll(() => app.stop());

  const made = async (): Promise<{ attempt: Attempt; clip: Clip; angleId: string }> => {
    const { angleId } = await newPiece(coach);
    const { attempt, clip } = await newClip(coach, angleId);
    return { attempt, clip, angleId };
  };
  const change = (what: 'attempts' | 'clips', id: string, changes: object, baseVersion = 1) =>
    coach.ask('PATCH', `/api/${what}/${id}`, { editId: newId(), baseVersion, changes });
  const attemptNow = async (id: string): Promise<Attempt> =>
    (await libraryOf(coach)).attempts.find((a) => a.id === id)!;
  const clipNow = async (id: string): Promise<Clip> => (await libraryOf(coach)).clips.find((c) => c.id === id)!;
  const fieldsOf = (body: unknown): string[] =>
    (body as { facts: { fields: { field: string }[] } }).facts.fields.map((f) => f.field);

  test('when mistakes, doubts and a wanted reaction are said, they should be kept with the times of the file, and undone one by one', async () => {
    const { attempt, clip } = await made();
    const frame = clip.in.frame + 3;
    const error = { id: newId(), by: 'opponent', cause: 'given away', what: 'late', until: at(frame) };
    const doubt = { field: 'action', kind: 'unknown', text: 'the rolling thing', at: at(frame) };
    await change('attempts', attempt.id, { errors: [error] });
    await change('attempts', attempt.id, { doubts: [doubt], wanted: 'frames', intent: 'bait' }, 2);
    const now = await attemptNow(attempt.id);
    expect(now).toMatchObject({
      errors: [{ ...error, until: { frame, pts: expect.any(Number) } }],
      doubts: [{ ...doubt, at: { frame } }],
      wanted: 'frames',
    });
    expect(now.errors[0]!.until!.pts).toBeGreaterThanOrEqual(clip.in.pts);
    await coach.ask('POST', '/api/undo', { editId: newId() });
    expect(await attemptNow(attempt.id)).toMatchObject({ errors: [{ what: 'late' }], doubts: [], wanted: null });
    await coach.ask('POST', '/api/undo', { editId: newId() });
    expect((await attemptNow(attempt.id)).errors).toEqual([]);
  });

  test('when a part is set that was only proposed, it should be said, and be proposed again when that is undone', async () => {
    const { attempt } = await made();
    await change('attempts', attempt.id, { result: 'failed', proposed: ['stateRole', 'result'] });
    expect((await attemptNow(attempt.id)).proposed).toEqual(['stateRole', 'result']);
    await change('attempts', attempt.id, { result: 'failed' }, 2);
    expect(await attemptNow(attempt.id)).toMatchObject({ result: 'failed', proposed: ['stateRole'] });
    await coach.ask('POST', '/api/undo', { editId: newId() });
    expect(await attemptNow(attempt.id)).toMatchObject({ result: 'failed', proposed: ['stateRole', 'result'] });
    for (const wrong of [['result', 'result'], ['grips'], 'result'])
      expect((await change('attempts', attempt.id, { proposed: wrong }, 4)).status).toBe(400);
  });

  test('when an attempt is said to answer what was met elsewhere, that should be kept and undone, and refused by name where a word is not known', async () => {
    const { attempt } = await made();
    const answer = {
      ...{ id: newId(), from: { position: 'closed-guard', role: 'bottom' } },
      ...{ action: 'hip-bump', reaction: 'posts' },
    };
    await change('attempts', attempt.id, { answers: [answer] });
    expect(await attemptNow(attempt.id)).toMatchObject({ answers: [answer] });
    const wrong = { ...answer, from: { position: 'closed-guard', role: 'attacker' }, reaction: 'no-such-word' };
    expect(fieldsOf((await change('attempts', attempt.id, { answers: [wrong] }, 2)).body)).toEqual([
      'changes.answers.0.from.role',
      'changes.answers.0.reaction',
    ]);
    expect((await change('attempts', attempt.id, { answers: [{ id: newId() }] }, 2)).status).toBe(400);
    await coach.ask('POST', '/api/undo', { editId: newId() });
    expect((await attemptNow(attempt.id)).answers).toEqual([]);
  });

  test('when words are not of this academy, a part has two doubts, or an instant lies outside, each should be refused by name', async () => {
    const { attempt } = await made();
    const error = { id: newId(), by: 'subject', cause: 'brought about', what: 'no-such-word', until: null };
    expect(fieldsOf((await change('attempts', attempt.id, { errors: [error] })).body)).toEqual([
      'changes.errors.0.what',
    ]);
    expect(fieldsOf((await change('attempts', attempt.id, { wanted: 'no-such-word' })).body)).toEqual([
      'changes.wanted',
    ]);
    const doubt = { field: 'state', kind: 'unsure', text: '', at: at(5) };
    expect((await change('attempts', attempt.id, { doubts: [doubt, doubt] })).status).toBe(400);
    const far = await change('attempts', attempt.id, { doubts: [{ ...doubt, at: at(9_000_000) }] });
    expect(fieldsOf(far.body)).toEqual(['changes.doubts.0.at']);
    expect(await attemptNow(attempt.id)).toMatchObject({ version: 1, doubts: [], errors: [] });
  });

  test('when a hold is said to be deep, turned, handed over and won, it should be kept so', async () => {
    const { attempt } = await made();
    const hold: Control = {
      ...BARE_HOLD,
      ...{ id: newId(), holder: 'subject', limb: 'hand', limbSide: 'right', kind: 'grip', target: 'collar' },
      ...{ targetOwner: 'other', targetSide: 'left', cloth: true },
      ...{ depth: 'deep', thumb: 'in', handed: true, won: true },
    };
    await change('attempts', attempt.id, { controls: [hold] });
    expect((await attemptNow(attempt.id)).controls).toEqual([hold]);
  });

  test('when key moments and loops are put on a clip, they should be kept with their times; a loop that ends before it begins is refused', async () => {
    const { clip } = await made();
    const [one, two] = [clip.in.frame + 2, clip.in.frame + 6];
    const loop = { id: newId(), in: at(one), out: at(two), speed: 0.25 };
    await change('clips', clip.id, { keyMoments: [{ name: 'grips on', at: at(one) }], loops: [loop] });
    expect(await clipNow(clip.id)).toMatchObject({
      version: 2,
      keyMoments: [{ name: 'grips on', at: { frame: one } }],
      loops: [{ in: { frame: one }, out: { frame: two }, speed: 0.25 }],
    });
    const kept = await clipNow(clip.id);
    expect(kept.keyMoments[0]!.at.pts).toBeGreaterThan(clip.in.pts);
    expect(kept.loops[0]!.out.pts).toBeGreaterThan(kept.loops[0]!.in.pts);
    const turned = await change('clips', clip.id, { loops: [{ ...loop, in: at(two), out: at(one) }] }, 2);
    expect(fieldsOf(turned.body)).toEqual(['changes.loops.0.out']);
    const twice = [one, two].map((frame) => ({ name: 'control', at: at(frame) }));
    expect((await change('clips', clip.id, { keyMoments: twice }, 2)).status).toBe(400);
  });

  test('when a link is set by hand, it should go to an attempt of the same footage only', async () => {
    const { attempt, angleId } = await made();
    const next = (await newClip(coach, angleId)).attempt;
    await change('attempts', next.id, { followsId: attempt.id });
    expect((await attemptNow(next.id)).followsId).toBe(attempt.id);
    await change('attempts', next.id, { followsId: null, isCut: true }, 2);
    expect(await attemptNow(next.id)).toMatchObject({ followsId: null, isCut: true });
    const elsewhere = (await made()).attempt;
    expect(fieldsOf((await change('attempts', next.id, { followsId: elsewhere.id }, 3)).body)).toEqual([
      'changes.followsId',
    ]);
  });
});
