import { Box } from '@chakra-ui/react';
import { timecode } from '@odograph/core';
import type { ReactNode } from 'react';
import { Mono, faultText } from '../../design/index.js';
import type { PlayerState } from './FramePlayer.js';
import { usePlayerState, type PlayerHandle } from './usePlayer.js';
import { FRAME_VIDEO_TEXT } from './player.text.js';

/** The picture with its time in a corner. `m:ss.ff` and the frame of the file stand at the lower right, off until something is loaded. */
export const FrameVideo = ({
  handle,
  label,
  manner,
  clock,
  caption,
  isMirrored = false,
  children,
}: {
  readonly handle: PlayerHandle;
  readonly label: string;
  /** How it is being played, beside the time. */
  readonly manner?: (state: PlayerState) => string;
  /** What the clock of the match showed at a frame. */
  readonly clock?: (frame: number) => string;
  /** What is said or shown as text at a frame. */
  readonly caption?: (frame: number) => string;
  /** Turned over, left for right. */
  readonly isMirrored?: boolean;
  /** What lies on the picture. */
  readonly children?: ReactNode;
}): React.JSX.Element => {
  const { table, src, medium, readyFrames, fault, onScreen } = handle;
  const state = usePlayerState(handle, (now) => now);
  const [says, reads, text] = [manner?.(state), clock?.(state.frame), caption?.(state.frame)];
  return (
    <Box
      position="relative"
      width="100%"
      height="100%"
      background="#000"
      data-testid="picture"
      data-frame={state.frame}
      data-settled={state.settled}
      data-playing={state.playing}
      data-mirrored={isMirrored}
    >
      {src === undefined ? (
        <Box role={fault ? 'alert' : 'status'} color="#efebdf" padding="8">
          {medium === undefined && fault && FRAME_VIDEO_TEXT.itCantBeStepped(faultText(fault))}
          {table && medium === undefined && !fault && FRAME_VIDEO_TEXT.itsBeingMadeReady}
        </Box>
      ) : (
        <video
          key={medium}
          ref={onScreen}
          src={src}
          preload="auto"
          playsInline
          aria-label={label}
          style={{
            width: '100%',
            height: '100%',
            objectFit: 'contain',
            display: 'block',
            ...(isMirrored ? { transform: 'scaleX(-1)' } : {}),
          }}
        />
      )}
      {children}
      {text && (
        <Box
          position="absolute"
          bottom="34px"
          left="10%"
          right="10%"
          textAlign="center"
          fontSize="18px"
          color="#efebdf"
          data-testid="caption"
        >
          <Box as="span" background="rgba(12, 14, 12, 0.78)" paddingInline="2" boxDecorationBreak="clone">
            {text}
          </Box>
        </Box>
      )}
      {table && readyFrames !== null && (
        <Box
          role="status"
          position="absolute"
          left="0"
          bottom="0"
          paddingInline="2.5"
          paddingBlock="0.5"
          fontSize="14px"
          color="#efebdf"
          background="rgba(12, 14, 12, 0.72)"
        >
          {FRAME_VIDEO_TEXT.readyUpToThe(timecode(table, readyFrames - 1))}
        </Box>
      )}
      {table && (
        <Mono
          position="absolute"
          right="0"
          bottom="0"
          paddingInline="2.5"
          paddingBlock="0.5"
          fontSize="15px"
          color="#efebdf"
          background="rgba(12, 14, 12, 0.72)"
        >
          {reads && (
            <Box as="span" marginRight="3" data-testid="match-clock">
              {reads}
            </Box>
          )}
          {isMirrored && (
            <Box as="span" fontFamily="heading" marginRight="3">
              {FRAME_VIDEO_TEXT.turnedOver}
            </Box>
          )}
          {says && (
            <Box as="span" fontFamily="heading" marginRight="3" data-testid="manner">
              {says}
            </Box>
          )}
          <span data-testid="timecode">{timecode(table, state.frame)}</span>
          <Box as="span" color="#b0ad9d" fontSize="13px">
            {FRAME_VIDEO_TEXT.frame(state.frame)}
          </Box>
        </Mono>
      )}
    </Box>
  );
};
