import { FileStore } from '@tus/file-store';
import { Server } from '@tus/server';
import { UPLOAD_LIMIT_BYTES, fileName, uploadId, type Refusal } from '@odograph/core/contract';
import type { NextFunction, Request, Response } from 'express';
import Joi from 'joi';
import { AccountsRepository } from '../accounts/accounts.repository.js';
import { sessionTokenOf } from '../accounts/sessionCookie.js';
import type { Session } from '../doors/session.js';
import { checked } from '../errors/checked.js';
import { isDiskFull } from '../errors/refusal.filter.js';
import { Refused, invalid } from '../errors/refused.js';
import { UploadsService } from './uploads.service.js';

export const INCOMING_PATH = '/api/incoming';

const size = Joi.number().integer().min(1).max(UPLOAD_LIMIT_BYTES).required().label('size');

/** The disk is full in the middle of a file: what has come of it waits. */
const diskFull = (keptBytes: number): string => {
  const refusal: Refusal = { code: 'disk-full', facts: { keptBytes } };
  return JSON.stringify(refusal);
};

/** `Upload-Metadata` of tus: names with values in base64. */
export const metadataOf = (header: string | undefined): ReadonlyMap<string, string> =>
  new Map(
    (header ?? '').split(',').flatMap((pair): [string, string][] => {
      const [key, value] = pair.trim().split(' ');
      return key ? [[key, Buffer.from(value ?? '', 'base64').toString('utf8')]] : [];
    }),
  );

/** An id that is written as ids are: in capitals it would name another file than the one that is on record. */
const asWritten = (said: string | undefined) => (): string => {
  const id = checked<string>(uploadId, said);
  if (id !== said) throw invalid('id', { code: 'capitals' });
  return id;
};

type Checked = { readonly session: Session; readonly id: string };

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
    onResponseError: async (request, error) =>
      isDiskFull(error)
        ? { status_code: 507, body: diskFull(await uploads.arrivedBytes(request.url.split('/').at(-1)!)) }
        : undefined,
    // pages of other addresses have no business here
    allowedOrigins: () => false,
    namingFunction: (request) => metadataOf(request.headers.get('upload-metadata') ?? undefined).get('id')!,
  });

  const sessionOf = async (request: Request): Promise<Session> => {
    const token = sessionTokenOf(request);
    const session = token === undefined ? undefined : (await accounts.who(token, new Date()))?.session;
    if (!session) throw new Refused({ code: 'signed-out', facts: {} });
    if (session.role === 'student') throw new Refused({ code: 'not-allowed', facts: { role: session.role } });
    return session;
  };

  const check = async (request: Request): Promise<Checked> => {
    const session = await sessionOf(request);
    const id = asWritten(request.path.replace(/^\//, ''));
    if (request.method !== 'POST') {
      if (request.method !== 'OPTIONS') await uploads.mine(session, id());
      return { session, id: request.method === 'OPTIONS' ? '' : id() };
    }
    const said = metadataOf(request.get('upload-metadata'));
    const begun = {
      id: asWritten(said.get('id'))(),
      name: checked<string>(fileName, said.get('name')),
      sizeBytes: checked<number>(size, request.get('upload-length')),
    };
    await uploads.begin(session, begun);
    return { session, id: begun.id };
  };

  /** What did not come into being, or was taken off by whoever sent it, is not kept on record either. */
  const afterwards = ({ session, id }: Checked, { method }: Request, { statusCode }: Response): void => {
    const isNothing = (method === 'POST' && statusCode !== 201) || (method === 'DELETE' && statusCode === 204);
    if (isNothing) void uploads.dropped(session, id).catch(() => undefined);
  };

  return (request, response, next) => {
    // the protocol knows its own path, which the router has cut off
    check(request).then((known) => {
      response.once('finish', () => afterwards(known, request, response));
      request.url = request.originalUrl;
      void tus.handle(request, response);
    }, next);
  };
};
