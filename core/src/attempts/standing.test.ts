import { BARE_HOLD } from './types.js';
import { describe, expect, test } from '@jest/globals';
import { FOOTAGE, LOGGED, attemptOf } from '../testing/workedExamples.js';
import { shippedWords } from '../vocabulary/index.js';
import {
  aimsOf,
  finishOf,
  gripsAtCommit,
  gripsAtEnd,
  isNearFinish,
  missingParts,
  normaliseSides,
  proposedResult,
  sayAim,
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
  ...BARE_HOLD,
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

  test('when it was for something else than its action is, that should decide where it ended and whether it worked', () => {
    const choke = { kind: 'submission', submission: 'collar-choke' } as const;
    const aimed = { ...base, aim: choke, finish: null };
    expect(finishOf(aimed, words)?.finish).toEqual({ ...choke, won: true });
    expect(proposedResult({ ...aimed, finish: { ...choke, won: true } }, words)).toBe('success');
    expect(proposedResult({ ...aimed, aim: null, finish: { ...choke, won: true } }, words)).not.toBe('success');
    // what a bait is really after is not what it would be if it were meant
    const bait = { ...aimed, intent: 'bait' } as const;
    expect(finishOf(bait, words)?.finish).toEqual({ kind: 'submission', submission: 'straight-armlock', won: true });
    expect(sayAim(choke, words)).toBe('cross collar choke');
    expect(aimsOf(aimed, words)).toEqual([{ submission: 'collar-choke' }]);
  });
});

describe('how an attempt enters the figures', () => {
  test('when state, entry or result is missing, it should be a draft that says so', () => {
    expect(missingParts({ state: null, action: 'armlock', result: null })).toEqual(['state', 'result']);
    expect(standingOf({ ...base, result: null }, FOOTAGE.F1, words)).toEqual({ kind: 'draft', missing: ['result'] });
  });

  test('when somebody only told how it went, it should be left out of the figures, until something shows it', () => {
    const told = (how: Attempt['evidence'][number]['how'], proof: Attempt['evidence'][number]['proof'] = null) =>
      standingOf({ ...base, evidence: [{ part: 'result', how, proof, by: null }] }, FOOTAGE.F1, words);
    const counted = standingOf(base, FOOTAGE.F1, words);
    expect(told('told')).toEqual({ kind: 'left out', because: 'only told' });
    expect(told('told', { kind: 'frame', angleId: 'two', frame: 9 })).toEqual(counted);
    for (const how of ['seen', 'partly', 'hidden', 'concluded', 'felt'] as const) expect(told(how)).toEqual(counted);
    // what else is only told counts: it says nothing of how it went
    const other = { ...base, evidence: [{ part: 'action', how: 'told', proof: null, by: null }] } as const;
    expect(standingOf(other, FOOTAGE.F1, words)).toEqual(counted);
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
    // a demonstration's slack is no tightness
    expect(isNearFinish({ ...base, result: 'shown', depth: 3 }, words)).toBe(false);
    expect(isNearFinish({ ...base, result: 'failed', resisted: false, depth: 3 }, words)).toBe(false);
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

describe('the result that follows from the finish', () => {
  const to = (position: string, role: 'top' | 'bottom' | 'even' | 'attacker'): Attempt['finish'] => ({
    kind: 'state',
    position,
    role,
  });
  const pass: Attempt = {
    ...base,
    state: { position: 'butterfly', role: 'top' },
    action: 'body-lock-pass',
    intent: 'own',
  };

  test('when the aim is reached it should be success, when the place is half a step better partial, else failed', () => {
    expect(proposedResult({ ...pass, finish: to('side-control', 'top') }, words)).toBe('success');
    expect(proposedResult({ ...pass, finish: to('turtle', 'top') }, words)).toBe('partial');
    expect(proposedResult({ ...pass, finish: to('butterfly', 'top') }, words)).toBe('failed');
    const won = { kind: 'submission', submission: 'straight-armlock', won: true } as const;
    const armlock: Attempt = { ...pass, state: { position: 'mount', role: 'top' }, action: 'armlock' };
    expect(proposedResult({ ...armlock, finish: won }, words)).toBe('success');
    expect(proposedResult({ ...armlock, finish: { ...won, won: false } }, words)).toBe('failed');
    expect(proposedResult({ ...armlock, finish: to('armlock-hold', 'attacker') }, words)).toBe('partial');
  });

  test('when a part is missing or it was a bait, nothing should be proposed', () => {
    expect(proposedResult({ ...pass, finish: null }, words)).toBeNull();
    expect(proposedResult({ ...pass, finish: to('side-control', 'top'), state: null }, words)).toBeNull();
    expect(proposedResult({ ...pass, finish: to('side-control', 'top'), intent: 'bait' }, words)).toBeNull();
  });

  test('when the worked examples are looked at, it should be what was said, but where the place is another view of failing', () => {
    const told = LOGGED.map((l) => l.attempt).filter((a) => a.result !== 'shown' && a.intent === 'own');
    const others = told.filter((a) => proposedResult(a, words) !== a.result).map((a) => a.id);
    expect(others).toEqual([]);
  });
});
