import { factSlot, valuesOf, type Alternative, type Attempt, type Control, type FactUse } from '../attempts/index.js';
import type { Words } from '../vocabulary/index.js';

/** What cannot be so among facts and alternatives, by where it stands. */
export type WhyFault =
  | { readonly path: string; readonly is: 'no value'; readonly all: readonly string[] }
  | { readonly path: string; readonly is: 'impossible' | 'twice' }
  | { readonly path: string; readonly is: 'too early'; readonly after: 'start' | 'from' };

/** What of a single fact its word doesn't have: the value, the side, or whom it is about. */
export const factFault = (
  fact: Pick<FactUse, 'fact' | 'value' | 'side' | 'whose'>,
  words: Words,
): readonly WhyFault[] => {
  const word = words.get('fact', fact.fact);
  if (!word) return [];
  const values = valuesOf(word).map(({ key }) => key);
  return [
    ...(values.includes(fact.value) ? [] : [{ path: 'value', is: 'no value', all: values } as const]),
    ...(fact.side !== null && !word.sided ? [{ path: 'side', is: 'impossible' } as const] : []),
    ...((word.whose === 'both') === (fact.whose === 'both') ? [] : [{ path: 'whose', is: 'impossible' } as const]),
  ];
};

/** Facts of words that are known: each with a value of its word, a side only where it has sides, about nobody alone where it is about both, and each said once. */
export const factFaults = (facts: readonly FactUse[], words: Words): readonly WhyFault[] => {
  const seen = new Set<string>();
  return facts.flatMap((fact, i): WhyFault[] => {
    if (!words.get('fact', fact.fact)) return [];
    const path = `facts.${i}`;
    const slot = factSlot(fact);
    const isTwice = seen.has(slot);
    seen.add(slot);
    return [
      ...factFault(fact, words).map((fault) => ({ ...fault, path: `${path}.${fault.path}` })),
      ...(isTwice ? [{ path, is: 'twice' } as const] : []),
    ];
  });
};

/** Alternatives: only the other side reacts, and what was there until an instant was not gone before the attempt began, nor before it was there. */
export const alternativeFaults = (
  alternatives: readonly Alternative[],
  { start }: Pick<Attempt, 'start'>,
): readonly WhyFault[] =>
  alternatives.flatMap(({ by, isAction, from, until }, i): WhyFault[] => [
    ...(by === 'subject' && !isAction ? [{ path: `alternatives.${i}.isAction`, is: 'impossible' } as const] : []),
    ...(until && until.frame < start.frame
      ? [{ path: `alternatives.${i}.until`, is: 'too early', after: 'start' } as const]
      : []),
    ...(until && from && until.frame < from.frame
      ? [{ path: `alternatives.${i}.until`, is: 'too early', after: 'from' } as const]
      : []),
  ]);

/** A hold that was handed over came from another hand of the same holder: not from itself, nor from the same hand. Where it was taken from may be told in the attempt before. */
export const handedFaults = (controls: readonly Control[]): readonly WhyFault[] =>
  controls.flatMap((c, i): WhyFault[] => {
    if (c.handedFrom === null) return [];
    const from = controls.find(({ id }) => id === c.handedFrom);
    const isWrong =
      from && (from === c || from.holder !== c.holder || (from.limbSide !== null && from.limbSide === c.limbSide));
    return isWrong ? [{ path: `controls.${i}.handedFrom`, is: 'impossible' }] : [];
  });
