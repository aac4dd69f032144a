import type { Line } from './line.js';
import type { Token } from './tokens.js';
import { BETWEEN, SMALL, type Named, type Saying, type Sayings } from './sayings.js';

/** Some tokens, [from, to), that may be a word. */
export type Span = {
  readonly named: Named;
  readonly from: number;
  readonly to: number;
  /** How much of the text it explains, less what of the saying is missing; about 1 for each telling token. */ readonly gain: number;
  /** 0 … 1: how surely these letters mean it. */ readonly quality: number;
  /** Every token stands there as it is written, none more and none less. */ readonly isWritten: boolean;
  /** The same, but for slips and endings. */ readonly isWhole: boolean;
  /** What kind of thing it is was left out: *hook* of *hook sweep*. */ readonly isHeadless: boolean;
};

const SMALL_GAIN = 0.15;
const OTHER_ORDER = 0.2;
const LEAST_FIT = 0.5;
const HEAD_MISSING = 0.22;
const SMALL_MISSING = 0.06;
/** A name that is written out is meant: it stands before anything that is put together of its words. */
const WRITTEN = 0.3;
const MOST_PASSED = 2;

type Walk = {
  readonly to: number;
  readonly gain: number;
  readonly fits: number;
  readonly told: number;
  readonly used: number;
  readonly last: number;
  readonly turned: number;
  /** Letters typed of telling tokens. */ readonly letters: number;
};

const bitsIn = (bits: number): number => {
  let n = 0;
  for (let left = bits; left; left &= left - 1) n++;
  return n;
};

const spanOf = (saying: Saying, from: number, walk: Walk): Span | undefined => {
  const whole = (1 << saying.tokens.length) - 1;
  const missing = whole & ~walk.used;
  if ((missing & ~saying.spare) !== 0 || walk.told === 0) return undefined;
  // *same-side head* is no side of the head
  if (saying.named.kind === 'target' && walk.turned > 0) return undefined;
  const heads = bitsIn(missing & ~saying.small);
  const smalls = bitsIn(missing & saying.small);
  const isWhole = missing === 0 && walk.turned === 0 && saying.less < 0.1;
  const isWritten = isWhole && walk.fits === walk.told;
  // words of every day name something only where the whole name stands there
  const isOfEveryday = (walk.used & ~saying.small & ~saying.everyday) === 0;
  if (isOfEveryday && ((missing & ~saying.small) !== 0 || (missing !== 0 && walk.told === 1))) return undefined;
  // one letter is no name, unless it is written so
  if (walk.letters < 2 && !isWritten) return undefined;
  return {
    named: saying.named,
    from,
    to: walk.to,
    gain:
      walk.gain -
      HEAD_MISSING * heads -
      SMALL_MISSING * smalls -
      SMALL_MISSING * smalls -
      walk.turned -
      saying.less +
      (isWritten && saying.tokens.length > 1 ? WRITTEN : 0),
    quality: Math.max(0, walk.fits / walk.told - 0.06 * heads - walk.turned / 2 - saying.less),
    isWritten,
    isWhole,
    isHeadless: heads > 0,
  };
};

/** Takes a typed token (or two in one) into a walk along a saying, if it is one of its tokens that is still free; the next one of the saying before all others. */
const taken = (
  walk: Walk,
  saying: Saying,
  fits: ReadonlyMap<number, number>,
  to: number,
  { opens, text }: Pick<Token, 'opens' | 'text'>,
): Walk | undefined => {
  let best = 0,
    at = -1;
  for (let i = 0; i < saying.tokens.length; i++) {
    if (walk.used & (1 << i) || (opens && !saying.opens[i])) continue;
    const how = (fits.get(saying.tokens[i]!) ?? 0) - (i > walk.last ? 0 : 0.01);
    if (how > best) {
      best = how;
      at = i;
    }
  }
  if (best < LEAST_FIT) return undefined;
  const isTurned = at < walk.last;
  const how = isTurned ? best + 0.01 : best;
  const isSmall = (saying.small & (1 << at)) !== 0;
  return {
    to,
    gain: walk.gain + how * (isSmall ? SMALL_GAIN : 1),
    fits: walk.fits + (isSmall ? 0 : how),
    told: walk.told + (isSmall ? 0 : 1),
    used: walk.used | (1 << at),
    last: at,
    turned: walk.turned + (isTurned ? OTHER_ORDER : 0),
    letters: walk.letters + (isSmall ? 0 : text.length),
  };
};

const START: Walk = { to: 0, gain: 0, fits: 0, told: 0, used: 0, last: -1, turned: 0, letters: 0 };

/**
 * What the tokens from `from` on may name: every way of saying of which all telling tokens stand there, with small words between and slips of the key;
 * what only says the kind of thing (*guard*, *sweep*) may be missing, two tokens may be one of it. What parts is crossed only where the name is written with it.
 * For each word and end the best. O(sayings that hold the token · their length).
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
    if (many === 1) return sayings.fitsOf(token.text, token.isWord);
    const next = line.at(i + 1);
    return next && !next.opens && !(token.isWord && next.isWord)
      ? sayings.fitsOf(token.text + next.text, false)
      : undefined;
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
        let walk = taken(START, saying, fits, from + many, { text: line.at(from)!.text, opens: false });
        if (!walk || (isSmall && walk.last !== 0)) continue;
        keep(spanOf(saying, from, walk));
        let passed = 0;
        for (let i = from + many; passed <= MOST_PASSED;) {
          const token = line.at(i);
          if (!token) break;
          const joined = fitsAt(i, 2);
          const next: Walk | undefined =
            taken(walk, saying, fitsAt(i, 1)!, i + 1, token) ?? (joined && taken(walk, saying, joined, i + 2, token));
          if (next) {
            walk = next;
            passed = 0;
            keep(spanOf(saying, from, walk));
            i = walk.to;
          } else if (BETWEEN.has(token.text) && !token.opens) {
            passed++;
            i++;
          } else break;
        }
      }
  }
  return [...best.values()];
};
