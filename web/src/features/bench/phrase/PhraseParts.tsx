import { Box } from '@chakra-ui/react';
import {
  BARE_REACTION,
  RESULT_WORDS,
  finishId,
  finishOf,
  placeName,
  sayControl,
  sayReaction,
  stateId,
  type Attempt,
  type SaidSides,
  withDetail,
  withoutLast,
} from '@odograph/core';
import { v7 as newId } from 'uuid';
import { WordField } from '../../../design/fields.js';
import { Doubted } from './Doubted.js';
import { PHRASE_TEXT as T, PHRASE_PARTS_TEXT } from './phrase.text.js';
import { HowFar, Restart } from './PhraseTail.js';
import type { Saying } from './saying.js';
import { SeveralField } from './SeveralField.js';
import { Soft } from './Soft.js';

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
  return (
    <span onFocus={() => onHand?.(true)} onBlur={() => onHand?.(false)}>
      <Soft>{PHRASE_PARTS_TEXT.with}</Soft>
      <SeveralField
        label={T.grips}
        placeholder={own.length ? PHRASE_PARTS_TEXT.grip : PHRASE_PARTS_TEXT.whichGrips}
        said={own.map((c) => ({ key: c.id, text: sayControl(c, words, sides) }))}
        joint=" and "
        find={find.holds}
        onLine={onLine}
        onDoubt={doubt('controls')}
        onAdd={(hold) => change({ controls: [...theirs, ...own, { ...hold, id: newId() }] })}
        onRemove={(id) => change({ controls: attempt.controls.filter((c) => c.id !== id) })}
        onNext={next}
      />
      <Doubted saying={saying} field="controls" />
    </span>
  );
};

/** What is done, and what they do about it. */
export const EntryAndReaction = ({ saying }: Props): React.JSX.Element => {
  const { attempt, words, find, change, confirm, doubt, next, onLine } = saying;
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
        onAdd={(answer) =>
          change({
            reactions:
              'kind' in answer
                ? withDetail(attempt.reactions, answer)
                : [...attempt.reactions, { ...answer, id: newId(), ...BARE_REACTION }],
          })
        }
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
