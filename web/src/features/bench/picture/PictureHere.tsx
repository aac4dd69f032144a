import type { ReactNode } from 'react';
import { FrameVideo, partOf, type PlayerHandle } from '../../player/index.js';
import { captionAt } from './captionAt.js';
import { manner } from './manner.js';
import { type OnBench } from '../desk/index.js';
import { type MatchClock } from '../clock/index.js';
import { type Overlay } from './useOverlay.js';

/** The picture, with captions on it where those are chosen. */
export const PictureHere = ({
  bench,
  handle,
  clock,
  overlay,
  isMirrored,
  children,
}: {
  readonly bench: OnBench;
  readonly handle: PlayerHandle;
  readonly clock: MatchClock;
  readonly overlay: Overlay;
  readonly isMirrored: boolean;
  /** What lies on the picture. */ readonly children?: ReactNode;
}): React.JSX.Element => (
  <FrameVideo
    handle={handle}
    label={bench.footage.title}
    clock={clock.says}
    manner={manner}
    isMirrored={isMirrored}
    part={partOf(bench.angle, bench.file)}
    {...(overlay.kind === 'captions' && handle.table ? { caption: captionAt(overlay.captions, handle.table) } : {})}
  >
    {children}
  </FrameVideo>
);
