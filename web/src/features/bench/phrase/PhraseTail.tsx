import { Box } from '@chakra-ui/react';
import {
  depthWord,
  isNearFinish,
  isSameMet,
  metText,
  placeName,
  plannedWord,
  stateId,
  withReason,
  withoutReason,
} from '@odograph/core';
import { v7 as newId } from 'uuid';
import { DepthLadder } from '../../../design/index.js';
import { WordField } from '../../../design/fields.js';
import { ERROR_TEXT as E, TAIL_TEXT as T, PHRASE_TAIL_TEXT } from './phrase.text.js';
import { Doubted } from './Doubted.js';
import { type Saying } from './saying.js';
import { Soft } from './Soft.js';
import { SeveralField } from './SeveralField.js';

/** Where it went on after a restart. */
export const Restart = ({ saying }: { readonly saying: Saying }): React.JSX.Element | null => {
  const { attempt, words, find, change, next } = saying;
  const { finish } = attempt;
  if (finish?.kind !== 'reset') return null;
  return (
    <>
      <Soft>{PHRASE_TAIL_TEXT.andOnFrom}</Soft>
      <WordField
        label={PHRASE_TAIL_TEXT.restartIn}
        placeholder={PHRASE_TAIL_TEXT.whichPosition}
        said={finish.restart && placeName(stateId(finish.restart), words)}
        find={find.place}
        opens="up"
        onPick={(restart) => change({ finish: { ...finish, restart } })}
        onClear={() => change({ finish: { ...finish, restart: null } })}
        onNext={next}
      />
    </>
  );
};

/** How far it came, and why no further. */
export const HowFar = ({ saying }: { readonly saying: Saying }): React.JSX.Element | null => {
  const { attempt, words, find, change, next, onLine } = saying;
  const word = words.action(attempt.action ?? '');
  if (!word) return null;
  const isMissed = attempt.result !== null && attempt.result !== 'success';
  return (
    <>
      <Soft>, </Soft>
      {attempt.depth !== null && <DepthLadder depth={attempt.depth} word={depthWord(word, attempt.depth)} />}{' '}
      <WordField
        label={PHRASE_TAIL_TEXT.howFarLabel}
        placeholder={PHRASE_TAIL_TEXT.howFar}
        said={attempt.depth === null ? null : depthWord(word, attempt.depth)}
        find={find.depth}
        opens="up"
        onPick={(depth) => change({ depth })}
        onClear={() => change({ depth: null })}
        onNext={next}
      />
      {isNearFinish(attempt, words) && (
        <Box as="span" fontWeight="600" data-testid="near-finish">
          {' '}
          ({T.near})
        </Box>
      )}
      {isMissed && (
        <>
          <Soft>{PHRASE_TAIL_TEXT.because}</Soft>
          <SeveralField
            label={PHRASE_TAIL_TEXT.whyLabel}
            placeholder={attempt.reasons.length ? PHRASE_TAIL_TEXT.reason : PHRASE_TAIL_TEXT.why}
            said={attempt.reasons.map((r) => ({
              key: r.id,
              text: `${words.name('reason', r.reason)}${r.main && attempt.reasons.length > 1 ? T.mainly : ''}`,
            }))}
            joint=" and "
            find={find.reason}
            onLine={onLine}
            onDoubt={saying.doubt('reasons')}
            onAdd={(reason) => change({ reasons: withReason(attempt.reasons, reason, newId()) })}
            onRemove={(id) => change({ reasons: withoutReason(attempt.reasons, id) })}
            onNext={next}
          />
          <Doubted saying={saying} field="reasons" />
        </>
      )}
    </>
  );
};

/** What is mostly left open, behind the note: whose mistakes were in it, whether it was meant, on which side, and what it answers beside what is found. */
export const MoreOfIt = ({ saying }: { readonly saying: Saying }): React.JSX.Element | null => {
  const { attempt, words, find, change, next } = saying;
  const lead = attempt.state && words.position(attempt.state.position)?.lead;
  if (attempt.action === null) return null;
  return (
    <>
      <Soft>{PHRASE_TAIL_TEXT.beforeMistakes}</Soft>
      <SeveralField
        label={PHRASE_TAIL_TEXT.mistakesLabel}
        placeholder={attempt.errors.length ? PHRASE_TAIL_TEXT.mistake : PHRASE_TAIL_TEXT.noneSaid}
        said={attempt.errors.map((e) => ({
          key: e.id,
          text: E.choice(e.by, e.what === null ? E.some : words.name('reason', e.what), e.cause),
        }))}
        joint=" and "
        find={find.mistake}
        onAdd={(mistake) => change({ errors: [...attempt.errors, { ...mistake, id: newId(), until: null }] })}
        onRemove={(id) => change({ errors: attempt.errors.filter((e) => e.id !== id) })}
        onNext={next}
      />
      <Soft>; </Soft>
      <WordField
        label={PHRASE_TAIL_TEXT.meantOrBait}
        placeholder={PHRASE_TAIL_TEXT.meant}
        said={attempt.intent === 'bait' ? 'bait' : null}
        find={find.intent}
        opens="up"
        onPick={(intent) => change({ intent, ...(intent === 'own' ? { wanted: null } : {}) })}
        onClear={() => change({ intent: 'own', wanted: null })}
        onNext={next}
      />
      {attempt.intent === 'bait' && (
        <>
          <Soft>{PHRASE_TAIL_TEXT.soThatThey}</Soft>
          <WordField
            label={PHRASE_TAIL_TEXT.wantedReaction}
            placeholder={PHRASE_TAIL_TEXT.doWhat}
            said={attempt.wanted && words.name('reaction', attempt.wanted)}
            find={find.reaction}
            opens="up"
            onPick={(wanted) => change({ wanted })}
            onClear={() => change({ wanted: null })}
            onNext={next}
          />
        </>
      )}
      {lead && (
        <>
          <Soft>; {T.lead(lead.role === attempt.state?.role || attempt.state?.role === 'even', lead.limb)} </Soft>
          <WordField
            label={PHRASE_TAIL_TEXT.whichSideLabel}
            placeholder={PHRASE_TAIL_TEXT.whichSide}
            said={attempt.lead}
            find={find.lead}
            opens="up"
            onPick={(side) => change({ lead: side })}
            onClear={() => change({ lead: null })}
            onNext={next}
          />
        </>
      )}
      <Soft>; </Soft>
      <WordField
        label={PHRASE_TAIL_TEXT.plannedLabel}
        placeholder={PHRASE_TAIL_TEXT.planned}
        said={attempt.planned === null ? null : plannedWord(attempt.planned)}
        find={find.planned}
        opens="up"
        onPick={(planned) => change({ planned })}
        onClear={() => change({ planned: null })}
        onNext={next}
      />
      <Soft>{PHRASE_TAIL_TEXT.beforeAnswers}</Soft>
      <SeveralField
        label={PHRASE_TAIL_TEXT.answersLabel}
        placeholder={attempt.answers.length ? PHRASE_TAIL_TEXT.answer : PHRASE_TAIL_TEXT.asFound}
        said={attempt.answers.map((a) => ({
          key: a.id,
          text: `${metText(a, words)}${find.isElsewhere(a) ? T.elsewhere : ''}`,
        }))}
        joint=" and "
        find={find.met}
        onAdd={(met) =>
          change({ answers: [...attempt.answers.filter((a) => !isSameMet(a, met)), { ...met, id: newId() }] })
        }
        onRemove={(id) => change({ answers: attempt.answers.filter((a) => a.id !== id) })}
        onNext={next}
      />
    </>
  );
};
