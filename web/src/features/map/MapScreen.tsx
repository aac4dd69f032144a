import { Box, Flex } from '@chakra-ui/react';
import { neighboursOf, type PlaceId } from '@odograph/core';
import { useDeferredValue, useMemo, useState } from 'react';
import { useSelector } from 'react-redux';
import { Link, useSearchParams } from 'react-router';
import { Action, Choice, Heading, useSize } from '../../design/index.js';
import { NOTHING_FOR_STUDENTS, useMayWrite, useWords } from '../library/index.js';
import type { MapLine } from '../../workers/map.protocol.js';
import type { MapState } from './map.listener.js';
import { MAP_TEXT as T } from './map.text.js';
import { MapPlot } from './MapPlot.js';
import { MapTable } from './MapTable.js';
import { OnlyPicked } from './PickedSwitch.js';
import { PlaceSheet } from './PlaceSheet.js';
import { ViewSentence } from './ViewSentence.js';
import { MOST_PLACES, mostOf, mostThatFit } from './sizes.js';
import { useMapPicture } from './useMapPicture.js';

/** Lines round a place that are drawn; the sheet beside has all of them. */
const MOST_NEAR = 40;
/** More places than this cannot be told apart on a screen. */
const MOST_ON_SLIDER = 96;
const SHEET = 372;

