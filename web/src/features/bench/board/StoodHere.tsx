import { Box, Flex } from '@chakra-ui/react';
import {
  FACT_WHEN,
  WHEN_WORDS,
  bareWhose,
  factSlot,
  sayFact,
  valuesOf,
  withFact,
  type Attempt,
  type FactUse,
  type FactWord,
  type Side,
  type Words,
} from '@odograph/core';
import { v7 as newId } from 'uuid';
import { STOOD_TEXT as T } from './board.text.js';
import { Press } from './Press.js';

/** What is being said of how they stood: which fact, of whom, on which side and when; or which fact is still asked. */
export type Stance = Pick<FactUse, 'fact' | 'whose' | 'side' | 'when'>;
export type StanceStep = Stance | 'which' | null;

type Props = {
  readonly attempt: Attempt;
  readonly words: Words;
  readonly step: StanceStep;
  readonly onStep: (step: StanceStep) => void;
  readonly onFacts: (facts: readonly FactUse[]) => void;
  readonly name: (holder: 'subject' | 'opponent') => string;
};

/** Facts that may be said where the attempt begins. */
const wordsHere = ({ state }: Attempt, words: Words): readonly FactWord[] => {
  const family = state && words.position(state.position)?.family;
  return words.of('fact').filter((w) => !family || w.families.length === 0 || w.families.includes(family));
};

/** A fact, said more closely: its values, whose it is, on which side, and when. */
const StanceDetail = ({
  stance,
  word,
  attempt,
  onStep,
  onFacts,
  name,
}: Omit<Props, 'step' | 'words'> & { readonly stance: Stance; readonly word: FactWord }): React.JSX.Element => {
  const isHere = (f: FactUse): boolean => factSlot(f) === factSlot(stance);
  const said = attempt.facts.find(isHere);
  const others = attempt.facts.filter((f) => !isHere(f));
  /** What is said moves with whom, which side and when it is said of. */
  const turn = (more: Partial<Stance>): void => {
    const next = { ...stance, ...more };
    onStep(next);
    if (said) onFacts(withFact(others, { ...said, ...next }));
  };
  const sides: readonly Side[] = word.sided ? ['left', 'right'] : [];
  return (
    <Flex wrap="wrap" gap="1" marginTop="1" role="group" aria-label={word.name} data-asked="">
      {valuesOf(word).map(({ key, says }) => (
        <Press
          key={key}
          type="button"
          aria-pressed={said?.value === key}
          onClick={() =>
            onFacts(said?.value === key ? others : withFact(others, { ...stance, value: key, id: said?.id ?? newId() }))
          }
        >
          {says}
        </Press>
      ))}
      {word.whose !== 'both' &&
        (['subject', 'opponent'] as const).map((whose) => (
          <Press
            key={whose}
            type="button"
            color={whose === 'subject' ? 'us' : 'them'}
            aria-pressed={stance.whose === whose}
            onClick={() => turn({ whose })}
          >
            {name(whose)}
          </Press>
        ))}
      {sides.map((side) => (
        <Press
          key={side}
          type="button"
          aria-pressed={stance.side === side}
          onClick={() => turn({ side: stance.side === side ? null : side })}
        >
          {side}
        </Press>
      ))}
      {FACT_WHEN.map((when) => (
        <Press key={when} type="button" aria-pressed={stance.when === when} onClick={() => turn({ when })}>
          {WHEN_WORDS[when] || T.atStart}
        </Press>
      ))}
      <Press type="button" onClick={() => onStep(null)}>
        {T.done}
      </Press>
    </Flex>
  );
};

/** How they stood, on the board: what is said, and by a few letters what else there is to say. */
export const StoodHere = (props: Props): React.JSX.Element => {
  const { attempt, words, step, onStep } = props;
  const word = step !== null && step !== 'which' ? words.get('fact', step.fact) : undefined;
  return (
    <Box marginTop="1">
      {attempt.facts.map((fact) => {
        const { fact: key, whose, side, when } = fact;
        const isPicked = step !== null && step !== 'which' && factSlot(step) === factSlot(fact);
        return (
          <Press
            key={fact.id}
            type="button"
            marginRight="1"
            marginBottom="1"
            aria-pressed={isPicked}
            onClick={() => onStep(isPicked ? null : { fact: key, whose, side, when })}
          >
            {sayFact(fact, words)}
          </Press>
        );
      })}
      {step === null && (
        <Press type="button" marginBottom="1" onClick={() => onStep('which')}>
          {T.stood}
        </Press>
      )}
      {step === 'which' && (
        <Flex wrap="wrap" gap="1" role="group" aria-label={T.stood} data-asked="">
          {wordsHere(attempt, words).map((w) => (
            <Press
              key={w.key}
              type="button"
              onClick={() =>
                onStep({ fact: w.key, whose: bareWhose(w, attempt.state?.role ?? null), side: null, when: 'start' })
              }
            >
              {w.name}
            </Press>
          ))}
        </Flex>
      )}
      {word && step !== null && step !== 'which' && <StanceDetail {...props} stance={step} word={word} />}
    </Box>
  );
};
