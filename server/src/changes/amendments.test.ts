import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { AmendmentItem } from '@odograph/core/contract';
import { v7 as newId } from 'uuid';
import type { Models } from '../database/models.js';
import { MODELS } from '../database/tokens.js';
import { newClip, newPiece } from '../testing/requests.js';
import { COACH, OTHER_COACH, STUDENT, TestApp, type Client } from '../testing/testApp.js';

describe('what was said and then said otherwise', () => {
  let app: TestApp, coach: Client, second: Client, angleId: string;
  beforeAll(async () => {
    app = await TestApp.start({ demo: 'rooms' });
    coach = await app.signedIn(COACH);
    const { members } = (await coach.ask('GET', '/api/people')).body as {
      members: { accountId: string; email: string }[];
    };
    const { accountId } = members.find((m) => m.email === STUDENT.email)!;
    expect((await coach.ask('PATCH', `/api/members/${accountId}`, { role: 'coach' })).status).toBe(200);
    second = await app.signedIn(STUDENT);
    ({ angleId } = await newPiece(coach));
  });
  afterAll(() => app.stop());

  const latest = async (who: Client = coach): Promise<readonly AmendmentItem[]> =>
    (await who.ask('GET', '/api/amendments')).body as readonly AmendmentItem[];
  const fresh = (): ReturnType<typeof newClip> =>
    newClip(coach, angleId, {
      attempt: { action: 'armlock', state: { position: 'mount', role: 'top' }, result: 'failed' },
    });
  const say = async (who: Client, id: string, baseVersion: number, changes: object): Promise<void> =>
    expect((await who.ask('PATCH', `/api/attempts/${id}`, { editId: newId(), baseVersion, changes })).status).toBe(200);
  const of = async (id: string): Promise<readonly (readonly [string, unknown, unknown])[]> =>
    (await latest()).filter((a) => a.attemptId === id).map(({ field, before, after }) => [field, before, after]);

  test('by somebody else, it should be told whole, by whom and when, and whose words it was before', async () => {
    const { attempt } = await fresh();
    await say(second, attempt.id, 1, { state: { position: 'mount', role: 'bottom' }, result: 'partial', depth: 2 });
    const found = (await latest()).filter((a) => a.attemptId === attempt.id);
    expect(found.map(({ field, before, after }) => [field, before, after])).toEqual([
      ['state', { position: 'mount', role: 'top' }, { position: 'mount', role: 'bottom' }],
      ['result', 'failed', 'partial'],
    ]);
    const { body } = await coach.ask('GET', '/api/me');
    const [me, other] = [body, (await second.ask('GET', '/api/me')).body] as { account: { name: string } }[];
    expect(found[0]).toMatchObject({ by: other!.account.name, saidBy: me!.account.name });
    expect(Date.parse(found[0]!.at)).toBeGreaterThanOrEqual(Date.parse(found[0]!.saidAt));
  });

  test('taken back by undo it should be told no more; put right at once by the same one it never is', async () => {
    const { attempt } = await fresh();
    await say(second, attempt.id, 1, { result: 'partial' });
    expect(await of(attempt.id)).toHaveLength(1);
    await second.ask('POST', '/api/undo', { editId: newId() });
    expect(await of(attempt.id)).toEqual([]);
    await say(coach, attempt.id, 3, { result: 'success' });
    expect(await of(attempt.id)).toEqual([]);
    await second.ask('POST', '/api/redo', { editId: newId() });
  });

  test('by the same one on another day, it should be told; lists by what stood in them', async () => {
    const { attempt } = await fresh();
    const models = app.app.get<Models>(MODELS);
    const reasons = [{ id: newId(), reason: 'late', main: true }];
    await say(coach, attempt.id, 1, { reasons });
    await models.edit.update({ at: new Date(Date.now() - 24 * 3_600_000) }, { where: {} });
    await say(coach, attempt.id, 2, { reasons: [], form: 'by sitting up' });
    expect(await of(attempt.id)).toEqual([['reasons', reasons, []]]);
  });

  test('of another academy, and for students, nothing should be told', async () => {
    const other = await app.signedIn(OTHER_COACH);
    expect(await latest(other)).toEqual([]);
  });
});
