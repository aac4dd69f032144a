import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { Moment } from '@odograph/core';
import type { Changed, Me } from '@odograph/core/contract';
import { v7 as newId } from 'uuid';
import { libraryOf, newClip, newPiece } from '../testing/requests.js';
import { COACH, STUDENT, TestApp, type Client } from '../testing/testApp.js';

describe('marks', () => {
  let app: TestApp, coach: Client, angleId: string, footageId: string;
  beforeAll(async () => {
    app = await TestApp.start({ demo: 'rooms' });
    coach = await app.signedIn(COACH);
    const piece = await newPiece(coach);
    [angleId, footageId] = [piece.angleId, piece.footage.id];
  });
  afterAll(() => app.stop());

  const drop = async (more: object = {}) => {
    const body = { editId: newId(), id: newId(), angleId, atFrame: 20, pressedFrame: 26, speed: 1, ...more };
    const { status, body: answer } = await coach.ask('POST', '/api/moments', body);
    return { status, answer, moment: (answer as Changed).moments?.[0] as Moment };
  };
  const marks = async (): Promise<readonly Moment[]> => (await libraryOf(coach)).moments;

  test('when a mark is dropped, it should be there with the times of its frames and whose it is; sent twice it is one', async () => {
    const editId = newId();
    const id = newId();
    const { moment } = await drop({ editId, id });
    const { account } = (await coach.ask('GET', '/api/me')).body as Me;
    expect(moment).toMatchObject({
      id,
      footageId,
      angleId,
      settled: false,
      speed: 1,
      accountId: account.id,
      state: null,
    });
    expect([moment.at.frame, moment.pressed.frame]).toEqual([20, 26]);
    expect(moment.pressed.pts).toBeGreaterThan(moment.at.pts);
    await drop({ editId, id });
    expect((await marks()).filter((m) => m.id === id)).toHaveLength(1);
  });

  test('when a mark is moved by hand, it should be settled, and be told apart from one of which only the note was said', async () => {
    const { moment } = await drop();
    const edit = (baseVersion: number, changes: object) =>
      coach.ask('PATCH', `/api/moments/${moment.id}`, { editId: newId(), baseVersion, changes });
    const noted = ((await edit(1, { note: 'look at the feet' })).body as Changed).moments![0]!;
    expect(noted).toMatchObject({ note: 'look at the feet', settled: false, version: 2 });
    const moved = ((await edit(2, { atFrame: 17 })).body as Changed).moments![0]!;
    expect(moved).toMatchObject({ settled: true, at: { frame: 17 }, pressed: { frame: 26 } });
    const seen = { state: { position: 'turtle', role: 'top' }, subject: 'b' };
    expect(((await edit(3, seen)).body as Changed).moments![0]).toMatchObject(seen);
    expect(await edit(1, { atFrame: 5 })).toMatchObject({ status: 409, body: { code: 'stale' } });
    expect(await edit(4, { state: { position: 'nowhere', role: 'top' } })).toMatchObject({ status: 400 });
    expect(await edit(4, { attemptId: newId() })).toMatchObject({ status: 400 });
    const { attempt } = await newClip(coach, angleId);
    expect(((await edit(4, { attemptId: attempt.id })).body as Changed).moments![0]).toMatchObject({
      attemptId: attempt.id,
    });
    expect(await edit(5, { atFrame: 999_999 })).toMatchObject({ status: 400 });
  });

  test('when a mark is taken off, undo should bring it back; outside the footage there is none', async () => {
    const { moment } = await drop();
    const off = await coach.ask('DELETE', `/api/moments/${moment.id}`, { editId: newId(), baseVersion: 1 });
    expect((off.body as Changed).removed).toEqual([moment.id]);
    await coach.ask('POST', '/api/undo', { editId: newId() });
    expect((await marks()).some((m) => m.id === moment.id)).toBe(true);
    expect((await drop({ atFrame: 999_999 })).status).toBe(400);
    expect((await drop({ angleId: newId() })).status).toBe(404);
  });

  test('when a student looks, no marks should be seen', async () => {
    const student = await app.signedIn(STUDENT);
    expect((await marks()).length).toBeGreaterThan(0);
    expect((await libraryOf(student)).moments).toEqual([]);
  });
});
