import { Box } from '@chakra-ui/react';
import {
  BARE_REACTION,
  RESULT_WORDS,
  finishId,
  finishOf,
  placeName,
  sayFact,
  sayHold,
  sayReaction,
  stateId,
  type Attempt,
  type Control,
  type ReactionUse,
  type SaidSides,
  withDetail,
  withFact,
  withHoldDetail,
  withoutHoldDetail,
  withoutLast,
} from '@odograph/core';
import { v7 as newId } from 'uuid';
import { WordField } from '../../../design/fields.js';
import { Doubted } from './Doubted.js';
import { PHRASE_TEXT as T, PHRASE_PARTS_TEXT } from './phrase.text.js';
import { HowFar, Restart } from './PhraseTail.js';
import type { Saying } from './saying.js';
import { SeveralField, TakenBack } from './SeveralField.js';
import { Soft } from './Soft.js';
import type { Stood } from './gripFinder.js';
import type { Answer } from './useFinders.js';

type Props = { readonly saying: Saying };

/** Who acts, and from which position. */
export const WhoAndFrom = ({
  saying,
  athletes,
}: Props & { readonly athletes: Readonly<Record<Attempt['subject'], string>> }): React.JSX.Element => {
  const { attempt, words, find, proposed, change, confirm, doubt, next, onLine } = saying;
  return (
    <>
      <Box as="span" color={attempt.subject === 'a' ? 'us' : 'them'} fontWeight="600">
        <WordField
          label={PHRASE_PARTS_TEXT.whoseAction}
          placeholder={PHRASE_PARTS_TEXT.who}
          said={athletes[attempt.subject]}
          find={find.who}
          onLine={onLine}
          opens="up"
          onConfirm={confirm('subject')}
          onPick={(subject) => change({ subject })}
          onNext={next}
        />
      </Box>
      <Soft>{PHRASE_PARTS_TEXT.from}</Soft>
      <WordField
        label={PHRASE_PARTS_TEXT.fromPosition}
        placeholder={PHRASE_PARTS_TEXT.whichPosition}
        said={attempt.state && placeName(stateId(attempt.state), words)}
        find={find.from}
        onLine={onLine}
        opens="up"
        proposed={proposed.from}
        onDoubt={doubt('state')}
        onConfirm={confirm('state')}
        onPick={(state) => change({ state })}
        onClear={() => change({ state: null })}
        onNext={next}
      />
      <Doubted saying={saying} field="state" />
    </>
  );
};

/** What the acting side holds. `onHand`: the hand is there, or has left it. */
export const Grips = ({
  saying,
  sides,
  onHand,
}: Props & {
  readonly sides: SaidSides | undefined;
  readonly onHand?: ((isHere: boolean) => void) | undefined;
}): React.JSX.Element => {
  const { attempt, words, find, change, doubt, next, onLine } = saying;
  const own = attempt.controls.filter((c) => c.holder === 'subject');
  const theirs = attempt.controls.filter((c) => c.holder === 'opponent');
  const last = own.at(-1);
  const alter = (control: Control | undefined, id: string): void =>
    change({ controls: attempt.controls.flatMap((c) => (c.id !== id ? [c] : control ? [control] : [])) });
  const add = (stood: Stood): void => {
    if (stood.is === 'hold') change({ controls: [...theirs, ...own, { ...stood.hold, id: newId() }] });
    else if (stood.is === 'fact') change({ facts: withFact(attempt.facts, { ...stood.fact, id: newId() }) });
    else if (last) alter(withHoldDetail(last, stood.detail), last.id);
  };
  return (
    <span onFocus={() => onHand?.(true)} onBlur={() => onHand?.(false)}>
      {attempt.facts.map((fact) => (
        <span key={fact.id}>
          <Soft>, </Soft>
          <TakenBack
            text={sayFact(fact, words)}
            onClick={() => change({ facts: attempt.facts.filter((f) => f !== fact) })}
          />
        </span>
      ))}
      <Soft>{PHRASE_PARTS_TEXT.with}</Soft>
      <SeveralField
        label={T.grips}
        placeholder={own.length ? PHRASE_PARTS_TEXT.grip : PHRASE_PARTS_TEXT.whichGrips}
        said={own.map((c) => ({ key: c.id, text: sayHold(c, words, sides) }))}
        joint=" and "
        find={find.holds}
        onLine={onLine}
        onDoubt={doubt('controls')}
        onAdd={add}
        onBack={() => last && alter(withoutHoldDetail(last), last.id)}
        onRemove={(id) => alter(undefined, id)}
        onNext={next}
      />
      <Doubted saying={saying} field="controls" />
      {theirs.map((c, i) => (
        <span key={c.id}>
          <Soft>{i === 0 ? PHRASE_PARTS_TEXT.theyHave : PHRASE_PARTS_TEXT.and}</Soft>
          <TakenBack text={sayHold(c, words, sides)} onClick={() => alter(undefined, c.id)} />
        </span>
      ))}
    </span>
  );
};

