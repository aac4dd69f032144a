import { Box, Flex } from '@chakra-ui/react';
import { columnKey, isHole, type AnswerRow, type AnswerTable, type Cell } from '@odograph/core';
import { Link } from 'react-router';
import { IntervalBand } from '../../design/index.js';
import { useWords } from '../library/index.js';
import { ANSWERED_TEXT, cellKey } from '../map/index.js';
import { AnsweredMark } from './AnsweredMark.js';
import { sheetOf } from './page/rows.js';
import { sayEntry, sayMet } from './sayMet.js';
import { SHEET_TEXT as T } from './sheets.text.js';

const CELL = 148;

const triesOf = ({ n, worked, seen }: Pick<Cell, 'n' | 'worked' | 'seen'>): string =>
  n ? `${T.tries(n, worked)}${seen ? T.alsoSeen(seen) : ''}` : seen ? T.seenOnly(seen) : T.noTries;

/** One box of the table: how far it's answered, and how often it was met. */
const Square = ({
  row,
  cell,
  isPicked,
  onPick,
}: {
  readonly row: AnswerRow;
  readonly cell: Cell;
  readonly isPicked: boolean;
  readonly onPick: () => void;
}): React.JSX.Element => {
  const words = useWords();
  const isOpen = cell.status !== null && isHole(cell.status);
  return (
    <Box
      asChild
      width="100%"
      minHeight="56px"
      textAlign="left"
      paddingInline="2"
      paddingBlock="1.5"
      cursor="pointer"
      lineHeight="1.25"
      borderWidth={isOpen ? '1.5px' : '1px'}
      borderStyle={isOpen ? 'dashed' : 'solid'}
      borderColor={isPicked ? 'inHand' : isOpen ? 'ink' : 'hairline'}
      background={isPicked ? 'inHandSoft' : 'transparent'}
      _hover={{ background: isPicked ? 'inHandSoft' : 'raised' }}
    >
      <button
        type="button"
        aria-pressed={isPicked}
        aria-label={[
          T.cell(sayEntry(row, words), sayMet(cell.column, words)),
          ...(cell.status ? [ANSWERED_TEXT[cell.status]] : []),
          triesOf(cell),
        ].join(': ')}
        onClick={onPick}
        data-cell={cellKey(row, cell.column)}
      >
        {cell.status && (
          <Flex as="span" gap="1.5" alignItems="center" fontWeight="600">
            <AnsweredMark status={cell.status} />
            {ANSWERED_TEXT[cell.status]}
          </Flex>
        )}
        <Box as="span" display="block" fontSize="13px" color="inkSoft">
          {triesOf(cell)}
        </Box>
        {cell.answers[0] && (
          <Box as="span" display="block" fontSize="14px">
            {words.name('action', cell.answers[0].action)}
          </Box>
        )}
      </button>
    </Box>
  );
};

/** What answers what, from one place: a row for each entry, a column for each reaction. */
export const AnswerGrid = ({
  table,
  picked,
  onPick,
}: {
  readonly table: AnswerTable;
  readonly picked: string | undefined;
  readonly onPick: (key: string) => void;
}): React.JSX.Element => {
  const words = useWords();
  return (
    <Box overflowX="auto" paddingBottom="2">
      <Box as="table" borderCollapse="separate" borderSpacing="4px" marginLeft="-4px" data-testid="answers">
        <thead>
          <tr>
            <Box as="th" textAlign="left" minWidth="184px" fontWeight="400" color="inkSoft" verticalAlign="bottom">
              {T.entry}
            </Box>
            {table.columns.map((column) => (
              <Box
                as="th"
                key={columnKey(column)}
                textAlign="left"
                verticalAlign="bottom"
                minWidth={`${CELL}px`}
                maxWidth={`${CELL + 30}px`}
                lineHeight="1.2"
                paddingInline="2"
                fontWeight={typeof column === 'string' ? '400' : '600'}
                color={typeof column === 'string' ? 'inkSoft' : column.isAction ? 'them' : 'ink'}
              >
                {typeof column === 'string' ? (
                  sayMet(column, words)
                ) : (
                  <Link to={sheetOf(column.isAction ? 'entry' : 'reaction', column.what)}>{sayMet(column, words)}</Link>
                )}
              </Box>
            ))}
          </tr>
        </thead>
        <tbody>
          {table.rows.map((row) => (
            <tr key={`${row.action} ${row.bait}`}>
              <Box as="th" textAlign="left" verticalAlign="top" fontWeight="600" lineHeight="1.25" paddingTop="1.5">
                <Link to={sheetOf('entry', row.action)}>{sayEntry(row, words)}</Link>
                <Box fontWeight="400" fontSize="13px" color="inkSoft">
                  {row.n ? T.counted(row.worked, row.n) : T.seenOnly(row.cells.reduce((n, c) => n + c.seen, 0))}
                </Box>
                {row.n > 0 && <IntervalBand interval={row.interval} width={72} />}
              </Box>
              {table.columns.map((column) => {
                const cell = row.cells.find((c) => columnKey(c.column) === columnKey(column));
                return (
                  <Box as="td" key={columnKey(column)} verticalAlign="top">
                    {cell && (
                      <Square
                        row={row}
                        cell={cell}
                        isPicked={picked === cellKey(row, cell.column)}
                        onPick={() => onPick(cellKey(row, cell.column))}
                      />
                    )}
                  </Box>
                );
              })}
            </tr>
          ))}
        </tbody>
      </Box>
    </Box>
  );
};
