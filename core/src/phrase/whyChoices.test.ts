import { describe, expect, test } from '@jest/globals';
import {
  BARE_HOLD,
  BARE_REACTION,
  sayFact,
  sayHold,
  withHoldDetail,
  type Attempt,
  type Control,
} from '../attempts/index.js';
import { TOLD, attemptOf } from '../testing/workedExamples.js';
import { matchWords, shippedWords } from '../vocabulary/index.js';
import { factChoices, holdDetailChoices, knownChoices, linkFinder, otherWayChoices } from './index.js';

const words = shippedWords();
const sleeve: Control = {
  ...BARE_HOLD,
  ...{ id: 'k', holder: 'subject', limb: 'hand', limbSide: 'right', kind: 'grip', target: 'sleeve' },
  ...{ targetOwner: 'other', targetSide: 'left', cloth: true },
};
const attempt: Attempt = {
  ...attemptOf(TOLD[0]!),
  controls: [sleeve],
  reactions: [{ ...BARE_REACTION, id: 'r', what: 'frames', isAction: false }],
};

describe('how they stood, typed', () => {
  const facts = factChoices(words);
  test.each([
    ['hips low', 'hips on the mat'],
    ['knees inside', 'both knees inside'],
    ['their knees inside', 'both their knees inside'],
    ['posture broken', 'their posture broken'],
    ['my posture broken', 'own posture broken'],
    ['right knee inside', 'right knee inside'],
    ['flattened out', 'their back on the mat'],
    ['at the wall', 'near the wall'],
    ['hips up at the end', 'hips off the mat at the end'],
    ['they are tired', 'they are tired'],
    ['left leg straight', 'their left attacked leg straight'],
  ])('%s should be: %s', (typed, said) => {
    expect(sayFact(matchWords(typed, facts)[0]!.value, words)).toBe(said);
  });

  test('every fact should be found by the words in which it is said', () => {
    for (const { value } of facts) {
      const said = sayFact(value, words);
      expect(sayFact(matchWords(said, facts)[0]!.value, words)).toBe(said);
    }
  });
});

test('what is said about a hold should be found by its words, and stand behind it', () => {
  const details = holdDetailChoices('sleeve', words);
  const say = (typed: string): string => sayHold(withHoldDetail(sleeve, matchWords(typed, details)[0]!.value), words);
  expect(say('wrist')).toBe('right hand on their left sleeve (wrist)');
  expect(say('to post')).toBe('right hand on their left sleeve (to post)');
  expect(say('hidden')).toBe('right hand on their left sleeve (not seen)');
});

test('what there was instead should say whose it was', () => {
  const of = (typed: string) => matchWords(typed, otherWayChoices(words))[0]!.value;
  expect(of('they should have hip out')).toEqual({ by: 'opponent', what: 'hips-out', isAction: false });
  expect(of('we could have toreando').by).toBe('subject');
});

describe('a link, typed', () => {
  const find = linkFinder(attempt, attemptOf(TOLD[1]!), words);
  test('what stands before the verb should lead to what stands behind it', () => {
    expect(find('frame prevents head and arm pass')[0]!.link).toEqual({
      from: { attemptId: null, part: 'reaction:r' },
      to: { attemptId: null, part: 'action' },
      kind: 'prevents',
    });
    expect(find('head and arm prev fra')[0]!.link).toMatchObject({
      from: { part: 'action' },
      to: { part: 'reaction:r' },
    });
    expect(find('sleeve lets head and arm')[0]!.link).toMatchObject({ from: { part: 'control:k' }, kind: 'enables' });
    expect(find('before hip bump ena half')[0]!.link).toMatchObject({
      from: { attemptId: '02', part: 'action' },
      to: { attemptId: null, part: 'state' },
    });
  });

  test('without a verb, or with nothing before it, none should be found; with nothing behind it, every other detail', () => {
    expect(find('frame')).toEqual([]);
    expect(find('prevents')).toEqual([]);
    expect(
      find('frame prevents')
        .map((f) => f.link.to.part)
        .sort(),
    ).toEqual(['action', 'control:k', 'finish', 'result', 'state']);
  });
});

test('how a detail is known should be found either way round', () => {
  const of = (typed: string) => matchWords(typed, knownChoices(attempt, words))[0]!.value;
  expect(of('worked: felt')).toEqual({ part: 'result', how: 'felt' });
  expect(of('not seen sleeve')).toEqual({ part: 'control:k', how: 'hidden' });
});
