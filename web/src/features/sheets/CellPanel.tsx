import { Box, Flex } from '@chakra-ui/react';
import { isHole, lineBehind, type AnswerRow, type Cell, type PlaceId, type SheetSource } from '@odograph/core';
import { Action, Subheading } from '../../design/index.js';
import { useClipsOf, useLibrary, useWords } from '../library/index.js';
import { ANSWERED_TEXT, ClipOnTheSpot, cellKey } from '../map/index.js';
import { AnsweredMark } from './AnsweredMark.js';
import { AnswersSeen } from './AnswersSeen.js';
import { askedIn } from './asked.js';
import { PutIntoRoute } from './page/index.js';
import { sayEntry, sayMet } from './sayMet.js';
import { SHEET_TEXT as T } from './sheets.text.js';
import { PutOnList } from './PutOnList.js';

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
  const isOvercome = cell.status === 'works' && !cell.answers.some((a) => a.worked > 0);
  // what was met, and, where it took one, what answers it best
  const answer = isOvercome ? undefined : cell.answers[0];
  const [first, ...others] = [cell.attemptIds, answer?.attemptIds ?? []].flatMap(
    (ids) => (source && lineBehind(ids, source.cases)) ?? [],
  );
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
