import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { attemptOf } from '../testing/workedExamples.js';
import { PROPOSED_PARTS, asSaid, proposedIn, type Attempt } from './index.js';

const attempt = attemptOf({
  ...{ id: '1', in: 'F1', by: 'a', at: [0, 1, 2] },
  ...{ from: 'half-guard/top', action: 'knee-through', to: 'side-control/top', result: 'success' },
});
const fields = ['subject', 'state', 'action', 'finish', 'result', 'lead'] as const;

describe('what is proposed', () => {
  test('when parts are set, exactly those should be said, and the others stay proposed', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.constantFrom(...PROPOSED_PARTS)),
        fc.uniqueArray(fc.constantFrom(...fields)),
        (proposed, set) => {
          const before: Attempt = { ...attempt, proposed };
          const changes = Object.fromEntries(set.map((field) => [field, attempt[field]]));
          const after: Attempt = { ...before, ...asSaid(before, changes) };
          for (const field of ['subject', 'state', 'action', 'finish', 'result'] as const)
            expect(proposedIn(after, field)).toBe(set.includes(field) ? null : proposedIn(before, field));
          expect(proposed).toEqual(expect.arrayContaining([...after.proposed]));
        },
      ),
    );
  });

  test('when changes tell themselves what is proposed, that should stand', () => {
    const changes = { result: 'failed', proposed: ['result'] } as const;
    expect(asSaid({ proposed: [], endAssumed: false }, changes)).toBe(changes);
    expect(asSaid({ proposed: ['result'], endAssumed: false }, { result: null })).toEqual({
      ...{ result: null, proposed: [] },
    });
  });

  test('when an end that was assumed is set, it should be assumed no more; what else is set leaves it so', () => {
    const open = { proposed: [], endAssumed: true } as const;
    const end = { frame: 9, pts: 90 };
    expect(asSaid(open, { end })).toEqual({ end, endAssumed: false });
    expect(asSaid(open, { end, endAssumed: true })).toEqual({ end, endAssumed: true });
    expect(asSaid(open, { result: 'failed' })).toEqual({ result: 'failed' });
    expect(asSaid({ ...open, endAssumed: false }, { end })).toEqual({ end });
  });
});
