import { describe, expect, test } from '@jest/globals';
import { referencesText } from './bin.text.js';

const none = { clips: 0, attempts: 0, footage: [], routes: [] };

describe('what stands on a thing, in words', () => {
  test.each([
    ['footage', { ...none, clips: 3, attempts: 2 }, 'With it go 3 clips and 2 attempts and their evidence.'],
    ['clip', { ...none, attempts: 1 }, 'With it goes 1 attempt and its evidence.'],
    [
      'clip',
      { ...none, routes: ['A'] },
      'It is shown by the route “A”; another clip of the same line takes its place there.',
    ],
    ['person', { ...none, footage: ['A', 'B'] }, 'It is on “A”, “B”.'],
    ['word', { ...none, attempts: 2, routes: ['R'] }, '2 attempts say it. It is said by the route “R”.'],
    ['route', none, ''],
  ] as const)('when a %s is asked about, it should read like a sentence (%#)', (what, references, text) => {
    expect(referencesText(what, references)).toBe(text);
  });
});
