import { parse } from 'cookie';
import type { Request, Response } from 'express';
import type { Config } from '../config/config.js';
import { SESSION_DAYS, type Caller } from './accounts.service.js';

export const SESSION_COOKIE = 'odograph_session';

export const callerOf = (request: Request): Caller => ({
  address: request.ip ?? '',
  agent: request.get('user-agent') ?? '',
});

export const sessionTokenOf = (request: Request): string | undefined =>
  parse(request.headers.cookie ?? '')[SESSION_COOKIE];

export const setSessionCookie = (response: Response, token: string, config: Config): void => {
  response.cookie(SESSION_COOKIE, token, {
    httpOnly: true,
    secure: config.publicUrl?.protocol === 'https:',
    sameSite: 'strict',
    path: '/',
    maxAge: SESSION_DAYS * 86_400_000,
  });
};

export const clearSessionCookie = (response: Response): void => {
  response.clearCookie(SESSION_COOKIE, { path: '/' });
};
