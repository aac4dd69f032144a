import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { mirrorAttempt, type Attempt } from '../attempts/index.js';
import { LOGGED, TOLD, attemptOf } from '../testing/workedExamples.js';
import { shippedWords } from '../vocabulary/index.js';
import { cameWith, differencesOf, seriesOf } from './index.js';

const words = shippedWords();
const told = (id: string): Attempt => attemptOf(TOLD.find((t) => t.id === id)!);
const first: Attempt = { ...told('12'), depth: 2 };
const second: Attempt = { ...told('13'), depth: 4, parentId: '12' };

describe('two tries of one thing', () => {
  test('the two armlocks of the sixth example should differ in state, reaction, depth and result; state and reaction came with it', () => {
    const differences = differencesOf(first, second, words);
    expect(differences.filter((d) => d.is !== 'same')).toEqual([
      { of: 'state', is: 'other', first: 'mount, top', second: 'armlock hold, attacker' },
      { of: 'reaction', is: 'only first', first: 'clasp the hands', second: null },
      { of: 'depth', is: 'other', first: 'tight', second: 'finished' },
      { of: 'result', is: 'other', first: 'partly', second: 'worked' },
    ]);
    expect(cameWith(differences).map((d) => d.of)).toEqual(['state', 'reaction']);
  });

  test('when neither result nor depth changed, nothing should have come with it', () => {
    expect(cameWith(differencesOf(first, { ...second, depth: 2, result: 'partial' }, words))).toEqual([]);
  });

  test('tries that go on with each other should be one series, in the order of their starts', () => {
    const third: Attempt = { ...second, id: '20', parentId: '13' };
    const all = [third, told('14'), second, first].map((attempt) => ({ attempt, startS: attempt.start.frame }));
    expect(seriesOf(all[2]!, all).map(({ attempt }) => attempt.id)).toEqual(['12', '13', '20']);
    expect(seriesOf(all[1]!, all).map(({ attempt }) => attempt.id)).toEqual(['14']);
  });
});

describe('any two attempts', () => {
  const attempt = fc.constantFrom(...LOGGED.map((l) => l.attempt));
  test('one and itself should be the same throughout; turned round, what only one has is what only the other has', () => {
    fc.assert(
      fc.property(attempt, attempt, (a, b) => {
        expect(differencesOf(a, a, words).every((d) => d.is === 'same')).toBe(true);
        const count = (one: Attempt, other: Attempt, is: string): number =>
          differencesOf(one, other, words).filter((d) => d.is === is).length;
        expect(count(a, b, 'only first')).toBe(count(b, a, 'only second'));
        expect(count(a, b, 'other')).toBe(count(b, a, 'other'));
      }),
    );
  });

  test('the same done on the other side should be the same', () => {
    const right: Attempt = {
      ...told('18'),
      lead: 'right',
      facts: [{ id: 'f', fact: 'knees-inside', value: 'one', side: 'left', whose: 'subject', when: 'start' }],
    };
    const left: Attempt = { ...mirrorAttempt(right), id: 'left' };
    expect(differencesOf(right, left, words).every((d) => d.is === 'same')).toBe(true);
  });
});
