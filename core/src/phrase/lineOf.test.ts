import { describe, expect, test } from '@jest/globals';
import { BARE_REACTION, controlKey, type Attempt } from '../attempts/index.js';
import { randomFrom } from '../testing/phrases.js';
import { attemptOf } from '../testing/workedExamples.js';
import { shippedWords } from '../vocabulary/index.js';
import { changesSaid, lineOf, partsSaid, readControls, readPhrase } from './index.js';

const words = shippedWords();
const told = attemptOf({
  ...{ id: '1', in: 'F1', by: 'a', at: [0, 1, 2] },
  ...{ from: 'half-guard/top', action: 'knee-through', to: 'side-control/top', result: 'success' },
});

/** Attempts of all that there are words for, by a seed. */
const someAttempts = (seed: number, count: number): readonly Attempt[] => {
  const random = randomFrom(seed);
  const oneOf = <T>(all: readonly T[]): T => all[Math.floor(random() * all.length)]!;
  const state = () => {
    const p = oneOf(words.of('position'));
    return { position: p.key, role: oneOf(p.roles) };
  };
  return Array.from({ length: count }, (_, i): Attempt => {
    const hold = readControls(oneOf(['right hand left collar', 'far underhook', 'left foot right hip']), words)[0]!;
    return {
      ...told,
      id: String(i),
      state: state(),
      action: oneOf(words.of('action').filter((a) => a.aims.length > 0)).key,
      result: oneOf(['success', 'failed', 'partial', 'abandoned'] as const),
      finish: random() < 0.7 ? { kind: 'state', ...state() } : null,
      controls: random() < 0.6 ? [{ ...hold, id: 'c', holder: oneOf(['subject', 'opponent'] as const) }] : [],
      reactions:
        random() < 0.6 ? [{ id: 'r', what: oneOf(words.of('reaction')).key, isAction: false, ...BARE_REACTION }] : [],
      reasons: random() < 0.4 ? [{ id: 'w', reason: oneOf(words.of('reason')).key, main: true }] : [],
    };
  });
};

describe('an attempt as a line', () => {
  test('when it is said as a line, the line should say it and nothing else, and leave it as it was', () => {
    let stays = 0;
    for (const attempt of someAttempts(11, 150)) {
      const line = lineOf(attempt, words, {});
      const said = partsSaid(readPhrase(line.text, words), line.text, words, () => 'new');
      expect([line.text, said.further.length, said.note]).toEqual([line.text, 0, '']);
      const { changes, following } = changesSaid(attempt, said, null, words, line.before);
      const after = { ...attempt, ...changes };
      expect({ ...after, controls: after.controls.map(controlKey) }).toEqual({
        ...attempt,
        ...following,
        proposed: Object.keys(following),
        controls: attempt.controls.map(controlKey),
      });
      if (line.stays.length) stays++;
    }
    // nearly all of it can be said
    expect(stays).toBeLessThan(8);
  });

  test('when parts only follow, the line should not say them, and keeping it leave them proposed', () => {
    for (const attempt of someAttempts(12, 60)) {
      const line = lineOf({ ...attempt, proposed: ['result'] }, words, {});
      expect(line.before.result).toBe(undefined);
    }
    const attempt: Attempt = { ...told, proposed: ['result'] };
    const { text, before } = lineOf(attempt, words, {});
    expect(text).toBe('from half guard top; knee-through pass; ends in side control top');
    const keep = (typed: string): Attempt => {
      const said = partsSaid(readPhrase(typed, words), typed, words, () => 'new');
      return { ...attempt, ...changesSaid(attempt, said, null, words, before).changes };
    };
    expect(keep(text)).toEqual(attempt);
    expect(keep(`${text}; failed`)).toEqual({ ...attempt, result: 'failed', proposed: [] });
  });

  test('when something is taken out of the line, it should be taken out of the attempt, and nothing else', () => {
    const [hold] = readControls('right hand left collar', words);
    const attempt: Attempt = {
      ...told,
      controls: [{ ...hold!, id: 'c', won: true }],
      reactions: [{ id: 'r', what: 'frames', isAction: false, ...BARE_REACTION, deciding: true }],
      reasons: [{ id: 'w', reason: 'late', main: true }],
    };
    const { text, before } = lineOf(attempt, words, {});
    expect(text).toBe(
      'from half guard top; with right hand on their left collar; knee-through pass; they frame; ends in side control top; worked; because too late',
    );
    const changed = (line: string): Attempt => {
      const said = partsSaid(readPhrase(line, words), line, words, () => 'new');
      return { ...attempt, ...changesSaid(attempt, said, null, words, before).changes };
    };
    expect(changed(text)).toEqual(attempt);
    expect(changed(text.replace('they frame; ', ''))).toEqual({ ...attempt, reactions: [] });
    expect(changed(text.replace('with right hand on their left collar; ', '')).controls).toEqual([]);
    expect(changed(text.replace('because too late', 'because wrong side'))).toMatchObject({
      controls: attempt.controls,
      reasons: [{ reason: 'wrong-side', main: true }],
    });
    expect(changed(text.replace('they frame', 'they frame then hip out')).reactions).toEqual([
      attempt.reactions[0],
      { id: 'new', what: 'hips-out', isAction: false, ...BARE_REACTION },
    ]);
  });
});
