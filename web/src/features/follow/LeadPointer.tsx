import type { PictureSize, Point } from '@odograph/core';
import { useRef } from 'react';
import { OverPicture, placeIn } from '../drawn/index.js';

/** Lies on the picture of whoever leads, and tells where the pointer is on it; null where it has left. */
export const LeadPointer = ({
  size,
  isMirrored,
  onPoint,
}: {
  readonly size: PictureSize;
  readonly isMirrored: boolean;
  readonly onPoint: (at: Point | null) => void;
}): React.JSX.Element => {
  const svg = useRef<SVGSVGElement>(null);
  return (
    <OverPicture
      ref={svg}
      size={size}
      aria-hidden
      onPointerMove={(event) => onPoint(placeIn(svg.current, event, size, isMirrored) ?? null)}
      onPointerLeave={() => onPoint(null)}
    />
  );
};
