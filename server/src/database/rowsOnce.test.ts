import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { BARE_HOLD, BARE_REACTION } from '@odograph/core';
import { QueryTypes, Sequelize } from 'sequelize';
import { v7 as newId } from 'uuid';
import { ROUTE_STEP, WORD } from '../testing/bodies.js';
import { libraryOf } from '../testing/requests.js';
import { COACH, TestApp, type Client } from '../testing/testApp.js';
import { migrateUp, migrator } from './migrate.js';

describe('lists in the rows they belong to', () => {
  let app: TestApp, coach: Client, sequelize: Sequelize;
  beforeAll(async () => {
    app = await TestApp.start({ demo: 'whole' });
    coach = await app.signedIn(COACH);
    sequelize = app.app.get(Sequelize);
    const { me } = { me: (await coach.ask('GET', '/api/me')).body as { account: { id: string } } };
    const library = await libraryOf(coach);
    const clipId = library.clips[0]!.id;
    const done = async (method: string, path: string, body: object): Promise<void> => {
      expect([path, (await coach.ask(method, path, { editId: newId(), ...body })).status]).toEqual([path, 200]);
    };
    const steps = [
      { ...ROUTE_STEP, id: newId(), clipId, cue: 'Chest on their back.', note: 'With a "quote" and\na line.' },
      { ...ROUTE_STEP, id: newId(), from: 'back/attacker', action: 'step-down', to: 'mount/top' },
    ];
    await done('POST', '/api/routes', { id: newId(), name: 'To the mount', steps });
    const alias = { id: newId(), alias: 'strolls off', scope: { kind: 'coach', accountId: me.account.id } };
    const other = { id: newId(), alias: 'aruku', scope: { kind: 'academy' }, language: 'ja' };
    const aliases = [alias, other];
    await done('PUT', '/api/words', { ...WORD, id: newId(), baseVersion: null, aliases });
    const angle = library.angles[0]!;
    const momentId = newId();
    const mark = { id: momentId, angleId: angle.id, atFrame: 12, pressedFrame: 20, speed: 1 };
    await done('POST', '/api/moments', mark);
    const sighting = { state: { position: 'mount', role: 'top' }, subject: 'a' };
    await done('PATCH', `/api/moments/${momentId}`, { baseVersion: 1, changes: sighting });
    const [attempt] = library.attempts;
    const doubts = [{ field: 'result', kind: 'unsure', text: '', at: attempt!.start }];
    const errors = [{ id: newId(), by: 'subject', cause: 'given away', what: 'too-far', until: attempt!.end }];
    await done('PATCH', `/api/attempts/${attempt!.id}`, { baseVersion: 1, changes: { doubts, errors } });
    // what that version did not know goes when it goes back: here none of it is said
    for (const list of ['principles', 'todos', 'drawings'] as const)
      for (const { id, version } of library[list]) await done('DELETE', `/api/${list}/${id}`, { baseVersion: version });
    for (const { id, version, speaker } of library.footage)
      if (speaker) await done('PATCH', `/api/footage/${id}`, { baseVersion: version, changes: { speaker: '' } });
    const unknown = { facts: [], alternatives: [], links: [], evidence: [], form: '', aim: null, runName: '' };
    const { place, purposes, hidden, handedFrom } = BARE_HOLD;
    for (const { id, version, facts, controls, reactions, aim, runName } of library.attempts)
      if (facts.length || aim || runName)
        await done('PATCH', `/api/attempts/${id}`, {
          baseVersion: version,
          changes: {
            ...unknown,
            controls: controls.map((c) => ({ ...c, place, purposes, hidden, handedFrom })),
            reactions: reactions.map((r) => ({ ...r, ...BARE_REACTION })),
          },
        });
  });
  afterAll(() => app.stop());

  const rows = (sql: string): Promise<object[]> => sequelize.query(sql, { type: QueryTypes.SELECT });
  const uses = (): Promise<object[]> => rows('SELECT * FROM word_uses ORDER BY 1, 2, 3, 4, 5');

  test('when a library of the version before is opened, and when it goes back, every list should be what it was, and every word be found where it is said', async () => {
    const [library, said] = [await libraryOf(coach), await uses()];
    expect(library.attempts.flatMap((a) => a.controls).length).toBeGreaterThan(100);
    expect(said.length).toBeGreaterThan(300);
    await migrator(sequelize).down({ to: '0011-rows-once' });
    const [before] = await rows('SELECT COUNT(*) AS n, SUM(cloth) AS cloth FROM controls');
    const all = library.attempts.flatMap((a) => a.controls);
    // this academy's, and those of the other one that the demo has
    expect(Number((before as { n: number }).n)).toBeGreaterThanOrEqual(all.length);
    expect(
      await rows(
        "SELECT alias, language, scope_kind FROM word_aliases WHERE alias IN ('aruku','strolls off') ORDER BY alias",
      ),
    ).toEqual([
      { alias: 'aruku', language: 'ja', scope_kind: 'academy' },
      { alias: 'strolls off', language: null, scope_kind: 'coach' },
    ]);
    expect(
      await rows('SELECT ordinal, from_place, action FROM route_steps WHERE cue <> "" OR ordinal = 1 ORDER BY ordinal'),
    ).toEqual([
      { ordinal: 0, from_place: 'turtle/top', action: 'back-take' },
      { ordinal: 1, from_place: 'back/attacker', action: 'step-down' },
    ]);
    await migrateUp(sequelize);
    expect(await libraryOf(coach)).toEqual(library);
    expect(await uses()).toEqual(said);
  });

  test('when the way up was cut short, the next start should finish it', async () => {
    const [library, said] = [await libraryOf(coach), await uses()];
    for (const undone of [
      ['DROP TABLE word_uses'],
      ['DELETE FROM word_uses WHERE kind = "target"', 'ALTER TABLE word_changes ADD COLUMN scope_id CHAR(36) NULL'],
      [],
    ]) {
      if (undone.some((sql) => sql.includes('scope_id')))
        await sequelize.query("UPDATE word_changes SET scope_kind = 'academy' WHERE scope_kind <> 'academy'");
      for (const sql of undone) await sequelize.query(sql);
      await sequelize.query("DELETE FROM migrations WHERE name = '0011-rows-once'");
      await migrateUp(sequelize);
      expect(await libraryOf(coach)).toEqual(library);
      expect(await uses()).toEqual(said);
    }
  });
});
