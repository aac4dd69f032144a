import type { Drawing, PictureSize } from '@odograph/core';
import { useDeferredValue } from 'react';
import type { PlayerHandle } from '../player/index.js';
import { Drawn } from './Drawn.js';
import { PointerWay } from './PointerWay.js';

const NONE: readonly Drawing[] = [];

/** Drawings on the picture, with the pointer's way where one was kept. Many shapes are drawn piece by piece, and keys go on meanwhile. */
export const DrawnShapes = ({
  drawings,
  handle,
  size,
  isMirrored,
  pickedId = null,
  hasPointer = true,
}: {
  readonly drawings: readonly Drawing[];
  readonly handle: PlayerHandle;
  readonly size: PictureSize;
  readonly isMirrored: boolean;
  readonly pickedId?: string | null;
  readonly hasPointer?: boolean;
}): React.JSX.Element => (
  <>
    {useDeferredValue(drawings, NONE).map((drawing) => (
      <g key={drawing.id}>
        {drawing.shapes.map((shape) => (
          <Drawn key={shape.id} {...{ shape, size, isMirrored }} isPicked={shape.id === pickedId} />
        ))}
        {drawing.track.length > 0 && hasPointer && <PointerWay {...{ drawing, handle, size, isMirrored }} />}
      </g>
    ))}
  </>
);
