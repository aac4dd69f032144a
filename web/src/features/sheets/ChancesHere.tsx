import { Box, Flex } from '@chakra-ui/react';
import {
  NEVER,
  UNKNOWN,
  flipPlace,
  placeName,
  stepsOfBoth,
  stepsOfOwn,
  type Band,
  type PlaceId,
  type Words,
} from '@odograph/core';
import { useEffect, useMemo, useState } from 'react';
import { useSelector } from 'react-redux';
import { Link } from 'react-router';
import { Action, Choice, Subheading } from '../../design/index.js';
import { askChances } from '../../workers/chances.client.js';
import type { Chances, ChancesQuestion, Sides } from '../../workers/chances.protocol.js';
import type { MapLine } from '../../workers/map.protocol.js';
import { useWords } from '../library/index.js';
import { lineLink, type MapState } from '../map/index.js';
import { CHANCES_TEXT as T } from './sheets.text.js';

const endingName = (ending: string, words: Words): string =>
  ending === NEVER ? T.never : ending === UNKNOWN ? T.unknown : placeName(ending, words);

type State = {
  readonly of: ChancesQuestion;
  readonly chances: Chances | null | undefined;
  readonly share: number;
};

/** Chances from a place, worked out apart from the page while they are wanted; null where nothing can be said, undefined while they aren't there. */
const useChances = (question: ChancesQuestion, isWanted: boolean): Pick<State, 'chances' | 'share'> => {
  const [state, setState] = useState<State>();
  useEffect(() => {
    if (!isWanted) return undefined;
    // how far it is may be told after the answer: they come by ways of their own
    const { answer, cancel } = askChances(question, (share) =>
      setState((now) =>
        now?.of === question && now.chances !== undefined ? now : { of: question, chances: undefined, share },
      ),
    );
    answer.then(
      (chances) => setState({ of: question, chances, share: 1 }),
      () => undefined,
    );
    return cancel;
  }, [question, isWanted]);
  return state?.of === question ? state : { chances: undefined, share: 0 };
};

/** A chance as a bar with its range. */
const Bar = ({ at, band }: { readonly at: number; readonly band: Band }): React.JSX.Element => (
  <svg width="150" height="14" aria-hidden>
    <path d="M0.5 1V13M149.5 1V13M0 7H150" stroke="var(--od-field)" fill="none" />
    <rect
      x={band.low * 150}
      y="4"
      width={Math.max(2, (band.high - band.low) * 150)}
      height="6"
      fill="var(--od-ink)"
      opacity="0.35"
    />
    <rect x={at * 150 - 1} y="1" width="3" height="12" fill="var(--od-ink)" />
  </svg>
);

/** A step out of a place, with the line on the map that its clips stand behind: what this side does there, or what is done to it. */
type Out = { readonly line: MapLine; readonly to: PlaceId; readonly isTheirs: boolean };

const stepsOut = (place: PlaceId, lines: readonly MapLine[], sides: Sides, isWhoever: boolean): readonly Out[] =>
  lines
    .flatMap((line): Out[] => {
      if (line.count === 0) return [];
      const isOwn = line.side === 'own' && line.from === place;
      const own = isOwn ? [{ line, to: line.to, isTheirs: false }] : [];
      if (sides === 'own') return own;
      if (line.side === 'their') return line.from === place ? [{ line, to: line.to, isTheirs: true }] : [];
      return isWhoever && line.from === flipPlace(place)
        ? [...own, { line, to: flipPlace(line.to), isTheirs: true }]
        : own;
    })
    .sort((a, b) => b.line.count - a.line.count);

/** The steps out of a place that a chance is made of. */
const Why = ({ out }: { readonly out: readonly Out[] }): React.JSX.Element => {
  const words = useWords();
  const total = out.reduce((sum, { line }) => sum + line.count, 0);
  return (
    <Box marginTop="2" paddingLeft="3" borderLeftWidth="3px" borderColor="hairline" fontSize="15px" maxWidth="640px">
      <Box marginBottom="2">{T.because(total)}</Box>
      <Box as="ul" listStyleType="none">
        {out.map(({ line, to, isTheirs }) => (
          <Box
            as="li"
            key={`${line.id} ${isTheirs}`}
            display="grid"
            gridTemplateColumns="84px minmax(0, 1fr)"
            columnGap="3"
          >
            <Box as="span" fontVariantNumeric="tabular-nums" color="inkSoft">
              {T.step(line.count, total)}
            </Box>
            <Link to={lineLink(line)}>{T.goes(words.name('action', line.action), placeName(to, words), isTheirs)}</Link>
          </Box>
        ))}
      </Box>
    </Box>
  );
};

