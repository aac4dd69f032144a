import { Box } from '@chakra-ui/react';
import { changesSaid, lineOf, partsSaid, type PhraseReading, type PlaceId } from '@odograph/core';
import { useState } from 'react';
import { useDispatch } from 'react-redux';
import { v7 as newId } from 'uuid';
import { useWords, type ClipView } from '../../library/index.js';
import { editQueued, useEdit } from '../../replica/index.js';
import { useTimeTable } from '../../player/index.js';
import { LINE_TEXT as T } from './phrase.text.js';
import { followingTexts, useLineContext, useStateLeft } from './lineContext.js';
import { CONFIRMED, chainSaid, doubtsAsked } from './lineSaid.js';
import { PhraseLine } from './PhraseLine.js';

/** What is not understood goes behind what the note says already. */
const noted = (before: string, more: string): string =>
  before.includes(more) ? before : [before, more].filter(Boolean).join('; ');

/**
 * The attempt of a clip said in one line: kept as edits of its parts and, for what is a note or was not understood, of the note. What is said already stands in the line, and is taken out
 * there. A line that tells a chain makes a clip of each further attempt.
 */
export const WholeLine = ({
  view,
  left,
  start,
  onDone,
  onLeave,
}: {
  readonly view: ClipView;
  /** Where the attempt before left things, as the acting side sees it. */ readonly left: PlaceId | undefined;
  readonly start: string;
  readonly onDone: () => void;
  readonly onLeave: () => void;
}): React.JSX.Element => {
  const words = useWords(view.footage.id);
  const edit = useEdit();
  const dispatch = useDispatch();
  const { attempt, clip, athletes, footage } = view;
  const table = useTimeTable(view.file.id);
  const state = useStateLeft(left);
  const context = useLineContext(athletes, footage, attempt.state ?? state);
  // what stood there when the line was opened: what of it is said no more is taken out
  const [opened] = useState(() => lineOf(attempt, words, context));
  const changed = (reading: PhraseReading, text: string) => {
    const said = partsSaid(reading, text, words, newId);
    return { ...said, ...changesSaid(attempt, said, state, words, opened.before) };
  };
  const keep = (reading: PhraseReading, text: string, isRight: boolean): void => {
    const { changes: found, note, asked, further } = changed(reading, text);
    const told = isRight ? { ...found, ...CONFIRMED } : found;
    const doubts = doubtsAsked(
      attempt.doubts.filter((d) => !(d.field in told)),
      asked,
      attempt.start,
    );
    const isDoubted = JSON.stringify(doubts) !== JSON.stringify(attempt.doubts);
    const changes = isDoubted ? { ...told, doubts } : told;
    // told where this camera shows it
    const isHere = attempt.angleId === clip.angleId;
    const spanOf = {
      angleId: clip.angleId,
      start: isHere ? attempt.start : clip.in,
      end: isHere ? attempt.end : clip.out,
    };
    const chain =
      further.length && table ? chainSaid({ ...attempt, ...changes, ...spanOf }, further, table, words, isRight) : null;
    if (Object.keys(changes).length || chain)
      edit({
        kind: 'attempt',
        id: attempt.id,
        changes: { ...changes, ...(chain ? { end: chain.end } : {}) },
      });
    if (chain) dispatch(editQueued({ kind: 'new clips', editId: newId(), made: chain.made }));
    if (note) edit({ kind: 'clip', id: clip.id, changes: { note: noted(clip.note, note) } });
    onDone();
    onLeave();
  };
  const proposal = (reading: PhraseReading, text: string): string | null => {
    if (!reading.parts.length) return null;
    const { following, further } = changed(reading, text);
    return followingTexts(following, further, attempt, words, athletes);
  };
  return (
    <Box paddingInline="4" paddingBlock="1.5">
      <PhraseLine
        start={opened.text ? `${opened.text}; ${start}` : start}
        draftOf={attempt.id}
        base={opened.text}
        words={words}
        context={context}
        athletes={athletes}
        action={attempt.action}
        stays={opened.stays.length ? T.stays(opened.stays) : null}
        proposal={proposal}
        onKeep={keep}
        onLeave={onDone}
      />
    </Box>
  );
};
