import 'reflect-metadata';
import { randomBytes } from 'node:crypto';
import { mkdir, readFile } from 'node:fs/promises';
import type { IncomingMessage, ServerResponse } from 'node:http';
import { join } from 'node:path';
import type { LoggerService } from '@nestjs/common';
import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import express, { type NextFunction, type Request, type Response } from 'express';
import compression from 'compression';
import helmet from 'helmet';
import { pino, type Logger } from 'pino';
import { Sequelize } from 'sequelize';
import { AccountsRepository } from './accounts/accounts.repository.js';
import { AppModule } from './app.module.js';
import { BinService } from './bin/bin.service.js';
import type { Config } from './config/config.js';
import { ownOriginOnly } from './doors/origin.js';
import { migrateUp } from './database/migrate.js';
import { logged } from './errors/logged.js';
import { RefusalFilter } from './errors/refusal.filter.js';
import { MediaService } from './media/media.service.js';
import { INCOMING_PATH, incoming } from './uploads/incoming.js';
import { UploadsService } from './uploads/uploads.service.js';

const nestLogger = (log: Logger): LoggerService => ({
  log: (m: unknown) => log.debug(m),
  error: (m: unknown) => log.error(String(m).split('\n')[0]),
  warn: (m: unknown) => log.warn(m),
  debug: (m: unknown) => log.trace(m),
  verbose: (m: unknown) => log.trace(m),
});

/** How long a connection is kept for a next request, in ms: longer than the proxies before it and the clients behind it wait, so that the server is not the one that closes just as a request comes. */
const KEEP_ALIVE_MS = 65_000;

/** Where the page has the secret of one answer, with which styles are let in that the page itself makes. */
const NONCE_PLACE = '__STYLE_NONCE__';
const nonces = new WeakMap<ServerResponse, string>();
const nonceOf = (response: ServerResponse): string => {
  const nonce = nonces.get(response) ?? randomBytes(16).toString('base64url');
  nonces.set(response, nonce);
  return nonce;
};

/** Whether an answer of the application itself is asked for, and no page or part of one. */
const isOfApi = ({ path }: Request): boolean => path.startsWith('/api/');

/** The heads by which a browser keeps a page, or an answer of the application itself, to what it is for. */
const heads = ({ publicUrl }: Config, isPage: boolean): ReturnType<typeof helmet> =>
  helmet({
    contentSecurityPolicy: {
      directives: {
        defaultSrc: ["'self'"],
        // what the page's own styles carry; see decision 0028
        styleSrc: [
          "'self'",
          ...(isPage ? [(_: IncomingMessage, response: ServerResponse) => `'nonce-${nonceOf(response)}'`] : []),
        ],
        fontSrc: ["'self'"],
        frameSrc: ["'none'"],
        frameAncestors: ["'none'"],
        baseUri: ["'none'"],
        workerSrc: ["'self'", 'blob:'],
        imgSrc: ["'self'", 'data:', 'blob:'],
        mediaSrc: ["'self'", 'blob:'],
        upgradeInsecureRequests: null,
      },
    },
    // a browser keeps to https only where people come by https
    strictTransportSecurity: publicUrl?.protocol === 'https:',
    // these are about pages alone
    ...(isPage
      ? {}
      : {
          crossOriginOpenerPolicy: false,
          originAgentCluster: false,
          xDnsPrefetchControl: false,
          xDownloadOptions: false,
          xPermittedCrossDomainPolicies: false,
          xXssProtection: false,
        }),
  });

/** Hashed assets never change; the page itself is asked for anew each time. Every address that is no file is the application's. */
const serveWeb = async (app: NestExpressApplication, webDir: string): Promise<void> => {
  const page = await readFile(join(webDir, 'index.html'), 'utf8');
  const files = express.static(webDir, {
    index: false,
    setHeaders: (response: Response, path: string) =>
      void response.setHeader(
        'Cache-Control',
        path.includes('/assets/') ? 'public, max-age=31536000, immutable' : 'no-cache',
      ),
  });
  // what is asked of the application itself is never looked for on the disk
  app.use((request: Request, response: Response, next: NextFunction): void => {
    if (isOfApi(request)) next();
    else void files(request, response, next);
  });
  app.use((request: Request, response: Response, next: NextFunction) => {
    const isPage = ['GET', 'HEAD'].includes(request.method) && !/^\/(api|assets)(\/|$)/.test(request.path);
    if (!isPage) return next();
    response.setHeader('Cache-Control', 'no-store');
    response.type('html').send(page.replaceAll(NONCE_PLACE, nonceOf(response)));
  });
};

/** The application, migrated and ready to listen. */
export const bootstrap = async (config: Config): Promise<NestExpressApplication> => {
  const log = pino({ level: config.logLevel }, pino.destination({ dest: 2, sync: true }));
  for (const folder of ['media', 'incoming', 'working']) await mkdir(join(config.dataDir, folder), { recursive: true });
  const app = await NestFactory.create<NestExpressApplication>(AppModule.with(config), {
    logger: nestLogger(log),
    abortOnError: false,
  });
  app.disable('x-powered-by');
  app.getHttpServer().keepAliveTimeout = KEEP_ALIVE_MS;
  // with `no-store` nobody asks whether an answer is still the same; media and packed rows have marks of their own
  app.set('etag', false);
  const [page, answers] = [heads(config, true), heads(config, false)];
  app.use((request: Request, response: Response, next: NextFunction) =>
    (isOfApi(request) ? answers : page)(request, response, next),
  );
  // only a proxy that is named is believed whom it asks for: the last address that is none of them counts
  if (config.trustedProxies.length) app.set('trust proxy', [...config.trustedProxies]);
  app.use(ownOriginOnly(config.publicUrl));
  // what is said here stays in no store on the way, unless a route says otherwise
  app.use('/api', (_: Request, response: Response, next: NextFunction) => {
    response.setHeader('Cache-Control', 'no-store');
    next();
  });
  // what is read in JSON and the page's own parts go packed; rows and media come as they are, and what is asked most often is too short for it
  const pack = compression();
  app.use((request: Request, response: Response, next: NextFunction) => {
    if (request.method === 'GET' && request.path !== '/api/me') pack(request, response, next);
    else next();
  });
  await serveWeb(app, config.webDir);
  app.use(
    INCOMING_PATH,
    incoming(join(config.dataDir, 'incoming'), app.get(AccountsRepository), app.get(UploadsService)),
  );
  app.setGlobalPrefix('api');
  app.useBodyParser('json', { limit: '512kb' });
  app.useGlobalFilters(new RefusalFilter(log));
  await migrateUp(app.get(Sequelize));
  await app.get(MediaService).renew();
  app.get(BinService).keepEmptying((error) => log.error({ err: logged(error) }, 'the bin could not be emptied'));
  return app;
};
