import { Box } from '@chakra-ui/react';
import {
  RESULT_WORDS,
  changesSaid,
  partsSaid,
  placeName,
  readPlace,
  stateId,
  type PhraseContext,
  type PhraseReading,
  type PlaceId,
  type State,
} from '@odograph/core';
import { useMemo } from 'react';
import { v7 as newId } from 'uuid';
import { useEdit, useWords, type ClipView } from '../library/index.js';
import { LINE_TEXT as T } from './bench.text.js';
import { PhraseLine } from './PhraseLine.js';

export const stateIn = (place: PlaceId | undefined): State | null => {
  const found = place === undefined ? undefined : readPlace(place);
  return found?.kind === 'state' ? { position: found.position, role: found.role } : null;
};

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
  const state = useMemo(() => stateIn(left), [left]);
  const context = useMemo<PhraseContext>(
    () => ({
      subject: attempt.subject,
      athletes: { a: [athletes.a, footage.kitA], b: [athletes.b, footage.kitB] },
      left: attempt.state ?? state,
    }),
    [attempt.subject, attempt.state, athletes, footage, state],
  );
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
  const proposal = (reading: PhraseReading, text: string): string | null => {
    const { state: from, result } = changed(reading, text).following;
    const said = [from && T.from(placeName(stateId(from), words)), result && RESULT_WORDS[result]].filter(Boolean);
    return reading.parts.length && said.length ? said.join(', ') : null;
  };
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
