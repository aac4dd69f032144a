import type { Sequelize } from 'sequelize';
import { SequelizeStorage, Umzug } from 'umzug';
import * as first from './migrations/0001-first.js';

/** All migrations, in order; numbered, reversible. */
export const migrator = (sequelize: Sequelize): Umzug<ReturnType<Sequelize['getQueryInterface']>> =>
  new Umzug({
    migrations: [first],
    context: sequelize.getQueryInterface(),
    storage: new SequelizeStorage({ sequelize, tableName: 'migrations' }),
    logger: undefined,
  });
