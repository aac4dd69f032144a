import { Box, Flex } from '@chakra-ui/react';
import { changesSaid, partsSaid, type PhraseReading, type TimeTable } from '@odograph/core';
import type { RefObject } from 'react';
import { useDispatch } from 'react-redux';
import { v7 as newId } from 'uuid';
import { useWords } from '../../library/index.js';
import { editQueued, useEdit } from '../../replica/index.js';
import {
  CONFIRMED,
  LINE_TEXT as T,
  PhraseLine,
  chainSaid,
  doubtsAsked,
  followingTexts,
  useLineContext,
  useStateLeft,
} from '../phrase/index.js';
import { Caps } from '../keys/index.js';
import { instantAt, leftIn, newClipEdit, type OnBench, type Focusable } from '../desk/index.js';
import { MARK_TEXT as M } from './marks.text.js';
import { type MarkHere, type Marks } from './useMarks.js';

/** The mark in hand, and the line in which is said what happened there: Enter makes a clip of it. */
export const MarkLine = ({
  bench,
  table,
  mark,
  marks,
  line,
  text,
  onMade,
  onSighted,
  onLeave,
}: {
  readonly bench: OnBench;
  readonly table: TimeTable;
  readonly mark: MarkHere;
  readonly marks: Marks;
  readonly line: RefObject<Focusable | null>;
  /** Where the mark is, in words. */ readonly text: string;
  readonly onMade: (clipId: string) => void;
  /** It was said where they are, and no more. */ readonly onSighted: () => void;
  readonly onLeave: () => void;
}): React.JSX.Element => {
  const words = useWords(bench.footage.id);
  const edit = useEdit();
  const dispatch = useDispatch();
  const { athletes, footage } = bench;
  const before = bench.clips.filter((v) => v.clip.in.frame < mark.frame).at(-1);
  const subject = before?.attempt.subject ?? 'a';
  const left = leftIn(before, subject)[0];
  const state = useStateLeft(left);
  const context = useLineContext(athletes, footage, state);
  /** The clip that the line makes, with all that it says. */
  const made = (reading: PhraseReading, typed: string, isRight: boolean) => {
    const said = partsSaid(reading, typed, words, newId);
    const { parts, note, proposed, asked, further } = said;
    const bare = newClipEdit({
      ...{ footageId: footage.id, angleId: bench.angle.id, table },
      subject: parts.subject ?? proposed.subject ?? subject,
      ...marks.around(mark),
    });
    const start = instantAt(table, mark.frame);
    const isNamed = parts.subject !== undefined || proposed.subject !== undefined;
    const { changes: found, following } = changesSaid({ ...bare.attempt, start }, said, isNamed ? null : state, words);
    const doubts = doubtsAsked([], asked, start);
    const told = isRight ? { ...found, ...CONFIRMED } : found;
    const changes = doubts.length ? { ...told, doubts } : told;
    const clip = { ...bare.clip, note };
    const chain = further.length
      ? chainSaid({ ...bare.attempt, ...changes, start, end: bare.attempt.end }, further, table, words, isRight)
      : null;
    const end = chain?.end ?? bare.attempt.end;
    return {
      following,
      further,
      chain,
      edit: {
        ...bare,
        attempt: { ...bare.attempt, start, end, endAssumed: marks.isEndAssumed && !chain, ...changes },
        clip,
      },
    };
  };
  /** A place and nothing else: they are there, and nobody acts. */
  const sightedIn = (reading: PhraseReading, typed: string) => {
    const { parts, note } = partsSaid(reading, typed, words, newId);
    const isOnly =
      reading.parts.every((p) => p.meant.part === 'position' || p.meant.part === 'who') && reading.attempts === 1;
    return isOnly && parts.state ? { state: parts.state, subject: parts.subject ?? subject, note } : null;
  };
  const keep = (reading: PhraseReading, typed: string, isRight: boolean): void => {
    const sighted = sightedIn(reading, typed);
    if (sighted) {
      edit({ kind: 'moment', id: mark.moment.id, changes: sighted });
      onSighted();
      return;
    }
    const { edit: clipEdit, chain } = made(reading, typed, isRight);
    const attemptId = clipEdit.attempt.id;
    dispatch(editQueued(clipEdit));
    if (chain) dispatch(editQueued({ kind: 'new clips', editId: newId(), made: chain.made }));
    // where they were seen is told by the attempt now
    edit({ kind: 'moment', id: mark.moment.id, changes: { attemptId, state: null, subject: null } });
    onMade(clipEdit.clip.id);
  };
  const proposal = (reading: PhraseReading, typed: string): string | null => {
    if (sightedIn(reading, typed)) return T.sighting;
    if (!reading.parts.length) return null;
    const { following, further, edit: clipEdit } = made(reading, typed, false);
    return followingTexts(following, further, clipEdit.attempt, words, athletes);
  };
  return (
    <Flex paddingInline="4" paddingBlock="1.5" gap="4" data-testid="mark">
      <Box fontSize="14px" color="inkSoft" flexShrink="0" paddingTop="1" lineHeight="1.35">
        {text}
        <br />
        <Caps text={M.loop(marks.loopS)} />
        <br />
        <Caps text={marks.isEndAssumed ? M.endAssumed : M.endSaid} />
      </Box>
      <Box flex="1" minWidth="0">
        <PhraseLine
          key={mark.moment.id}
          start=""
          draftOf={mark.moment.id}
          base=""
          words={words}
          context={context}
          athletes={athletes}
          action={null}
          stays={null}
          proposal={proposal}
          focus={line}
          onKeep={keep}
          onLeave={onLeave}
        />
      </Box>
    </Flex>
  );
};
