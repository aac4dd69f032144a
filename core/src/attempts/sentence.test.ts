import { describe, expect, test } from '@jest/globals';
import { attemptOf } from '../testing/workedExamples.js';
import { readControls, readHolds } from '../phrase/index.js';
import { ACTION_KINDS, CONTROL_KINDS, LIMBS, shippedWords } from '../vocabulary/index.js';
import {
  BARE_HOLD,
  BARE_REACTION,
  REACHES,
  controlKey,
  depthWord,
  sayAttempt,
  sayControl,
  type Control,
} from './index.js';

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
        { id: 'r', what: 'frames', isAction: false, ...BARE_REACTION },
        { id: 's', what: 'hips-out', isAction: false, ...BARE_REACTION, deciding: true },
      ],
    };
    expect(plain(sayAttempt(attempt, words, athletes))).toBe(
      'Bo | from half guard, top | with right arm underhook | knee-through pass | they frame, then hip out (decided it) | ends in side control, top | worked',
    );
  });

  test('when it was said whether it was planned, that should stand behind what was done', () => {
    const entry = (planned: boolean | null): string | undefined =>
      sayAttempt({ ...told, planned }, words, athletes).find((p) => p.part === 'entry')?.text;
    const plain = entry(null)!;
    expect([entry(true), entry(false)]).toEqual([`${plain}, planned`, `${plain}, made up on the spot`]);
  });

  test('when parts were not said, they should be named plainly and marked', () => {
    const parts = sayAttempt({ ...told, state: null, action: null, result: null, finish: null }, words, athletes);
    expect(parts.filter((p) => p.missing).map((p) => p.part)).toEqual(['from', 'entry', 'finish', 'result']);
    expect(parts.every((p) => p.text !== '')).toBe(true);
  });

  test('when a depth is worded, every kind of action should have five rungs', () => {
    for (const kind of ACTION_KINDS)
      for (const rung of [0, 1, 2, 3, 4]) expect(depthWord({ does: kind }, rung)).not.toBe('');
    expect(depthWord({ does: 'pass' }, 2)).toBe('past the knees');
    expect(depthWord({ does: 'submission' }, 3)).toBe('nearly finished');
  });
});

describe('a hold that is typed', () => {
  test.each([
    ['right hand left collar', 'right hand on their left collar'],
    ['rh lapel', 'right hand on their collar'],
    ['l sleeve', 'hand on their left sleeve'],
    ['left foot hip', 'left foot hooking their hip'],
    ['right arm underhook', 'right arm underhook'],
    ['left hand frame right hip', 'left hand framing their right hip'],
    ['hand on the mat', 'hand posted on the mat'],
    ['right hand own left wrist', 'right hand on own left wrist'],
    ['right hadn slevee', 'right hand on their sleeve'],
  ])('when "%s" is typed, the first reading should be "%s"', (typed, expected) => {
    expect(saying(typed)[0]).toBe(expected);
  });

  test('when a word is not understood, nothing should be read, so that nothing is dropped in silence', () => {
    expect(saying('right hand on the chandelier')).toEqual([]);
    expect(saying('')).toEqual([]);
  });

  test('when a hold is said, whichever it is, the field, a cell and the line should read it back as it was', () => {
    const wrong: string[] = [];
    let many = 0;
    const sides = [null, 'left', 'right'] as const;
    for (const target of words.of('target').filter((t) => !t.grips))
      for (const limb of LIMBS)
        for (const kind of CONTROL_KINDS) {
          if ((kind === 'underhook') !== (target.key === 'underarm' && limb === 'arm')) continue;
          for (const [i, limbSide] of sides.entries())
            for (const where of [...(target.sided ? sides : [null]), ...REACHES]) {
              // each limb, kind and target, with sides in turn
              many++;
              if ((many + i) % 5 !== 0) continue;
              const reach = REACHES.find((r) => r === where) ?? null;
              const isLone = target.key === 'mat' || target.key === 'wall';
              if (isLone && where !== null) continue;
              const hold: Control = {
                ...BARE_HOLD,
                ...{ id: '', holder: 'subject', limb, limbSide, kind, target: target.key, cloth: target.cloth, reach },
                targetOwner: isLone ? target.key : 'other',
                targetSide: reach === null ? (where as 'left' | 'right' | null) : null,
              };
              const text = sayControl(hold, words);
              const [read] = readHolds(text, words);
              if (read?.length !== 1 || controlKey({ ...read[0]!, id: '' }) !== controlKey(hold)) wrong.push(text);
            }
        }
    expect(many).toBeGreaterThan(9000);
    expect(wrong).toEqual([]);
  });

  test.each([
    ['far underhook', ['far underhook']],
    ['cross collar', ['hand on their cross collar']],
    ['double underhooks', ['right arm underhook', 'left arm underhook']],
    ['leg underhook', ['arm underhooking their thigh']],
    ['underhook the far leg', ['arm underhooking their far thigh']],
    ['hook the far leg', ['foot hooking their far thigh']],
    ['two on one', ['right hand on their arm', 'left hand on their arm']],
    ['seatbelt', ['underhook', 'arm locked round their shoulder']],
    ['rh slevee', ['right hand on their sleeve']],
    ['my right hand on his left sleeve', ['right hand on their left sleeve']],
  ])('when "%s" is typed into a field, it should be what the line takes it for', (typed, said) => {
    const read = readHolds(typed, words)[0] ?? [];
    expect(read.map((c) => sayControl({ ...c, id: '' }, words)).sort()).toEqual([...said].sort());
  });

  test('when a word of a hold is not understood, there should be no hold', () => {
    expect(readHolds('right hand on their zorblat', words)).toEqual([]);
    expect(readHolds('', words)).toEqual([]);
  });
});
