import { Box, Flex } from '@chakra-ui/react';
import {
  RESULT_WORDS,
  attemptCautions,
  depthChoices,
  depthWord,
  entryChoices,
  finishChoices,
  finishId,
  finishOf,
  placeChoices,
  placeName,
  proposedResult,
  reactionChoices,
  readControls,
  reasonChoices,
  resultChoices,
  sayControl,
  stateId,
  type Attempt,
  type Control,
  type Subject,
  type Words,
} from '@odograph/core';
import { useEffect, useMemo, useRef, type KeyboardEvent } from 'react';
import { v7 as newId } from 'uuid';
import { CautionNote, DepthLadder, WordField, among, type Found } from '../../design/index.js';
import { useEdit, useWords, type ClipView } from '../library/index.js';
import { leftIn } from './leftIn.js';
import { NoteField } from './NoteField.js';
import { Odd } from './Odd.js';
import { SameTry } from './SameTry.js';
import { WholeLine } from './WholeLine.js';
import { SeveralField } from './SeveralField.js';

type Props = {
  readonly view: ClipView;
  readonly before: ClipView | undefined;
  /** Just made: its first open part takes the hand. */ readonly isFresh: boolean;
  /** What is being said of the whole attempt in one line; null while it is said part by part. */ readonly line:
    string | null;
  readonly onLine: (typed: string | null) => void;
  /** Another attempt that looks like the same try. */ readonly same?: ClipView | undefined;
  readonly onSame?: (other: ClipView) => void;
  readonly onLeave: () => void;
};

type Hold = Omit<Control, 'id'>;

const findHolds =
  (words: Words) =>
  (typed: string): readonly Found<Hold>[] =>
    typed.trim() === ''
      ? []
      : readControls(typed, words).map((value) => ({ value, name: sayControl({ ...value, id: '' }, words), via: '' }));

const useFinders = (view: ClipView, before: ClipView | undefined) => {
  const words = useWords(view.footage.id);
  const { state, action, subject } = view.attempt;
  const { athletes, footage } = view;
  const does = words.action(action ?? '')?.does;
  const left = leftIn(before, subject);
  const proposed = proposedResult(view.attempt, words);
  return useMemo(
    () => ({
      who: among<Subject>([
        { value: 'a', texts: [athletes.a, footage.kitA, 'a', 'us'] },
        { value: 'b', texts: [athletes.b, footage.kitB, 'b', 'them'] },
      ]),
      from: among(placeChoices(words, left)),
      holds: findHolds(words),
      entry: among(entryChoices(words, state)),
      reaction: among(reactionChoices(words)),
      finish: among(finishChoices(words, state, action)),
      result: among(resultChoices(proposed)),
      depth: among(does ? depthChoices(does) : []),
      reason: among(reasonChoices(words)),
    }),
    // the place left in is compared by its id
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [words, athletes, footage, state, action, does, left[0], proposed],
  );
};

