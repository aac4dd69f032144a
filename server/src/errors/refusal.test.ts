import { describe, expect, test } from '@jest/globals';
import { isDiskFull } from './refusal.filter.js';

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
