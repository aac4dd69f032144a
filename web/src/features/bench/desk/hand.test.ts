import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { EMPTY, PARTS, handAfter, handNow, heldIn, wayOf, type Hand, type HandMove, type Held } from './hand.js';

const clip = (clipId: string, way = PARTS): Held => ({ is: 'clip', clipId, way });
const mark = (momentId: string): Held => ({ is: 'mark', momentId });
const take = (held: Held): HandMove => ({ does: 'take', held });
const after = (...moves: readonly HandMove[]): Hand => moves.reduce(handAfter, EMPTY as Hand);

describe('what is in hand', () => {
  test('when something is taken, whatever else was in hand should be there no more', () => {
    expect(after(take(clip('c')), { does: 'tell', way: { by: 'line', typed: 'x' } }, take(mark('m')))).toEqual(
      mark('m'),
    );
    expect(after(take(mark('m')), take({ is: 'begun', inFrame: 4 }))).toEqual({ is: 'begun', inFrame: 4 });
    expect(after({ does: 'ask', asks: 'clock' }, take(clip('c')))).toEqual(clip('c'));
  });

  test('when something is asked, it should lie over what is in hand, which is in hand again as it was', () => {
    const line: HandMove = { does: 'tell', way: { by: 'line', typed: 'half' } };
    const asked = after(take(clip('c')), line, { does: 'ask', asks: 'go to' });
    expect([asked.is, wayOf(asked), heldIn(asked)]).toEqual(['question', undefined, clip('c', line.way)]);
    expect(handAfter(asked, { does: 'ask', asks: 'clock' })).toMatchObject({ asks: 'clock', over: heldIn(asked) });
    expect(handAfter(asked, { does: 'answer' })).toEqual(heldIn(asked));
  });

  test('when the next clip is taken, an open board should stay open, and a line should not', () => {
    const board = { by: 'board' } as const;
    expect(after(take(clip('c')), { does: 'tell', way: board }, take(clip('d')))).toEqual(clip('d', board));
    expect(after(take(clip('c')), { does: 'tell', way: { by: 'line', typed: '' } }, take(clip('d')))).toEqual(
      clip('d'),
    );
  });

  test('when there is no clip in hand, nothing should be told of it', () => {
    expect(after(take(mark('m')), { does: 'tell', way: { by: 'board' } })).toEqual(mark('m'));
  });

  const there = { clipId: null, hasClip: (id: string) => id === 'c', hasMark: (id: string) => id === 'm' };
  test('when the address names a clip that is there, that should be in hand, told as it was being told', () => {
    const told = clip('c', { by: 'board' });
    expect(handNow(told, { ...there, clipId: 'c' })).toBe(told);
    expect(handNow(mark('m'), { ...there, clipId: 'c' })).toEqual(clip('c'));
    expect(handNow({ is: 'question', asks: 'clock', over: mark('m') }, { ...there, clipId: 'c' })).toEqual({
      ...{ is: 'question', asks: 'clock' },
      over: clip('c'),
    });
  });

  test('when what was in hand is gone, nothing should be', () => {
    expect(handNow(clip('gone'), { ...there, clipId: 'gone' })).toEqual(EMPTY);
    expect(handNow(clip('c'), there)).toEqual(EMPTY);
    expect(handNow(mark('gone'), there)).toEqual(EMPTY);
    expect(handNow(mark('m'), there)).toEqual(mark('m'));
  });

  const held = fc.oneof(
    fc.constant(EMPTY),
    fc.nat(9).map((inFrame): Held => ({ is: 'begun', inFrame })),
    fc.constantFrom(...['c', 'd'].map((id) => clip(id)), mark('m')),
  );
  const way = fc.constantFrom(
    PARTS,
    { by: 'board' } as const,
    { by: 'line', typed: 'a' } as const,
    { by: 'bin' } as const,
  );
  const move = fc.oneof(
    held.map(take),
    way.map((w): HandMove => ({ does: 'tell', way: w })),
    fc.constantFrom<HandMove>({ does: 'ask', asks: 'go to' }, { does: 'ask', asks: 'clock' }, { does: 'answer' }),
  );
  test('when anything is done, one thing should be in hand, and what is asked never lie over something that is asked', () => {
    fc.assert(
      fc.property(fc.array(move), (moves) => {
        const hand = after(...moves);
        expect(heldIn(hand).is).not.toBe('question');
        expect(heldIn(handAfter(hand, { does: 'ask', asks: 'clock' }))).toEqual(heldIn(hand));
        const last = moves.at(-1);
        if (last?.does === 'take') expect(hand.is).toBe(last.held.is);
        expect(handNow(hand, { clipId: null, hasClip: () => true, hasMark: () => true })).toEqual(
          heldIn(hand).is === 'clip' ? (hand.is === 'question' ? { ...hand, over: EMPTY } : EMPTY) : hand,
        );
      }),
    );
  });
});