export const MapScreen = (): React.JSX.Element => {
  const mayWrite = useMayWrite();
  // drawn in slices: a large picture must not hold up a hand on the page
  const picture = useDeferredValue(useMapPicture());
  const failed = useSelector((state: MapState) => state.map.failed);
  const view = useSelector((state: MapState) => state.map.view);
  const [search, setSearch] = useSearchParams();
  const [ref, size] = useSize({ width: 1280 - SHEET, height: 640 });
  const [isPickingTarget, setPickingTarget] = useState(false);
  const [asked, setAsked] = useState<number | null>(null);
  const words = useWords();
  const place = (search.get('place') ?? undefined) as PlaceId | undefined;
  const target = (search.get('to') ?? undefined) as PlaceId | undefined;
  const lineId = search.get('line') ?? undefined;

  const all = useMemo(() => new Set((picture?.lines ?? []).flatMap((l) => [l.from, l.to])).size, [picture]);
  const fitting = useMemo(() => (picture ? mostThatFit(picture, words, size) : MOST_PLACES), [picture, words, size]);
  const most = asked ?? fitting;
  // what is said of a place stands beside at once; the picture follows in slices
  const drawn = useDeferredValue(place);
  const shown = useMemo(() => {
    const lines = picture?.lines ?? [];
    if (drawn === undefined) return mostOf(lines, most);
    const near = neighboursOf(lines, drawn, MOST_NEAR);
    return target === undefined ? near : { ...near, places: [...new Set([...near.places, target])] };
  }, [picture, drawn, target, most]);

  const isTable = search.get('as') === 'table';
  const go = (to: {
    place?: PlaceId | undefined;
    to?: PlaceId | undefined;
    line?: string | undefined;
    as?: 'table' | undefined;
  }): void => {
    setPickingTarget(false);
    const all = 'as' in to ? to : { ...to, ...(isTable ? { as: 'table' } : {}) };
    setSearch(Object.fromEntries(Object.entries(all).filter((e): e is [string, string] => e[1] !== undefined)));
  };
  const pick = (id: PlaceId, isTarget: boolean): void => {
    if ((isTarget || isPickingTarget) && place !== undefined && id !== place) go({ place, to: id });
    else go(id === place ? {} : { place: id });
  };
  const takeLine = (line: MapLine): void =>
    go({ place: place === line.to || place === line.from ? place : line.from, to: target, line: line.id });

  if (failed)
    return (
      <Box role="alert" padding="8">
        {T.failed}
      </Box>
    );
  if (!picture)
    return (
      <Box role="status" padding="8">
        {T.computing}
      </Box>
    );
  const isNarrowed = Object.keys(view).some((key) => key !== 'includePicked');
  if (picture.lines.length === 0 && !isNarrowed)
    return (
      <Box padding="8" maxWidth="620px">
        <Heading marginBottom="3">{T.title}</Heading>
        <Box marginBottom="5">{mayWrite ? T.empty : NOTHING_FOR_STUDENTS}</Box>
        {mayWrite && (
          <Action asChild tone="next">
            <Link to="/break-down">{T.toBench}</Link>
          </Action>
        )}
      </Box>
    );
  const { totals } = picture;
  return (
    <Flex flex="1" minHeight="0" direction={{ base: 'column', md: 'row' }} overflowY={{ base: 'auto', md: 'visible' }}>
      <Flex direction="column" flex="1" minWidth="0" paddingTop="3" minHeight={{ base: '560px', md: '0' }}>
        <Flex alignItems="baseline" wrap="wrap" columnGap="5" paddingInline="4" minHeight="38px" flexShrink="0">
          <Heading>{T.title}</Heading>
          <Box color="inkSoft" data-testid="map-totals">
            {totals.attempts} attempts on {picture.lines.length} lines
            {totals.picked > 0 && T.picked(totals.picked)}
            {totals.shown > 0 && `, ${totals.shown} shown`}
            {totals.proposed > 0 && T.proposed(totals.proposed)}
            {totals.drafts > 0 && T.drafts(totals.drafts)}
            {totals.unplaced > 0 && `, ${totals.unplaced} unplaced`}
          </Box>
          <Box flex="1" display={{ base: 'none', md: 'block' }} />
          {place === undefined && !isTable && all > fitting && (
            <Box as="label" color="inkSoft" fontSize="14px" display="flex" alignItems="center" gap="2">
              {T.places(Math.min(most, all), all)}
              <input
                type="range"
                min={4}
                max={Math.min(all, MOST_ON_SLIDER)}
                value={most}
                onChange={(e) => setAsked(Number(e.target.value))}
              />
            </Box>
          )}
          <Choice
            label={T.shownAs}
            name="map-as"
            isTight
            value={isTable ? 'table' : 'picture'}
            options={[
              ['picture', T.asPicture],
              ['table', T.asTable],
            ]}
            onChange={(as) => go({ place, to: target, line: lineId, as: as === 'table' ? 'table' : undefined })}
          />
        </Flex>
        <Box paddingInline="4" paddingBottom="1" flexShrink="0">
          <ViewSentence />
        </Box>
        <OnlyPicked totals={totals} />
        {place === undefined && !isTable && (
          <Box paddingInline="4" color="inkSoft" fontSize="14px" flexShrink="0">
            {T.rest}
          </Box>
        )}
        <Box ref={ref} flex="1" minHeight="0" overflowX="auto" overflowY="hidden">
          {picture.lines.length === 0 ? (
            <Box padding="4" role="status">
              {T.nothingCounted}
            </Box>
          ) : isTable ? (
            <MapTable
              lines={drawn === undefined ? picture.lines : shown.lines}
              inHand={lineId}
              onPick={(id) => pick(id, false)}
              onLine={takeLine}
            />
          ) : (
            <MapPlot
              picture={picture}
              places={shown.places}
              lines={shown.lines}
              place={drawn}
              target={target}
              inHand={lineId}
              width={size.width}
              height={size.height}
              onPick={pick}
              onLine={takeLine}
              onWhole={() => go({})}
            />
          )}
        </Box>
      </Flex>
      {place !== undefined && (
        <Box
          width={{ base: '100%', md: `${SHEET}px` }}
          flexShrink="0"
          borderLeftWidth={{ base: '0', md: '1px' }}
          overflowY="auto"
        >
          <PlaceSheet
            picture={picture}
            place={place}
            target={target}
            line={picture.lines.find((l) => l.id === lineId)}
            isPickingTarget={isPickingTarget}
            onPickTarget={() => setPickingTarget(!isPickingTarget)}
            onLine={takeLine}
            onWhole={() => go({})}
          />
        </Box>
      )}
    </Flex>
  );
};
