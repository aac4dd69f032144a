import { Box, Flex } from '@chakra-ui/react';
import { sizeSeen, type Angle, type Drawing, type MediaFile, type PictureSize, type Point } from '@odograph/core';
import type { LeadView } from '@odograph/core/contract';
import { useEffect, useRef, useState } from 'react';
import { Action, Heading } from '../../design/index.js';
import { DrawnShapes, OverPicture, PointerDot, drawnSaid, placeIn, useDrawnHere } from '../drawn/index.js';
import { useLibrary, useMayWrite } from '../library/index.js';
import { FrameVideo, partOf, usePlayer, type PlayerHandle } from '../player/index.js';
import { FOLLOW_TEXT as T } from './follow.text.js';
import { LeadLine } from './LeadLine.js';
import { useFollowing, type Follow } from './useFollowing.js';
import { useLeading } from './useLeading.js';

/** What plays by itself may run so many frames apart before it is brought back. */
const APART = 6;
const NONE: readonly Drawing[] = [];

/** Brings a player to what whoever leads sees. */
const bring = ({ player }: PlayerHandle, { frame, playing, speed, backwards, loop }: LeadView): void => {
  if (!player) return;
  const now = player.snapshot();
  const isLike =
    now.playing === playing &&
    now.speed === speed &&
    now.backwards === backwards &&
    JSON.stringify(now.loop) === JSON.stringify(loop);
  const apart = Math.abs(player.meant() - frame);
  if (isLike && apart <= (playing ? APART : 0)) return;
  if (isLike && !playing) player.seek(frame);
  else player.goOn({ frame, playing, speed, backwards, loop });
};

/** What is drawn on the frame that is shown, and where the pointer of whoever leads is. */
const OnPicture = ({
  handle,
  view,
  size,
  pointer,
  onPointer,
}: {
  readonly handle: PlayerHandle;
  readonly view: LeadView;
  readonly size: PictureSize;
  readonly pointer: Point | null;
  readonly onPointer: ((at: Point | null) => void) | null;
}): React.JSX.Element => {
  const svg = useRef<SVGSVGElement>(null);
  const { isMirrored } = view;
  const here = useDrawnHere(handle, view.angleId).shown;
  const drawings = view.hasDrawings ? here : NONE;
  return (
    <OverPicture
      ref={svg}
      size={size}
      role="img"
      aria-label={drawnSaid(drawings, size)}
      data-testid="drawn"
      onPointerMove={(event) => onPointer?.(placeIn(svg.current, event, size, isMirrored) ?? null)}
      onPointerLeave={() => onPointer?.(null)}
    >
      <DrawnShapes {...{ drawings, handle, isMirrored, size }} />
      {pointer && <PointerDot at={pointer} size={size} isMirrored={isMirrored} />}
    </OverPicture>
  );
};

/** The picture of one camera as whoever leads sees it; looked at for oneself by the keys of the bench, until `B` brings it back. */
const Followed = ({
  view,
  angle,
  file,
  follow,
}: {
  readonly view: LeadView;
  readonly angle: Angle;
  readonly file: MediaFile;
  readonly follow: Follow;
}): React.JSX.Element => {
  const [opening] = useState(() => ({ frame: view.frame, loop: view.loop, play: false }));
  const handle = usePlayer(file, opening, angle);
  const [isAway, setAway] = useState(false);
  const { isLead } = follow;
  const mayWrite = useMayWrite();
  const { title } = useLibrary().footage.find((f) => f.id === angle.footageId) ?? { title: '' };
  const point = useLeading(handle, isLead, follow.say, {
    ...{ angleId: angle.id, isMirrored: view.isMirrored, hasDrawings: view.hasDrawings },
  });
  useEffect(() => {
    if (!isLead && !isAway) bring(handle, view);
  }, [handle, view, isLead, isAway]);
  useEffect(() => {
    const { player } = handle;
    const keys: Readonly<Record<string, () => void>> = {
      ArrowLeft: () => player?.step(-1),
      ArrowRight: () => player?.step(1),
      ' ': () => player?.toggle(),
    };
    const onKey = (event: KeyboardEvent): void => {
      if (event.target instanceof HTMLElement && ['BUTTON', 'INPUT'].includes(event.target.tagName)) return;
      if (event.key === 'b') setAway(false);
      const does = keys[event.key];
      if (!does) return;
      event.preventDefault();
      setAway(true);
      does();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [handle]);
  return (
    <>
      <LeadLine follow={follow} mayLead={mayWrite}>
        {isAway && !isLead && (
          <>
            <Box color="inkSoft">{T.away}</Box>
            <Action onClick={() => setAway(false)}>{T.back}</Action>
          </>
        )}
      </LeadLine>
      <Box flex="1" minHeight="0" position="relative">
        <FrameVideo handle={handle} label={title} isMirrored={view.isMirrored} part={partOf(angle, file)}>
          <OnPicture
            {...{ handle, view }}
            size={sizeSeen(angle, file)}
            pointer={isLead || isAway ? null : view.pointer}
            onPointer={isLead ? point : null}
          />
        </FrameVideo>
      </Box>
    </>
  );
};

/** A second window, a tablet or a wall that shows what whoever leads sees, from its own copy of the footage. */
export const FollowScreen = (): React.JSX.Element => {
  const follow = useFollowing(true);
  const { angles, files } = useLibrary();
  const { now } = follow;
  // who has just taken the wheel sees what was seen last until something is said
  const [last, setLast] = useState<LeadView | null>(null);
  if (now?.view && now.view !== last) setLast(now.view);
  const view = now?.view ?? (now?.lead ? last : null);
  const angle = view && angles.find((a) => a.id === view.angleId);
  const file = angle && files.find((f) => f.id === angle.fileId);
  return (
    <Flex direction="column" height="100%" data-testid="follow">
      {view && angle && file ? (
        <Followed key={angle.id} {...{ view, angle, file, follow }} />
      ) : (
        <>
          <LeadLine follow={follow} mayLead={false} />
          <Box padding="8" maxWidth="640px">
            <Heading marginBottom="3">{T.title}</Heading>
            <Box>{view ? T.notHere : T.nobody}</Box>
          </Box>
        </>
      )}
    </Flex>
  );
};
