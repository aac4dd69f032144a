import { Catch, HttpException, type ArgumentsHost, type ExceptionFilter } from '@nestjs/common';
import { faultText } from '@odograph/core';
import type { ErrorBody, Refusal, RefusalCode } from '@odograph/core/contract';
import type { Response } from 'express';
import type { Logger } from 'pino';
import { isDatabaseAway } from '../database/away.js';
import { logged } from './logged.js';
import { Refused } from './refused.js';

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

export const messageOf = (refusal: Refusal): string => {
  switch (refusal.code) {
    case 'invalid':
      return refusal.facts.fields.map((f) => `${f.field}: ${f.reason}`).join('; ');
    case 'signed-out':
      return 'Nobody is signed in.';
    case 'wrong-sign-in':
      return 'E-mail and password do not belong together.';
    case 'too-many-tries':
      return `Too many tries; again in ${refusal.facts.retryAfterS} s.`;
    case 'busy':
      return `Too much is asked for at once; again in ${refusal.facts.retryAfterS} s.`;
    case 'founding-closed':
      return 'Academies are founded here by invitation of whoever runs the server.';
    case 'quota':
      return `This academy may have ${refusal.facts.most} ${refusal.facts.of}, and has ${refusal.facts.used}.`;
    case 'not-allowed':
      return `A ${refusal.facts.role} cannot do this.`;
    case 'foreign-origin':
      return "This came from another page than the product's own.";
    case 'not-found':
      return 'There is no such thing here.';
    case 'stale':
      return `Changed by somebody else meanwhile: ${refusal.facts.fields.map((f) => f.field).join(', ')}.`;
    case 'id-taken':
      return 'This id is in use for something else.';
    case 'not-video':
      return faultText(refusal.facts.fault);
    case 'no-picture':
      return `Picture ${refusal.facts.frame} cannot be read.`;
    case 'too-large':
      return `Larger than ${refusal.facts.limitBytes} bytes.`;
    case 'nothing-to-undo':
      return 'There is nothing to undo.';
    case 'nothing-to-redo':
      return 'There is nothing to do again.';
    case 'cannot-undo':
      return `Cannot be undone: ${refusal.facts.field} was changed again since.`;
    case 'last-head':
      return 'Somebody has to stay who is a head.';
    case 'member-already':
      return 'This mail belongs to a member already.';
    case 'link-spent':
      return 'This link was used before, was taken back, or is too old.';
    case 'in-use':
      return `In use by ${refusal.facts.count} ${refusal.facts.by}.`;
    case 'above-in-bin':
      return `The ${refusal.facts.what} it belongs to is in the bin.`;
    case 'disk-full':
      return refusal.facts.keptBytes > 0
        ? `The disk of the server is full; ${refusal.facts.keptBytes} bytes of the file are kept, and it goes on when there is room.`
        : 'The disk of the server is full; nothing was saved.';
    case 'no-room':
      return `It needs ${refusal.facts.neededBytes} bytes, and ${refusal.facts.freeBytes} are free.`;
    case 'not-whole':
      return `Of ${refusal.facts.ofBytes} bytes only ${refusal.facts.bytes} are here.`;
    case 'database-away':
      return 'The database cannot be reached just now; nothing was saved.';
    case 'internal':
      return 'Something went wrong on the server; nothing was saved.';
  }
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
    const body: ErrorBody = { ...refusal, message: messageOf(refusal) };
    if (refusal.code === 'too-many-tries' || refusal.code === 'busy')
      response.setHeader('Retry-After', String(refusal.facts.retryAfterS));
    response.status(STATUS[refusal.code]).json(body);
  }

  private refusalOf(error: unknown): Refusal {
    if (error instanceof Refused) return error.refusal;
    if (isDatabaseAway(error)) return { code: 'database-away', facts: {} };
    if (isDiskFull(error)) return { code: 'disk-full', facts: { keptBytes: 0 } };
    const status =
      error instanceof HttpException ? error.getStatus() : ((error as { status?: number } | null)?.status ?? 500);
    if (status === 404) return { code: 'not-found', facts: {} };
    if (status === 413)
      return { code: 'invalid', facts: { fields: [{ field: 'body', reason: 'is larger than a request may be' }] } };
    if (status >= 400 && status < 500)
      return { code: 'invalid', facts: { fields: [{ field: 'body', reason: 'cannot be read' }] } };
    return { code: 'internal', facts: {} };
  }
}
