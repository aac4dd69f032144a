import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { entryChoices, metChoices, placeChoices, reasonChoices } from '../phrase/index.js';
import { fit as spelledFit } from '../spelling/index.js';
import { matchWords, shippedWords, tokens, type Match, type Sayable } from './index.js';

const fit = (typed: string, word: string): number => {
  if (typed === word) return 1;
  if (word.startsWith(typed)) return 0.82 + 0.1 * (typed.length / word.length);
  const near = spelledFit(typed, word);
  return near === 0 ? 0 : 0.2 + 0.5 * near;
};

const scoreOf = (typed: readonly string[], words: readonly string[]): number => {
  const free = new Set(words.keys());
  let [sum, whole] = [0, 0];
  for (const t of typed) {
    let [best, at] = [0, -1];
    for (const i of free) if (fit(t, words[i]!) > best) [best, at] = [fit(t, words[i]!), i];
    if (at < 0) return 0;
    free.delete(at);
    if (best === 1) whole++;
    sum += best - (at === 0 ? 0 : 0.01);
  }
  const isWhole = whole === words.length && typed.length === words.length;
  return sum / typed.length + 0.2 * (typed.length / words.length) + (isWhole ? 0.5 : 0);
};

/** The same as `matchWords`, each text of each choice looked at for itself. */
const oneByOne = <T>(typed: string, choices: readonly Sayable<T>[]): readonly Match<T>[] => {
  const wanted = tokens(typed);
  const letters = wanted.join('');
  return choices
    .map((choice, i) => {
      let [best, text] = [0, choice.texts[0] ?? ''];
      choice.texts.forEach((said, nth) => {
        const words = tokens(said);
        let score = scoreOf(wanted, words) * (nth === 0 ? 1 : 0.97);
        const initials = words.map((w) => w[0]).join('');
        if (wanted.length === 1 && wanted[0]!.length >= 2 && initials === wanted[0]) score = Math.max(score, 0.95);
        if (nth === 0 && words.join('').startsWith(letters))
          score = Math.max(score, 1 + (words.join('') === letters ? 0.5 : 0));
        if (score > best) [best, text] = [score, said];
      });
      return { i, isFound: best > 0, match: { value: choice.value, text, score: best + (choice.bonus ?? 0) } };
    })
    .filter(({ isFound }) => isFound)
    .sort((a, b) => b.match.score - a.match.score || a.i - b.i)
    .map(({ match }) => match);
};

describe('finding by an index', () => {
  const words = shippedWords();
  const lists: readonly (readonly Sayable<unknown>[])[] = [
    placeChoices(words),
    entryChoices(words, { position: 'half-guard', role: 'top' }),
    reasonChoices(words),
    metChoices(words, [], null),
    words.all.map((w) => ({ value: w.key, texts: [w.name, ...w.aliases], bonus: w.name.length % 3 === 0 ? 0.1 : 0 })),
  ];
  const said = words.all.flatMap((w) => [w.name, ...w.aliases]);
  const slip = fc
    .tuple(fc.constantFrom(...said), fc.nat(20), fc.nat(3), fc.constantFrom('', 'e', 'x', ' '))
    .map(([text, at, long, put]) => text.slice(0, at) + put + text.slice(at + long));
  const typed = fc.oneof(
    fc.constantFrom(...said),
    slip,
    fc.tuple(slip, slip).map((both) => both.join(' ')),
    fc.tuple(fc.constantFrom(...said), fc.nat(9)).map(([text, n]) => text.slice(0, n + 1)),
    fc.string({ maxLength: 6 }),
    fc.constantFrom(...said).map((text) =>
      tokens(text)
        .map((w) => w[0])
        .join(''),
    ),
  );

  test('whatever is typed, what is found, in which order and how well, should be as if each text were looked at', () => {
    fc.assert(
      fc.property(fc.constantFrom(...lists), typed, (choices, text) => {
        fc.pre(tokens(text).length > 0);
        const [found, wanted] = [matchWords(text, choices), oneByOne(text, choices)];
        expect(found.map((m) => m.value)).toEqual(wanted.map((m) => m.value));
        expect(found.map((m) => m.text)).toEqual(wanted.map((m) => m.text));
        found.forEach((m, i) => expect(m.score).toBeCloseTo(wanted[i]!.score, 12));
      }),
      { numRuns: 150 },
    );
  });
});
