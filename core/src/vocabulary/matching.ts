import { ChoiceIndex } from './choiceIndex.js';
import { tokens } from './tokens.js';

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

/** A name that is begun with exactly what was typed, from its first letter on. */
const BEGUN = 1;
/** A text that is typed whole stands before anything that only the context favours. */
const WHOLE = 0.5;
/** A name stands before another name of the same. */
const ALIAS = 0.97;
const INITIALS = 0.95;

/** How well so many typed tokens fit a text, each a word of its own; 0 where one fits none. */
const scoreText = (tables: readonly Float64Array[], typed: number, words: readonly number[]): number => {
  let taken = 0,
    sum = 0,
    whole = 0;
  for (let t = 0; t < typed; t++) {
    const of = tables[t]!;
    let best = 0,
      at = -1;
    for (let i = 0; i < words.length; i++) {
      const f = of[words[i]!]!;
      if (f > best && !(taken & (1 << i))) {
        best = f;
        at = i;
      }
    }
    if (at < 0) return 0;
    taken |= 1 << at;
    if (best === 1) whole++;
    sum += best - (at === 0 ? 0 : 0.01);
  }
  const isWhole = whole === words.length && typed === words.length;
  return sum / typed + 0.2 * (typed / words.length) + (isWhole ? WHOLE : 0);
};

/** Choices taken apart, once for as long as they are there. */
const known = new WeakMap<readonly Sayable<unknown>[], ChoiceIndex>();
const indexOf = (choices: readonly Sayable<unknown>[]): ChoiceIndex => {
  const before = known.get(choices);
  if (before) return before;
  const made = new ChoiceIndex(choices.map((c) => c.texts));
  known.set(choices, made);
  return made;
};

/** The best score of each choice, and the text that it is of. */
const scored = (wanted: readonly string[], index: ChoiceIndex): ReadonlyMap<number, { score: number; nth: number }> => {
  const best = new Map<number, { score: number; nth: number }>();
  const note = (choice: number, nth: number, score: number): void => {
    if (score <= 0) return;
    const before = best.get(choice);
    if (!before || score > before.score || (score === before.score && nth < before.nth))
      best.set(choice, { score, nth });
  };
  const fits = wanted.map((token) => index.fits(token));
  index.laidOut(fits, (tables) => {
    for (const at of index.likely(fits)) {
      const { choice, nth, words } = index.texts[at]!;
      note(choice, nth, scoreText(tables, fits.length, words) * (nth === 0 ? 1 : ALIAS));
    }
  });
  const [only] = wanted;
  if (wanted.length === 1 && only!.length >= 2)
    for (const at of index.withInitials(only!)) note(index.texts[at]!.choice, index.texts[at]!.nth, INITIALS);
  const letters = wanted.join('');
  for (const name of index.namesFrom(letters)) note(name.choice, 0, BEGUN + (name.letters === letters ? WHOLE : 0));
  return best;
};

/**
 * What a typed text may mean, best first; ties keep the order given. Every typed token has to fit a token of one way of saying it, whole, begun or
 * with slips that the reader of the line takes, too; initials count from two letters on; the name itself may be typed without its spaces. An empty text fits everything.
 * The choices are taken apart once for as long as their list is the same one.
 */
export const matchWords = <T>(typed: string, choices: readonly Sayable<T>[]): readonly Match<T>[] => {
  const wanted = tokens(typed);
  const found = wanted.length
    ? [...scored(wanted, indexOf(choices))].map(([i, { score, nth }]) => ({ i, score, nth }))
    : choices.map((_, i) => ({ i, score: 0, nth: 0 }));
  return found
    .map(({ i, score, nth }) => ({ i, nth, score: score + (choices[i]!.bonus ?? 0) }))
    .sort((x, y) => y.score - x.score || x.i - y.i)
    .map(({ i, nth, score }) => ({ value: choices[i]!.value, text: choices[i]!.texts[nth] ?? '', score }));
};
