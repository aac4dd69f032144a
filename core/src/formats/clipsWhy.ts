import {
  BARE_ALTERNATIVE,
  BARE_EVIDENCE,
  sayFact,
  type Alternative,
  type Attempt,
  type Evidence,
  type FactUse,
} from '../attempts/index.js';
import { COULD, factChoices, knownChoices, otherWayChoices, reasonChoices } from '../phrase/index.js';
import { asCompared, type Sayable, type Words } from '../vocabulary/index.js';
import { EVIDENCE_WORDS, sayPart } from '../why/index.js';

/** What a list of clips says of why an attempt went as it went, a text for each item. */
export type WhyTexts = Readonly<Record<'facts' | 'alternatives' | 'evidence', readonly string[]>>;
const BUT = ' but ';

export const whyTexts = (attempt: Attempt, words: Words): WhyTexts => ({
  facts: attempt.facts.map((f) => sayFact(f, words)),
  alternatives: attempt.alternatives.map(({ by, what, isAction, why }) =>
    [
      `${COULD[by][0]} ${words.name(isAction ? 'action' : 'reaction', what)}`,
      ...(why === null ? [] : [words.name('reason', why)]),
    ].join(BUT),
  ),
  evidence: attempt.evidence.flatMap(({ part, how }) => {
    const text = sayPart(attempt, part, words);
    return text === undefined ? [] : [`${text}: ${EVIDENCE_WORDS[how]}`];
  }),
});

type Finder<T> = (text: string) => T | undefined;
/** Finds what is called exactly so: precision before recall, since nobody looks at each cell. */
export const finder = <T>(choices: readonly Sayable<T>[]): Finder<T> => {
  const byText = new Map<string, T>();
  for (const { value, texts } of choices)
    for (const text of texts) if (!byText.has(asCompared(text))) byText.set(asCompared(text), value);
  return (text) => byText.get(asCompared(text));
};

/** How those texts are understood: without ids; of evidence, the details by the ids of the attempt that is given, none with a proof or with who told it. */
export const whyFinders = (
  words: Words,
): {
  readonly fact: Finder<Omit<FactUse, 'id'>>;
  readonly alternative: Finder<Omit<Alternative, 'id'>>;
  readonly evidence: (attempt: Attempt) => Finder<Evidence>;
} => {
  const [fact, way, reason] = [
    finder(factChoices(words)),
    finder(otherWayChoices(words)),
    finder(reasonChoices(words)),
  ];
  return {
    fact,
    alternative: (text) => {
      const [what = '', ...behind] = text.split(BUT);
      const [found, why] = [way(what), behind.length ? reason(behind.join(BUT)) : null];
      return found && why !== undefined ? { ...BARE_ALTERNATIVE, ...found, why } : undefined;
    },
    evidence: (attempt) => {
      const known = finder(knownChoices(attempt, words));
      return (text) => {
        const found = known(text);
        return found && { ...BARE_EVIDENCE, ...found };
      };
    },
  };
};
