import { describe, expect, test } from '@jest/globals';
import { FOOTAGE, attemptOf } from '../testing/workedExamples.js';
import { shippedWords } from '../vocabulary/index.js';
import {
  finishOf,
  gripsAtCommit,
  gripsAtEnd,
  isNearFinish,
  missingParts,
  normaliseSides,
  standingOf,
  type Attempt,
  type Control,
} from './index.js';

const words = shippedWords();
const base = attemptOf({
  id: '1',
  in: 'F1',
  by: 'a',
  at: [10, 20, 30],
  from: 'mount/top',
  action: 'armlock',
  to: 'won:straight-armlock',
  result: 'success',
});
const hold = (id: string, more: Partial<Control> = {}): Control => ({
  id,
  holder: 'subject',
  limb: 'hand',
  limbSide: 'right',
  kind: 'grip',
  target: 'wrist',
  targetOwner: 'other',
  targetSide: 'left',
  reach: null,
  cloth: false,
  gained: null,
  lost: null,
  ...more,
});
const at = (frame: number): Attempt['start'] => ({ frame, pts: frame });

describe('where an attempt ended', () => {
  test('when the finish was not said, a failed one should end where it began, assumed', () => {
    expect(finishOf({ ...base, finish: null, result: 'failed' }, words)).toEqual({
      finish: { kind: 'state', position: 'mount', role: 'top' },
      assumed: true,
    });
  });

  test('when it worked and aims at one place only, it should have ended there; with several aims it stays open', () => {
    expect(finishOf({ ...base, finish: null }, words)).toEqual({
      finish: { kind: 'submission', submission: 'straight-armlock', won: true },
      assumed: true,
    });
    expect(finishOf({ ...base, action: 'hip-escape', finish: null }, words)).toBeUndefined();
    expect(finishOf({ ...base, action: 'body-lock-pass', finish: null }, words)).toBeUndefined();
  });
});

describe('how an attempt enters the figures', () => {
  test('when state, entry or result is missing, it should be a draft that says so', () => {
    expect(missingParts({ state: null, action: 'armlock', result: null })).toEqual(['state', 'result']);
    expect(standingOf({ ...base, result: null }, FOOTAGE.F1, words)).toEqual({ kind: 'draft', missing: ['result'] });
  });

  test('when it was not resisted, it should count as shown', () => {
    expect(standingOf(base, FOOTAGE.F3, words).kind).toBe('shown');
    expect(standingOf({ ...base, resisted: false }, FOOTAGE.F1, words).kind).toBe('shown');
    expect(standingOf(base, { ...FOOTAGE.F2, live: false }, words).kind).toBe('shown');
    expect(standingOf(base, FOOTAGE.F2, words).kind).toBe('counted');
  });

  test('when a submission came close without success, it should be a near finish', () => {
    const near: Attempt = { ...base, result: 'failed', depth: 3 };
    expect(isNearFinish(near, words)).toBe(true);
    expect(isNearFinish({ ...near, depth: 2 }, words)).toBe(false);
    expect(isNearFinish({ ...near, result: 'success' }, words)).toBe(false);
  });
});

describe('grips', () => {
  const early = hold('early', { gained: at(12), lost: at(15) });
  const held = hold('held', { gained: at(12) });
  const late = hold('late', { gained: at(25) });
  const theirs = hold('theirs', { holder: 'opponent' });
  const said = hold('said');
  const attempt: Attempt = { ...base, controls: [early, held, late, theirs, said] };

  test('when asked for those at commit, only what the subject holds then should count; without instants they are held', () => {
    expect(gripsAtCommit(attempt).map((c) => c.id)).toEqual(['held', 'said']);
    expect(gripsAtCommit({ ...attempt, commit: null }).map((c) => c.id)).toEqual(['said']);
  });

  test('when asked for those at the end, what was lost before should be gone', () => {
    expect(gripsAtEnd(attempt).map((c) => c.id)).toEqual(['held', 'late', 'said']);
  });

  test('when the lead is left, every side should be swapped; mirrored attempts are then equal', () => {
    const left: Attempt = { ...base, lead: 'left', controls: [hold('x', { limbSide: 'left', targetSide: 'right' })] };
    const right: Attempt = { ...base, lead: 'right', controls: [hold('x')] };
    expect(normaliseSides(left)).toEqual(normaliseSides(right));
    expect(normaliseSides({ ...left, lead: null }).controls).toEqual(left.controls);
  });
});
