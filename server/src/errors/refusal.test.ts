import { describe, expect, jest, test } from '@jest/globals';
import type { ArgumentsHost } from '@nestjs/common';
import { pino } from 'pino';
import { ConnectionRefusedError } from 'sequelize';
import { RefusalFilter, isDiskFull } from './refusal.filter.js';

describe('a full disk', () => {
  test.each([
    [Object.assign(new Error('write'), { code: 'ENOSPC' }), true],
    [Object.assign(new Error('sql'), { parent: { code: 'ER_RECORD_FILE_FULL' } }), true],
    [Object.assign(new Error('sql'), { parent: { code: 'ER_LOCK_DEADLOCK' } }), false],
    [new Error('x'), false],
    [null, false],
  ])('when the fault is %s, it should be taken for one: %s', (error, isFull) => {
    expect(isDiskFull(error)).toBe(isFull);
  });
});

describe('what is answered when something fails', () => {
  const answer = (error: unknown): { readonly status: number; readonly code: string } => {
    const said = { status: 0, code: '' };
    const response = {
      headersSent: false,
      status: jest.fn((status: number) => {
        said.status = status;
        return { json: (body: { code: string }) => (said.code = body.code) };
      }),
    };
    const host = { switchToHttp: () => ({ getResponse: () => response }) } as unknown as ArgumentsHost;
    new RefusalFilter(pino({ level: 'silent' })).catch(error, host);
    return said;
  };

  test.each([
    [new ConnectionRefusedError(new Error('ECONNREFUSED'))],
    [new Error('ConnectionManager.getConnection was called after the connection manager was closed!')],
    [Object.assign(new Error('sql'), { parent: { code: 'ECONNRESET', fatal: true } })],
  ])('when the database is away (%s), it should be said, so that it is tried again', (error) => {
    expect(answer(error)).toEqual({ status: 503, code: 'database-away' });
  });

  test('when something else fails, it should not be taken for that', () => {
    const deadlock = Object.assign(new Error('sql'), { parent: { code: 'ER_LOCK_DEADLOCK', fatal: false } });
    expect(answer(deadlock)).toEqual({ status: 500, code: 'internal' });
    expect(answer(null)).toEqual({ status: 500, code: 'internal' });
  });
});
