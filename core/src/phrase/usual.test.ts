import { describe, expect, test } from '@jest/globals';
import { BARE_HOLD, type Attempt, type Control } from '../attempts/index.js';
import { LOGGED } from '../testing/workedExamples.js';
import { shippedWords } from '../vocabulary/index.js';
import { Usual, holdFinder } from './index.js';

const words = shippedWords();
const told = LOGGED.map((l) => l.attempt).find((a) => a.state)!;
const hold: Omit<Control, 'id'> = {
  ...BARE_HOLD,
  ...{ holder: 'subject', limb: 'hand', limbSide: 'right', kind: 'grip' },
  ...{ target: 'collar', targetOwner: 'other', targetSide: 'left', cloth: true },
};
const withHold = (id: string, more: Partial<Control>): Attempt => ({
  ...told,
  id,
  controls: [{ ...hold, id: `hold of ${id}`, ...more }],
});

describe('what is usual', () => {
  test('when one hold was told deep, won, handed over and with its instants, it should be one choice, without any of that', () => {
    const at = { frame: 3, pts: 3 };
    const usual = new Usual(
      [
        withHold('a', {}),
        withHold('b', { depth: 'deep', thumb: 'in', won: true, handed: true, gained: at, lost: at }),
        withHold('c', { depth: 'shallow' }),
      ],
      words,
    );
    const find = holdFinder(words, usual, { from: told.state, held: [], gi: true });
    const found = find('');
    expect(new Set(found.map((f) => f.name)).size).toBe(found.length);
    const first = found[0]!.hold;
    expect(first).toMatchObject({ target: hold.target, limb: hold.limb, limbSide: hold.limbSide });
    expect(first).toMatchObject({ depth: null, thumb: null, won: false, handed: false, gained: null, lost: null });
    expect(first).not.toHaveProperty('id');
    expect(usual.hold(first, told.state)).toBeGreaterThan(1);
  });

  test('when nothing was told yet, nothing should come before anything else', () => {
    const usual = new Usual([], words);
    expect(holdFinder(words, usual, { from: told.state, held: [], gi: true })('')).toEqual([]);
    expect(usual.place(told.state!)).toBe(0);
  });
});
