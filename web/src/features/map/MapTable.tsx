import { Box } from '@chakra-ui/react';
import { placeName, weightOf, type PlaceId } from '@odograph/core';
import { useMemo, useState } from 'react';
import { IntervalBand, Picked } from '../../design/index.js';
import { useWords } from '../library/index.js';
import type { MapLine } from '../../workers/map.protocol.js';
import { MAP_TEXT as T, LINE_TEXT, ORDER_TEXT } from './map.text.js';

const SHOWN = 200;
const ORDERS = {
  seen: { of: (l: MapLine) => -weightOf(l) },
  rate: { of: (l: MapLine) => -(l.interval?.low ?? -1) },
  from: { of: () => 0 },
} as const;
type OrderName = keyof typeof ORDERS;

/** The same lines as rows: everything the picture says, to be read, sorted and gone through by key. */
export const MapTable = ({
  lines,
  inHand,
  onPick,
  onLine,
}: {
  readonly lines: readonly MapLine[];
  readonly inHand: string | undefined;
  readonly onPick: (place: PlaceId) => void;
  readonly onLine: (line: MapLine) => void;
}): React.JSX.Element => {
  const words = useWords();
  const [order, setOrder] = useState<OrderName>('seen');
  const [most, setMost] = useState(SHOWN);
  const sorted = useMemo(
    () => [...lines].sort((a, b) => ORDERS[order].of(a) - ORDERS[order].of(b) || (a.id < b.id ? -1 : 1)),
    [lines, order],
  );
  const place = (id: PlaceId): React.JSX.Element => (
    <Box asChild textAlign="left" cursor="pointer" textDecoration="underline" textDecorationColor="var(--od-field)">
      <button type="button" onClick={() => onPick(id)}>
        {placeName(id, words)}
      </button>
    </Box>
  );
  return (
    <Box
      overflow="auto"
      height="100%"
      paddingInline="4"
      paddingBottom="6"
      data-testid="map-table"
      tabIndex={0}
      role="region"
      aria-label={T.asTable}
    >
      <Box marginBlock="2" fontSize="14px" color="inkSoft">
        {T.orderedBy}{' '}
        <Picked
          aria-label={T.orderedBy}
          fontSize="15px"
          value={order}
          onChange={(e) => setOrder(e.target.value as OrderName)}
        >
          {(Object.keys(ORDERS) as OrderName[]).map((name) => (
            <option key={name} value={name}>
              {ORDER_TEXT[name]}
            </option>
          ))}
        </Picked>
      </Box>
      <Box
        as="table"
        width="100%"
        fontSize="14.5px"
        fontVariantNumeric="tabular-nums"
        css={{
          '& th': { textAlign: 'left', fontWeight: 600, borderBottom: '1px solid var(--od-field)' },
          '& td': { borderBottom: '1px solid var(--od-hairline)' },
          '& td, & th': { padding: '5px 14px 5px 0', verticalAlign: 'top' },
        }}
      >
        <thead>
          <tr>
            {T.columns.map((name) => (
              <th key={name} scope="col">
                {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {sorted.slice(0, most).map((line) => (
            <Box
              as="tr"
              key={line.id}
              data-row={line.id}
              background={inHand === line.id ? 'inHandSoft' : 'transparent'}
            >
              <td>{place(line.from)}</td>
              <td>
                <Box
                  asChild
                  textAlign="left"
                  cursor="pointer"
                  fontWeight="600"
                  color={line.side === 'their' ? 'them' : 'ink'}
                >
                  <button type="button" onClick={() => onLine(line)}>
                    {LINE_TEXT.done(words.name('action', line.action), line.side === 'their', line.bait)}
                  </button>
                </Box>
              </td>
              <td>{place(line.to)}</td>
              <td>{line.attempts || ''}</td>
              <td>{line.attempts ? line.worked : ''}</td>
              <td>{line.attempts ? line.count : ''}</td>
              <td>{line.attempts ? line.successes : ''}</td>
              <td>
                <IntervalBand interval={line.interval} width={70} />
              </td>
              <td>{line.picked || ''}</td>
              <td>{line.shown || ''}</td>
              <td>{line.proposed || ''}</td>
              <td>{line.given || ''}</td>
              <td>{line.thrown || ''}</td>
            </Box>
          ))}
        </tbody>
      </Box>
      {sorted.length > most && (
        <Box asChild marginTop="3" textDecoration="underline" cursor="pointer">
          <button type="button" onClick={() => setMost(most + SHOWN)}>
            {T.more(sorted.length - most)}
          </button>
        </Box>
      )}
    </Box>
  );
};
