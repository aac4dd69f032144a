import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { BARE_FOOTAGE } from '../rows/index.js';
import { LEFT_OUT_KINDS, SPAN_KINDS, type FootageSpan } from './types.js';
import {
  isLeftOut,
  isLoggedThroughout,
  leftOutSpans,
  spanAt,
  spansToAskOf,
  technicalMs,
  withSpan,
  type MsSpan,
} from './stretches.js';
import { joined, without } from './stretches.js';

const END = 60;
const stretch = fc
  .tuple(fc.nat(END - 1), fc.integer({ min: 1, max: END }))
  .map(([fromMs, length]): MsSpan => ({ fromMs, toMs: Math.min(END, fromMs + length) }));
const span = fc.tuple(stretch, fc.constantFrom(...SPAN_KINDS)).map(([s, kind]): FootageSpan => ({ ...s, kind }));
/** Every instant of a stretch, one by one: what the functions must agree with. */
const covers = (spans: readonly MsSpan[]): readonly boolean[] =>
  Array.from({ length: END }, (_, at) => spans.some((s) => s.fromMs <= at && at < s.toMs));

describe('stretches of footage', () => {
  test('when stretches are joined, they should cover the same instants, apart from each other and in order', () => {
    fc.assert(
      fc.property(fc.array(stretch), (spans) => {
        const whole = joined(spans);
        expect(covers(whole)).toEqual(covers(spans));
        whole.slice(1).forEach((s, i) => expect(s.fromMs).toBeGreaterThan(whole[i]!.toMs));
      }),
    );
  });

  test('when some are taken out of one, exactly its other instants should be left', () => {
    fc.assert(
      fc.property(stretch, fc.array(stretch), (one, others) => {
        const taken = covers(others);
        expect(covers(without(one, others))).toEqual(covers([one]).map((c, at) => c && !taken[at]));
      }),
    );
  });

  test('when technical time is counted, it should be the instants that nothing leaves out, each once', () => {
    fc.assert(
      fc.property(fc.array(span), stretch, (spans, part) => {
        const out = covers(spans.filter(isLeftOut));
        const expected = covers([part]).filter((c, at) => c && !out[at]).length;
        expect(technicalMs(spans, part)).toBe(expected);
      }),
    );
  });

  test('when talk and advertising overlap, what they cover should be left out once, and what is logged throughout stay', () => {
    const spans: FootageSpan[] = [
      { fromMs: 10_000, toMs: 20_000, kind: 'talk' },
      { fromMs: 15_000, toMs: 25_000, kind: 'advertising' },
      { fromMs: 0, toMs: 60_000, kind: 'logged throughout' },
    ];
    expect(technicalMs(spans, { fromMs: 0, toMs: 60_000 })).toBe(45_000);
  });

  test('when a span is laid in, it should hold all over itself, the others where they did beside it, none of them twice', () => {
    fc.assert(
      fc.property(fc.array(span), span, (before, one) => {
        const spans = before.reduce<readonly FootageSpan[]>(withSpan, []);
        const after = withSpan(spans, one);
        expect(after).toContainEqual(one);
        for (let at = 0; at < END; at++) {
          const here = after.filter((s) => s.fromMs <= at && at < s.toMs);
          for (const leftOut of [true, false])
            expect(here.filter((s) => isLeftOut(s) === leftOut).length).toBeLessThanOrEqual(1);
          const isIn = one.fromMs <= at && at < one.toMs;
          if (!isIn) expect(here.map((s) => s.kind).sort()).toEqual(kindsAt(spans, at));
        }
      }),
    );
  });
  const kindsAt = (spans: readonly FootageSpan[], at: number): readonly string[] =>
    spans
      .filter((s) => s.fromMs <= at && at < s.toMs)
      .map((s) => s.kind)
      .sort();

  test('when several hold at an instant, the shortest should be the one in hand', () => {
    const spans: FootageSpan[] = [
      { fromMs: 0, toMs: 100, kind: 'logged throughout' },
      { fromMs: 20, toMs: 40, kind: 'talk' },
    ];
    expect(spanAt(spans, 30)?.kind).toBe('talk');
    expect(spanAt(spans, 40)?.kind).toBe('logged throughout');
    expect(spanAt(spans, 100)).toBeUndefined();
  });

  test('when footage is picked, only what lies in a stretch marked so should be logged throughout', () => {
    const picked = {
      ...BARE_FOOTAGE,
      logged: 'picked',
      spans: [{ fromMs: 1000, toMs: 2000, kind: 'logged throughout' }],
    } as const;
    expect([999, 1000, 1999, 2000].map((at) => isLoggedThroughout(picked, at))).toEqual([false, true, true, false]);
    expect(isLoggedThroughout({ logged: 'throughout', spans: [] }, 5)).toBe(true);
    const talk = { logged: 'picked', spans: [{ fromMs: 0, toMs: 10, kind: 'talk' }] } as const;
    expect(isLoggedThroughout(talk, 5)).toBe(false);
  });

  test('when calm stretches were found, only what is long enough, not said and not clipped should be asked of', () => {
    const spans: FootageSpan[] = [
      { fromMs: 0, toMs: 4000, kind: LEFT_OUT_KINDS[0] },
      { fromMs: 20_000, toMs: 30_000, kind: 'logged throughout' },
    ];
    const found = [
      { fromS: 1, toS: 9 },
      { fromS: 8.5, toS: 12 },
      { fromS: 20, toS: 26 },
    ];
    expect(leftOutSpans(spans)).toEqual([{ fromMs: 0, toMs: 4000 }]);
    expect(spansToAskOf(found, spans, [{ fromMs: 24_000, toMs: 25_500 }])).toEqual([
      { fromMs: 4000, toMs: 12_000 },
      { fromMs: 20_000, toMs: 24_000 },
    ]);
  });
});
