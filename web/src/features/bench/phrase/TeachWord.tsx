import { Box, Flex } from '@chakra-ui/react';
import { likelyWords, wordOfAction, type PhraseReading, type Word, type Words } from '@odograph/core';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { v7 as newId } from 'uuid';
import { WordField, type Found } from '../../../design/fields.js';
import { useClipViews, useLibrary } from '../../library/index.js';
import { useEdit } from '../../replica/index.js';
import { LINE_TEXT as T } from './phrase.text.js';

const SHOWN = 6;

/** What an unknown word of the line is called here: the likeliest by where it stands, or whatever is typed to find it; from then on it is read. */
export const TeachWord = ({
  typed,
  at,
  reading,
  words,
  onDone,
}: {
  readonly typed: string;
  /** Where it stands in the line. */ readonly at: number;
  readonly reading: PhraseReading;
  readonly words: Words;
  readonly onDone: (learned: string | null) => void;
}): React.JSX.Element => {
  const edit = useEdit();
  const { wordChanges } = useLibrary();
  const [isForMe, setForMe] = useState(false);
  const find = useMemo(() => {
    const likely = likelyWords(reading, at, words);
    return (text: string): readonly Found<Word>[] =>
      likely(text)
        .slice(0, SHOWN)
        .map((word) => ({ value: word, name: word.name, via: '', more: word.kind }));
  }, [reading, at, words]);
  const teach = (word: Word): void => {
    // what has no action of its own is tried by the name of the submission
    const { kind, key } = wordOfAction(word, words);
    const there = wordChanges.find((c) => c.kind === kind && c.key === key);
    edit({
      kind: 'aliases',
      lines: [
        {
          ...{ kind, key, alias: typed, aliasId: newId(), changeId: there?.id ?? newId() },
          ...(isForMe ? { forMe: true } : {}),
        },
      ],
    });
    onDone(word.name);
  };
  return (
    <Flex
      role="group"
      aria-label={T.called(typed)}
      gap="3"
      alignItems="baseline"
      wrap="wrap"
      fontSize="16px"
      paddingTop="1"
      onKeyDown={(event) => {
        if (event.key !== 'Escape') return;
        event.stopPropagation();
        onDone(null);
      }}
    >
      <Box as="span" color="them">
        {T.called(typed)}
      </Box>
      <WordField
        label={T.called(typed)}
        placeholder={T.calledChoose}
        said={null}
        find={find}
        onPick={teach}
        opens="up"
        isFresh
      />
      <Box as="label" color="inkSoft" display="inline-flex" gap="2" alignItems="center" fontSize="14px">
        <input type="checkbox" checked={isForMe} onChange={(e) => setForMe(e.currentTarget.checked)} />
        {T.forMe}
      </Box>
    </Flex>
  );
};

/** What was said before with a word that is known now: notes and doubts that may be told anew. */
export const AlsoSaid = ({ typed }: { readonly typed: string }): React.JSX.Element | null => {
  const views = useClipViews();
  const wanted = typed.toLowerCase();
  const found = views.filter(
    (v) =>
      v.clip.note.toLowerCase().includes(wanted) || v.attempt.doubts.some((d) => d.text.toLowerCase().includes(wanted)),
  );
  const [first] = found;
  if (!first) return null;
  const frame = first.clip.in.frame;
  return (
    <Box as="span" color="inkSoft">
      {T.alsoIn(found.length)}{' '}
      <Link to={`/break-down/${first.footage.id}?clip=${first.clip.id}&frame=${frame}`}>{T.look}</Link>
    </Box>
  );
};
