import { Box } from '@chakra-ui/react';
import { sizeSeen, timecode, type Angle, type MediaFile, type Region } from '@odograph/core';
import type { CSSProperties, ReactNode } from 'react';
import { Mono, faultText } from '../../design/index.js';
import type { PlayerState } from './FramePlayer.js';
import { usePlayerState, type PlayerHandle } from './usePlayer.js';
import { FRAME_VIDEO_TEXT } from './player.text.js';

/** A part of a picture: an inset, with the shape that it has, width / height. */
export type Part = { readonly region: Region; readonly shape: number };

/** The part of a file's picture that an angle shows; undefined where it shows all of it. */
export const partOf = (angle: Pick<Angle, 'region'>, file: Pick<MediaFile, 'width' | 'height'>): Part | undefined => {
  if (!angle.region) return undefined;
  const { width, height } = sizeSeen(angle, file);
  return { region: angle.region, shape: width / height };
};

/** A box of the part's shape, as large as there is room, that shows the part of the picture and nothing beside it. */
const partStyles = ({ region, shape }: Part): { readonly box: CSSProperties; readonly picture: CSSProperties } => {
  const [width, height] = [region.right - region.left, region.bottom - region.top];
  return {
    box: {
      ...{ position: 'relative', overflow: 'hidden', aspectRatio: String(shape) },
      width: `min(100cqw, 100cqh * ${shape})`,
    },
    picture: {
      ...{ position: 'absolute', maxWidth: 'none', objectFit: 'fill' },
      ...{ width: `${100 / width}%`, height: `${100 / height}%` },
      ...{ left: `${(-100 * region.left) / width}%`, top: `${(-100 * region.top) / height}%` },
    },
  };
};

const WHOLE = { width: '100%', height: '100%' } as const;

/** The picture with its time in a corner. `m:ss.ff` and the frame of the file stand at the lower right, off until something is loaded. */
export const FrameVideo = ({
  handle,
  label,
  manner,
  clock,
  caption,
  isMirrored = false,
  isQuiet = false,
  part,
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
  /** Nothing is written on it. */
  readonly isQuiet?: boolean;
  /** Only this part of it is shown. */
  readonly part?: Part | undefined;
  /** What lies on the picture. */
  readonly children?: ReactNode;
}): React.JSX.Element => {
  const { table, src, medium, readyFrames, fault, onScreen } = handle;
  const state = usePlayerState(handle, (now) => now);
  const [says, reads, text] = [manner?.(state), clock?.(state.frame), caption?.(state.frame)];
  const styles = part && partStyles(part);
  const turned = isMirrored ? { transform: 'scaleX(-1)' } : {};
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
        <Box
          width="100%"
          height="100%"
          {...(styles ? { display: 'grid', placeItems: 'center', containerType: 'size' } : {})}
          style={turned}
        >
          <div style={styles?.box ?? WHOLE} data-testid={styles && 'part'}>
            <video
              key={medium}
              ref={onScreen}
              src={src}
              preload="auto"
              playsInline
              aria-label={label}
              style={{ ...WHOLE, objectFit: 'contain', display: 'block', ...styles?.picture }}
            />
          </div>
        </Box>
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
      {table && !isQuiet && (
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
