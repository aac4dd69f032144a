import { Sequelize } from 'sequelize';
import type { Config } from '../config/config.js';

/** How long a busy machine may take to open a connection, in milliseconds. */
const CONNECT_MS = 15_000;

/** One pool on the project's own MariaDB. Instants are UTC; days come back as text. */
export const connect = (config: Config): Sequelize =>
  new Sequelize({
    dialect: 'mariadb',
    database: config.database.name,
    username: config.database.user,
    password: config.database.password,
    dialectOptions: {
      ...(config.database.socket === null
        ? { host: config.database.host, port: config.database.port }
        : { socketPath: config.database.socket }),
      timezone: 'Z',
      connectTimeout: CONNECT_MS,
      bigIntAsNumber: true,
      checkNumberRange: false,
    },
    timezone: '+00:00',
    logging: false,
    pool: { max: 16, min: 0 },
    define: { timestamps: false, underscored: true, freezeTableName: true },
  });
