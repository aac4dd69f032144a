import type { Instant } from '@odograph/core';
import type { ClipView } from '../library/index.js';
import { FrameVideo, type PlayerHandle } from '../player/index.js';
import { BoardHere } from './BoardHere.js';
import { captionAt } from './captionAt.js';
import { manner } from './manner.js';
import type { OnBench } from './useBenchClips.js';
import type { MatchClock } from './useClock.js';
import type { Overlay } from './useOverlay.js';

/** The picture, with captions on it where those are chosen, and the body board over a lower corner of it. */
export const PictureHere = ({
  bench,
  handle,
  clock,
  overlay,
  isMirrored,
  boardOf,
  isBoardAsked,
  now,
  onBoardLeft,
}: {
  readonly bench: OnBench;
  readonly handle: PlayerHandle;
  readonly clock: MatchClock;
  readonly overlay: Overlay;
  readonly isMirrored: boolean;
  /** The clip whose holds the board shows; undefined while it is shut. */ readonly boardOf: ClipView | undefined;
  readonly isBoardAsked: boolean;
  readonly now: () => Instant | undefined;
  readonly onBoardLeft: () => void;
}): React.JSX.Element => (
  <>
    <FrameVideo
      handle={handle}
      label={bench.footage.title}
      clock={clock.says}
      manner={manner}
      isMirrored={isMirrored}
      {...(overlay.kind === 'captions' && handle.table ? { caption: captionAt(overlay.captions, handle.table) } : {})}
    />
    {boardOf && (
      <BoardHere
        view={boardOf}
        handle={handle}
        now={now}
        isMirrored={isMirrored}
        isAsked={isBoardAsked}
        onLeave={onBoardLeft}
      />
    )}
  </>
);
