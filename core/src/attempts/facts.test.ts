import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { shippedWords } from '../vocabulary/index.js';
import {
  FACT_WHEN,
  FACT_WHOSE,
  factSlot,
  sayFact,
  timeToAct,
  timesToAct,
  sayAlternative,
  valuesOf,
  withAlternativeDetail,
  withFact,
  BARE_ALTERNATIVE,
  type Alternative,
  type FactUse,
} from './index.js';
import { mirrorFact } from './sides.js';

const words = shippedWords();
const fact = (more: Partial<FactUse>): FactUse => ({
  ...{ id: 'f', fact: 'hips', value: 'mat', side: null, whose: 'subject', when: 'start' },
  ...more,
});
const some: fc.Arbitrary<FactUse> = fc
  .record({
    word: fc.constantFrom(...words.of('fact')),
    nth: fc.nat(),
    side: fc.constantFrom('left' as const, 'right' as const, null),
    whose: fc.constantFrom(...FACT_WHOSE),
    when: fc.constantFrom(...FACT_WHEN),
    id: fc.uuid(),
  })
  .map(({ word, nth, side, whose, when, id }) => {
    const values = valuesOf(word);
    return { id, fact: word.key, value: values[nth % values.length]!.key, side, whose, when };
  });

describe('how somebody stood, in words', () => {
  test.each<readonly [Partial<FactUse>, string]>([
    [{}, 'hips on the mat'],
    [{ whose: 'opponent', when: 'end' }, 'their hips on the mat at the end'],
    [{ fact: 'posture', value: 'broken', whose: 'opponent' }, 'their posture broken'],
    [{ fact: 'posture', value: 'broken' }, 'own posture broken'],
    [{ fact: 'knees-inside', value: 'one', side: 'right' }, 'right knee inside'],
    [{ fact: 'knees-inside', value: 'one', side: 'right', whose: 'opponent' }, 'their right knee inside'],
    [{ fact: 'arms-inside', value: 'none', whose: 'opponent' }, 'neither of their arms inside'],
    [{ fact: 'attacked-leg', value: 'bent', side: 'left', whose: 'opponent' }, 'their left attacked leg bent'],
    [{ fact: 'distance', value: 'long', whose: 'both', when: 'commit' }, 'at long distance at commit'],
    [{ fact: 'tired', value: 'yes', whose: 'opponent' }, 'they are tired'],
    [{ fact: 'own-gone', value: 'high' }, 'own-gone: high'],
  ])('%j should be said: %s', (more, text) => {
    expect(sayFact(fact(more), words)).toBe(text);
  });

  test('no two facts that can be told should be said alike', () => {
    fc.assert(
      fc.property(some, some, (a, b) => {
        const word = words.get('fact', a.fact)!;
        const other = words.get('fact', b.fact)!;
        // what is about both is nobody's, and what has no sides has none
        fc.pre(word.whose !== 'both' && other.whose !== 'both' && a.whose !== 'both' && b.whose !== 'both');
        fc.pre((word.sided || a.side === null) && (other.sided || b.side === null));
        const isSame = factSlot(a) === factSlot(b) && a.value === b.value;
        expect(sayFact(a, words) === sayFact(b, words)).toBe(isSame);
      }),
      { numRuns: 2000 },
    );
  });

  test('told twice in one place, the later should stand; turned over twice, it should be as it was', () => {
    fc.assert(
      fc.property(fc.array(some, { maxLength: 12 }), (all) => {
        const told = all.reduce<readonly FactUse[]>(withFact, []);
        expect(new Set(told.map(factSlot)).size).toBe(told.length);
        for (const f of told) {
          expect(all.filter((a) => factSlot(a) === factSlot(f)).at(-1)).toBe(f);
          expect(mirrorFact(mirrorFact(f))).toEqual(f);
        }
      }),
    );
  });
});

describe('what else there was', () => {
  const hipOut: Alternative = {
    ...BARE_ALTERNATIVE,
    ...{ id: 'a', by: 'opponent', what: 'hips-out', isAction: false },
  };
  const at = (frame: number) => ({ frame, pts: frame });
  const seconds = ({ pts }: { readonly pts: number }): number => pts / 10;

  test('from the commit of the second example (21 s) until 22.4 s there should be 1.4 s to act', () => {
    const until = { ...hipOut, until: at(224) };
    const found = timeToAct({ start: at(200), commit: at(210) }, until, seconds)!;
    expect(found.frames).toBe(14);
    expect(found.seconds).toBeCloseTo(1.4, 9);
    expect(timeToAct({ start: at(200), commit: null }, until, seconds)!.frames).toBe(24);
    expect(timeToAct({ start: at(200), commit: at(210) }, hipOut, seconds)).toBeUndefined();
    expect(timeToAct({ start: at(230), commit: null }, until, seconds)).toBeUndefined();
  });

  test('over several attempts it should be the middle one with the shortest and the longest, of the same way out of the same action alone', () => {
    const told = (start: number, until: number | null, more: Partial<Alternative> = {}, action = 'armlock') => ({
      ...{ action, start: at(start), commit: null },
      alternatives: [{ ...hipOut, until: until === null ? null : at(until), ...more }],
    });
    const three = [told(200, 214), told(300, 302), told(500, 505)];
    const over = (attempts: readonly ReturnType<typeof told>[]) =>
      timesToAct(attempts, 'armlock', hipOut, (_attempt, at) => seconds(at));
    expect(over(three)).toEqual({ n: 3, medianS: 0.5, leastS: expect.closeTo(0.2, 9), mostS: expect.closeTo(1.4, 9) });
    expect(over([three[0]!, three[2]!])!.medianS).toBeCloseTo(0.95, 9);
    const none = [
      ...[told(200, null), told(200, 150), told(200, 290, { by: 'subject' })],
      ...[told(200, 290, { what: 'frames' }), told(200, 290, { isAction: true }), told(200, 290, {}, 'sweep')],
    ];
    expect(over([...three, ...none])!.n).toBe(3);
    expect(over(none)).toBeUndefined();
  });

  test('what is said of it should be said of the last one, and read behind it', () => {
    const both = withAlternativeDetail([{ ...hipOut, id: 'first' }, hipOut], { kind: 'why', why: 'late' });
    expect(both[0]!.why).toBeNull();
    const all = withAlternativeDetail(both, { kind: 'opens', opens: { kind: 'action', action: 'armlock' } });
    expect(sayAlternative(all[1]!, words)).toBe('hip out (theirs, too late, opens straight armlock)');
    expect(withAlternativeDetail([], { kind: 'until', at: at(1) })).toEqual([]);
  });
});
