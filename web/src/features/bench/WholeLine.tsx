import { Box } from '@chakra-ui/react';
import { changesSaid, partsSaid, type PhraseReading, type PlaceId } from '@odograph/core';
import { v7 as newId } from 'uuid';
import { useEdit, useWords, type ClipView } from '../library/index.js';
import { followingText, useLineContext, useStateLeft } from './lineContext.js';
import { PhraseLine } from './PhraseLine.js';

/** What is not understood goes behind what the note says already. */
const noted = (before: string, more: string): string =>
  before.includes(more) ? before : [before, more].filter(Boolean).join('; ');

/** The attempt of a clip said in one line: kept as edits of its parts and, for what was not understood, of the note. */
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
  const { attempt, clip, athletes, footage } = view;
  const state = useStateLeft(left);
  const context = useLineContext(athletes, footage, attempt.state ?? state);
  const changed = (reading: PhraseReading, text: string) => {
    const { parts, note } = partsSaid(reading, text, words, newId);
    return { ...changesSaid(attempt, parts, state, words), note };
  };
  const keep = (reading: PhraseReading, text: string): void => {
    const { changes, note } = changed(reading, text);
    if (Object.keys(changes).length) edit({ kind: 'attempt', id: attempt.id, changes, patch: changes });
    if (note) {
      const patch = { note: noted(clip.note, note) };
      edit({ kind: 'clip', id: clip.id, changes: patch, patch });
    }
    onDone();
    onLeave();
  };
  const proposal = (reading: PhraseReading, text: string): string | null =>
    reading.parts.length ? followingText(changed(reading, text).following, words) : null;
  return (
    <Box minHeight="64px" paddingInline="4" paddingBlock="1.5" borderTopWidth="1px">
      <PhraseLine
        start={start}
        words={words}
        context={context}
        athletes={athletes}
        action={attempt.action}
        proposal={proposal}
        onKeep={keep}
        onLeave={onDone}
      />
    </Box>
  );
};
