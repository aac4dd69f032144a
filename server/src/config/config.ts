import { fileURLToPath } from 'node:url';
import Joi from 'joi';

/** What the server has to know before it starts; read once from the environment. */
export type Config = {
  readonly host: string;
  readonly port: number;
  /** The address people type, where something stands before the server (a proxy with TLS); null = the server itself. */
  readonly publicUrl: URL | null;
  readonly dataDir: string;
  readonly webDir: string;
  /** Where the demo's library and films lie; null = none is loaded. */
  readonly demoDir: string | null;
  readonly version: string;
  readonly logLevel: string;
  readonly database: {
    readonly host: string;
    readonly port: number;
    readonly name: string;
    readonly user: string;
    readonly password: string;
  };
  /** Wrong sign-ins of one address and mail that are let through in a quarter of an hour. */
  readonly signInTries: number;
};

export const CONFIG = Symbol('config');

const schema = Joi.object({
  HOST: Joi.string().hostname().default('127.0.0.1'),
  PUBLIC_URL: Joi.string().uri({ scheme: ['http', 'https'] }),
  PORT: Joi.number().integer().min(0).max(65_535).default(4170),
  ODOGRAPH_DATA: Joi.string().required(),
  ODOGRAPH_WEB: Joi.string().default(fileURLToPath(new URL('../../../web/dist', import.meta.url))),
  ODOGRAPH_DEMO: Joi.string(),
  ODOGRAPH_VERSION: Joi.string().default('0.0.0'),
  ODOGRAPH_LOG: Joi.string().valid('silent', 'error', 'warn', 'info', 'debug').default('info'),
  ODOGRAPH_DB_HOST: Joi.string().default('127.0.0.1'),
  ODOGRAPH_DB_PORT: Joi.number().port().required(),
  ODOGRAPH_DB_USER: Joi.string().required(),
  ODOGRAPH_DB_PASSWORD: Joi.string().allow('').required(),
  ODOGRAPH_DB: Joi.string().default('odograph'),
  ODOGRAPH_SIGN_IN_TRIES: Joi.number().integer().min(1).default(10),
}).unknown();

export const readConfig = (env: NodeJS.ProcessEnv): Config => {
  const { value, error } = schema.validate(env) as { value: Record<string, string & number>; error?: Error };
  if (error) throw new Error(`The server cannot start: ${error.message}.`);
  return {
    host: value['HOST']!,
    port: value['PORT']!,
    publicUrl: value['PUBLIC_URL'] === undefined ? null : new URL(value['PUBLIC_URL']),
    dataDir: value['ODOGRAPH_DATA']!,
    webDir: value['ODOGRAPH_WEB']!,
    demoDir: value['ODOGRAPH_DEMO'] ?? null,
    version: value['ODOGRAPH_VERSION']!,
    logLevel: value['ODOGRAPH_LOG']!,
    database: {
      host: value['ODOGRAPH_DB_HOST']!,
      port: value['ODOGRAPH_DB_PORT']!,
      name: value['ODOGRAPH_DB']!,
      user: value['ODOGRAPH_DB_USER']!,
      password: value['ODOGRAPH_DB_PASSWORD']!,
    },
    signInTries: value['ODOGRAPH_SIGN_IN_TRIES']!,
  };
};

/** The address that people open, without a stroke at its end: for links in letters. */
export const addressOf = (config: Config): string =>
  config.publicUrl ? config.publicUrl.href.replace(/\/$/, '') : `http://${config.host}:${config.port}`;
