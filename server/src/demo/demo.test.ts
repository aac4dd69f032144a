import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { analyse, toGraphml, type Library } from '@odograph/core';
import { libraryFile } from '@odograph/core/contract';
import type { Models } from '../database/models.js';
import { MODELS } from '../database/tokens.js';
import { libraryOf } from '../testing/requests.js';
import { COACH, DEMO_FOLDER, OTHER_COACH, TestApp, type Client } from '../testing/testApp.js';
import { DemoService } from './demo.service.js';

describe('the demo library', () => {
  let app: TestApp, coach: Client;
  beforeAll(async () => {
    app = await TestApp.start({ demo: true });
    coach = await app.signedIn(COACH);
  });
  afterAll(() => app.stop());

  test('when it is loaded, sixteen clips over two pieces should be there, none a draft, and a second academy empty', async () => {
    const library = await libraryOf(coach);
    expect([library.footage.length, library.clips.length, analyse(library).totals.attempts]).toEqual([2, 16, 16]);
    expect(analyse(library).totals).toMatchObject({ drafts: 0, unplaced: 0 });
    expect((await libraryOf(await app.signedIn(OTHER_COACH))).clips).toEqual([]);
  });

  test('when it is loaded again, or a load was cut short, nothing should be there twice', async () => {
    const before = await libraryOf(coach);
    const models = app.app.get<Models>(MODELS);
    await models.academy.update({ demoLoadedAt: null }, { where: {} });
    await app.app.get(DemoService).load(DEMO_FOLDER);
    expect(await libraryOf(coach)).toEqual(before);
  });

  test('when the library is exported, the file should be one the analysis reads, and give the map that the server exports', async () => {
    const { body, headers } = await coach.ask('GET', '/api/export/library.json');
    expect(headers.get('content-disposition')).toContain('odograph-library.json');
    const read = libraryFile.validate(body);
    expect(read.error).toBeUndefined();
    expect((await coach.ask('GET', '/api/export/map.graphml')).body).toBe(toGraphml(analyse(read.value as Library)));
  });
});
