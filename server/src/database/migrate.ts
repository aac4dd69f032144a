import type { Sequelize } from 'sequelize';
import { SequelizeStorage, Umzug } from 'umzug';
import { StartFault } from '../config/startFault.js';
import * as first from './migrations/0001-first.js';
import * as peopleWordsRoutes from './migrations/0002-people-words-routes.js';
import * as jobsUploads from './migrations/0003-jobs-uploads.js';

const MIGRATIONS = [first, peopleWordsRoutes, jobsUploads] as const;

/** All migrations, in order; numbered, reversible. */
export const migrator = (sequelize: Sequelize): Umzug<ReturnType<Sequelize['getQueryInterface']>> =>
  new Umzug({
    migrations: [...MIGRATIONS],
    context: sequelize.getQueryInterface(),
    storage: new SequelizeStorage({ sequelize, tableName: 'migrations' }),
    logger: undefined,
  });

/** Whether the database is of this version. */
export const isMigrated = async (sequelize: Sequelize): Promise<boolean> =>
  (await migrator(sequelize).pending()).length === 0;

/**
 * Brings the database to this version. Data of a newer version are left as they are; a migration that was cut short is run again from its beginning,
 * each of its steps passing over what is done.
 */
export const migrateUp = async (sequelize: Sequelize): Promise<void> => {
  const umzug = migrator(sequelize);
  const known = new Set<string>(MIGRATIONS.map((m) => m.name));
  const executed = await new SequelizeStorage({ sequelize, tableName: 'migrations' }).executed();
  const unknown = executed.filter((name) => !known.has(name));
  if (unknown.length)
    throw new StartFault(
      `The data were written by a newer version of Odograph (${unknown.join(', ')}). Start that version, or put an older copy of the data folder in its place; nothing was changed.`,
    );
  await umzug.up();
};