/** Their reactions with what was picked among them; undefined where it is an instant, and none is shown. */
const withAnswer = (
  reactions: readonly ReactionUse[],
  answer: Answer,
  at: Saying['at'],
): readonly ReactionUse[] | undefined => {
  if (!('kind' in answer)) return [...reactions, { ...answer, id: newId(), ...BARE_REACTION }];
  if (answer.kind !== 'here') return withDetail(reactions, answer);
  const instant = at();
  return instant && withDetail(reactions, { kind: 'at', at: instant });
};

/** What is done, and what they do about it. */
export const EntryAndReaction = ({ saying }: Props): React.JSX.Element => {
  const { attempt, words, find, change, confirm, doubt, next, onLine, at } = saying;
  return (
    <>
      <Soft>, </Soft>
      <Box as="span" fontWeight="600">
        <WordField
          label={PHRASE_PARTS_TEXT.entry}
          placeholder={PHRASE_PARTS_TEXT.whatTheyDo}
          said={attempt.action && words.name('action', attempt.action)}
          find={find.entry}
          onLine={onLine}
          opens="up"
          onDoubt={doubt('action')}
          onConfirm={confirm('action')}
          onPick={(action) => change({ action })}
          onClear={() => change({ action: null })}
          onNext={next}
        />
      </Box>
      <Doubted saying={saying} field="action" />
      <Soft>{PHRASE_PARTS_TEXT.they}</Soft>
      <SeveralField
        label={PHRASE_PARTS_TEXT.theirReaction}
        placeholder={attempt.reactions.length ? PHRASE_PARTS_TEXT.reaction : PHRASE_PARTS_TEXT.doWhat}
        said={attempt.reactions.map((r) => ({
          key: r.id,
          text: sayReaction(r, words),
        }))}
        joint=", then "
        find={find.answer}
        onLine={onLine}
        onDoubt={doubt('reactions')}
        onAdd={(answer) => {
          const reactions = withAnswer(attempt.reactions, answer, at);
          if (reactions) change({ reactions });
        }}
        onBack={() => change({ reactions: withoutLast(attempt.reactions) })}
        onRemove={(id) => change({ reactions: attempt.reactions.filter((r) => r.id !== id) })}
        onNext={next}
      />
      <Doubted saying={saying} field="reactions" />
    </>
  );
};

/** Where it ended, how it went, and how far it came. */
export const EndAndResult = ({ saying }: Props): React.JSX.Element => {
  const { attempt, words, find, proposed, change, confirm, doubt, next, onLine } = saying;
  const end = finishOf(attempt, words);
  return (
    <>
      <Soft>{PHRASE_PARTS_TEXT.endsIn}</Soft>
      <WordField
        label={PHRASE_PARTS_TEXT.finish}
        placeholder={
          end?.assumed ? PHRASE_PARTS_TEXT.assumed(placeName(finishId(end.finish), words)) : PHRASE_PARTS_TEXT.where
        }
        said={attempt.finish && placeName(finishId(attempt.finish), words)}
        find={find.finish}
        onLine={onLine}
        opens="up"
        proposed={proposed.finish}
        onDoubt={doubt('finish')}
        onConfirm={confirm('finish')}
        onPick={(finish) => change({ finish })}
        onClear={() => change({ finish: null })}
        onNext={next}
      />
      <Doubted saying={saying} field="finish" />
      <Restart saying={saying} />
      <Soft>; </Soft>
      <Box as="span" fontWeight="600">
        <WordField
          label={PHRASE_PARTS_TEXT.result}
          placeholder={PHRASE_PARTS_TEXT.worked}
          proposed={proposed.result}
          said={attempt.result && RESULT_WORDS[attempt.result]}
          find={find.result}
          onLine={onLine}
          opens="up"
          onDoubt={doubt('result')}
          onConfirm={confirm('result')}
          onPick={(result) => change({ result })}
          onClear={() => change({ result: null })}
          onNext={next}
        />
      </Box>
      <Doubted saying={saying} field="result" />
      <HowFar saying={saying} />
    </>
  );
};
