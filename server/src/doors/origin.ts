import type { NextFunction, Request, Response } from 'express';
import { Refused } from '../errors/refused.js';

/**
 * Whether a page of this origin may change something here: only the product's own pages. A request without an origin comes from no page (browsers
 * name theirs with every request that writes) unless the browser says that it crosses sites.
 */
export const isOwnOrigin = (
  headers: {
    readonly origin?: string | undefined;
    readonly host?: string | undefined;
    readonly site?: string | undefined;
  },
  publicUrl: URL | null,
): boolean => {
  if (headers.origin === undefined) return headers.site === undefined || ['same-origin', 'none'].includes(headers.site);
  if (publicUrl) return headers.origin === publicUrl.origin;
  return headers.origin === `http://${headers.host ?? ''}`;
};

const LOOKING = ['GET', 'HEAD', 'OPTIONS'];

/** Refuses everything that writes and comes from somebody else's page. */
export const ownOriginOnly =
  (publicUrl: URL | null) =>
  (request: Request, _: Response, next: NextFunction): void => {
    const { origin, host } = request.headers;
    const site = request.get('sec-fetch-site');
    const isAllowed = LOOKING.includes(request.method) || isOwnOrigin({ origin, host, site }, publicUrl);
    next(isAllowed ? undefined : new Refused({ code: 'foreign-origin', facts: {} }));
  };
