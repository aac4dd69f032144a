import { Box, Flex } from '@chakra-ui/react';
import {
  isHole,
  lineBehind,
  type AnswerRow,
  type AnswerSeen,
  type AskedFor,
  type Cell,
  type PlaceId,
  type SheetSource,
} from '@odograph/core';
import { Link } from 'react-router';
import { Action, Subheading } from '../../design/index.js';
import { ClipLinks, useClipsOf, useLibrary, useMayWrite, useWords } from '../library/index.js';
import { ANSWERED_TEXT, ClipOnTheSpot, cellKey } from '../map/index.js';
import { AnsweredMark } from './AnsweredMark.js';
import { askedIn, sayAsked } from './asked.js';
import { PutIntoRoute } from './page/index.js';
import { sayEntry, sayMet } from './sayMet.js';
import { SHEET_TEXT as T } from './sheets.text.js';
import { usePutOnList } from './usePutOnList.js';

/** Puts what is missing on the list by one key or a press; where it stands there already, it leads to it. */
export const PutOnList = ({ asked }: { readonly asked: AskedFor }): React.JSX.Element | null => {
  const words = useWords();
  const mayWrite = useMayWrite();
  const { onList, put } = usePutOnList();
  if (!mayWrite) return null;
  return onList(asked) ? (
    <Action asChild tone="quiet">
      <Link to="/to-do?kind=find">{T.isPut}</Link>
    </Action>
  ) : (
    <Action aria-keyshortcuts={T.putKey} onClick={() => put(asked, sayAsked(asked, words))}>
      {T.put}
    </Action>
  );
};

/** What answers something, the best first, each with its clips. */
export const AnswersSeen = ({
  answers,
  said,
}: {
  readonly answers: readonly AnswerSeen[];
  readonly said: readonly string[];
}): React.JSX.Element => {
  const words = useWords();
  const clips = useClipsOf(answers.flatMap((a) => a.attemptIds));
  if (!answers.length && !said.length) return <Box color="inkSoft">{T.noAnswers}</Box>;
  return (
    <Box as="ul" listStyleType="none" borderTopWidth="1px">
      {answers.map((a) => (
        <Box as="li" key={a.action} paddingBlock="1" borderBottomWidth="1px" lineHeight="1.3">
          <Box as="strong">{words.name('action', a.action)}</Box>{' '}
          <Box as="span" color="inkSoft">
            {T.answerSeen(a.n, a.worked, a.shown)}
          </Box>
          <Flex gap="3" fontSize="13px" wrap="wrap">
            <ClipLinks clips={clips.filter((c) => a.attemptIds.includes(c.attempt.id))} />
          </Flex>
        </Box>
      ))}
      {said.map((action) => (
        <Box as="li" key={action} paddingBlock="1" borderBottomWidth="1px" color="inkSoft">
          {words.name('action', action)} ({T.said.toLowerCase()})
        </Box>
      ))}
    </Box>
  );
};

/** One box of the table taken in hand: how it went, what answers it, the clips in which it was met. */
export const CellPanel = ({
  place,
  source,
  row,
  cell,
  onClose,
}: {
  readonly place: PlaceId;
  readonly source: SheetSource | undefined;
  readonly row: AnswerRow;
  readonly cell: Cell;
  readonly onClose: () => void;
}): React.JSX.Element => {
  const words = useWords();
  const { principles } = useLibrary();
  const behind = useClipsOf(cell.attemptIds);
  const asked = askedIn(place, row, cell);
  const rules = principles.filter((p) => cell.principleIds.includes(p.id));
  // what was met, and what answers it best
  const [first, ...others] = [cell.attemptIds, cell.answers[0]?.attemptIds ?? []].flatMap(
    (ids) => (source && lineBehind(ids, source.cases)) ?? [],
  );
  const isOvercome = cell.status === 'works' && !cell.answers.some((a) => a.worked > 0);
  return (
    <Box as="aside" aria-label={T.cell(sayEntry(row, words), sayMet(cell.column, words))} padding="4">
      <Flex justifyContent="space-between" alignItems="baseline" gap="3" marginBottom="1">
        <Subheading fontSize="22px">{T.cell(sayEntry(row, words), sayMet(cell.column, words))}</Subheading>
        <Action tone="quiet" onClick={onClose}>
          {T.close}
        </Action>
      </Flex>
      {cell.status && (
        <Flex gap="2" alignItems="center" marginBottom="3">
          <AnsweredMark status={cell.status} />
          {ANSWERED_TEXT[cell.status]}
        </Flex>
      )}
      {asked && cell.status && isHole(cell.status) && (
        <Box marginBottom="4">
          <PutOnList asked={asked} />
        </Box>
      )}
      <ClipOnTheSpot key={cell.attemptIds.join()} clips={behind} />
      {cell.status && (
        <>
          <Subheading marginBottom="1">{T.answers}</Subheading>
          {isOvercome ? (
            <Box color="inkSoft">{T.overcome}</Box>
          ) : (
            <AnswersSeen answers={cell.answers} said={cell.said} />
          )}
        </>
      )}
      {first && <PutIntoRoute key={cellKey(row, cell.column)} lines={[first, ...others]} />}
      {rules.length > 0 && (
        <Box marginTop="4">
          <Subheading marginBottom="1">{T.rules}</Subheading>
          {rules.map((p) => (
            <Box key={p.id}>{p.sentence}</Box>
          ))}
        </Box>
      )}
    </Box>
  );
};
