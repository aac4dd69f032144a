import { QueryTypes, type Sequelize } from 'sequelize';
import { SequelizeStorage, Umzug } from 'umzug';
import { StartFault } from '../config/startFault.js';
import * as first from './migrations/0001-first.js';
import * as peopleWordsRoutes from './migrations/0002-people-words-routes.js';
import * as jobsUploads from './migrations/0003-jobs-uploads.js';
import * as marksReach from './migrations/0004-marks-reach.js';
import * as detail from './migrations/0005-detail.js';
import * as answers from './migrations/0006-answers.js';

const MIGRATIONS = [first, peopleWordsRoutes, jobsUploads, marksReach, detail, answers] as const;

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

/** So long a server waits for another that is bringing the same database to this version, in seconds. */
const TURN_S = 300;

/** One server at a time: several may be started on one database at once. */
const inTurn = (sequelize: Sequelize, use: () => Promise<void>): Promise<void> =>
  // a lock of the database belongs to a connection: the transaction holds one, which is used for nothing else
  sequelize.transaction(async (transaction) => {
    const name = `odograph migrate ${sequelize.getDatabaseName()}`.slice(0, 64);
    const [row] = await sequelize.query<{ got: number | bigint | null }>('SELECT GET_LOCK(:name, :seconds) AS got', {
      type: QueryTypes.SELECT,
      replacements: { name, seconds: TURN_S },
      transaction,
    });
    if (Number(row?.got) !== 1)
      throw new StartFault(
        'Another server has been bringing the database to this version for too long; see to it first.',
      );
    try {
      await use();
    } finally {
      await sequelize.query('SELECT RELEASE_LOCK(:name)', {
        type: QueryTypes.SELECT,
        replacements: { name },
        transaction,
      });
    }
  });

/**
 * Brings the database to this version. Data of a newer version are left as they are; a migration that was cut short is run again from its beginning,
 * each of its steps passing over what is done.
 */
export const migrateUp = (sequelize: Sequelize): Promise<void> => inTurn(sequelize, () => up(sequelize));

const up = async (sequelize: Sequelize): Promise<void> => {
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
