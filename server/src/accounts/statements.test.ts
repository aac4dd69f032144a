import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { Sequelize, type Options } from 'sequelize';
import { v7 as newId } from 'uuid';
import { newClip, newPiece } from '../testing/requests.js';
import { COACH, TestApp, type Client } from '../testing/testApp.js';

describe('what is asked of the database', () => {
  let app: TestApp, coach: Client;
  beforeAll(async () => {
    app = await TestApp.start({ demo: 'rooms' });
    coach = await app.signedIn(COACH);
  });
  afterAll(() => app.stop());

  /** The statements that something takes. */
  const during = async (run: () => Promise<unknown>): Promise<readonly string[]> => {
    const { options } = app.app.get<{ readonly options: Options }>(Sequelize);
    const said: string[] = [];
    options.logging = (sql: string) => void said.push(sql);
    await run();
    options.logging = false;
    return said;
  };

  test('when it is asked who is signed in, one statement should do', async () => {
    const said = await during(() => coach.ask('GET', '/api/me'));
    expect(said).toHaveLength(1);
  });

  test('when nothing is new, one statement should tell who asks, and one the version', async () => {
    const { version } = (await coach.ask('GET', '/api/news/since')).body as { version: number };
    const said = await during(() => coach.ask('GET', `/api/news/since?version=${version}`));
    expect(said.length).toBeLessThanOrEqual(2);
  });

  test('when many ask for the same news, only the first answer should be read; the others take who asks, and perhaps the version', async () => {
    const { version } = (await coach.ask('GET', '/api/news/since')).body as { version: number };
    await newPiece(coach);
    const ask = () => coach.ask('GET', `/api/news/since?version=${version}`);
    const first = await during(ask);
    const second = await during(ask);
    expect(first.length).toBeGreaterThan(4);
    expect(second.length).toBeLessThanOrEqual(2);
    expect((await ask()).body).toMatchObject({ whole: false, version: version + 2 });
  });

  test('when a field of an attempt is changed, fifteen statements should do, beginning and end among them', async () => {
    const { angleId } = await newPiece(coach);
    const { attempt } = await newClip(coach, angleId);
    const edit = { editId: newId(), baseVersion: 1, changes: { depth: 2, action: 'armlock' } };
    const said = await during(() => coach.ask('PATCH', `/api/attempts/${attempt.id}`, edit));
    expect(said.length).toBeLessThanOrEqual(15);
  });
});
