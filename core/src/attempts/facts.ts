import type { FactValue, FactWord, Role, Words } from '../vocabulary/index.js';
import type { Side } from './types.js';
import type { FactUse, FactWhen, FactWhose } from './whyTypes.js';

/** When it was, behind what is said; where it started goes without saying. */
export const WHEN_WORDS: Readonly<Record<FactWhen, string>> = { start: '', commit: 'at commit', end: 'at the end' };

/** What a fact without values may be: it is so, or it is not. */
const yesOrNo = (name: string): readonly FactValue[] => [
  { key: 'yes', says: name, aliases: [] },
  { key: 'no', says: `${name}: no`, aliases: [] },
];
/** What a fact may be, in its order. Of one without values the other names of the word are those of *yes*. */
export const valuesOf = (word: Pick<FactWord, 'name' | 'aliases' | 'values'>): readonly FactValue[] =>
  word.values.length
    ? word.values
    : yesOrNo(word.name).map((v) => (v.key === 'yes' ? { ...v, aliases: word.aliases } : v));

/** A side set into what is said of one of two: *one arm inside* is *right arm inside*. */
const ofSide = (text: string, side: Side | null): string => {
  if (side === null) return text;
  const theirs = /^one of their (\w+)s\b/;
  if (theirs.test(text)) return text.replace(theirs, `their ${side} $1`);
  return /\bone\b/.test(text) ? text.replace(/\bone\b/, side) : `${side} ${text}`;
};

/** What one way of saying a value is when it is said of somebody, on a side. What is mostly of the other side says *own* where it is not. */
export const factText = (
  word: Pick<FactWord, 'whose'>,
  value: Pick<FactValue, 'says' | 'theirs'>,
  whose: FactWhose,
  side: Side | null,
): string => {
  if (whose !== 'opponent' || word.whose === 'both')
    return `${whose === 'subject' && word.whose === 'opponent' ? 'own ' : ''}${ofSide(value.says, side)}`;
  return value.theirs === undefined ? `their ${ofSide(value.says, side)}` : ofSide(value.theirs, side);
};

/** Whose a fact is where nobody says it: as its word has it, or of who is on top or on the bottom, where `role` says which of the two the subject is. */
export const bareWhose = (word: Pick<FactWord, 'whose' | 'of'>, role: Role | null): FactWhose =>
  word.of === undefined || (role !== 'top' && role !== 'bottom')
    ? word.whose
    : role === word.of
      ? 'subject'
      : 'opponent';

/** A fact in words: *their posture broken*, *right knee inside*, *hips off the mat at the end*. A value that the word has no more reads as it is kept. */
export const sayFact = (fact: Omit<FactUse, 'id'>, words: Words): string => {
  const word = words.get('fact', fact.fact);
  const value = word && valuesOf(word).find((v) => v.key === fact.value);
  const text = value
    ? factText(word, value, fact.whose, fact.side)
    : [words.name('fact', fact.fact), fact.value].join(': ');
  return [text, WHEN_WORDS[fact.when]].filter(Boolean).join(' ');
};

/** What can be so only once: one value for each fact, athlete, time and side. */
export const factSlot = ({ fact, whose, when, side }: Omit<FactUse, 'id' | 'value'>): string =>
  [fact, whose, when, side ?? '-'].join(' ');

/** The facts with one more; what was said in its place goes. */
export const withFact = (facts: readonly FactUse[], fact: FactUse): readonly FactUse[] => [
  ...facts.filter((f) => factSlot(f) !== factSlot(fact)),
  fact,
];
