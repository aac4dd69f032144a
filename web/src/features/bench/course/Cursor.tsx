import { timecode, type TimeTable } from '@odograph/core';
import type { PointerEvent } from 'react';
import { usePlayerState, type PlayerHandle } from '../../player/index.js';
import { HEIGHT, LEFT } from './measures.js';
import { CURSOR_TEXT } from './course.text.js';

/** What is pointed at to go to a frame; said aloud, it is a slider. */
export const FrameSlider = ({
  handle,
  table,
  range,
  width,
  onPointer,
  onLeave,
}: {
  readonly handle: PlayerHandle;
  readonly table: TimeTable;
  readonly range: { readonly fromFrame: number; readonly toFrame: number };
  readonly width: number;
  readonly onPointer: (event: PointerEvent<SVGRectElement>) => void;
  readonly onLeave: () => void;
}): React.JSX.Element => {
  const frame = usePlayerState(handle, (state) => state.frame);
  return (
    <rect
      x={LEFT}
      y={0}
      width={width}
      height={HEIGHT}
      fill="transparent"
      tabIndex={0}
      role="slider"
      aria-label={CURSOR_TEXT.frame}
      aria-valuemin={range.fromFrame}
      aria-valuemax={range.toFrame - 1}
      aria-valuenow={frame}
      aria-valuetext={timecode(table, frame)}
      style={{ cursor: 'col-resize', touchAction: 'none' }}
      onPointerDown={onPointer}
      onPointerMove={onPointer}
      onPointerLeave={onLeave}
    />
  );
};

/** The frame in hand, across the line. */
export const Cursor = ({
  handle,
  xOf,
}: {
  readonly handle: PlayerHandle;
  readonly xOf: (frame: number) => number;
}): React.JSX.Element => {
  const x = xOf(usePlayerState(handle, (state) => state.frame));
  return (
    <g stroke="var(--od-ink)" pointerEvents="none">
      <path d={`M${x} 0V${HEIGHT}`} strokeWidth="1.3" />
      <path d={`M${x - 5} 0H${x + 5}L${x} 7Z`} fill="var(--od-ink)" />
    </g>
  );
};
