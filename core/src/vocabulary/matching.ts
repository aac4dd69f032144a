import { fit as spelledFit } from '../spelling/index.js';

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

/** A text as it is compared whole: two that differ only in case, accents or signs are the same. */
export const asCompared = (text: string): string => tokens(text).join(' ');

/** How well a typed token fits a token of a text: 1 whole, less for a beginning, less for slips as the reader of the line counts them, 0 not at all. */
const fit = (typed: string, word: string): number => {
  if (typed === word) return 1;
  if (word.startsWith(typed)) return 0.82 + 0.1 * (typed.length / word.length);
  const near = spelledFit(typed, word);
  return near === 0 ? 0 : 0.2 + 0.5 * near;
};

/** A name that is begun with exactly what was typed, from its first letter on. */
const BEGUN = 1;
/** A text that is typed whole stands before anything that only the context favours. */
const WHOLE = 0.5;

const scoreText = (typed: readonly string[], words: readonly string[]): number => {
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

/** The texts of a choice taken apart, once for as long as the choice is there. */
type Prepared = { readonly words: readonly string[]; readonly initials: string; readonly letters: string };
const known = new WeakMap<readonly string[], readonly Prepared[]>();
const prepared = (texts: readonly string[]): readonly Prepared[] => {
  const before = known.get(texts);
  if (before) return before;
  const made = texts.map((text) => {
    const words = tokens(text);
    return { words, initials: words.map((w) => w[0]).join(''), letters: words.join('') };
  });
  known.set(texts, made);
  return made;
};

/**
 * What a typed text may mean, best first; ties keep the order given. Every typed token has to fit a token of one way of saying it, whole, begun or
 * with slips that the reader of the line takes, too; initials count from two letters on; the name itself may be typed without its spaces. An empty text fits everything.
 */
export const matchWords = <T>(typed: string, choices: readonly Sayable<T>[]): readonly Match<T>[] => {
  const wanted = tokens(typed);
  const wantedLetters = wanted.join('');
  const found = choices.flatMap((choice): Match<T>[] => {
    if (!wanted.length) return [{ value: choice.value, text: choice.texts[0] ?? '', score: choice.bonus ?? 0 }];
    let best = 0,
      bestText = '';
    prepared(choice.texts).forEach(({ words, initials, letters }, i) => {
      let score = scoreText(wanted, words) * (i === 0 ? 1 : 0.97);
      if (wanted.length === 1 && wanted[0]!.length >= 2 && initials === wanted[0]) score = Math.max(score, 0.95);
      if (i === 0 && letters.startsWith(wantedLetters))
        score = Math.max(score, BEGUN + (letters === wantedLetters ? WHOLE : 0));
      if (score > best) {
        best = score;
        bestText = choice.texts[i]!;
      }
    });
    return best > 0 ? [{ value: choice.value, text: bestText, score: best + (choice.bonus ?? 0) }] : [];
  });
  return found
    .map((m, i) => ({ m, i }))
    .sort((x, y) => y.m.score - x.m.score || x.i - y.i)
    .map(({ m }) => m);
};
