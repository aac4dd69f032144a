import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { QueryTypes, Sequelize } from 'sequelize';
import { v7 as newId } from 'uuid';
import { TestApp } from '../testing/testApp.js';
import { migrateUp, migrator } from './migrate.js';

describe('migrations', () => {
  let app: TestApp;
  let sequelize: Sequelize;
  beforeAll(async () => {
    app = await TestApp.start();
    sequelize = app.app.get(Sequelize);
  });
  afterAll(() => app.stop());
  const tables = async (): Promise<string[]> =>
    (
      await sequelize.query<{ name: string }>(
        'SELECT table_name AS name FROM information_schema.tables WHERE table_schema = DATABASE() ORDER BY 1',
        { type: QueryTypes.SELECT },
      )
    ).map((t) => t.name);
  const columns = (): Promise<unknown> =>
    sequelize.query(
      'SELECT table_name, column_name, column_type, is_nullable FROM information_schema.columns WHERE table_schema = DATABASE() ORDER BY 1, 2',
      { type: QueryTypes.SELECT },
    );

  test('when no second machine is to reach it, the database should be there by its socket alone', async () => {
    const [row] = await sequelize.query<{ off: number }>('SELECT @@skip_networking AS off', {
      type: QueryTypes.SELECT,
    });
    expect(row).toEqual({ off: 1 });
  });

  test('when they run up, down and up again, the tables should be the same and nothing be left in between', async () => {
    const [before, there] = [await columns(), await tables()];
    expect(there).toEqual(
      expect.arrayContaining(['academies', 'attempts', 'change_records', 'clips', 'edits', 'word_uses']),
    );
    await migrator(sequelize).down({ to: 0 });
    expect(await tables()).toEqual(['migrations']);
    await migrator(sequelize).up();
    expect(await columns()).toEqual(before);
  });

  test('when a migration was cut short at any step, the next start should finish it and lose nothing', async () => {
    const before = await columns();
    const now = "'2031-01-01 00:00:00.000'";
    const id = newId();
    await sequelize.query(
      `INSERT INTO academies (id, name, time_zone, created_at) VALUES ('${id}', 'kept', 'UTC', ${now})`,
    );
    for (const [next, last, undone] of [
      [
        '0003-jobs-uploads',
        '0002-people-words-routes',
        ['DROP TABLE password_resets', 'ALTER TABLE persons DROP COLUMN level'],
      ],
      [
        '0003-jobs-uploads',
        '0002-people-words-routes',
        ['DROP TABLE route_steps', 'ALTER TABLE sessions DROP COLUMN agent'],
      ],
      ['0008-media', '0007-doors', []],
    ] as const) {
      await migrator(sequelize).down({ to: next });
      for (const sql of undone) await sequelize.query(sql);
      await sequelize.query(`DELETE FROM migrations WHERE name = '${last}'`);
      await migrateUp(sequelize);
      expect(await columns()).toEqual(before);
    }
    expect(await sequelize.query(`SELECT name FROM academies WHERE id = '${id}'`, { type: QueryTypes.SELECT })).toEqual(
      [{ name: 'kept' }],
    );
    await sequelize.query(`DELETE FROM academies WHERE id = '${id}'`);
  });

  test('when something holds a table that a migration changes for longer than it waits, it should begin again and come through', async () => {
    const before = await columns();
    const held = await sequelize.transaction();
    await sequelize.query('SELECT COUNT(*) FROM attempts', { transaction: held, type: QueryTypes.SELECT });
    const { name: database, user, password, socket } = app.config.database;
    let tries = 0;
    const letGo = async (sql: string): Promise<void> => {
      if (sql.includes('ALTER TABLE attempts') && ++tries === 2) await held.commit();
    };
    const impatient = new Sequelize(database, user, password, {
      dialect: 'mariadb',
      dialectOptions: { socketPath: socket, sessionVariables: { lock_wait_timeout: 1 } },
      logging: (sql) => void letGo(sql),
    });
    await migrator(impatient).down({ to: '0017-aims' });
    expect(tries).toBe(2);
    await migrator(impatient).up();
    await impatient.close();
    expect(await columns()).toEqual(before);
  });

  test('when the data are of a newer version, starting should say so and change nothing', async () => {
    await sequelize.query("INSERT INTO migrations (name) VALUES ('0999-from-later')");
    const before = await columns();
    await expect(migrateUp(sequelize)).rejects.toThrow(/written by a newer version .*0999-from-later/);
    expect(await columns()).toEqual(before);
    await sequelize.query("DELETE FROM migrations WHERE name = '0999-from-later'");
  });

  test('when every table of an academy is looked at, its key and its links should begin with the academy', async () => {
    const rows = await sequelize.query<{ t: string; k: string; cols: string; target: string | null }>(
      `SELECT table_name AS t, constraint_name AS k, GROUP_CONCAT(column_name ORDER BY ordinal_position) AS cols, MAX(referenced_table_name) AS target
       FROM information_schema.key_column_usage WHERE table_schema = DATABASE() GROUP BY table_name, constraint_name`,
      { type: QueryTypes.SELECT },
    );
    const shared = [
      'academies',
      'accounts',
      'founding_invitations',
      'letters',
      'migrations',
      'password_resets',
      'sessions',
      'tries',
    ];
    for (const row of rows.filter((r) => !shared.includes(r.t))) {
      if (row.k === 'PRIMARY') expect([row.t, row.cols.split(',')[0]]).toEqual([row.t, 'academy_id']);
      else if (row.target && !['academies', 'accounts'].includes(row.target))
        expect([row.t, row.k, row.cols.startsWith('academy_id,')]).toEqual([row.t, row.k, true]);
    }
  });

  test('when a row links to a row of another academy, the database itself should refuse it', async () => {
    const [one, two, person, footage] = [newId(), newId(), newId(), newId()];
    const now = "'2031-01-01 00:00:00.000'";
    for (const id of [one, two])
      await sequelize.query(
        `INSERT INTO academies (id, name, time_zone, created_at) VALUES ('${id}', 'x', 'UTC', ${now})`,
      );
    await sequelize.query(
      `INSERT INTO persons (academy_id, id, created_at, changed_at, name) VALUES ('${one}', '${person}', ${now}, ${now}, 'x')`,
    );
    const insert = (academy: string): Promise<unknown> =>
      sequelize.query(
        `INSERT INTO footage (academy_id, id, created_at, changed_at, title, setting, gi, athlete_a, athlete_b) VALUES ('${academy}', '${footage}', ${now}, ${now}, 'x', 'training', 1, '${person}', '${person}')`,
      );
    await expect(insert(two)).rejects.toThrow(/foreign key/i);
    await insert(one);
  });

  test('when an instant is kept, it should come back in UTC with its milliseconds', async () => {
    const [row] = await sequelize.query<{ at: Date }>("SELECT CAST('2031-05-24 22:15:03.123' AS DATETIME(3)) AS at", {
      type: QueryTypes.SELECT,
    });
    expect(row!.at.toISOString()).toBe('2031-05-24T22:15:03.123Z');
  });
});
