import { describe, expect, test } from '@jest/globals';
import { withCaps } from './Caps.js';

const text = 'No marks waiting. {d} drops one while it plays.';

describe('keys in texts', () => {
  test('when a key was put elsewhere, texts should say where it is now', () => {
    expect(withCaps(text, {})).toBe('No marks waiting. D drops one while it plays.');
    expect(withCaps(text, { d: '#' })).toBe('No marks waiting. # drops one while it plays.');
  });
});
