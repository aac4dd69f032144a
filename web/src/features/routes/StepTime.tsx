import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { Action, Labelled, Ruled } from '../../design/index.js';
import { STEP_TIME_TEXT as T } from './routes.text.js';
import { clockText, readClock, type StepTakes } from './stepTimes.js';

/** How long a step takes: as it is worked out, and said otherwise by hand. */
export const StepTime = ({
  minutes,
  onChange,
}: {
  readonly minutes: StepTakes;
  readonly onChange: (seconds: number | null) => void;
}): React.JSX.Element => {
  const [typed, setTyped] = useState<string | null>(null);
  const { showing, explaining, drill, whole, isByHand } = minutes;
  const leave = (): void => {
    const seconds = typed === null ? undefined : readClock(typed);
    if (seconds !== undefined && seconds <= 3600 && seconds !== whole) onChange(seconds);
    setTyped(null);
  };
  return (
    <Box marginTop="3">
      <Flex gap="4" alignItems="flex-end">
        <Labelled label={T.minutes}>
          <Ruled
            width="80px"
            value={typed ?? clockText(whole)}
            onChange={(event) => setTyped(event.target.value)}
            onBlur={leave}
            onKeyDown={(event) => event.key === 'Enter' && leave()}
          />
        </Labelled>
        {isByHand && (
          <Action tone="quiet" onClick={() => onChange(null)}>
            {T.workedOut(clockText(showing + explaining + drill))}
          </Action>
        )}
      </Flex>
      <Box fontSize="14px" color="inkSoft">
        {isByHand ? T.byHand : T.made(clockText(showing), clockText(explaining), clockText(drill))}
      </Box>
    </Box>
  );
};
