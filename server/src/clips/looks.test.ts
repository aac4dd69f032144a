import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { Angle, Clip, Library, MediaFile } from '@odograph/core';
import { v7 as newId } from 'uuid';
import { libraryOf, newClip, newPiece } from '../testing/requests.js';
import { COACH, OTHER_COACH, TestApp, demoVideo, type Client } from '../testing/testApp.js';

describe('further angles of footage, and further looks at an attempt', () => {
  let app: TestApp, coach: Client, other: Client;
  beforeAll(async () => {
    app = await TestApp.start({ demo: 'rooms' });
    [coach, other] = [await app.signedIn(COACH), await app.signedIn(OTHER_COACH)];
  });
  afterAll(() => app.stop());

  const newFile = async (client: Client): Promise<MediaFile> =>
    (await client.put(`/api/files/${newId()}?name=phone.mp4`, await demoVideo('lantern-final-phone')))
      .body as MediaFile;
  /** Footage filmed twice: the second camera starts 2.5 s later. */
  const filmedTwice = async (): Promise<{ footageId: string; first: string; second: Angle; file: MediaFile }> => {
    const { footage, angleId } = await newPiece(coach);
    const file = await newFile(coach);
    const id = newId();
    const { body } = await coach.ask('POST', `/api/footage/${footage.id}/angles`, {
      editId: newId(),
      id,
      fileId: file.id,
      offsetMs: 2500,
    });
    const { angles } = body as { angles: Angle[] };
    return { footageId: footage.id, first: angleId, second: angles.find((a) => a.id === id)!, file };
  };
  const look = (attemptId: string, angleId: string, inFrame = 5, outFrame = 50, client = coach) =>
    client.ask('POST', `/api/attempts/${attemptId}/looks`, {
      editId: newId(),
      clip: { id: newId(), angleId, inFrame, outFrame, note: '' },
    });

  test('when a second file is added to footage, it should be an angle over all of it with its shift, done once', async () => {
    const { footageId, second, file } = await filmedTwice();
    expect(second).toMatchObject({ footageId, fromFrame: 0, toFrame: file.frames, offsetMs: 2500, rate: 1 });
    const request = { editId: newId(), id: newId(), fileId: file.id, offsetMs: 0 };
    const [one, two] = [
      await coach.ask('POST', `/api/footage/${footageId}/angles`, request),
      await coach.ask('POST', `/api/footage/${footageId}/angles`, request),
    ];
    const angles = (body: unknown): unknown => (body as { angles: Angle[] }).angles;
    expect(angles(two.body)).toEqual(angles(one.body));
    expect((await libraryOf(coach)).angles.filter((a) => a.footageId === footageId)).toHaveLength(3);
  });

  test('when an angle is moved, its offset and rate should be kept, and undone; a stretch that leaves clips outside is refused', async () => {
    const { second, first } = await filmedTwice();
    const change = (id: string, changes: object, baseVersion = 1) =>
      coach.ask('PATCH', `/api/angles/${id}`, { editId: newId(), baseVersion, changes });
    const moved = await change(second.id, { offsetMs: 3719.6, rate: 1.00004 });
    expect((moved.body as { angles: Angle[] }).angles[0]).toMatchObject({
      offsetMs: 3719.6,
      rate: 1.00004,
      version: 2,
    });
    await coach.ask('POST', '/api/undo', { editId: newId() });
    const angleNow = async (id: string): Promise<Angle | undefined> =>
      (await libraryOf(coach)).angles.find((a) => a.id === id);
    expect(await angleNow(second.id)).toMatchObject({ offsetMs: 2500, rate: 1 });
    const { clip } = await newClip(coach, first);
    const refused = await change(first, { fromFrame: clip.in.frame + 1 });
    expect([refused.status, refused.body]).toMatchObject([
      400,
      { facts: { fields: [{ field: 'changes.fromFrame', fault: { code: 'clips-outside' } }] } },
    ]);
    expect((await change(first, { fromFrame: clip.in.frame, toFrame: clip.out.frame })).status).toBe(200);
    expect((await change(first, { toFrame: 10_000_000 }, 2)).status).toBe(400);
    expect((await change(first, { fromFrame: 100, toFrame: 90 }, 2)).status).toBe(400);
  });

  test('when an angle is taken off, clips that are cut from it and the last one of a footage should keep it there', async () => {
    const { second, first } = await filmedTwice();
    const off = (id: string) => coach.ask('DELETE', `/api/angles/${id}`, { editId: newId(), baseVersion: 1 });
    await newClip(coach, first);
    expect((await off(first)).body).toMatchObject({ code: 'in-use', facts: { by: 'clips' } });
    expect((await off(second.id)).status).toBe(200);
    expect((await libraryOf(coach)).angles.some((a) => a.id === second.id)).toBe(false);
    expect((await off(first)).body).toMatchObject({ code: 'in-use', facts: { by: 'footage' } });
  });

  test('when an attempt is looked at from another angle, it should stay one attempt, with two clips', async () => {
    const { first, second } = await filmedTwice();
    const { attempt } = await newClip(coach, first);
    const { status, body } = await look(attempt.id, second.id);
    expect([status, (body as { clips: Clip[] }).clips[0]]).toMatchObject([
      200,
      { attemptId: attempt.id, angleId: second.id, in: { frame: 5 }, out: { frame: 50 } },
    ]);
    const library = await libraryOf(coach);
    expect(library.clips.filter((c) => c.attemptId === attempt.id)).toHaveLength(2);
    expect(library.attempts.filter((a) => a.id === attempt.id)).toEqual([attempt]);
  });

  test('when the edges of such a look are moved, the instants of the attempt should stay: they are frames of the other file', async () => {
    const { first, second } = await filmedTwice();
    const { attempt } = await newClip(coach, first);
    const { clips } = (await look(attempt.id, second.id)).body as { clips: Clip[] };
    const moved = await coach.ask('PATCH', `/api/clips/${clips[0]!.id}`, {
      editId: newId(),
      baseVersion: 1,
      changes: { inFrame: 30, outFrame: 35 },
    });
    expect((moved.body as { clips: Clip[] }).clips[0]).toMatchObject({ in: { frame: 30 }, out: { frame: 35 } });
    expect((await libraryOf(coach)).attempts.find((a) => a.id === attempt.id)).toEqual(attempt);
  });

  test('when a look is removed and taken back, the attempt should be there all the time, until its last clip goes', async () => {
    const { first, second } = await filmedTwice();
    const { attempt, clip } = await newClip(coach, first);
    const { clips } = (await look(attempt.id, second.id)).body as { clips: Clip[] };
    const there = async (): Promise<boolean> => (await libraryOf(coach)).attempts.some((a) => a.id === attempt.id);
    const remove = (id: string) => coach.ask('DELETE', `/api/clips/${id}`, { editId: newId(), baseVersion: 1 });
    await remove(clip.id);
    expect(await there()).toBe(true);
    await remove(clips[0]!.id);
    expect(await there()).toBe(false);
    await coach.ask('POST', '/api/bin/restore', { editId: newId(), kind: 'clip', id: clips[0]!.id });
    expect(await there()).toBe(true);
  });

  test('when a look lies on other footage or outside the file, it should be refused with the field; what is not ours is not there', async () => {
    const { first, second, file } = await filmedTwice();
    const { attempt } = await newClip(coach, first);
    const elsewhere = await newPiece(coach);
    expect((await look(attempt.id, elsewhere.angleId)).body).toMatchObject({
      facts: { fields: [{ field: 'clip.angleId' }] },
    });
    expect((await look(attempt.id, second.id, 5, file.frames + 1)).body).toMatchObject({
      facts: { fields: [{ field: 'clip.outFrame' }] },
    });
    expect((await look(attempt.id, second.id, 5, 50, other)).status).toBe(404);
    expect((await look(newId(), second.id)).status).toBe(404);
    const foreign = await newFile(other);
    const request = { editId: newId(), id: newId(), fileId: foreign.id, offsetMs: 0 };
    expect((await coach.ask('POST', `/api/footage/${elsewhere.footage.id}/angles`, request)).status).toBe(404);
  });

  test('when a try goes on with an earlier one or counters one, it should be kept; others than of the same footage are refused', async () => {
    const { footage, angleId } = await newPiece(coach);
    const first = (await newClip(coach, angleId)).attempt;
    const again = (await newClip(coach, angleId, { attempt: { parentId: first.id, series: 2 } })).attempt;
    expect(again).toMatchObject({ parentId: first.id, series: 2, counterOfId: null, shownAs: 'right' });
    const edit = (version: number, changes: object) =>
      coach.ask('PATCH', `/api/attempts/${again.id}`, { editId: newId(), baseVersion: version, changes });
    await edit(1, { counterOfId: first.id, resisted: false, shownAs: 'mistake', parentId: null, series: 1 });
    const now = (library: Library): unknown => library.attempts.find((a) => a.id === again.id);
    expect(now(await libraryOf(coach))).toMatchObject({
      footageId: footage.id,
      counterOfId: first.id,
      resisted: false,
      shownAs: 'mistake',
      parentId: null,
      series: 1,
    });
    const elsewhere = (await newClip(coach, (await newPiece(coach)).angleId)).attempt;
    for (const wrong of [elsewhere.id, again.id, newId()])
      expect((await edit(2, { parentId: wrong })).body).toMatchObject({
        facts: { fields: [{ field: 'changes.parentId' }] },
      });
  });
});
