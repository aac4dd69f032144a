import 'reflect-metadata';
import { mkdir } from 'node:fs/promises';
import { join } from 'node:path';
import type { LoggerService } from '@nestjs/common';
import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import type { NextFunction, Request, Response } from 'express';
import compression from 'compression';
import helmet from 'helmet';
import { pino, type Logger } from 'pino';
import { Sequelize } from 'sequelize';
import { AccountsRepository } from './accounts/accounts.repository.js';
import { AppModule } from './app.module.js';
import { BinService } from './bin/bin.service.js';
import type { Config } from './config/config.js';
import { ownOriginOnly } from './config/origin.js';
import { migrateUp } from './database/migrate.js';
import { RefusalFilter } from './errors/refusal.filter.js';
import { MediaService } from './media/media.service.js';
import { INCOMING_PATH, incoming } from './uploads/incoming.js';
import { UploadsService } from './uploads/uploads.service.js';

const nestLogger = (log: Logger): LoggerService => ({
  log: (m: unknown) => log.debug(m),
  error: (m: unknown, ...rest: unknown[]) => log.error({ rest }, String(m)),
  warn: (m: unknown) => log.warn(m),
  debug: (m: unknown) => log.trace(m),
  verbose: (m: unknown) => log.trace(m),
});

/** How long a connection is kept for a next request, in ms: longer than the proxies before it and the clients behind it wait, so that the server is not the one that closes just as a request comes. */
const KEEP_ALIVE_MS = 65_000;

/** Hashed assets never change; the page itself is asked for anew each time. Every address that is no file is the application's. */
const serveWeb = (app: NestExpressApplication, webDir: string): void => {
  app.useStaticAssets(webDir, {
    index: false,
    setHeaders: (response: Response, path: string) =>
      void response.setHeader(
        'Cache-Control',
        path.includes('/assets/') ? 'public, max-age=31536000, immutable' : 'no-cache',
      ),
  });
  app.use((request: Request, response: Response, next: NextFunction) => {
    const isPage = ['GET', 'HEAD'].includes(request.method) && !/^\/(api|assets)(\/|$)/.test(request.path);
    if (!isPage) return next();
    response.sendFile('index.html', { root: webDir, headers: { 'Cache-Control': 'no-cache' } });
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
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: {
          defaultSrc: ["'self'"],
          styleSrc: ["'self'", "'unsafe-inline'"],
          workerSrc: ["'self'", 'blob:'],
          imgSrc: ["'self'", 'data:', 'blob:'],
          mediaSrc: ["'self'", 'blob:'],
          upgradeInsecureRequests: null,
        },
      },
      // a browser keeps to https only where people come by https
      strictTransportSecurity: config.publicUrl?.protocol === 'https:',
    }),
  );
  // behind a proxy of our own the address of whoever asks stands in its header
  if (config.publicUrl) app.set('trust proxy', 'loopback');
  app.use(ownOriginOnly(config.publicUrl));
  // answers in JSON and the page's own parts go packed; rows and media come as they are
  app.use(compression());
  serveWeb(app, config.webDir);
  app.use(
    INCOMING_PATH,
    incoming(join(config.dataDir, 'incoming'), app.get(AccountsRepository), app.get(UploadsService)),
  );
  app.setGlobalPrefix('api');
  app.useBodyParser('json', { limit: '512kb' });
  app.useGlobalFilters(new RefusalFilter(log));
  await migrateUp(app.get(Sequelize));
  await app.get(MediaService).renew();
  await app.get(BinService).keepEmptying((error) => log.error({ err: error }, 'the bin could not be emptied'));
  return app;
};
