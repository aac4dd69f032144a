import { Catch, HttpException, type ArgumentsHost, type ExceptionFilter } from '@nestjs/common';
import type { Refusal, RefusalCode } from '@odograph/core/contract';
import type { Response } from 'express';
import type { Logger } from 'pino';
import { isDatabaseAway } from '../database/away.js';
import { logged } from './logged.js';
import { Refused, invalid } from './refused.js';

const STATUS: Record<RefusalCode, number> = {
  invalid: 400,
  'signed-out': 401,
  'wrong-sign-in': 401,
  'too-many-tries': 429,
  busy: 429,
  'founding-closed': 403,
  quota: 409,
  'not-allowed': 403,
  'foreign-origin': 403,
  'not-found': 404,
  stale: 409,
  'id-taken': 409,
  'not-video': 422,
  'no-picture': 422,
  'too-large': 413,
  'not-leading': 409,
  'nothing-to-undo': 409,
  'nothing-to-redo': 409,
  'cannot-undo': 409,
  'last-head': 409,
  'member-already': 409,
  'link-spent': 410,
  'in-use': 409,
  'above-in-bin': 409,
  'disk-full': 507,
  'no-room': 507,
  'not-whole': 409,
  'database-away': 503,
  internal: 500,
};

/** No room for a file, or for the database: its own codes are those of a full disk, a full table and a file that cannot be written. */
export const isDiskFull = (error: unknown): boolean => {
  const { code, parent } = (error ?? {}) as { code?: unknown; parent?: { code?: unknown } };
  return [code, parent?.code].some((c) =>
    ['ENOSPC', 'EDQUOT', 'ER_DISK_FULL', 'ER_RECORD_FILE_FULL', 'ER_ERROR_ON_WRITE'].includes(String(c)),
  );
};

/** The only place where reasons become HTTP. Bugs are logged and answered without their insides. */
@Catch()
export class RefusalFilter implements ExceptionFilter {
  constructor(private readonly log: Logger) {}

  catch(error: unknown, host: ArgumentsHost): void {
    const response = host.switchToHttp().getResponse<Response>();
    if (response.headersSent) {
      response.destroy();
      return;
    }
    const refusal = this.refusalOf(error);
    if (refusal.code === 'internal') this.log.error({ err: logged(error) }, 'request failed');
    if (refusal.code === 'too-many-tries' || refusal.code === 'busy')
      response.setHeader('Retry-After', String(refusal.facts.retryAfterS));
    response.status(STATUS[refusal.code]).json(refusal);
  }

  private refusalOf(error: unknown): Refusal {
    if (error instanceof Refused) return error.refusal;
    if (isDatabaseAway(error)) return { code: 'database-away', facts: {} };
    if (isDiskFull(error)) return { code: 'disk-full', facts: { keptBytes: 0 } };
    const status =
      error instanceof HttpException ? error.getStatus() : ((error as { status?: number } | null)?.status ?? 500);
    if (status === 404) return { code: 'not-found', facts: {} };
    if (status === 413) return invalid('body', { code: 'body-too-large' }).refusal;
    if (status >= 400 && status < 500) return invalid('body', { code: 'body-unreadable' }).refusal;
    return { code: 'internal', facts: {} };
  }
}
