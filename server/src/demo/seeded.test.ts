import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { mkdir, readdir, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { Library } from '@odograph/core';
import type { Models } from '../database/models.js';
import { MODELS } from '../database/tokens.js';
import { libraryOf } from '../testing/requests.js';
import { DEMO_FOLDER, TestApp } from '../testing/testApp.js';
import { SeededService, type TakenIn } from './seeded.service.js';
import { isThorough } from '../testing/thorough.js';

describe('seeded libraries', () => {
  let app: TestApp, models: Models, waiting: string;
  /** As the program makes it that ships with the product. */
  const library = (size: 'S' | 'M'): Library => {
    const path = join(tmpdir(), `odograph-seeded-${process.pid}-${size}.json`);
    spawnSync(process.execPath, [join(DEMO_FOLDER, '../dist/cli/seeded.js'), size, '1', path]);
    return JSON.parse(readFileSync(path, 'utf8')) as Library;
  };
  beforeAll(async () => {
    app = await TestApp.start();
    models = app.app.get<Models>(MODELS);
    waiting = join(app.config.dataDir, 'waiting');
    await mkdir(waiting, { recursive: true });
  });
  afterAll(() => app.stop());
  const takenIn = async (): Promise<readonly (readonly [string, TakenIn])[]> => {
    const said: [string, TakenIn][] = [];
    await app.app.get(SeededService).takeInWaiting(DEMO_FOLDER, (name, what) => said.push([name, what]));
    return said;
  };
  const wait = (name: string, of: Library): Promise<void> =>
    writeFile(join(waiting, `${name}.json`), JSON.stringify(of));

  test('when one is cut off while it is taken in, the next time should go on there, and nobody come in before', async () => {
    const small = library('S');
    await wait('seeded-S', small);
    const bulk = models.wordUse.bulkCreate.bind(models.wordUse);
    let times = 0;
    models.wordUse.bulkCreate = (async (...args: Parameters<typeof bulk>) => {
      if (++times === 2) throw new Error('cut off');
      return bulk(...args);
    }) as never;
    await expect(takenIn()).rejects.toThrow('cut off');
    const account = { email: 'coach@seeded-s.example', password: 'seeded-mat-5' };
    expect((await app.client().ask('POST', '/api/sign-in', account)).status).toBe(401);
    // the attempts that the words were of are not there either
    expect(await models.attempt.count()).toBe(0);
    models.wordUse.bulkCreate = bulk as never;
    expect(await takenIn()).toEqual([['seeded-S.json', 'taken in']]);
    const read = await libraryOf(await app.signedIn(account));
    expect(read.clips).toHaveLength(1000);
    expect(read.attempts.flatMap((a) => a.controls)).toHaveLength(small.attempts.flatMap((a) => a.controls).length);
  });

  (isThorough ? test : test.skip)(
    'when two sizes of one seed wait, both should be there; one that is here already is said and kept',
    async () => {
      const other = { ...library('M'), attempts: [], clips: [] };
      await wait('seeded-M', other);
      await wait('seeded-S', library('S'));
      expect(await takenIn()).toEqual([
        ['seeded-M.json', 'taken in'],
        ['seeded-S.json', 'here already'],
      ]);
      expect(await models.academy.count()).toBe(2);
      expect(await readdir(waiting)).toEqual(['seeded-S.json.here-already']);
    },
  );
});
