import { sizeSeen } from '@odograph/core';
import { useEffect } from 'react';
import { LeadPointer, useLeading } from '../follow/index.js';
import type { ClipView } from '../library/index.js';
import { FrameVideo, partOf, playsByItself, usePlayer } from '../player/index.js';
import type { RouteLeading } from './RouteLead.js';

/** The clip of a step, over and over; while the route leads, whoever follows sees the same, and the pointer. */
export const RouteScreen = ({
  view,
  isMirrored,
  lead: { follow },
}: {
  readonly view: ClipView;
  readonly isMirrored: boolean;
  readonly lead: RouteLeading;
}): React.JSX.Element => {
  const { clip, angle, file } = view;
  const handle = usePlayer(file, {
    frame: clip.in.frame,
    loop: { inFrame: clip.in.frame, outFrame: clip.out.frame },
    play: playsByItself(),
  });
  const point = useLeading(handle, follow.isLead, follow.say, {
    ...{ angleId: angle.id, isMirrored, hasDrawings: false },
  });
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.key !== ' ' || (event.target instanceof HTMLElement && event.target.tagName === 'BUTTON')) return;
      event.preventDefault();
      handle.player?.toggle();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [handle.player]);
  return (
    <FrameVideo handle={handle} label={view.footage.title} part={partOf(angle, file)} isMirrored={isMirrored}>
      {follow.isLead && <LeadPointer size={sizeSeen(angle, file)} isMirrored={isMirrored} onPoint={point} />}
    </FrameVideo>
  );
};
