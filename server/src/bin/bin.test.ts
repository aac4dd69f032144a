import { access } from 'node:fs/promises';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { BinItem, References } from '@odograph/core/contract';
import { v7 as newId } from 'uuid';
import type { Models } from '../database/models.js';
import { MODELS } from '../database/tokens.js';
import { libraryOf, newClip, newPiece } from '../testing/requests.js';
import { COACH, OTHER_COACH, TestApp, type Client } from '../testing/testApp.js';
import { BIN_DAYS, BinService } from './bin.service.js';

describe('the bin', () => {
  let app: TestApp, coach: Client;
  beforeAll(async () => {
    app = await TestApp.start({ demo: 'rooms' });
    coach = await app.signedIn(COACH);
  });
  afterAll(() => app.stop());
  const bin = async (): Promise<readonly BinItem[]> => (await coach.ask('GET', '/api/bin')).body as BinItem[];
  const removeFootage = (id: string, editId = newId()) =>
    coach.ask('DELETE', `/api/footage/${id}`, { editId, baseVersion: 1 });
  const restore = (kind: string, id: string) => coach.ask('POST', '/api/bin/restore', { editId: newId(), kind, id });

  test('when footage goes, what was seen on it should go and come back with it, by one undo or out of the bin', async () => {
    const { footage, angleId } = await newPiece(coach);
    const { clip } = await newClip(coach, angleId, { attempt: { action: 'armlock' } });
    const earlier = await newClip(coach, angleId);
    await coach.ask('DELETE', `/api/clips/${earlier.clip.id}`, { editId: newId(), baseVersion: 1 });
    const before = JSON.stringify(await libraryOf(coach)).replace(/"version":\d+/g, '');
    const said = (await coach.ask('GET', `/api/references/footage/${footage.id}`)).body as References;
    expect([said.clips, said.attempts]).toEqual([1, 1]);
    const editId = newId();
    expect((await removeFootage(footage.id, editId)).status).toBe(200);
    expect((await removeFootage(footage.id, editId)).status).toBe(200);
    expect((await removeFootage(footage.id)).status).toBe(404);
    expect((await libraryOf(coach)).clips.some((c) => c.id === clip.id)).toBe(false);
    const items = (await bin()).filter((i) => [footage.id, clip.id, earlier.clip.id].includes(i.id));
    expect(items.map((i) => [i.kind, i.removedBy !== ''])).toEqual([
      ['footage', true],
      ['clip', true],
    ]);
    await restore('footage', footage.id);
    expect(JSON.stringify(await libraryOf(coach)).replace(/"version":\d+/g, '')).toBe(before);
    await coach.ask('DELETE', `/api/footage/${footage.id}`, { editId: newId(), baseVersion: 3 });
    await coach.ask('POST', '/api/undo', { editId: newId() });
    expect(JSON.stringify(await libraryOf(coach)).replace(/"version":\d+/g, '')).toBe(before);
  });

  test('when a clip comes back while its footage is in the bin, that should be said', async () => {
    const { footage, angleId } = await newPiece(coach);
    const { clip } = await newClip(coach, angleId);
    await coach.ask('DELETE', `/api/clips/${clip.id}`, { editId: newId(), baseVersion: 1 });
    await removeFootage(footage.id);
    expect(await restore('clip', clip.id)).toMatchObject({ status: 409, body: { code: 'above-in-bin' } });
  });

  test('when something has lain for thirty days, it should be gone for good, its media too; a day earlier nothing is', async () => {
    const { footage, angleId, file } = await newPiece(coach);
    const { clip, attempt } = await newClip(coach, angleId, { attempt: { reactions: [] } });
    const kept = await newPiece(coach);
    await newClip(coach, kept.angleId);
    // marks: one that waits, one of which the attempt was told, and one on a camera that was taken off
    const bare = await newPiece(coach);
    const mark = async (on: string): Promise<string> => {
      const id = newId();
      const body = { editId: newId(), id, angleId: on, atFrame: 1, pressedFrame: 2, speed: 1 };
      expect((await coach.ask('POST', '/api/moments', body)).status).toBe(200);
      return id;
    };
    const marks = [await mark(angleId), await mark(angleId), await mark(bare.angleId)];
    const told = { editId: newId(), baseVersion: 1, changes: { attemptId: attempt.id } };
    expect((await coach.ask('PATCH', `/api/moments/${marks[1]}`, told)).status).toBe(200);
    await removeFootage(footage.id);
    const models = app.app.get<Models>(MODELS);
    await models.angle.update({ deletedAt: new Date() }, { where: { id: bare.angleId } });
    const media = join(
      app.config.dataDir,
      'media',
      String((await models.file.findOne({ where: { id: file.id } }))!.get('academyId')),
      file.id,
    );
    const rows = async (): Promise<number> =>
      (await models.clip.count({ where: { id: clip.id } })) +
      (await models.attempt.count({ where: { id: attempt.id } })) +
      (await models.moment.count({ where: { id: marks } })) +
      (await models.angle.count({ where: { id: [angleId, bare.angleId] } })) +
      (await models.footage.count({ where: { id: footage.id } })) +
      (await models.file.count({ where: { id: file.id } }));
    const days = (n: number): Date => new Date(Date.now() + n * 86_400_000);
    await app.app.get(BinService).purge(days(BIN_DAYS - 1));
    expect(await rows()).toBe(9);
    expect((await bin()).some((i) => i.id === footage.id)).toBe(true);
    await app.app.get(BinService).purge(days(BIN_DAYS + 1));
    expect(await rows()).toBe(0);
    await expect(access(media)).rejects.toThrow();
    expect((await restore('footage', footage.id)).status).toBe(404);
    expect((await libraryOf(coach)).footage.some((f) => f.id === kept.footage.id)).toBe(true);
  });

  test('when another academy asks, the bin should be its own', async () => {
    const { footage } = await newPiece(coach);
    await removeFootage(footage.id);
    const other = await app.signedIn(OTHER_COACH);
    expect((await other.ask('GET', '/api/bin')).body).toEqual([]);
    const foreign = { editId: newId(), kind: 'footage', id: footage.id };
    expect((await other.ask('POST', '/api/bin/restore', foreign)).status).toBe(404);
    expect((await other.ask('GET', '/api/references/everything/x')).status).toBe(400);
  });
});
