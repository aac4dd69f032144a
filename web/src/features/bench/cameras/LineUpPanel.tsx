import { Box, Flex } from '@chakra-ui/react';
import { fileTitle, type Angle } from '@odograph/core';
import { Action, Mono } from '../../../design/index.js';
import { CAMERA_TEXT as T, FOUND_TEXT } from './cameras.text.js';
import { Caps } from '../keys/index.js';
import { type Found, type LineUp } from './useLineUp.js';
import { type SameInstant } from './useSameInstant.js';

const foundText = (found: Found): string =>
  found.state === 'found' ? T.found(found.confidence) : FOUND_TEXT[found.state];

/** Parts in a million, from which on two clocks are said to differ. */
const LEAST_PPM = 1;

/** Where the camera in hand lies against the first, and how that is changed. */
export const LineUpPanel = ({
  angle,
  lineUp,
  same,
  onTakeOff,
}: {
  readonly angle: Angle;
  readonly lineUp: LineUp;
  readonly same: SameInstant;
  /** Takes the camera off; nothing where clips are cut from it. */
  readonly onTakeOff: (() => void) | undefined;
}): React.JSX.Element => {
  const { first, found, nudge, listen } = lineUp;
  if (!first)
    return (
      <Box fontSize="14px" color="inkSoft" marginTop="2">
        <Box>{T.isFirst}</Box>
        <Action fontSize="15px" paddingBlock="1" marginTop="1.5" onClick={same.remember}>
          {T.remember}
        </Action>
      </Box>
    );
  if (angle.region)
    return (
      <Box fontSize="14px" color="inkSoft" marginTop="2" data-testid="line-up">
        <Box>{T.isInset}</Box>
        {onTakeOff && (
          <Action tone="quiet" fontSize="15px" paddingBlock="1" marginTop="1.5" onClick={onTakeOff}>
            {T.takeOff}
          </Action>
        )}
      </Box>
    );
  const afterS = (angle.offsetMs - first.angle.offsetMs) / 1000;
  const ppm = (angle.rate / first.angle.rate - 1) * 1e6;
  return (
    <Box fontSize="14px" marginTop="2" data-testid="line-up">
      <Box>
        {T.starts} <Mono>{Math.abs(afterS).toFixed(3)}</Mono> s {afterS < 0 ? T.before : T.after}{' '}
        {fileTitle(first.file.name)}.
        {angle.kind === 'live' && Math.abs(ppm) >= LEAST_PPM && ` ${T.runs(Math.round(Math.abs(ppm)), ppm > 0)}`}
        {angle.kind === 'replay' && ` ${T.replaySpeed(angle.rate)}`}
      </Box>
      <Flex gap="2" marginTop="2" wrap="wrap">
        <Action fontSize="15px" paddingBlock="1" onClick={listen} disabled={found.state === 'listening'}>
          {T.listen}
        </Action>
        <Action fontSize="15px" paddingBlock="1" onClick={() => nudge(-1)}>
          {T.earlier}
        </Action>
        <Action fontSize="15px" paddingBlock="1" onClick={() => nudge(1)}>
          {T.later}
        </Action>
        {onTakeOff && (
          <Action tone="quiet" fontSize="15px" paddingBlock="1" onClick={onTakeOff}>
            {T.takeOff}
          </Action>
        )}
        {same.isRemembered && (
          <Action tone="next" fontSize="15px" paddingBlock="1" onClick={same.isHere}>
            {T.itIsHere}
          </Action>
        )}
      </Flex>
      <Box color="inkSoft" marginTop="1.5" role="status">
        <Caps
          text={
            foundText(found) ||
            (same.isContrary ? T.contrary : same.isRemembered ? T.remembered : same.pairs ? T.paired(same.pairs) : '')
          }
        />
      </Box>
    </Box>
  );
};
