/** Something that can be said in several ways. The first text is the name, the others are aliases. */
export type Sayable<T> = {
  readonly value: T;
  readonly texts: readonly string[];
  /** Added to the score: what fits the context stands higher. */ readonly bonus?: number;
};
export type Match<T> = {
  readonly value: T;
  /** The way of saying it that fitted best. */ readonly text: string;
  /** 0 … about 2; higher fits better. */ readonly score: number;
};

/** Lower case, without accents, split at everything that is neither letter nor digit. */
export const tokens = (text: string): readonly string[] =>
  text
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean);

/**
 * Fewest slips (a letter too many, missing, wrong, or two swapped) that turn `typed` into a beginning of `word`, given up above `limit`.
 * Optimal string alignment distance against every prefix; O(|typed| · |word|).
 * @example slipsToPrefix('hlaf', 'half', 2) // 1
 */
export const slipsToPrefix = (typed: string, word: string, limit: number): number => {
  let before: number[] = [];
  let row = Array.from({ length: word.length + 1 }, (_, j) => j);
  for (let i = 1; i <= typed.length; i++) {
    const next = [i];
    for (let j = 1; j <= word.length; j++) {
      let best = Math.min(next[j - 1]! + 1, row[j]! + 1, row[j - 1]! + (typed[i - 1] === word[j - 1] ? 0 : 1));
      if (i > 1 && j > 1 && typed[i - 1] === word[j - 2] && typed[i - 2] === word[j - 1])
        best = Math.min(best, before[j - 2]! + 1);
      next.push(best);
    }
    before = row;
    row = next;
  }
  const fewest = Math.min(...row);
  return fewest <= limit ? fewest : Number.POSITIVE_INFINITY;
};

const slipsAllowed = (typed: string): number => (typed.length >= 8 ? 2 : typed.length >= 4 ? 1 : 0);

/** How well a typed token fits a token of a text: 1 whole, less for a beginning, less for a slip, 0 not at all. */
const fit = (typed: string, word: string): number => {
  if (typed === word) return 1;
  if (word.startsWith(typed)) return 0.82 + 0.1 * (typed.length / word.length);
  const slips = slipsToPrefix(typed, word, slipsAllowed(typed));
  if (!Number.isFinite(slips)) return 0;
  return 0.6 - 0.15 * slips + 0.05 * Math.min(1, typed.length / word.length);
};

/** A text that is typed whole stands before anything that only the context favours. */
const WHOLE = 0.5;

const scoreText = (typed: readonly string[], text: string): number => {
  const words = tokens(text);
  const free = new Set(words.keys());
  let sum = 0,
    whole = 0;
  for (const t of typed) {
    let best = 0,
      at = -1;
    for (const i of free) {
      const f = fit(t, words[i]!);
      if (f > best) {
        best = f;
        at = i;
      }
    }
    if (at < 0) return 0;
    free.delete(at);
    if (best === 1) whole++;
    sum += best - (at === 0 ? 0 : 0.01);
  }
  const isWhole = whole === words.length && typed.length === words.length;
  return sum / typed.length + 0.2 * (typed.length / words.length) + (isWhole ? WHOLE : 0);
};

const initials = (text: string): string =>
  tokens(text)
    .map((t) => t[0])
    .join('');

/**
 * What a typed text may mean, best first; ties keep the order given. Every typed token has to fit a token of one way of saying it, whole, begun or
 * with a slip (none below 4 letters, one from 4, two from 8); initials count from two letters on. An empty text fits everything.
 */
export const matchWords = <T>(typed: string, choices: readonly Sayable<T>[]): readonly Match<T>[] => {
  const wanted = tokens(typed);
  const found = choices.flatMap((choice): Match<T>[] => {
    if (!wanted.length) return [{ value: choice.value, text: choice.texts[0] ?? '', score: choice.bonus ?? 0 }];
    let best = 0,
      bestText = '';
    choice.texts.forEach((text, i) => {
      let score = scoreText(wanted, text) * (i === 0 ? 1 : 0.97);
      if (wanted.length === 1 && wanted[0]!.length >= 2 && initials(text) === wanted[0]) score = Math.max(score, 0.95);
      if (score > best) {
        best = score;
        bestText = text;
      }
    });
    return best > 0 ? [{ value: choice.value, text: bestText, score: best + (choice.bonus ?? 0) }] : [];
  });
  return found
    .map((m, i) => ({ m, i }))
    .sort((x, y) => y.m.score - x.m.score || x.i - y.i)
    .map(({ m }) => m);
};