/** What may come of it: each ending with its chance, then steps and points. */
const Endings = ({ chances, sides }: { readonly chances: Chances; readonly sides: Sides }): React.JSX.Element => {
  const words = useWords();
  const one = (name: string, text: string, bar: React.ReactNode): React.JSX.Element => (
    <Box
      as="li"
      key={name}
      display="grid"
      gridTemplateColumns={{ base: '1fr', md: 'minmax(0, 300px) 160px auto' }}
      columnGap="4"
      alignItems="center"
      paddingBlock="0.5"
    >
      <span>{name}</span>
      <span>{bar}</span>
      <Box as="span" fontVariantNumeric="tabular-nums" color="inkSoft">
        {text}
      </Box>
    </Box>
  );
  return (
    <Box as="ul" listStyleType="none" marginTop="1">
      {chances.endings
        .slice(0, MOST)
        .map(({ ending, at, band }) =>
          one(endingName(ending, words), T.percent(at, band.low, band.high), <Bar at={at} band={band} />),
        )}
      {one(T.steps, T.number(chances.steps.at, chances.steps.band.low, chances.steps.band.high), null)}
      {one(
        sides === 'both' ? T.ahead : T.points,
        T.number(chances.points.at, chances.points.band.low, chances.points.band.high),
        null,
      )}
    </Box>
  );
};

const MOST = 8;

/** Where it ends from a place, if it goes on as it was counted; each figure says why. */
export const ChancesHere = ({
  place,
  lines,
}: {
  readonly place: PlaceId;
  readonly lines: readonly MapLine[];
}): React.JSX.Element => {
  const isWhoever = useSelector((state: MapState) => state.map.view.pointOfView?.kind !== 'athletes');
  const [isStopped, setStopped] = useState(false);
  const [isWhy, setWhy] = useState(false);
  const [sides, setSides] = useState<Sides>('own');
  const question = useMemo(
    (): ChancesQuestion => ({
      ...{ place, sides },
      arcs: sides === 'own' ? stepsOfOwn(lines) : stepsOfBoth(lines, isWhoever),
    }),
    [place, lines, sides, isWhoever],
  );
  const { chances, share } = useChances(question, !isStopped);
  const out = useMemo(() => stepsOut(place, lines, sides, isWhoever), [place, lines, sides, isWhoever]);
  const isCounted = out.length > 0;
  return (
    <Box as="section" data-testid="chances">
      <Flex alignItems="baseline" gap="3" wrap="wrap">
        <Subheading>{T.title}</Subheading>
        <Box color="inkSoft">{T.lead}</Box>
        <Choice
          label={T.sides}
          name="chances-of"
          isTight
          value={sides}
          options={[
            ['own', T.own],
            ['both', T.both],
          ]}
          onChange={setSides}
        />
        {isCounted && (
          <Action tone="quiet" aria-expanded={isWhy} onClick={() => setWhy(!isWhy)}>
            {T.why}
          </Action>
        )}
      </Flex>
      {!isCounted ? (
        <Box color="inkSoft">{T.nothing}</Box>
      ) : isStopped ? (
        <Action onClick={() => setStopped(false)}>{T.again}</Action>
      ) : chances === undefined ? (
        <Flex gap="3" alignItems="center" role="status">
          {T.working(share)}
          <Action tone="quiet" onClick={() => setStopped(true)}>
            {T.cancel}
          </Action>
        </Flex>
      ) : chances === null ? (
        <Box color="inkSoft">{T.nothing}</Box>
      ) : (
        <Endings chances={chances} sides={sides} />
      )}
      {isWhy && <Why out={out} />}
    </Box>
  );
};
