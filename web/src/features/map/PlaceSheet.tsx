import { Box, Flex } from '@chakra-ui/react';
import { placeName, weightOf, type PlaceId } from '@odograph/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { Action, evidenceText, Heading, IntervalBand, PickRow, Subheading } from '../../design/index.js';
import { useClipsOf, useWords } from '../library/index.js';
import type { MapLine, MapPicture } from '../../workers/map.protocol.js';
import { answersLink } from './answersLink.js';
import { bringingHere } from './bringingHere.js';
import { ClipOnTheSpot } from './ClipOnTheSpot.js';
import { SaidHere } from './SaidHere.js';
import { MAP_TEXT as T, LINE_TEXT, PLACE_SHEET_TEXT } from './map.text.js';

const LineRow = ({
  line,
  end,
  isInHand,
  onLine,
}: {
  readonly line: MapLine;
  readonly end: PlaceId;
  readonly isInHand: boolean;
  readonly onLine: () => void;
}): React.JSX.Element => {
  const words = useWords();
  return (
    <PickRow isPicked={isInHand} onPick={onLine} says="pressed" inset="2">
      <Box lineHeight="1.3">
        <Box as="strong" color={line.side === 'their' ? 'them' : 'ink'}>
          {LINE_TEXT.by(words.name('action', line.action), line.side === 'their')}
        </Box>
        {line.bait && LINE_TEXT.bait}
        <Box as="span" color="inkSoft">
          {end === line.to ? PLACE_SHEET_TEXT.to : PLACE_SHEET_TEXT.from}
        </Box>
        {placeName(end, words)}
      </Box>
      <Flex fontSize="13px" color="inkSoft" alignItems="center" gap="3" justifyContent="space-between">
        <span>{evidenceText(line, end === line.to ? 'there' : 'here')}</span>
        <IntervalBand interval={line.interval} width={56} />
      </Flex>
    </PickRow>
  );
};

const NONE: readonly string[] = [];
/** Lines that are listed at first, and with every wish for more. */
const AT_ONCE = 12;

/** Lines as rows, those that carry most first. */
const Lines = ({
  lines,
  nothing,
  end,
  inHand,
  onLine,
}: {
  readonly lines: readonly MapLine[];
  readonly nothing: string;
  readonly end: (line: MapLine) => PlaceId;
  readonly inHand: string | undefined;
  readonly onLine: (line: MapLine) => void;
}): React.JSX.Element => {
  const [most, setMost] = useState(AT_ONCE);
  if (lines.length === 0)
    return (
      <Box color="inkSoft" fontSize="14px" paddingBlock="1">
        {nothing}
      </Box>
    );
  const sorted = [...lines].sort((a, b) => weightOf(b) - weightOf(a) || (a.id < b.id ? -1 : 1));
  return (
    <Box marginBottom="4">
      <Box as="ul" listStyleType="none" borderTopWidth="1px">
        {sorted.slice(0, most).map((l) => (
          <LineRow key={l.id} line={l} end={end(l)} isInHand={l.id === inHand} onLine={() => onLine(l)} />
        ))}
      </Box>
      {sorted.length > most && (
        <Action tone="quiet" onClick={() => setMost(most + AT_ONCE)}>
          {T.more(sorted.length - most)}
        </Action>
      )}
    </Box>
  );
};

type Props = {
  readonly picture: MapPicture;
  readonly place: PlaceId;
  readonly target: PlaceId | undefined;
  readonly line: MapLine | undefined;
  readonly isPickingTarget: boolean;
  readonly onPickTarget: () => void;
  readonly onLine: (line: MapLine) => void;
  readonly onWhole: () => void;
};

/** What is known about a place: how good it is, what leads out of it and to it; the clips behind a line play here. */
export const PlaceSheet = ({
  picture,
  place,
  target,
  line,
  isPickingTarget,
  onPickTarget,
  onLine,
  onWhole,
}: Props): React.JSX.Element => {
  const words = useWords();
  const behind = useClipsOf(line?.attemptIds ?? NONE);
  const out = picture.lines.filter((l) => l.from === place && l.side === 'own');
  const theirs = picture.lines.filter((l) => l.from === place && l.side === 'their');
  const into = picture.lines.filter((l) => l.to === place && l.from !== place && l.side === 'own');
  const against = bringingHere(picture, place);
  const height = picture.heights[place];
  const routesTo = (to: string): string => `/routes?from=${encodeURIComponent(place)}&to=${encodeURIComponent(to)}`;
  const list = (lines: readonly MapLine[], nothing: string, end: (l: MapLine) => PlaceId): React.JSX.Element => (
    <Lines key={`${place} ${nothing}`} lines={lines} nothing={nothing} end={end} inHand={line?.id} onLine={onLine} />
  );
  return (
    <Box as="aside" aria-label={placeName(place, words)} padding="4">
      <Flex justifyContent="space-between" alignItems="baseline" gap="3">
        <Heading as="h2" fontSize="25px">
          {placeName(place, words)}
        </Heading>
        <Action tone="quiet" onClick={onWhole}>
          {T.whole}
        </Action>
      </Flex>
      {height && (
        <Box color="inkSoft" fontSize="14px" marginBottom="3">
          {PLACE_SHEET_TEXT.height(height.height, height.stake >= 2 ? T.stake : null)}
        </Box>
      )}
      {line && <ClipOnTheSpot key={line.id} clips={behind} />}
      <Flex gap="2" wrap="wrap" marginBottom="4">
        <Action asChild>
          <Link to={answersLink(place)}>{T.answers}</Link>
        </Action>
        {target ? (
          <Action asChild tone="next">
            <Link to={routesTo(target)}>
              {T.routes}: {placeName(target, words)}
            </Link>
          </Action>
        ) : (
          <>
            <Action onClick={onPickTarget} aria-pressed={isPickingTarget}>
              {isPickingTarget ? T.pickingTarget : T.pickTarget}
            </Action>
            <Action asChild>
              <Link to={routesTo('any')}>{T.anySubmission}</Link>
            </Action>
          </>
        )}
      </Flex>
      <Subheading marginBottom="1">{T.from}</Subheading>
      {list(out, T.nothingFrom, (l) => l.to)}
      {theirs.length > 0 && (
        <>
          <Subheading marginBottom="1">{T.theirs}</Subheading>
          {list(theirs, '', (l) => l.to)}
        </>
      )}
      <Subheading marginBottom="1">{T.to}</Subheading>
      {list(into, T.nothingTo, (l) => l.from)}
      {against.length > 0 && (
        <>
          <Subheading marginBottom="1">{T.against}</Subheading>
          {list(against, '', (l) => l.from)}
        </>
      )}
      <SaidHere place={place} />
    </Box>
  );
};
