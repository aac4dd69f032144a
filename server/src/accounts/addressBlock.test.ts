import { describe, expect, test } from '@jest/globals';
import { blockOf } from './addressBlock.js';

describe('blocks of addresses', () => {
  test.each([
    ['192.0.2.77', '192.0.2.0/24'],
    ['::ffff:192.0.2.9', '192.0.2.0/24'],
    ['2001:db8:1:2345::7', '2001:db8:1:2300::/56'],
    ['2001:db8:1:23ff:1::9', '2001:db8:1:2300::/56'],
    ['nonsense', 'nonsense'],
  ])('when the address is %s, the block should be %s', (address, block) => {
    expect(blockOf(address)).toBe(block);
  });
});
