import { Box, Flex } from '@chakra-ui/react';
import { readAliases, type AliasLine, type Words } from '@odograph/core';
import { useState } from 'react';
import { v7 as newId } from 'uuid';
import { Action } from '../../design/index.js';
import { useEdit, useLibrary } from '../library/index.js';
import { LINE_WHY, WORDS_TEXT as T } from './words.text.js';

type Adds = Extract<AliasLine, { does: 'adds' }>;

const lineText = (line: AliasLine): string => {
  switch (line.does) {
    case 'adds':
      return `adds it${line.alsoMeans.length ? `; ${T.meansAlso(line.alsoMeans.join(', '))}` : ''}`;
    case 'known':
      return 'known already';
    case 'nothing':
      return LINE_WHY[line.why];
  }
};

/** A list of other names that was read: what each line would do, before anything is done. */
export const AliasList = ({
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
  const [lines] = useState(() => readAliases(text, words));
  if (lines === 'head missing')
    return (
      <Box role="alert" marginBlock="4">
        {T.headMissing}{' '}
        <Action marginLeft="3" onClick={onDone}>
          {T.cancel}
        </Action>
      </Box>
    );
  const adds = lines.filter((line): line is Adds => line.does === 'adds');
  const take = (): void => {
    const changeIds = new Map(wordChanges.map((c) => [`${c.kind}:${c.key}`, c.id]));
    const idOf = (kind: string, key: string): string => {
      const id = changeIds.get(`${kind}:${key}`) ?? newId();
      changeIds.set(`${kind}:${key}`, id);
      return id;
    };
    edit({
      kind: 'aliases',
      lines: adds.map(({ kind, key, alias }) => ({ kind, key, alias, aliasId: newId(), changeId: idOf(kind, key) })),
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
          {lines.length} lines: {adds.length} add a name, {lines.filter((l) => l.does === 'known').length} known
          already, {lines.filter((l) => l.does === 'nothing').length} not understood
        </Box>
        <Action tone="next" disabled={!adds.length} onClick={take}>
          {adds.length ? T.takeIn(adds.length) : T.nothingToAdd}
        </Action>
        <Action onClick={onDone}>{T.cancel}</Action>
      </Flex>
      <Box maxHeight="320px" overflowY="auto" tabIndex={0} role="group" aria-label="What each line would do">
        <Box
          as="table"
          width="100%"
          fontSize="14px"
          css={{ '& td, & th': { textAlign: 'left', padding: '3px 12px 3px 0' } }}
        >
          <thead>
            <tr>
              <th>Line</th>
              <th>Word</th>
              <th>Other name</th>
              <th>What it does</th>
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
