import type { Line } from './line.js';
import { SMALL, type Named, type Saying, type Sayings } from './sayings.js';

/** Some tokens, [from, to), that may be a word. */
export type Span = {
  readonly named: Named;
  readonly from: number;
  readonly to: number;
  /** How much of the text it explains, less what of the saying is missing; about 1 for each telling token. */ readonly gain: number;
  /** 0 … 1: how surely these letters mean it. */ readonly quality: number;
};

const LEAST_COVERED = 0.5;
const MISSING = 1.3;
const SMALL_GAIN = 0.15;
const OTHER_ORDER = 0.12;
const LEAST_FIT = 0.5;
/** A name of several words that is all there is hardly chance. */
const WHOLE = 0.2;
const PASSED = 0.35;

type Walk = {
  to: number;
  gain: number;
  covered: number;
  fits: number;
  told: number;
  used: number;
  last: number;
  turned: number;
  passed: number;
};

const spanOf = (saying: Saying, from: number, walk: Walk): Span | undefined => {
  const covered = walk.covered / saying.total;
  if (covered < LEAST_COVERED || walk.told === 0) return undefined;
  const mean = walk.fits / walk.told;
  return {
    named: saying.named,
    from,
    to: walk.to,
    gain:
      walk.gain - MISSING * (1 - covered) - saying.less - walk.turned + (walk.told > 1 && covered > 0.85 ? WHOLE : 0),
    quality: Math.max(0, mean * (0.5 + 0.5 * covered) - saying.less),
  };
};

/** Takes a typed token (or two in one) into a walk along a saying, if it is one of its tokens that is still free. */
const taken = (
  walk: Walk,
  saying: Saying,
  fits: ReadonlyMap<number, number>,
  to: number,
  small: boolean,
): Walk | undefined => {
  let best = 0,
    at = -1;
  saying.tokens.forEach((id, i) => {
    const how = walk.used & (1 << i) ? 0 : (fits.get(id) ?? 0);
    if (how > best) {
      best = how;
      at = i;
    }
  });
  if (best < LEAST_FIT) return undefined;
  return {
    ...walk,
    to,
    gain: walk.gain + best * (small ? SMALL_GAIN : 1),
    covered: walk.covered + saying.weights[at]! * best,
    fits: walk.fits + (small ? 0 : best),
    told: walk.told + (small ? 0 : 1),
    used: walk.used | (1 << at),
    last: at,
    turned: walk.turned + (at < walk.last ? OTHER_ORDER : 0),
  };
};

/** Whether a token that fits nothing may have been meant for a small word. */
export const mayBeBetween = (text: string, hasMeaning: boolean): boolean => !hasMeaning && text.length <= 4;

const START: Walk = { to: 0, gain: 0, covered: 0, fits: 0, told: 0, used: 0, last: -1, turned: 0, passed: 0 };

/**
 * What the tokens from `from` on may name: every way of saying of which at least half (by weight) stands there, in any order, with small words between
 * and slips of the key; two tokens may be one of it. For each word and end the best. O(sayings that hold the token · their length).
 */
export const spansAt = (line: Line, from: number, sayings: Sayings): readonly Span[] => {
  const best = new Map<string, Span>();
  const keep = (span: Span | undefined): void => {
    if (!span || span.gain <= 0) return;
    const id = `${span.named.kind} ${span.named.key} ${span.to}`;
    if ((best.get(id)?.gain ?? 0) < span.gain) best.set(id, span);
  };
  const fitsAt = (i: number, many: 1 | 2): ReadonlyMap<number, number> | undefined => {
    const token = line.at(i);
    if (!token) return undefined;
    if (many === 1) return sayings.fitsOf(token.text);
    const next = line.at(i + 1);
    return next && !next.opens ? sayings.fitsOf(token.text + next.text) : undefined;
  };
  for (const many of [1, 2] as const) {
    const fits = fitsAt(from, many);
    if (!fits) continue;
    const isSmall = many === 1 && SMALL.has(line.at(from)!.text);
    const seen = new Set<number>();
    for (const id of fits.keys())
      for (const at of sayings.holding[id]!) {
        if (seen.has(at)) continue;
        seen.add(at);
        const saying = sayings.all[at]!;
        let walk = taken(START, saying, fits, from + many, isSmall);
        if (!walk || (isSmall && walk.last !== 0)) continue;
        keep(spanOf(saying, from, walk));
        let passed = 0;
        for (let i = from + many; passed <= 2;) {
          const token = line.at(i);
          if (!token) break;
          const small = SMALL.has(token.text);
          const joined = fitsAt(i, 2);
          const next: Walk | undefined =
            taken(walk, saying, fitsAt(i, 1)!, i + 1, small) ?? (joined && taken(walk, saying, joined, i + 2, false));
          // a comma may stand inside of a name, not between words that only happen to be of it
          if (token.opens && (!next || next.last !== walk.last + 1 || passed)) break;
          if (next) {
            walk = next;
            passed = 0;
            keep(spanOf(saying, from, walk));
            i = walk.to;
          } else if (small) {
            passed++;
            i++;
          } else if (walk.passed === 0 && mayBeBetween(token.text, sayings.isWord(token.text))) {
            walk = { ...walk, passed: 1, gain: walk.gain - PASSED };
            i++;
          } else break;
        }
      }
  }
  return [...best.values()];
};
