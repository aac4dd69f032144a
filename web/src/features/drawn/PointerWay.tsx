import { atPixels, frameStartS, pointerAt, type Drawing, type PictureSize, type Point } from '@odograph/core';
import { usePlayerState, type PlayerHandle } from '../player/index.js';

/** Where a pointer is on the picture. */
export const PointerDot = ({
  at,
  size,
  isMirrored,
}: {
  readonly at: Point;
  readonly size: PictureSize;
  readonly isMirrored: boolean;
}): React.JSX.Element => {
  const { x, y } = atPixels(at, size, isMirrored);
  return (
    <circle data-testid="pointer" cx={x} cy={y} r={size.height / 60} fill="#fff8e6" stroke="#0c0e0c" strokeWidth={2} />
  );
};

/** Where the pointer was when its way was recorded, with each frame. */
export const PointerWay = ({
  drawing,
  handle,
  size,
  isMirrored,
}: {
  readonly drawing: Drawing;
  readonly handle: PlayerHandle;
  readonly size: PictureSize;
  readonly isMirrored: boolean;
}): React.JSX.Element | null => {
  const frame = usePlayerState(handle, (s) => s.frame);
  const { table } = handle;
  if (!table) return null;
  const at = pointerAt(drawing, (frameStartS(table, frame) - frameStartS(table, drawing.from.frame)) * 1000);
  return at ? <PointerDot at={at} size={size} isMirrored={isMirrored} /> : null;
};
