import { Box, Flex } from '@chakra-ui/react';
import {
  answerTable,
  answersFound,
  narrowed,
  placeName,
  placesByWeight,
  readPlace,
  theirTable,
  timesOf,
  type PlaceId,
  type SheetSource,
  type Times,
} from '@odograph/core';
import { useLayoutEffect, useMemo } from 'react';
import { useSelector } from 'react-redux';
import { Link, useSearchParams } from 'react-router';
import { Action, Subheading } from '../../design/index.js';
import { useViewSource } from '../finding/index.js';
import { useWords } from '../library/index.js';
import { OnlyPicked, cellKey, lineLink, type MapState, useMapPicture } from '../map/index.js';
import type { MapPicture } from '../../workers/map.protocol.js';
import { AnswerGrid } from './AnswerGrid.js';
import { askedIn, sayAsked } from './asked.js';
import { CellPanel } from './CellPanel.js';
import { ChancesHere } from './ChancesHere.js';
import { EitherHere, HoldsHere, TheirList, TimesList } from './MoreHere.js';
import { PageFrame, Parts, PlaceSwitches, RowPanel, ToldHere, WhichOne, toldRows, useNarrowing } from './page/index.js';
import { PLACE_TEXT, SHEET_TEXT as T } from './sheets.text.js';
import { usePutOnList } from './usePutOnList.js';

/** The places of a map at which somebody can stand and choose, those that carry most first. */
const placesOf = (picture: MapPicture): readonly PlaceId[] =>
  placesByWeight(picture.lines).filter((id) => readPlace(id)?.kind === 'state');

const Way = ({
  picture,
  place,
}: {
  readonly picture: MapPicture;
  readonly place: PlaceId;
}): React.JSX.Element | null => {
  const words = useWords();
  const into = picture.lines
    .filter((l) => l.to === place && l.from !== place && l.side === 'own')
    .sort((a, b) => b.count - a.count || (a.id < b.id ? -1 : 1));
  if (!into.length) return null;
  return (
    <Box as="section">
      <Subheading>{T.here}</Subheading>
      <Box as="ul" listStyleType="none" marginTop="1">
        {into.slice(0, 6).map((l) => (
          <Box as="li" key={l.id} paddingBlock="0.5">
            <Link to={lineLink(l, place)}>{T.hereLine(words.name('action', l.action), placeName(l.from, words))}</Link>{' '}
            <Box as="span" color="inkSoft">
              {l.attempts ? T.counted(l.successes, l.attempts) : T.seenOnly(l.picked + l.shown)}
            </Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
};

const useSheet = (picture: MapPicture | null) => {
  const [search, setSearch] = useSearchParams();
  const view = useSelector((state: MapState) => state.map.view);
  const words = useWords();
  const { source: whole, share } = useViewSource(view);
  const { narrowing, kept } = useNarrowing();
  const source = useMemo(() => whole && narrowed(whole, narrowing), [whole, narrowing]);
  const places = useMemo(() => (picture ? placesOf(picture) : []), [picture]);
  const place = (search.get('place') ?? places[0]) as PlaceId | undefined;
  const found = useMemo(() => source && answersFound(source), [source]);
  const table = useMemo(
    () => source && found && place && answerTable(place, source, words, 'own', found),
    [source, found, place, words],
  );
  const theirs = useMemo(
    () =>
      source && found && place
        ? theirTable(place, source, view.pointOfView?.kind === 'athletes' ? 'their' : 'own', found)
        : [],
    [source, found, place, view],
  );
  const key = search.get('cell') ?? undefined;
  const picked =
    table &&
    table.rows.flatMap((row) =>
      row.cells.flatMap((cell) => (cellKey(row, cell.column) === key ? [{ row, cell }] : [])),
    )[0];
  const go = (next: { readonly place?: string; readonly cell?: string; readonly row?: string }): void =>
    setSearch({ ...kept, ...(place ? { place } : {}), ...next });
  const rowKey = search.get('row') ?? undefined;
  return { source, whole, share, places, place, found, table, theirs, key, picked, rowKey, go };
};

const timesHere = (source: SheetSource, place: PlaceId): Times =>
  timesOf(
    source.cases.filter((c) => c.from === place && c.whose === 'own'),
    source,
  );

/** What is known of a place, on one page: what answers what, what they do, where it ends, and how long it takes. */
export const AnswersScreen = (): React.JSX.Element => {
  const picture = useMapPicture();
  const words = useWords();
  const { source, whole, share, places, place, found, table, theirs, key, picked, rowKey, go } = useSheet(picture);
  const { onList, put } = usePutOnList();
  const at = place === undefined ? undefined : readPlace(place);
  const state = at?.kind === 'state' ? { position: at.position, role: at.role } : null;
  // as soon as it is seen: a quick key isn't lost
  useLayoutEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.target instanceof HTMLInputElement || event.target instanceof HTMLSelectElement) return;
      if (event.ctrlKey || event.metaKey || event.altKey || !picked || !place) return;
      const asked = askedIn(place, picked.row, picked.cell);
      if (event.key === T.putKey && asked && !onList(asked)) put(asked, sayAsked(asked, words));
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
  const toldHere = useMemo(
    () => (source && place ? toldRows(source, place, words) : undefined),
    [source, place, words],
  );
  const row =
    toldHere &&
    Object.values(toldHere)
      .flat()
      .find((r) => r.key === rowKey);
  const close = (): void => go({});
  return (
    <PageFrame
      title={place === undefined ? PLACE_TEXT.title : placeName(place, words)}
      beside={
        <>
          <WhichOne
            label={T.whichPlace}
            value={place}
            options={places.map((id) => [id, placeName(id, words)])}
            nameOf={(id) => placeName(id, words)}
            onChange={(id) => go({ place: id })}
          />
          <Action asChild tone="quiet" className="no-print">
            <Link to={place ? `/map?place=${encodeURIComponent(place)}` : '/map'}>{T.toMap}</Link>
          </Action>
        </>
      }
      panel={
        picked && place ? (
          <CellPanel {...{ place, source }} row={picked.row} cell={picked.cell} onClose={close} />
        ) : (
          row && <RowPanel row={row} source={source} onClose={close} />
        )
      }
      onClose={close}
    >
      {picture && <OnlyPicked totals={picture.totals} />}
      {place !== undefined && <PlaceSwitches place={place} source={whole} />}
      {!source || !found || !table || !picture || !toldHere || place === undefined ? (
        <Box role="status">{T.building(share)}</Box>
      ) : table.rows.length + theirs.length === 0 ? (
        <Box>{T.nothing}</Box>
      ) : (
        <Flex direction="column" gap="7">
          {table.rows.length > 0 && (
            <Box as="section">
              <Box color="inkSoft" maxWidth="760px" marginBottom="2">
                {T.oursLead}
              </Box>
              <AnswerGrid table={table} picked={key} onPick={(cell) => go(cell === key ? {} : { cell })} />
            </Box>
          )}
          <TheirList rows={theirs} state={state} />
          <ChancesHere place={place} lines={picture.lines} />
          <EitherHere source={source} found={found} place={place} />
          <Parts>
            <Way picture={picture} place={place} />
            <HoldsHere source={source} place={place} />
            <ToldHere
              place={place}
              rows={toldHere}
              picked={rowKey}
              onPick={(r) => go(r.key === rowKey ? {} : { row: r.key })}
            />
            <TimesList times={timesHere(source, place)} />
          </Parts>
        </Flex>
      )}
    </PageFrame>
  );
};
