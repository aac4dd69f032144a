import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { v7 as newId } from 'uuid';
import type { Models } from '../database/models.js';
import { MODELS } from '../database/tokens.js';
import { clipRequest, libraryOf, newClip, newPiece } from '../testing/requests.js';
import { COACH, TestApp, type Client } from '../testing/testApp.js';

describe('edits that meet', () => {
  let app: TestApp, coach: Client, models: Models, angleId: string;
  beforeAll(async () => {
    app = await TestApp.start({ demo: 'rooms' });
    coach = await app.signedIn(COACH);
    models = app.app.get<Models>(MODELS);
    ({ angleId } = await newPiece(coach));
  });
  afterAll(() => app.stop());

  test('when the same edit arrives several times at once, it should be done once and every answer be alike', async () => {
    const request = clipRequest(angleId);
    const answers = await Promise.all(Array.from({ length: 4 }, () => coach.ask('POST', '/api/clips', request)));
    expect(answers.map((a) => a.status)).toEqual([200, 200, 200, 200]);
    expect(new Set(answers.map((a) => JSON.stringify(a.body))).size).toBe(1);
    expect(await models.clip.count({ where: { id: request.clip.id } })).toBe(1);
    expect(await models.changeRecord.count({ where: { editId: request.editId, entity: 'clip' } })).toBe(1);
  });

  test('when a new edit makes a row under an id that is taken, it should be refused as such and leave nothing', async () => {
    const { attempt, clip } = await newClip(coach, angleId);
    const before = JSON.stringify(await libraryOf(coach));
    const again = clipRequest(angleId, { attempt: { id: newId() }, clip: { id: clip.id } });
    expect(await coach.ask('POST', '/api/clips', again)).toMatchObject({ status: 409, body: { code: 'id-taken' } });
    expect(await coach.ask('POST', '/api/clips', clipRequest(angleId, { attempt: { id: attempt.id } }))).toMatchObject({
      status: 409,
      body: { code: 'id-taken' },
    });
    expect(JSON.stringify(await libraryOf(coach))).toBe(before);
    expect(await models.edit.count({ where: { id: again.editId } })).toBe(0);
  });

  test('when an undo arrives twice, only one edit should be taken back', async () => {
    const { attempt } = await newClip(coach, angleId, { attempt: { action: 'armlock' } });
    const change = (baseVersion: number, action: string) =>
      coach.ask('PATCH', `/api/attempts/${attempt.id}`, { editId: newId(), baseVersion, changes: { action } });
    await change(1, 'triangle');
    await change(2, 'rear-choke');
    const editId = newId();
    await coach.ask('POST', '/api/undo', { editId });
    await coach.ask('POST', '/api/undo', { editId });
    expect((await libraryOf(coach)).attempts.find((a) => a.id === attempt.id)!.action).toBe('triangle');
  });

  test('when undone edits are done again, each should be there as it was, until something else is edited', async () => {
    const { attempt, clip } = await newClip(coach, angleId, { attempt: { action: 'armlock' } });
    const hold = {
      ...{ id: newId(), holder: 'subject', limb: 'hand', limbSide: 'left', kind: 'grip', target: 'collar' },
      ...{ targetOwner: 'other', targetSide: null, cloth: true, gained: null, lost: null },
    };
    const now = async () => {
      const { attempts, clips } = await libraryOf(coach);
      const { version, ...kept } = attempts.find((a) => a.id === attempt.id) ?? { version: 0 };
      void version;
      return { ...kept, clip: clips.find((c) => c.id === clip.id)?.note };
    };
    const change = async (changes: object): Promise<void> => {
      const { version } = (await libraryOf(coach)).attempts.find((a) => a.id === attempt.id)!;
      const body = { editId: newId(), baseVersion: version, changes };
      expect((await coach.ask('PATCH', `/api/attempts/${attempt.id}`, body)).status).toBe(200);
    };
    const ask = async (what: 'undo' | 'redo', editId = newId()): Promise<number> =>
      (await coach.ask('POST', `/api/${what}`, { editId })).status;
    const seen = [await now()];
    for (const changes of [{ action: 'triangle' }, { controls: [hold] }, { result: 'failed', controls: [] }]) {
      await change(changes);
      seen.push(await now());
    }
    expect(await coach.ask('POST', '/api/redo', { editId: newId() })).toMatchObject({
      status: 409,
      body: { code: 'nothing-to-redo' },
    });
    for (const before of [2, 1, 0]) {
      expect(await ask('undo')).toBe(200);
      expect(await now()).toEqual(seen[before]);
    }
    const twice = newId();
    expect([await ask('redo', twice), await ask('redo', twice)]).toEqual([200, 200]);
    expect(await now()).toEqual(seen[1]);
    expect(await ask('redo')).toBe(200);
    expect(await now()).toEqual(seen[2]);
    expect(await ask('undo')).toBe(200);
    expect(await now()).toEqual(seen[1]);
    expect([await ask('redo'), await ask('redo')]).toEqual([200, 200]);
    expect(await now()).toEqual(seen[3]);
    expect(await ask('redo')).toBe(409);
    expect(await ask('undo')).toBe(200);
    await change({ action: 'rear-choke' });
    expect(await ask('redo')).toBe(409);
    expect(await ask('undo')).toBe(200);
    expect(await now()).toEqual(seen[2]);
  });

  test('when everything done in a piece of footage is undone, the footage itself should stay', async () => {
    const { footage, angleId: fresh } = await newPiece(coach);
    await newClip(coach, fresh);
    expect((await coach.ask('POST', '/api/undo', { editId: newId() })).status).toBe(200);
    expect(await coach.ask('POST', '/api/undo', { editId: newId() })).toMatchObject({
      status: 409,
      body: { code: 'nothing-to-undo' },
    });
    expect((await libraryOf(coach)).footage.some((f) => f.id === footage.id)).toBe(true);
  });

  test('when a file is taken in, who did it should be on record', async () => {
    const { file } = await newPiece(coach);
    const record = await models.changeRecord.findOne({ where: { entity: 'file', entityId: file.id } });
    expect(record!.get('field')).toBe('*');
    expect(await models.edit.count({ where: { id: file.id } })).toBe(1);
  });

  test('when a removal arrives twice, the second should be answered like the first', async () => {
    const { clip } = await newClip(coach, angleId);
    const body = { editId: newId(), baseVersion: 1 };
    const [first, second] = [
      await coach.ask('DELETE', `/api/clips/${clip.id}`, body),
      await coach.ask('DELETE', `/api/clips/${clip.id}`, body),
    ];
    expect(first.status).toBe(200);
    expect([second.status, second.body]).toEqual([first.status, first.body]);
    expect((await coach.ask('DELETE', `/api/clips/${clip.id}`, { ...body, editId: newId() })).status).toBe(404);
  });

  test('when an edit changes nothing, no record should be kept and the version stay', async () => {
    const { attempt } = await newClip(coach, angleId, { attempt: { action: 'armlock' } });
    const editId = newId();
    const answer = await coach.ask('PATCH', `/api/attempts/${attempt.id}`, {
      editId,
      baseVersion: 1,
      changes: { action: 'armlock' },
    });
    expect(answer).toMatchObject({ status: 200, body: { attempts: [{ version: 1 }] } });
    expect(await models.changeRecord.count({ where: { editId } })).toBe(0);
  });

  test('when the answers of the server are looked at, the usual headers should be there and nothing say what runs behind', async () => {
    const { headers } = await coach.ask('GET', '/api/me');
    expect(headers.get('content-security-policy')).toContain("default-src 'self'");
    expect(headers.get('x-content-type-options')).toBe('nosniff');
    expect(headers.get('x-powered-by')).toBeNull();
    const page = await coach.raw('/map');
    expect(page.headers.get('cache-control')).toBe('no-store');
    const policy = page.headers.get('content-security-policy')!;
    for (const part of ["font-src 'self'", "frame-src 'none'", "frame-ancestors 'none'", "base-uri 'none'"])
      expect(policy).toContain(part);
    expect(policy).not.toContain('unsafe-inline');
    const nonce = /style-src 'self' 'nonce-([^']+)'/.exec(policy)![1]!;
    expect((await coach.raw('/map')).headers.get('content-security-policy')).not.toContain(nonce);
  });
});
