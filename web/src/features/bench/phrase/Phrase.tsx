import { Box, Flex } from '@chakra-ui/react';
import { attemptCautions, finishOf, type Instant, type SaidSides } from '@odograph/core';
import { useState, type KeyboardEvent, type RefObject } from 'react';
import { CautionNote } from '../../../design/index.js';
import { useWords, type ClipView } from '../../library/index.js';
import { useEdit } from '../../replica/index.js';
import { leftIn, type Focusable } from '../desk/index.js';
import { NoteField } from './NoteField.js';
import { Odd } from './Odd.js';
import { EndAndResult, EntryAndReaction, Grips, WhoAndFrom } from './PhraseParts.js';
import { MoreOfIt } from './PhraseTail.js';
import { Proposed } from './Proposed.js';
import { SameTry } from './SameTry.js';
import { useSaying, type Saying } from './saying.js';
import type { Shown } from './WhyField.js';
import { SeenFrom } from './SeenFrom.js';
import { Soft } from './Soft.js';
import { WhyField, isWhySaid } from './WhyField.js';
import { useFinders } from './useFinders.js';
import { useSentence } from './useSentence.js';
import { useUsual } from './useUsual.js';
import { PHRASE_SAYS } from './phrase.text.js';

type Props = {
  readonly view: ClipView;
  readonly before: ClipView | undefined;
  /** Just made: its first open part takes the hand. */ readonly isFresh: boolean;
  /** The rest of it is said in one line from here on. */ readonly onLine: (typed: string) => void;
  /** Another attempt that looks like the same try. */ readonly same?: ClipView | undefined;
  readonly onSame?: (other: ClipView) => void;
  readonly onTaken?: () => void;
  /** The hand is at the grips, or has left them. */ readonly onGrips?: (isHere: boolean) => void;
  readonly onLeave: () => void;
  /** The instant that is shown now, in frames of the attempt's own camera; undefined where another camera shows it. */
  readonly now: () => Instant | undefined;
  /** The frame that is shown, on the camera that shows it: what proves something. */
  readonly shown?: (() => Shown | null) | undefined;
  readonly isMirrored?: boolean;
  /** How left and right are told. */ readonly sides?: SaidSides;
  /** Gives the hand to the first part that is mostly open. */ readonly focus?: RefObject<Focusable | null>;
  /** What stands under the sentence: instants and loops of the clip. */ readonly children?: React.ReactNode;
};

/** What is mostly left open opens from the note on, and stands where something of it is said. */
const BEHIND = '[data-behind], [data-behind] *';
const isMoreSaid = ({ errors, answers, intent, planned, lead }: ClipView['attempt']): boolean =>
  errors.length > 0 || answers.length > 0 || intent === 'bait' || planned !== null || lead !== null;

/** The sentence under the picture: a completing field for each part; each part is kept as soon as it is said. */
export const Phrase = (props: Props): React.JSX.Element => {
  const { view, before, onLine, same, onSame, onLeave, isMirrored = false, children } = props;
  const words = useWords(view.footage.id);
  const edit = useEdit();
  const { find, proposed } = useFinders(view, before, words, useUsual(words), leftIn(before, view.attempt.subject)[0]);
  const said = useSaying(view, isMirrored, props.now);
  const { attempt } = said;
  const [isMore, setMore] = useState(false);
  const { sentence, next } = useSentence({ ...props, focus: props.focus, onTaken: props.onTaken });
  const onKeyDown = (event: KeyboardEvent): void => {
    if (event.key === 'Escape') onLeave();
  };
  const end = finishOf(attempt, words);
  const cautions = attemptCautions({ action: attempt.action, finish: end?.finish ?? null }, words);
  const saying: Saying = { ...said, words, find, proposed, next, onLine };
  const isMoreShown = isMore || isMoreSaid(view.attempt);
  return (
    <Flex direction="column" justifyContent="center" paddingInline="4" paddingBlock="1.5" gap="0.5">
      <Box
        ref={sentence}
        role="group"
        aria-label={PHRASE_SAYS.phrase}
        data-testid="phrase"
        onKeyDown={onKeyDown}
        onFocus={(event) => setMore(event.target.matches(BEHIND))}
        onBlur={(event) => {
          if (!event.relatedTarget?.matches(BEHIND)) setMore(false);
        }}
        fontSize="19px"
        lineHeight="1.55"
      >
        <WhoAndFrom saying={saying} athletes={view.athletes} />
        <Grips saying={saying} sides={props.sides} onHand={props.onGrips} />
        <EntryAndReaction saying={saying} />
        <EndAndResult saying={saying} />
        <Soft>{PHRASE_SAYS.note}</Soft>
        <span data-behind="">
          <NoteField
            key={view.clip.note}
            note={view.clip.note}
            onSave={(note) => edit({ kind: 'clip', id: view.clip.id, changes: { note } })}
            onNext={onLeave}
          />
          {(isMoreShown || isWhySaid(attempt)) && <WhyField saying={saying} shown={props.shown} />}
          {isMoreShown && <MoreOfIt saying={saying} />}
          {(isMoreShown || view.clip.seen !== null) && <SeenFrom view={view} onNext={next} />}
        </span>
      </Box>
      {said.problem !== null && (
        <Box role="alert" color="caution" fontSize="15px">
          {said.problem}
        </Box>
      )}
      {children}
      {same && onSame && <SameTry other={same} onSame={() => onSame(same)} />}
      <Proposed saying={saying} athletes={view.athletes} />
      <Odd view={view} before={before} words={words} isMirrored={isMirrored} />
      <CautionNote cautions={cautions} short />
    </Flex>
  );
};
