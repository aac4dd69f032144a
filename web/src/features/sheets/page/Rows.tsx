import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { Action, IntervalBand, PickRow, Subheading } from '../../../design/index.js';
import { PAGE_TEXT as T } from './page.text.js';
import type { SheetRow } from './rows.js';

/** So many lines are there at first, and with every wish for more. */
const AT_ONCE = 8;

/** A part of a sheet: its lines, of which each opens the clips behind it. */
export const Rows = ({
  title,
  lead,
  nothing,
  rows,
  picked,
  onPick,
  children,
}: {
  readonly title: string;
  readonly lead?: string | undefined;
  /** Said where there are no lines; without it the part isn't there then. */ readonly nothing?: string;
  readonly rows: readonly SheetRow[];
  readonly picked: string | undefined;
  readonly onPick: (row: SheetRow) => void;
  readonly children?: React.ReactNode;
}): React.JSX.Element | null => {
  const [most, setMost] = useState(AT_ONCE);
  if (!rows.length && nothing === undefined && !children) return null;
  return (
    <Box as="section">
      <Subheading>{title}</Subheading>
      {lead && (
        <Box color="inkSoft" fontSize="14px">
          {lead}
        </Box>
      )}
      {rows.length > 0 ? (
        <Box as="ul" listStyleType="none" borderTopWidth="1px" marginTop="1">
          {rows.slice(0, most).map((row) => (
            <PickRow key={row.key} isPicked={row.key === picked} onPick={() => onPick(row)} says="pressed" inset="2">
              <Flex columnGap="4" alignItems="baseline" wrap="wrap" lineHeight="1.3">
                <Box as="strong" flex="1 1 0" minWidth="150px">
                  {row.name}
                </Box>
                <Flex as="span" gap="3" alignItems="center" color="inkSoft" fontSize="14px">
                  {row.count}
                  {row.interval && <IntervalBand interval={row.interval} width={56} />}
                </Flex>
              </Flex>
              {row.more && (
                <Box color="inkSoft" fontSize="14px">
                  {row.more}
                </Box>
              )}
            </PickRow>
          ))}
        </Box>
      ) : (
        nothing !== undefined && <Box color="inkSoft">{nothing}</Box>
      )}
      {rows.length > most && (
        <Action tone="quiet" className="no-print" onClick={() => setMost(most + AT_ONCE)}>
          {T.more(rows.length - most)}
        </Action>
      )}
      {children}
    </Box>
  );
};
