import { networkInterfaces } from 'node:os';
import { fileURLToPath } from 'node:url';
import ipaddr from 'ipaddr.js';
import Joi from 'joi';

/** What the server has to know before it starts; read once from the environment. */
export type Config = {
  readonly host: string;
  readonly port: number;
  /** The address people type, where something stands before the server (a proxy with TLS); null = the server itself. */
  readonly publicUrl: URL | null;
  /** Addresses of proxies whose word is taken for who asks. */
  readonly trustedProxies: readonly string[];
  readonly dataDir: string;
  readonly webDir: string;
  /** Where the demo's library and films lie; null = none is loaded, and nobody comes in by accounts of the demo. */
  readonly demoDir: string | null;
  readonly version: string;
  readonly logLevel: string;
  /** By the socket where there is one, else by the network. */
  readonly database: {
    readonly socket: string | null;
    readonly host: string;
    readonly port: number;
    readonly name: string;
    readonly user: string;
    readonly password: string;
  };
  /** Wrong sign-ins of one account that are let through in a quarter of an hour. */
  readonly signInTries: number;
  /** Whether anybody may found an academy, or only who was invited to. */
  readonly isFoundingOpen: boolean;
  /** Where letters go out; null = they are kept for whoever runs the server. */
  readonly smtpUrl: string | null;
  readonly mailFrom: string;
  /** What an academy may have where nothing else is settled for it. */
  readonly quota: { readonly bytes: number; readonly accounts: number; readonly uploads: number };
};

export const CONFIG = Symbol('config');

const address = (value: string, helpers: Joi.CustomHelpers): string | Joi.ErrorReport =>
  value.split(',').every((one) => ipaddr.isValid(one.trim()) || ipaddr.isValidCIDR(one.trim()))
    ? value
    : helpers.error('any.invalid');

const schema = Joi.object({
  HOST: Joi.string().hostname().default('127.0.0.1'),
  PUBLIC_URL: Joi.string().uri({ scheme: ['http', 'https'] }),
  TRUSTED_PROXY: Joi.string()
    .custom(address)
    .messages({ 'any.invalid': '{{#label}} must be addresses like 192.0.2.7 or 10.0.0.0/8, separated by commas' }),
  PORT: Joi.number().integer().min(0).max(65_535).default(4170),
  OPEN_FOUNDING: Joi.string().valid('0', '1').default('0'),
  SMTP_URL: Joi.string().uri({ scheme: ['smtp', 'smtps'] }),
  SMTP_FROM: Joi.string(),
  QUOTA_GB: Joi.number().min(0).default(200),
  QUOTA_ACCOUNTS: Joi.number().integer().min(1).default(500),
  QUOTA_UPLOADS: Joi.number().integer().min(1).default(50),
  ODOGRAPH_DATA: Joi.string().required(),
  ODOGRAPH_WEB: Joi.string().default(fileURLToPath(new URL('../../../web/dist', import.meta.url))),
  ODOGRAPH_DEMO: Joi.string(),
  ODOGRAPH_VERSION: Joi.string().default('0.0.0'),
  ODOGRAPH_LOG: Joi.string().valid('silent', 'error', 'warn', 'info', 'debug').default('info'),
  ODOGRAPH_DB_SOCKET: Joi.string(),
  ODOGRAPH_DB_HOST: Joi.string().default('127.0.0.1'),
  ODOGRAPH_DB_PORT: Joi.number().port().default(3306),
  ODOGRAPH_DB_USER: Joi.string().required(),
  ODOGRAPH_DB_PASSWORD: Joi.string().allow('').required(),
  ODOGRAPH_DB: Joi.string().default('odograph'),
  ODOGRAPH_SIGN_IN_TRIES: Joi.number().integer().min(1).default(10),
}).unknown();

const LOOPBACK = /^(localhost|127\.\d+\.\d+\.\d+|::1)$/;

/** Whether only this machine reaches the server. */
export const isLocal = ({ host, publicUrl }: Pick<Config, 'host' | 'publicUrl'>): boolean =>
  publicUrl === null && LOOPBACK.test(host);

export const readConfig = (env: NodeJS.ProcessEnv): Config => {
  const { value, error } = schema.validate(env) as { value: Record<string, string & number>; error?: Error };
  if (error) throw new Error(`The server cannot start: ${error.message}.`);
  const place = {
    host: value['HOST']!,
    publicUrl: value['PUBLIC_URL'] === undefined ? null : new URL(value['PUBLIC_URL']),
  };
  return {
    ...place,
    port: value['PORT']!,
    trustedProxies: (value['TRUSTED_PROXY'] as string | undefined)?.split(',').map((one) => one.trim()) ?? [],
    dataDir: value['ODOGRAPH_DATA']!,
    webDir: value['ODOGRAPH_WEB']!,
    demoDir: value['ODOGRAPH_DEMO'] ?? null,
    version: value['ODOGRAPH_VERSION']!,
    logLevel: value['ODOGRAPH_LOG']!,
    database: {
      socket: value['ODOGRAPH_DB_SOCKET'] ?? null,
      host: value['ODOGRAPH_DB_HOST']!,
      port: value['ODOGRAPH_DB_PORT']!,
      name: value['ODOGRAPH_DB']!,
      user: value['ODOGRAPH_DB_USER']!,
      password: value['ODOGRAPH_DB_PASSWORD']!,
    },
    signInTries: value['ODOGRAPH_SIGN_IN_TRIES']!,
    isFoundingOpen: isLocal(place) || value['OPEN_FOUNDING'] === '1',
    smtpUrl: value['SMTP_URL'] ?? null,
    mailFrom: value['SMTP_FROM'] ?? `Odograph <odograph@${place.publicUrl?.hostname ?? 'localhost'}>`,
    quota: {
      bytes: value['QUOTA_GB']! * 1e9,
      accounts: value['QUOTA_ACCOUNTS']!,
      uploads: value['QUOTA_UPLOADS']!,
    },
  };
};

/** An address under which other machines find this one; its own name for itself where it has none. */
const outward = (): string =>
  Object.values(networkInterfaces())
    .flatMap((all) => all ?? [])
    .find(({ internal, family }) => !internal && family === 'IPv4')?.address ?? 'localhost';

/** The address that people open, without a stroke at its end: for links in letters. */
export const addressOf = ({ publicUrl, host, port }: Pick<Config, 'publicUrl' | 'host' | 'port'>): string => {
  if (publicUrl) return publicUrl.href.replace(/\/$/, '');
  const name = ['0.0.0.0', '::'].includes(host) ? outward() : host;
  return `http://${name.includes(':') ? `[${name}]` : name}:${port}`;
};