/** The sentence under the picture: a completing field for each part; each part is kept as soon as it is said. */
export const Phrase = ({ view, before, isFresh, line, onLine, same, onSame, onLeave }: Props): React.JSX.Element => {
  const words = useWords(view.footage.id);
  const edit = useEdit();
  const find = useFinders(view, before);
  const sentence = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (isFresh) sentence.current?.querySelectorAll<HTMLInputElement>('input')[1]?.focus();
  }, [isFresh]);
  const { attempt, athletes } = view;
  const change = (
    changes: Partial<
      Pick<
        Attempt,
        'subject' | 'state' | 'action' | 'result' | 'finish' | 'depth' | 'controls' | 'reactions' | 'reasons'
      >
    >,
  ): void => edit({ kind: 'attempt', id: attempt.id, changes, patch: changes });
  const next = (): void => {
    const fields = [...(sentence.current?.querySelectorAll<HTMLInputElement>('input') ?? [])];
    const at = fields.findIndex((f) => f === document.activeElement);
    const following = fields[at + 1];
    if (following) following.focus();
    else onLeave();
  };
  const onKeyDown = (event: KeyboardEvent): void => {
    if (event.key === 'Escape') onLeave();
  };
  const proposed = proposedResult(attempt, words);
  const end = finishOf(attempt, words);
  const does = words.action(attempt.action ?? '')?.does;
  const own = attempt.controls.filter((c) => c.holder === 'subject');
  const theirs = attempt.controls.filter((c) => c.holder === 'opponent');
  const cautions = attemptCautions({ action: attempt.action, finish: end?.finish ?? null }, words);
  const soft = (text: string): React.JSX.Element => (
    <Box as="span" color="inkSoft">
      {text}
    </Box>
  );
  if (line !== null)
    return (
      <WholeLine
        view={view}
        left={leftIn(before, attempt.subject)[0]}
        start={line}
        onDone={() => onLine(null)}
        onLeave={onLeave}
      />
    );
  return (
    <Flex
      direction="column"
      justifyContent="center"
      minHeight="64px"
      paddingInline="4"
      paddingBlock="1.5"
      borderTopWidth="1px"
      gap="0.5"
    >
      <Box
        ref={sentence}
        role="group"
        aria-label="Phrase"
        data-testid="phrase"
        onKeyDown={onKeyDown}
        fontSize="19px"
        lineHeight="1.55"
      >
        <Box as="span" color={attempt.subject === 'a' ? 'us' : 'them'} fontWeight="600">
          <WordField
            label="Whose action"
            placeholder="who"
            said={athletes[attempt.subject]}
            find={find.who}
            onLine={onLine}
            opens="up"
            onPick={(subject) => change({ subject })}
            onNext={next}
          />
        </Box>
        {soft(' from ')}
        <WordField
          label="From position"
          placeholder="which position"
          said={attempt.state && placeName(stateId(attempt.state), words)}
          find={find.from}
          onLine={onLine}
          opens="up"
          onPick={(state) => change({ state })}
          onClear={() => change({ state: null })}
          onNext={next}
        />
        {soft(' with ')}
        <SeveralField
          label="Grips"
          placeholder={own.length ? '+ grip' : 'which grips'}
          said={own.map((c) => ({ key: c.id, text: sayControl(c, words) }))}
          joint=" and "
          find={find.holds}
          onLine={onLine}
          onAdd={(hold) => change({ controls: [...theirs, ...own, { ...hold, id: newId() }] })}
          onRemove={(id) => change({ controls: attempt.controls.filter((c) => c.id !== id) })}
          onNext={next}
        />
        {soft(', ')}
        <Box as="span" fontWeight="600">
          <WordField
            label="Entry"
            placeholder="what they do"
            said={attempt.action && words.name('action', attempt.action)}
            find={find.entry}
            onLine={onLine}
            opens="up"
            onPick={(action) => change({ action })}
            onClear={() => change({ action: null })}
            onNext={next}
          />
        </Box>
        {soft('; they ')}
        <SeveralField
          label="Their reaction"
          placeholder={attempt.reactions.length ? '+ reaction' : 'do what'}
          said={attempt.reactions.map((r) => ({
            key: r.id,
            text: words.name(r.isAction ? 'action' : 'reaction', r.what),
          }))}
          joint=", then "
          find={find.reaction}
          onLine={onLine}
          onAdd={(what) =>
            change({ reactions: [...attempt.reactions, { id: newId(), what, isAction: false, deciding: false }] })
          }
          onRemove={(id) => change({ reactions: attempt.reactions.filter((r) => r.id !== id) })}
          onNext={next}
        />
        {soft('; ends in ')}
        <WordField
          label="Finish"
          placeholder={end?.assumed ? `${placeName(finishId(end.finish), words)} (assumed)` : 'where'}
          said={attempt.finish && placeName(finishId(attempt.finish), words)}
          find={find.finish}
          onLine={onLine}
          opens="up"
          onPick={(finish) => change({ finish })}
          onClear={() => change({ finish: null })}
          onNext={next}
        />
        {soft('; ')}
        <Box as="span" fontWeight="600">
          <WordField
            label="Result"
            placeholder={proposed ? `${RESULT_WORDS[proposed]}?` : 'worked?'}
            said={attempt.result && RESULT_WORDS[attempt.result]}
            find={find.result}
            onLine={onLine}
            opens="up"
            onPick={(result) => change({ result })}
            onClear={() => change({ result: null })}
            onNext={next}
          />
        </Box>
        {does && (
          <>
            {soft(', ')}
            {attempt.depth !== null && <DepthLadder depth={attempt.depth} word={depthWord(does, attempt.depth)} />}{' '}
            <WordField
              label="How far"
              placeholder="how far"
              said={attempt.depth === null ? null : depthWord(does, attempt.depth)}
              find={find.depth}
              opens="up"
              onPick={(depth) => change({ depth })}
              onClear={() => change({ depth: null })}
              onNext={next}
            />
          </>
        )}
        {attempt.result !== null && attempt.result !== 'success' && (
          <>
            {soft(' because ')}
            <SeveralField
              label="Why"
              placeholder={attempt.reasons.length ? '+ reason' : 'why'}
              said={attempt.reasons.map((r) => ({ key: r.id, text: words.name('reason', r.reason) }))}
              joint=" and "
              find={find.reason}
              onLine={onLine}
              onAdd={(reason) =>
                change({ reasons: [...attempt.reasons, { id: newId(), reason, main: attempt.reasons.length === 0 }] })
              }
              onRemove={(id) => change({ reasons: attempt.reasons.filter((r) => r.id !== id) })}
              onNext={next}
            />
          </>
        )}
        {soft('; note: ')}
        <NoteField
          key={view.clip.note}
          note={view.clip.note}
          onSave={(note) => edit({ kind: 'clip', id: view.clip.id, changes: { note }, patch: { note } })}
          onNext={next}
        />
      </Box>
      {same && onSame && <SameTry other={same} onSame={() => onSame(same)} />}
      <Odd view={view} words={words} />
      <CautionNote cautions={cautions} short />
    </Flex>
  );
};
