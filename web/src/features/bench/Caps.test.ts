import { describe, expect, test } from '@jest/globals';
import * as TEXTS from './bench.text.js';
import { withCaps } from './Caps.js';
import { KEY_ACTIONS } from './keys.text.js';

describe('keys in texts', () => {
  test('when a key was put elsewhere, texts should say where it is now', () => {
    expect(withCaps(TEXTS.MARK_TEXT.waiting(0), {})).toBe('No marks waiting. D drops one while it plays.');
    expect(withCaps(TEXTS.MARK_TEXT.waiting(0), { d: '#' })).toBe('No marks waiting. # drops one while it plays.');
  });

  test('when a text names a key, it should be one that does something', () => {
    const all = Object.values(TEXTS).flatMap((texts) =>
      Object.values<unknown>(texts).map((text) =>
        typeof text === 'string' ? text : typeof text === 'function' ? String(text) : '',
      ),
    );
    const named = all.flatMap((text) => [...text.matchAll(/(?<!\$)\{(.)\}/gu)].map((m) => m[1]!));
    expect(named.length).toBeGreaterThan(9);
    expect(named.filter((key) => !KEY_ACTIONS.some((k) => k.press === key))).toEqual([]);
  });
});
