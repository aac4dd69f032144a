import { Box, Flex } from '@chakra-ui/react';
import { Choice, Heading } from '../../design/index.js';
import type { MapPicture } from '../../workers/map.protocol.js';
import { MAP_TEXT as T, MAP_HEAD_TEXT } from './map.text.js';
import { MapNav } from './MapNav.js';
import { OnlyPicked } from './PickedSwitch.js';
import { ViewSentence } from './ViewSentence.js';
import type { Magnifier } from './magnifier.js';
import { ZoomButtons } from './ZoomFrame.js';

/** More places than this cannot be told apart on a screen. */
const MOST_ON_SLIDER = 96;

/** What is counted on the map, and how much of it is shown. */
export const MapHead = ({
  picture: { totals, lines },
  isTable,
  onTable,
  isWhole,
  magnifier,
  places,
}: {
  readonly picture: MapPicture;
  readonly isTable: boolean;
  readonly onTable: (isTable: boolean) => void;
  /** No place is picked. */ readonly isWhole: boolean;
  readonly magnifier: Magnifier;
  /** How many places are shown, where not all of them fit. */
  readonly places: { readonly most: number; readonly all: number; readonly onMost: (most: number) => void } | undefined;
}): React.JSX.Element => (
  <>
    <Flex alignItems="baseline" wrap="wrap" columnGap="5" paddingInline="4" minHeight="38px" flexShrink="0">
      <Heading className="sr-only">{T.title}</Heading>
      <MapNav />
      <Box flex="1" display={{ base: 'none', md: 'block' }} />
      {isWhole && !isTable && places && (
        <Box as="label" color="inkSoft" fontSize="14px" display="flex" alignItems="center" gap="2">
          {T.places(Math.min(places.most, places.all), places.all)}
          <input
            type="range"
            min={4}
            max={Math.min(places.all, MOST_ON_SLIDER)}
            value={places.most}
            onChange={(e) => places.onMost(Number(e.target.value))}
          />
        </Box>
      )}
      {!isTable && <ZoomButtons magnifier={magnifier} />}
      <Choice
        label={T.shownAs}
        name="map-as"
        isTight
        value={isTable ? 'table' : 'picture'}
        options={[
          ['picture', T.asPicture],
          ['table', T.asTable],
        ]}
        onChange={(as) => onTable(as === 'table')}
      />
    </Flex>
    <Box paddingInline="4" paddingBottom="1" flexShrink="0">
      <ViewSentence />
    </Box>
    <OnlyPicked totals={totals} />
    <Box paddingInline="4" color="inkSoft" fontSize="14px" flexShrink="0">
      <span data-testid="map-totals">
        {MAP_HEAD_TEXT.totals(totals.attempts, lines.length)}
        {totals.picked > 0 && T.picked(totals.picked)}
        {totals.shown > 0 && MAP_HEAD_TEXT.shown(totals.shown)}
        {totals.proposed > 0 && T.proposed(totals.proposed)}
        {totals.drafts > 0 && T.drafts(totals.drafts)}
        {totals.unplaced > 0 && MAP_HEAD_TEXT.unplaced(totals.unplaced)}
      </span>
      {isWhole && !isTable && T.rest}
    </Box>
  </>
);
