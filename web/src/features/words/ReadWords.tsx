import { Box, Flex } from '@chakra-ui/react';
import { namedIn, readWords, type OwnAlias, type WordLine, type Words } from '@odograph/core';
import { useState } from 'react';
import { v7 as newId } from 'uuid';
import { Action } from '../../design/index.js';
import { useLibrary } from '../library/index.js';
import { useEdit } from '../replica/index.js';
import { EVERYBODY, draftOf, wordEditOf } from './draft.js';
import { KIND_ONE, LINE_WHY, WORDS_TEXT as T, READ_WORDS_TEXT } from './words.text.js';

type Taken = Exclude<WordLine, { does: 'known' | 'nothing' }>;

const lineText = (line: WordLine): string => {
  switch (line.does) {
    case 'adds':
      return `${T.addsIt}${line.alsoMeans.length ? `; ${T.meansAlso(line.alsoMeans.join(', '))}` : ''}`;
    case 'makes':
    case 'changes': {
      const does = line.does === 'makes' ? T.makes(KIND_ONE[line.kind]) : T.changes;
      return line.faults.length
        ? `${does}; ${T.cellFaults(line.faults.map(({ column, text }) => `${column} “${text}”`))}`
        : does;
    }
    case 'known':
      return READ_WORDS_TEXT.known;
    case 'nothing':
      return LINE_WHY[line.why];
  }
};

type Whole = Exclude<Taken, { does: 'adds' }>;
/** New words in an order in which each stands behind those that it stands on; what stands on itself stays where it is. */
const inOrder = (all: readonly Whole[]): readonly Whole[] => {
  const byId = new Map(all.map((line) => [`${line.kind}:${line.key}`, line]));
  const done = new Set<string>();
  const sorted: Whole[] = [];
  const put = (id: string): void => {
    const line = byId.get(id);
    if (!line || done.has(id)) return;
    done.add(id);
    for (const { kind, key } of namedIn(line.definition)) put(`${kind}:${key}`);
    sorted.push(line);
  };
  for (const id of byId.keys()) put(id);
  return sorted;
};

/** A list of words that was read: what each line would do, before anything is done. */
export const ReadWords = ({
  text,
  words,
  onDone,
}: {
  readonly text: string;
  readonly words: Words;
  readonly onDone: () => void;
}): React.JSX.Element => {
  const edit = useEdit();
  const { wordChanges } = useLibrary();
  const changes = new Map(wordChanges.map((c) => [`${c.kind}:${c.key}`, c]));
  const [lines] = useState(() => readWords(text, words, (kind, key) => changes.get(`${kind}:${key}`)?.definition));
  if (lines === 'head missing')
    return (
      <Box role="alert" marginBlock="4">
        {T.headMissing}{' '}
        <Action marginLeft="3" onClick={onDone}>
          {T.cancel}
        </Action>
      </Box>
    );
  const taken = lines.filter((line): line is Taken => line.does !== 'known' && line.does !== 'nothing');
  const take = (): void => {
    const aliasOf = ({ alias, language }: Taken): OwnAlias => ({
      ...{ id: newId(), alias, scope: EVERYBODY },
      ...(language ? { language } : {}),
    });
    const isSaid = new Set<string>();
    // words that others stand on come first: what a list makes it may name anywhere
    const whole = inOrder(taken.filter((line) => line.does !== 'adds'));
    for (const { kind, key, name, definition } of whole) {
      const before = changes.get(`${kind}:${key}`);
      const draft = draftOf(kind, key, words, before);
      const added = taken.filter((l) => l.kind === kind && l.key === key && l.alias !== '').map(aliasOf);
      edit(
        wordEditOf({ ...draft, name: before?.name ?? name, definition, aliases: [...draft.aliases, ...added] }, before),
      );
      isSaid.add(`${kind}:${key}`);
    }
    const ids = new Map<string, string>();
    const idOf = (id: string): string => {
      const known = changes.get(id)?.id ?? ids.get(id) ?? newId();
      ids.set(id, known);
      return known;
    };
    const rest = taken.filter((line) => !isSaid.has(`${line.kind}:${line.key}`));
    if (rest.length)
      edit({
        kind: 'aliases',
        lines: rest.map(({ kind, key, alias, language }) => ({
          ...{ kind, key, alias, aliasId: newId(), changeId: idOf(`${kind}:${key}`) },
          ...(language ? { language } : {}),
        })),
      });
    onDone();
  };
  return (
    <Box
      as="section"
      aria-label={T.read}
      borderWidth="1px"
      borderColor="field"
      background="raised"
      padding="5"
      marginBlock="4"
    >
      <Flex alignItems="center" gap="4" marginBottom="3">
        <Box flex="1" role="status">
          {T.lines(lines)}
        </Box>
        <Action tone="next" disabled={!taken.length} onClick={take}>
          {taken.length ? T.takeIn(taken.length) : T.nothingToAdd}
        </Action>
        <Action onClick={onDone}>{T.cancel}</Action>
      </Flex>
      <Box maxHeight="320px" overflowY="auto" tabIndex={0} role="group" aria-label={READ_WORDS_TEXT.whatEachLineWould}>
        <Box
          as="table"
          width="100%"
          fontSize="14px"
          css={{ '& td, & th': { textAlign: 'left', padding: '3px 12px 3px 0' } }}
        >
          <thead>
            <tr>
              <th>{READ_WORDS_TEXT.line}</th>
              <th>{READ_WORDS_TEXT.word}</th>
              <th>{READ_WORDS_TEXT.otherName}</th>
              <th>{READ_WORDS_TEXT.whatItDoes}</th>
            </tr>
          </thead>
          <tbody>
            {lines.map((line) => (
              <tr key={line.line} data-does={line.does}>
                <td>{line.line}</td>
                <td>{line.does === 'nothing' ? line.said : line.name}</td>
                <td>{line.does === 'nothing' ? '' : line.alias}</td>
                <Box as="td" color={line.does === 'nothing' ? 'caution' : 'ink'}>
                  {lineText(line)}
                </Box>
              </tr>
            ))}
          </tbody>
        </Box>
      </Box>
    </Box>
  );
};
