import { Box, Flex } from '@chakra-ui/react';
import { answersFound, lineBehind, type AnswersFound, type SheetSource } from '@odograph/core';
import { useLayoutEffect, useMemo } from 'react';
import { useSelector } from 'react-redux';
import { Link, useSearchParams } from 'react-router';
import { Action, Heading, Picked, Subheading } from '../../../design/index.js';
import { useViewSource } from '../../finding/index.js';
import { useClipsOf } from '../../library/index.js';
import { ClipOnTheSpot, MapNav, ViewSentence, type MapState } from '../../map/index.js';
import { PAGE_TEXT as T } from './page.text.js';
import { PutIntoRoute } from './PutIntoRoute.js';
import type { SheetRow } from './rows.js';

export type SheetOf = {
  readonly source: SheetSource | undefined;
  readonly share: number;
  readonly found: AnswersFound | undefined;
  /** What the address says the sheet is of. */ readonly asked: string | undefined;
  /** The line taken in hand. */ readonly rowKey: string | undefined;
  readonly go: (of: string | undefined, row?: string) => void;
};

/** What a sheet is made of, and what it is of: that is in the address, with the line in hand. */
export const useSheetOf = (): SheetOf => {
  const [search, setSearch] = useSearchParams();
  const view = useSelector((state: MapState) => state.map.view);
  const { source, share } = useViewSource(view);
  const found = useMemo(() => source && answersFound(source), [source]);
  return {
    ...{ source, share, found },
    asked: search.get('of') ?? undefined,
    rowKey: search.get('row') ?? undefined,
    go: (of, row) => setSearch({ ...(of === undefined ? {} : { of }), ...(row === undefined ? {} : { row }) }),
  };
};

/** The clips behind a line. */
export const RowPanel = ({
  row,
  source,
  onClose,
}: {
  readonly row: SheetRow;
  /** Where its line is looked up, where the row is none itself. */ readonly source?: SheetSource | undefined;
  readonly onClose: () => void;
}): React.JSX.Element => {
  const clips = useClipsOf(row.attemptIds);
  const line = useMemo(() => row.line ?? (source && lineBehind(row.attemptIds, source.cases)), [row, source]);
  return (
    <Box as="aside" aria-label={T.clipsOf(row.name)} padding="4">
      <Flex justifyContent="space-between" alignItems="baseline" gap="3" marginBottom="2">
        <Subheading fontSize="22px">{row.name}</Subheading>
        <Action tone="quiet" onClick={onClose}>
          {T.close}
        </Action>
      </Flex>
      <Box color="inkSoft" marginBottom="3">
        {row.count}
      </Box>
      {clips.length ? <ClipOnTheSpot key={row.key} clips={clips} /> : <Box color="inkSoft">{T.noClips}</Box>}
      {row.sheet !== undefined && (
        <Action asChild tone="quiet">
          <Link to={row.sheet}>{T.itsSheet}</Link>
        </Action>
      )}
      {line && <PutIntoRoute key={`route ${row.key}`} lines={[line]} />}
    </Box>
  );
};

/** The picture of a page that the map gives: where else it leads, what it is of, over what it was counted, its parts, and beside it the clips of the line in hand. */
export const PageFrame = ({
  title,
  beside,
  lead,
  panel,
  onClose,
  children,
}: {
  readonly title: string;
  /** Beside the title: what else the page could be of. */ readonly beside?: React.ReactNode;
  readonly lead?: string;
  /** What is told of the line in hand. */ readonly panel: React.ReactNode;
  readonly onClose: () => void;
  readonly children: React.ReactNode;
}): React.JSX.Element => {
  // as soon as it is seen: a quick key isn't lost
  useLayoutEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.key === 'Escape' && panel) onClose();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
  return (
    <Flex flex="1" minHeight="0" direction={{ base: 'column', md: 'row' }} data-testid="sheet">
      <Box
        flex="1"
        minWidth="0"
        overflowY="auto"
        paddingInline={{ base: '4', md: '8' }}
        paddingTop="3"
        paddingBottom="6"
      >
        <MapNav />
        <Flex alignItems="baseline" gap="4" wrap="wrap" marginTop="2">
          <Heading>{title}</Heading>
          {beside}
          <Box flex="1" />
          <Action tone="quiet" className="no-print" onClick={() => window.print()}>
            {T.print}
          </Action>
        </Flex>
        {lead && (
          <Box color="inkSoft" maxWidth="760px">
            {lead}
          </Box>
        )}
        <Box marginTop="1" marginBottom="4">
          <ViewSentence />
        </Box>
        {children}
      </Box>
      {panel && (
        <Box
          width={{ base: '100%', md: '372px' }}
          flexShrink="0"
          borderLeftWidth={{ base: '0', md: '1px' }}
          overflowY="auto"
          className="no-print"
        >
          {panel}
        </Box>
      )}
    </Flex>
  );
};

/** Which of several things a page is of. One that the address names and that isn't among them stands there all the same. */
export const WhichOne = ({
  label,
  value,
  options,
  nameOf,
  onChange,
}: {
  readonly label: string;
  readonly value: string | undefined;
  readonly options: readonly (readonly [value: string, text: string])[];
  readonly nameOf: (value: string) => string;
  readonly onChange: (value: string) => void;
}): React.JSX.Element => (
  <Box as="label" color="inkSoft" className="no-print">
    {label}{' '}
    <Picked aria-label={label} value={value ?? ''} maxWidth="260px" onChange={(e) => onChange(e.currentTarget.value)}>
      {value !== undefined && !options.some(([of]) => of === value) && <option value={value}>{nameOf(value)}</option>}
      {options.map(([of, text]) => (
        <option key={of} value={of}>
          {text}
        </option>
      ))}
    </Picked>
  </Box>
);

/** A sheet of one thing out of several, on one page. */
export const SheetPage = ({
  sheet,
  title,
  which,
  value,
  options,
  nothing,
  rows,
  children,
}: {
  readonly sheet: SheetOf;
  readonly title: string;
  readonly which: string;
  readonly value: string | undefined;
  readonly options: readonly (readonly [value: string, text: string])[];
  readonly nothing: string;
  /** All lines of the sheet, of which one may be in hand. */ readonly rows: readonly SheetRow[];
  readonly children: React.ReactNode;
}): React.JSX.Element => {
  const { source, share, rowKey, go } = sheet;
  const row = rows.find((r) => r.key === rowKey);
  const close = (): void => go(value);
  return (
    <PageFrame
      title={title}
      panel={row && <RowPanel row={row} source={source} onClose={close} />}
      onClose={close}
      beside={
        options.length > 0 && (
          <WhichOne {...{ value, options }} label={which} nameOf={() => title} onChange={(of) => go(of)} />
        )
      }
    >
      {!source ? <Box role="status">{T.building(share)}</Box> : options.length === 0 ? <Box>{nothing}</Box> : children}
    </PageFrame>
  );
};

/** The parts of a sheet, in two columns where there is room; no part is torn. */
export const Parts = ({ children }: { readonly children: React.ReactNode }): React.JSX.Element => (
  <Box
    columnCount={{ base: 1, lg: 2 }}
    columnGap="8"
    maxWidth="1180px"
    css={{ '& > section': { breakInside: 'avoid', marginBottom: '26px' } }}
  >
    {children}
  </Box>
);
