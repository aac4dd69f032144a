import { describe, expect, test } from '@jest/globals';
import { referencesText } from './bin.text.js';

const none = { clips: 0, attempts: 0, footage: [], routes: [] };

describe('what stands on a thing, in words', () => {
  test.each([
    ['footage', { ...none, clips: 3, attempts: 2 }, '3 clips and 2 attempts with their evidence go with it.'],
    ['clip', { ...none, attempts: 1 }, '1 attempt with its evidence goes with it.'],
    [
      'clip',
      { ...none, routes: ['A'] },
      'It’s shown in the route “A”; another clip of the same line takes its place there.',
    ],
    ['person', { ...none, footage: ['A', 'B'] }, 'They’re on “A”, “B”.'],
    ['word', { ...none, attempts: 2, routes: ['R'] }, '2 attempts use it. It’s used in the route “R”.'],
    ['route', none, ''],
  ] as const)('when a %s is asked about, it should read like a sentence (%#)', (what, references, text) => {
    expect(referencesText(what, references)).toBe(text);
  });
});
