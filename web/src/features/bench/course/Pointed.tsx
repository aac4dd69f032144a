import { Box } from '@chakra-ui/react';
import { timecode, type TimeTable } from '@odograph/core';
import type { Look } from '@odograph/core/contract';
import { Mono } from '../../../design/index.js';

type Props = {
  readonly fileId: string;
  readonly look: Look;
  readonly table: TimeTable;
  readonly frame: number;
  readonly x: number;
  readonly width: number;
};

/** What stands in the picture strip near the place that is pointed at. It is near, not exact: the time of the picture it shows stands under it. */
export const Pointed = ({ fileId, look, table, frame, x, width }: Props): React.JSX.Element | null => {
  const { frames, columns, width: w, height: h } = look.tiles;
  if (!frames.length) return null;
  const at = frames.reduce((best, f, i) => (Math.abs(f - frame) < Math.abs(frames[best]! - frame) ? i : best), 0);
  return (
    <Box
      position="absolute"
      left={`${Math.min(Math.max(4, x - w / 2), width - w - 4)}px`}
      bottom="100%"
      zIndex="1"
      pointerEvents="none"
      background="ground"
      borderWidth="1px"
      borderColor="field"
      data-testid="pointed"
    >
      <Box
        width={`${w}px`}
        height={`${h}px`}
        backgroundImage={`url(/api/files/${fileId}/strip)`}
        backgroundPosition={`-${(at % columns) * w}px -${Math.floor(at / columns) * h}px`}
      />
      <Mono display="block" fontSize="12px" paddingInline="1.5">
        {timecode(table, frames[at]!)}
      </Mono>
    </Box>
  );
};
