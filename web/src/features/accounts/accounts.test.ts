import { describe, expect, test } from '@jest/globals';
import { PASSWORD_LEAST as servers } from '@odograph/core/contract';
import { PASSWORD_LEAST } from './accounts.text.js';

describe('what the page says of passwords', () => {
  test('when the least length is said, it should be the one that the server asks for', () => {
    expect(PASSWORD_LEAST).toBe(servers);
  });
});
