import { Box, Flex } from '@chakra-ui/react';
import {
  BARE_CLIP,
  CLIP_COLUMNS,
  NEEDED_COLUMNS,
  attemptRead,
  draftAttempt,
  guessMapping,
  ptsOf,
  readClips,
  readCsv,
  sayAttempt,
  type Attempt,
  type ClipColumn,
  type MadeClip,
  type Mapping,
  type ReadClip,
  type TimeTable,
} from '@odograph/core';
import { useEffect, useMemo, useState } from 'react';
import { v7 as newId } from 'uuid';
import { Action, Labelled, Picked, Sentence, Subheading } from '../../design/index.js';
import { useLibrary, useTables, useWords } from '../library/index.js';
import { useEdit } from '../replica/index.js';
import { CLIPS_TEXT as T, COLUMN_TEXT, rowText, READ_LIST_TEXT } from './clips.text.js';

type Makes = Extract<ReadClip, { does: 'makes' }>;
/** Clips that go out in one edit. */
const AT_ONCE = 100;
/** Lines whose reading is shown; all of them are read. */
const SHOWN = 200;

const attemptOf = (row: Makes, table: TimeTable): Attempt => {
  const at = (frame: number) => ({ frame, pts: ptsOf(table, frame) });
  const { footage, angleId, attempt } = row;
  const draft = draftAttempt({
    ...{ id: newId(), footageId: footage.id, angleId, subject: attempt.subject },
    ...{ start: at(row.inFrame), end: at(row.outFrame) },
  });
  return attemptRead(attempt, draft, newId);
};

const madeOf = (row: Makes, table: TimeTable): MadeClip => {
  const attempt = attemptOf(row, table);
  const { angleId, note } = row;
  const [attemptId, inAt, out] = [attempt.id, attempt.start, attempt.end];
  return { attempt, clip: { ...BARE_CLIP, id: newId(), version: 0, attemptId, angleId, in: inAt, out, note } };
};

const Row = ({ row, tables }: { readonly row: ReadClip; readonly tables: ReadonlyMap<string, TimeTable> }) => {
  const words = useWords();
  const { persons } = useLibrary();
  const name = (id: string): string => persons.find((p) => p.id === id)?.name ?? 'unknown';
  const table = row.does === 'makes' ? tables.get(row.angleId) : undefined;
  return (
    <tr data-does={row.does}>
      <td>{row.line}</td>
      <Box as="td" color={row.does === 'nothing' ? 'caution' : 'ink'} whiteSpace="nowrap">
        {rowText(row)}
      </Box>
      <td>
        {row.does === 'makes' && table && (
          <Sentence
            said={sayAttempt(attemptOf(row, table), words, {
              a: name(row.footage.athleteA),
              b: name(row.footage.athleteB),
            })}
            subject={row.attempt.subject}
          />
        )}
        {row.notUnderstood.length > 0 && (
          <Box color="caution" fontSize="13.5px">
            {T.without} {row.notUnderstood.map((n) => `${COLUMN_TEXT[n.column]} “${n.text}”`).join(', ')}
          </Box>
        )}
      </td>
    </tr>
  );
};

/** A list of clips that was chosen: which column holds what, what each line would make, and only then the making. */
export const ReadList = ({
  text,
  onDone,
}: {
  readonly text: string;
  readonly onDone: () => void;
}): React.JSX.Element => {
  const library = useLibrary();
  const words = useWords();
  const edit = useEdit();
  const askTables = useTables();
  const table = useMemo(() => readCsv(text), [text]);
  const [mapping, setMapping] = useState<Mapping>(() => guessMapping(table.head));
  const [tables, setTables] = useState<ReadonlyMap<string, TimeTable> | null>(null);
  useEffect(() => {
    let isHere = true;
    const titles = new Set(table.rows.flatMap((row) => row.cells.map((cell) => cell.trim().toLowerCase())));
    const named = library.footage.filter((f) => titles.has(f.title.trim().toLowerCase())).map((f) => f.id);
    const angles = library.angles.filter((a) => named.includes(a.footageId)).map((a) => a.id);
    void askTables(angles).then((found) => isHere && setTables(found));
    return () => {
      isHere = false;
    };
    // the times of a file never change; the library may
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [table]);
  const missing = NEEDED_COLUMNS.filter((column) => mapping[column] === undefined);
  const rows = useMemo(
    () => (tables && !missing.length ? readClips(table, mapping, library, words, (id) => tables.get(id)) : []),
    [table, mapping, library, words, tables, missing.length],
  );
  const makes = rows.filter((row): row is Makes => row.does === 'makes');
  const number = (does: ReadClip['does']): number => rows.filter((row) => row.does === does).length;
  const make = (): void => {
    for (let i = 0; i < makes.length; i += AT_ONCE)
      edit({
        kind: 'new clips',
        made: makes.slice(i, i + AT_ONCE).map((row) => madeOf(row, tables!.get(row.angleId)!)),
      });
    onDone();
  };
  const setColumn = (column: ClipColumn, at: string): void =>
    setMapping((before) => {
      const rest = Object.fromEntries(Object.entries(before).filter(([c]) => c !== column)) as Mapping;
      return at === '' ? rest : { ...rest, [column]: Number(at) };
    });
  return (
    <Box
      as="section"
      aria-label={T.readTitle}
      borderWidth="1px"
      borderColor="field"
      background="raised"
      padding="5"
      marginBottom="6"
    >
      <Flex alignItems="center" gap="4">
        <Subheading flex="1">{T.readTitle}</Subheading>
        <Action tone="next" disabled={!makes.length} onClick={make}>
          {makes.length ? T.takeIn(makes.length) : T.nothingToMake}
        </Action>
        <Action onClick={onDone}>{T.cancel}</Action>
      </Flex>
      <Box color="inkSoft" marginBottom="4">
        {table.head.length ? T.readLead : T.noHead}
      </Box>
      <Flex wrap="wrap" gap="5" rowGap="3" marginBottom="4">
        {(Object.keys(CLIP_COLUMNS) as ClipColumn[]).map((column) => (
          <Box key={column} width="150px">
            <Labelled label={COLUMN_TEXT[column]}>
              <Picked width="100%" value={mapping[column] ?? ''} onChange={(e) => setColumn(column, e.target.value)}>
                <option value="">{T.none}</option>
                {table.head.map((cell, i) => (
                  <option key={i} value={i}>
                    {cell || READ_LIST_TEXT.column(i + 1)}
                  </option>
                ))}
              </Picked>
            </Labelled>
          </Box>
        ))}
      </Flex>
      <Box role="status" marginBottom="2" fontWeight="600">
        {missing.length
          ? T.missing(missing.map((c) => COLUMN_TEXT[c]))
          : tables
            ? T.summary(makes.length, number('there already'), number('nothing'))
            : T.reading}
      </Box>
      <Box maxHeight="360px" overflowY="auto" tabIndex={0} role="group" aria-label={READ_LIST_TEXT.whatEachLineWould}>
        <Box
          as="table"
          width="100%"
          fontSize="14px"
          css={{ '& td, & th': { textAlign: 'left', verticalAlign: 'top', padding: '4px 14px 4px 0' } }}
        >
          <thead>
            <tr>
              <th>{READ_LIST_TEXT.line}</th>
              <th>{READ_LIST_TEXT.whatItDoes}</th>
              <th>{READ_LIST_TEXT.readAs}</th>
            </tr>
          </thead>
          <tbody>
            {rows.slice(0, SHOWN).map((row) => (
              <Row key={row.line} row={row} tables={tables!} />
            ))}
          </tbody>
        </Box>
      </Box>
    </Box>
  );
};
