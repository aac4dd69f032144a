import {
  factChoices,
  holdDetailChoices,
  handedChoices,
  holdFinder,
  matchWords,
  mayBeFrom,
  sayControl,
  sayFact,
  type Control,
  type FactUse,
  type HoldDetail,
  type Role,
  type Sayable,
  type State,
  type Usual,
  type Words,
} from '@odograph/core';
import type { Found } from '../../../design/fields.js';

export type Hold = Omit<Control, 'id'>;
/** What is said where grips are: a further one, something about the one that was told last, or how somebody stood. */
export type Stood =
  | { readonly is: 'hold'; readonly hold: Hold }
  | { readonly is: 'detail'; readonly detail: HoldDetail }
  | { readonly is: 'fact'; readonly fact: Omit<FactUse, 'id'> };

/** A text typed to its end fits so well, or better. */
const WHOLE = 1.5;
/** Made once for as long as the words are there: taking them apart for reading takes longer than a key. */
const made = new WeakMap<Words, Map<string, readonly Sayable<Stood>[]>>();
const once = (words: Words, key: string, make: () => readonly Sayable<Stood>[]): readonly Sayable<Stood>[] => {
  const of = made.get(words) ?? new Map<string, readonly Sayable<Stood>[]>();
  made.set(words, of);
  const known = of.get(key) ?? make();
  of.set(key, known);
  return known;
};
const factsOf = (words: Words, role: Role | null): readonly Sayable<Stood>[] =>
  once(words, `facts ${role}`, () =>
    factChoices(words, role).map(({ value, ...said }) => ({ ...said, value: { is: 'fact', fact: value } })),
  );
const detailsOf = (target: string, words: Words): readonly Sayable<Stood>[] =>
  once(words, `details ${target}`, () =>
    holdDetailChoices(target, words).map(({ value, ...said }) => ({ ...said, value: { is: 'detail', detail: value } })),
  );

/** Grips as they are typed, those likely here first; behind them what may be said about the last one, and how somebody stood, before them where it is typed to its end. */
export const gripFinder = (
  words: Words,
  usual: Usual,
  from: State | null,
  controls: readonly Control[],
  gi: boolean,
  /** What was held in the attempt before. */ controlsBefore: readonly Control[] = [],
): ((typed: string) => readonly Found<Stood>[]) => {
  const held = controls.filter((c) => c.holder === 'subject');
  const found = holdFinder(words, usual, { from, held, gi });
  const last = held.at(-1);
  const handed = last
    ? handedChoices(mayBeFrom(last, controls, controlsBefore)).map(({ value, ...said }): Sayable<Stood> => ({
        ...said,
        value: { is: 'detail', detail: value },
      }))
    : [];
  const details = last ? [...detailsOf(last.target, words), ...handed] : [];
  const facts = factsOf(words, from?.role ?? null);
  return (typed) => {
    const holds = found(typed).map(({ hold, name }): Found<Stood> => {
      const more = sayControl({ ...hold, id: '' }, words);
      return { value: { is: 'hold', hold }, name, via: name, more };
    });
    if (typed.trim() === '') return holds;
    const said = [...matchWords(typed, facts), ...matchWords(typed, details)]
      .sort((a, b) => b.score - a.score)
      .slice(0, MOST_FOUND);
    const asFound = ({ value, text }: (typeof said)[number]): Found<Stood> => ({
      value,
      name: value.is === 'fact' ? sayFact(value.fact, words) : text,
      via: text,
    });
    // *wrist* is a further hold, *at the wrist* where the last one is
    const isAbout = /^(at|to|from) /i.test(typed.trim());
    const isFirst = ({ value, score }: (typeof said)[number]): boolean =>
      score >= WHOLE && (value.is === 'fact' || isAbout);
    const whole = said.filter(isFirst);
    const begun = said.filter((m) => !isFirst(m));
    return [...whole.map(asFound), ...holds, ...begun.map(asFound)].slice(0, MOST_FOUND);
  };
};
const MOST_FOUND = 8;
