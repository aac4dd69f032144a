import { Box, Flex } from '@chakra-ui/react';
import {
  RESULT_WORDS,
  attemptCautions,
  finishId,
  finishOf,
  placeName,
  sayControl,
  stateId,
  type Instant,
  type SaidSides,
} from '@odograph/core';
import { useEffect, useEffectEvent, useRef, useState, type KeyboardEvent } from 'react';
import { v7 as newId } from 'uuid';
import { CautionNote, WordField } from '../../design/index.js';
import { useWords, type ClipView } from '../library/index.js';
import { useEdit } from '../replica/index.js';
import { BENCH_TEXT as T } from './bench.text.js';
import { Doubted } from './Doubted.js';
import { leftIn } from './leftIn.js';
import { NoteField } from './NoteField.js';
import { Odd } from './Odd.js';
import { Proposed } from './Proposed.js';
import { SeenFrom } from './SeenFrom.js';
import { HowFar, MoreOfIt, Restart } from './PhraseTail.js';
import { SameTry } from './SameTry.js';
import { useSaying, type Saying } from './saying.js';
import { SeveralField } from './SeveralField.js';
import { useFinders } from './useFinders.js';
import { useUsual } from './useUsual.js';
import { WholeLine } from './WholeLine.js';

type Props = {
  readonly view: ClipView;
  readonly before: ClipView | undefined;
  /** Just made: its first open part takes the hand. */ readonly isFresh: boolean;
  /** What is being said of the whole attempt in one line; null while it is said part by part. */ readonly line:
    string | null;
  readonly onLine: (typed: string | null) => void;
  /** Another attempt that looks like the same try. */ readonly same?: ClipView | undefined;
  readonly onSame?: (other: ClipView) => void;
  readonly onTaken?: () => void;
  readonly onLeave: () => void;
  /** The instant that is shown now, in frames of the attempt's own camera. */ readonly now: () => Instant;
  readonly isMirrored?: boolean;
  /** How left and right are told. */ readonly sides?: SaidSides;
  /** What stands under the sentence: instants and loops of the clip. */ readonly children?: React.ReactNode;
};

/** What is mostly left open opens from the note on, and stands where something of it is said. */
const BEHIND = '[data-behind], [data-behind] *';
const isMoreSaid = ({ errors, answers, intent, planned, lead }: ClipView['attempt']): boolean =>
  errors.length > 0 || answers.length > 0 || intent === 'bait' || planned !== null || lead !== null;

/** The sentence under the picture: a completing field for each part; each part is kept as soon as it is said. */
export const Phrase = (props: Props): React.JSX.Element => {
  const {
    view,
    before,
    isFresh,
    line,
    onLine,
    same,
    onSame,
    onTaken,
    onLeave,
    now,
    isMirrored = false,
    sides,
    children,
  } = props;
  const words = useWords(view.footage.id);
  const edit = useEdit();
  const { find, proposed } = useFinders(view, words, useUsual(words), leftIn(before, view.attempt.subject)[0]);
  const { attempt, change, confirm, doubt } = useSaying(view, isMirrored, now);
  const [isMore, setMore] = useState(false);
  const sentence = useRef<HTMLDivElement>(null);
  const taken = useEffectEvent(() => onTaken?.());
  useEffect(() => {
    if (!isFresh) return;
    sentence.current?.querySelectorAll<HTMLInputElement>('input')[1]?.focus();
    taken();
  }, [isFresh]);
  const { athletes } = view;
  // the part that follows may be one that what was just said has opened: it is gone to when it is there
  const [moves, setMoves] = useState(0);
  const next = (): void => setMoves((n) => n + 1);
  const leave = useEffectEvent(onLeave);
  useEffect(() => {
    if (moves === 0) return;
    const fields = [...(sentence.current?.querySelectorAll<HTMLInputElement>('input') ?? [])];
    const following = fields[fields.findIndex((f) => f === document.activeElement) + 1];
    if (following) following.focus();
    else leave();
  }, [moves]);
  const onKeyDown = (event: KeyboardEvent): void => {
    if (event.key === 'Escape') onLeave();
  };
  const end = finishOf(attempt, words);
  const own = attempt.controls.filter((c) => c.holder === 'subject');
  const theirs = attempt.controls.filter((c) => c.holder === 'opponent');
  const cautions = attemptCautions({ action: attempt.action, finish: end?.finish ?? null }, words);
  const saying: Saying = { attempt, words, find, proposed, change, confirm, next, onLine, doubt };
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
        onFocus={(event) => setMore(event.target.matches(BEHIND))}
        onBlur={(event) => {
          if (!event.relatedTarget?.matches(BEHIND)) setMore(false);
        }}
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
            onConfirm={confirm('subject')}
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
          proposed={proposed.from}
          onDoubt={doubt('state')}
          onConfirm={confirm('state')}
          onPick={(state) => change({ state })}
          onClear={() => change({ state: null })}
          onNext={next}
        />
        <Doubted saying={saying} field="state" />
        {soft(' with ')}
        <SeveralField
          label={T.grips}
          placeholder={own.length ? '+ grip' : 'which grips'}
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
        {soft(', ')}
        <Box as="span" fontWeight="600">
          <WordField
            label="Entry"
            placeholder="what they do"
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
        {soft('; they ')}
        <SeveralField
          label="Their reaction"
          placeholder={attempt.reactions.length ? '+ reaction' : 'do what'}
          said={attempt.reactions.map((r) => ({
            key: r.id,
            text: words.name(r.isAction ? 'action' : 'reaction', r.what),
          }))}
          joint=", then "
          find={find.answer}
          onLine={onLine}
          onDoubt={doubt('reactions')}
          onAdd={(met) => change({ reactions: [...attempt.reactions, { ...met, id: newId(), deciding: false }] })}
          onRemove={(id) => change({ reactions: attempt.reactions.filter((r) => r.id !== id) })}
          onNext={next}
        />
        <Doubted saying={saying} field="reactions" />
        {soft('; ends in ')}
        <WordField
          label="Finish"
          placeholder={end?.assumed ? `${placeName(finishId(end.finish), words)} (assumed)` : 'where'}
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
        {soft('; ')}
        <Box as="span" fontWeight="600">
          <WordField
            label="Result"
            placeholder="worked?"
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
        {soft('; note: ')}
        <span data-behind="">
          <NoteField
            key={view.clip.note}
            note={view.clip.note}
            onSave={(note) => edit({ kind: 'clip', id: view.clip.id, changes: { note } })}
            onNext={onLeave}
          />
          {(isMore || isMoreSaid(view.attempt)) && <MoreOfIt saying={saying} />}
          {(isMore || isMoreSaid(view.attempt) || view.clip.seen !== null) && <SeenFrom view={view} onNext={next} />}
        </span>
      </Box>
      {children}
      {same && onSame && <SameTry other={same} onSame={() => onSame(same)} />}
      <Proposed saying={saying} athletes={athletes} />
      <Odd view={view} before={before} words={words} isMirrored={isMirrored} />
      <CautionNote cautions={cautions} short />
    </Flex>
  );
};
