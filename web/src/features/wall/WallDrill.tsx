import { Box, Flex } from '@chakra-ui/react';
import { pairTurns, threeTurns, type Caution, type Drill, type Form, type Turn } from '@odograph/core';
import { useEffect, useMemo } from 'react';
import { phaseAt, useDrillClock } from './drillClock.js';
import { WallCautions } from './WallCautions.js';
import { WALL_TEXT as T } from './wall.text.js';

const said = ({ who, on, kind, side }: Turn, drill: Drill): string =>
  [T.works(who, on), ...(drill.kinds > 1 ? [T.way(kind)] : []), ...(drill.isBothSides ? [T.side(side)] : [])].join(
    ', ',
  );

/** The drill on the wall: the time that is left, who does what now, and what comes next; threes run on the same clock. */
export const WallDrill = ({
  drill,
  clipS,
  form,
  cautions,
}: {
  readonly drill: Drill;
  readonly clipS: number | undefined;
  /** The highest in which it is done. */ readonly form: Form;
  readonly cautions: readonly Caution[];
}): React.JSX.Element => {
  const turns = useMemo(() => pairTurns(drill, clipS), [drill, clipS]);
  const three = useMemo(() => threeTurns(drill, clipS), [drill, clipS]);
  const { phase, elapsedS, isRunning, toggle } = useDrillClock(turns);
  const ofThree = phaseAt(three, elapsedS);
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.key !== ' ') return;
      event.preventDefault();
      toggle();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
  const { turn, next, leftS = 0, isChange, isOver } = phase ?? {};
  return (
    <Flex direction="column" height="100%" justifyContent="center" role="timer" aria-label={T.title}>
      <Box
        data-testid="wall-timer"
        fontFamily="heading"
        fontSize="200px"
        lineHeight="1"
        fontWeight="600"
        fontVariantNumeric="tabular-nums"
        color={isChange ? 'them' : undefined}
      >
        {isOver ? T.done : leftS}
      </Box>
      <Box fontFamily="heading" fontSize="56px" lineHeight="1.15" data-testid="wall-turn">
        {isOver ? '' : isChange ? T.change : turn && said(turn, drill)}
      </Box>
      <Box fontSize="32px" color="inkSoft" marginTop="2">
        {!isRunning && !isOver ? T.ready : next ? T.then(said(next, drill)) : ''}
      </Box>
      <Box fontSize="28px" color="inkSoft" marginTop="3">
        {ofThree.turn && T.three(said(ofThree.turn, drill), ofThree.leftS, ofThree.isChange, ofThree.isOver)}
      </Box>
      <Box marginTop="5">
        {form !== 'full' && (
          <Box fontSize="36px" fontFamily="heading" color="caution">
            {T.forms[form]}
          </Box>
        )}
        <WallCautions cautions={cautions} />
      </Box>
    </Flex>
  );
};
