import type { Sequelize } from 'sequelize';
import { SequelizeStorage, Umzug } from 'umzug';
import * as first from './migrations/0001-first.js';
import * as peopleWordsRoutes from './migrations/0002-people-words-routes.js';

/** All migrations, in order; numbered, reversible. */
export const migrator = (sequelize: Sequelize): Umzug<ReturnType<Sequelize['getQueryInterface']>> =>
  new Umzug({
    migrations: [first, peopleWordsRoutes],
    context: sequelize.getQueryInterface(),
    storage: new SequelizeStorage({ sequelize, tableName: 'migrations' }),
    logger: undefined,
  });
