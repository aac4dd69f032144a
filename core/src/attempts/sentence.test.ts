import { BARE_HOLD } from './types.js';
import { describe, expect, test } from '@jest/globals';
import { attemptOf } from '../testing/workedExamples.js';
import { ACTION_KINDS, shippedWords } from '../vocabulary/index.js';
import { depthWord, readControls, sayAttempt, sayControl, type Control } from './index.js';

const words = shippedWords();
const athletes = { a: 'Ina', b: 'Bo' };
const plain = (parts: ReturnType<typeof sayAttempt>): string =>
  parts.map((p) => `${p.lead} ${p.text}`.trim()).join(' | ');
const saying = (typed: string): string[] => readControls(typed, words).map((c) => sayControl({ ...c, id: '' }, words));

describe('an attempt as a sentence', () => {
  const told = attemptOf({
    id: '1',
    in: 'F1',
    by: 'b',
    at: [0, 1, 2],
    from: 'half-guard/top',
    action: 'knee-through',
    to: 'side-control/top',
    result: 'success',
  });

  test('when everything was said, it should read back whole', () => {
    const attempt = {
      ...told,
      controls: [{ ...readControls('right arm underhook', words)[0]!, id: 'x' }],
      reactions: [
        { id: 'r', what: 'frames', isAction: false, deciding: false },
        { id: 's', what: 'hips-out', isAction: false, deciding: true },
      ],
    };
    expect(plain(sayAttempt(attempt, words, athletes))).toBe(
      'Bo | from half guard, top | with right arm underhook | knee-through pass | they frame, then hip out | ends in side control, top | worked',
    );
  });

  test('when parts were not said, they should be named plainly and marked', () => {
    const parts = sayAttempt({ ...told, state: null, action: null, result: null, finish: null }, words, athletes);
    expect(parts.filter((p) => p.missing).map((p) => p.part)).toEqual(['from', 'entry', 'finish', 'result']);
    expect(parts.every((p) => p.text !== '')).toBe(true);
  });

  test('when a depth is worded, every kind of action should have five rungs', () => {
    for (const kind of ACTION_KINDS) for (const rung of [0, 1, 2, 3, 4]) expect(depthWord(kind, rung)).not.toBe('');
    expect(depthWord('pass', 2)).toBe('past the knees');
    expect(depthWord('submission', 3)).toBe('nearly finished');
  });
});

describe('a hold that is typed', () => {
  test.each([
    ['right hand left collar', 'right hand on their left collar'],
    ['rh lapel', 'right hand on their collar'],
    ['l sleeve', 'left hand on their sleeve'],
    ['left foot hip', 'left foot hooking their hip'],
    ['right arm underhook', 'right arm underhook'],
    ['left hand frame right hip', 'left hand framing their right hip'],
    ['hand on the mat', 'hand posted on the mat'],
    ['right hand own left wrist', 'right hand on own left wrist'],
    ['rigth hand slevee', 'right hand on their sleeve'],
  ])('when "%s" is typed, the first reading should be "%s"', (typed, expected) => {
    expect(saying(typed)[0]).toBe(expected);
  });

  test('when a word is not understood, nothing should be read, so that nothing is dropped in silence', () => {
    expect(saying('right hand on the chandelier')).toEqual([]);
    expect(saying('')).toEqual([]);
  });

  test('when a hold reads back, typing that sentence should give the same hold again', () => {
    for (const target of words.of('target').filter((t) => t.key !== 'mat'))
      for (const limbSide of ['left', 'right'] as const)
        for (const targetSide of target.sided ? (['left', 'right'] as const) : [null]) {
          const hold: Control = {
            id: '',
            holder: 'subject',
            limb: 'hand',
            limbSide,
            kind: 'grip',
            target: target.key,
            targetOwner: 'other',
            targetSide,
            ...BARE_HOLD,
            cloth: target.cloth,
            gained: null,
            lost: null,
          };
          if (target.key === 'underarm') continue;
          const [read] = readControls(sayControl(hold, words), words);
          expect({ ...read, id: '' }).toEqual(hold);
        }
  });
});
