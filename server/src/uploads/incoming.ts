import { FileStore } from '@tus/file-store';
import { Server } from '@tus/server';
import { UPLOAD_LIMIT_BYTES, fileName, uploadId, type ErrorBody, type Refusal } from '@odograph/core/contract';
import { parse } from 'cookie';
import type { NextFunction, Request, Response } from 'express';
import Joi from 'joi';
import { AccountsRepository } from '../accounts/accounts.repository.js';
import { SESSION_COOKIE } from '../accounts/session.guard.js';
import type { Session } from '../accounts/session.js';
import { checked } from '../errors/checked.js';
import { isDiskFull, messageOf } from '../errors/refusal.filter.js';
import { Refused } from '../errors/refused.js';
import { UploadsService } from './uploads.service.js';

export const INCOMING_PATH = '/api/incoming';

const size = Joi.number().integer().min(1).max(UPLOAD_LIMIT_BYTES).required().label('size');

const FULL: Refusal = { code: 'disk-full', facts: {} };
const DISK_FULL: ErrorBody = { ...FULL, message: messageOf(FULL) };

/** `Upload-Metadata` of tus: names with values in base64. */
export const metadataOf = (header: string | undefined): ReadonlyMap<string, string> =>
  new Map(
    (header ?? '').split(',').flatMap((pair): [string, string][] => {
      const [key, value] = pair.trim().split(' ');
      return key ? [[key, Buffer.from(value ?? '', 'base64').toString('utf8')]] : [];
    }),
  );

/**
 * Files come in by the tus protocol: created with their size and name, sent in pieces of any length, gone on with where they broke off. These requests do
 * not pass through the guard of the other routes, so session, role and whose upload it is are checked here, before anything is read.
 */
export const incoming = (
  folder: string,
  accounts: AccountsRepository,
  uploads: UploadsService,
): ((request: Request, response: Response, next: NextFunction) => void) => {
  const tus = new Server({
    path: INCOMING_PATH,
    datastore: new FileStore({ directory: folder }),
    maxSize: UPLOAD_LIMIT_BYTES,
    relativeLocation: true,
    // only what the one who sends can do something about is told
    onResponseError: (_request, error) =>
      isDiskFull(error) ? { status_code: 507, body: JSON.stringify(DISK_FULL) } : undefined,
    namingFunction: (request) => metadataOf(request.headers.get('upload-metadata') ?? undefined).get('id')!,
  });

  const sessionOf = async (request: Request): Promise<Session> => {
    const token = parse(request.headers.cookie ?? '')[SESSION_COOKIE];
    const session = token === undefined ? undefined : await accounts.session(token, new Date());
    if (!session) throw new Refused({ code: 'signed-out', facts: {} });
    if (session.role === 'student') throw new Refused({ code: 'not-allowed', facts: { role: session.role } });
    return session;
  };

  const check = async (request: Request): Promise<void> => {
    const session = await sessionOf(request);
    const id = request.path.replace(/^\//, '');
    if (request.method !== 'POST') {
      if (request.method !== 'OPTIONS') await uploads.mine(session, checked<string>(uploadId, id));
      return;
    }
    const said = metadataOf(request.get('upload-metadata'));
    await uploads.begin(session, {
      id: checked<string>(uploadId, said.get('id')),
      name: checked<string>(fileName, said.get('name')),
      sizeBytes: checked<number>(size, request.get('upload-length')),
    });
  };

  return (request, response, next) => {
    // the protocol knows its own path, which the router has cut off
    check(request).then(() => {
      request.url = request.originalUrl;
      void tus.handle(request, response);
    }, next);
  };
};
