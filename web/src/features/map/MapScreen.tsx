import { Box, Flex } from '@chakra-ui/react';
import { neighboursOf } from '@odograph/core';
import { useDeferredValue, useMemo, useState } from 'react';
import { useSelector } from 'react-redux';
import { Link } from 'react-router';
import { Action, Heading, useSize } from '../../design/index.js';
import type { MapLine } from '../../workers/map.protocol.js';
import { NOTHING_FOR_STUDENTS, useMayWrite, useWords } from '../library/index.js';
import type { MapState } from './map.listener.js';
import { MAP_TEXT as T } from './map.text.js';
import { MapHead } from './MapHead.js';
import { MapPlot } from './MapPlot.js';
import { MapTable } from './MapTable.js';
import { PlaceSheet } from './PlaceSheet.js';
import { MOST_PLACES, mostOf, mostThatFit } from './sizes.js';
import { useOnMap } from './useOnMap.js';
import { placesUnfolded, useUnfolded } from './useUnfolded.js';
import { useMapPicture } from './useMapPicture.js';
import { Magnifier } from './magnifier.js';
import { ZoomFrame } from './ZoomFrame.js';

/** Lines round a place that are drawn; the sheet beside has all of them. */
const MOST_NEAR = 40;
const SHEET = 372;
const NO_LINES: readonly MapLine[] = [];

export const MapScreen = (): React.JSX.Element => {
  const mayWrite = useMayWrite();
  // drawn in slices: a large picture must not hold up a hand on the page
  const picture = useDeferredValue(useMapPicture());
  const failed = useSelector((state: MapState) => state.map.failed);
  const view = useSelector((state: MapState) => state.map.view);
  const [ref, size] = useSize({ width: 1280 - SHEET, height: 640 });
  const [asked, setAsked] = useState<number | null>(null);
  const [magnifier] = useState(() => new Magnifier());
  const words = useWords();
  const { place, target, lineId, isTable, isPickingTarget, setPickingTarget, go, pick, takeLine, whole } = useOnMap();

  const all = useMemo(() => new Set((picture?.lines ?? []).flatMap((l) => [l.from, l.to])).size, [picture]);
  const fitting = useMemo(() => (picture ? mostThatFit(picture, words, size) : MOST_PLACES), [picture, words, size]);
  const most = asked ?? fitting;
  const drawnMost = useDeferredValue(most);
  // what is said of a place stands beside at once; the picture follows in slices
  const drawn = useDeferredValue(place);
  const unfolded = useUnfolded(drawn, picture?.lines ?? NO_LINES);
  const shown = useMemo(() => {
    const lines = picture?.lines ?? [];
    if (drawn === undefined) return mostOf(lines, drawnMost);
    const near = neighboursOf(lines, drawn, MOST_NEAR);
    const more = [...(target === undefined ? [] : [target]), ...(unfolded ? placesUnfolded(unfolded) : [])];
    return more.length ? { ...near, places: [...new Set([...near.places, ...more])] } : near;
  }, [picture, drawn, target, drawnMost, unfolded]);

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
  return (
    <Flex flex="1" minHeight="0" direction={{ base: 'column', md: 'row' }} overflowY={{ base: 'auto', md: 'visible' }}>
      <Flex direction="column" flex="1" minWidth="0" paddingTop="3" minHeight={{ base: '560px', md: '0' }}>
        <MapHead
          picture={picture}
          isTable={isTable}
          onTable={(is) => go({ place, to: target, line: lineId, as: is ? 'table' : undefined })}
          isWhole={place === undefined}
          magnifier={magnifier}
          places={all > fitting ? { most, all, onMost: setAsked } : undefined}
        />
        <Box ref={ref} flex="1" minHeight="0" overflowX={isTable ? 'auto' : 'hidden'} overflowY="hidden">
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
            <ZoomFrame magnifier={magnifier} of={drawn ?? ''}>
              <MapPlot
                picture={picture}
                places={shown.places}
                lines={shown.lines}
                place={drawn}
                target={target}
                inHand={lineId}
                unfolded={unfolded}
                width={size.width}
                height={size.height}
                onPick={pick}
                onLine={takeLine}
                onWhole={whole}
              />
            </ZoomFrame>
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
            onWhole={whole}
          />
        </Box>
      )}
    </Flex>
  );
};
