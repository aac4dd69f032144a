import { sizeSeen } from '@odograph/core';
import { useEffect, useRef } from 'react';
import { OverPicture, placeIn } from '../drawn/index.js';
import { useLeading } from '../follow/index.js';
import type { ClipView } from '../library/index.js';
import { FrameVideo, partOf, playsByItself, usePlayer } from '../player/index.js';
import type { RouteLeading } from './RouteLead.js';

/** The clip of a step, over and over; while the route leads, whoever follows sees the same, and the pointer. */
export const RouteScreen = ({
  view,
  lead: { follow },
}: {
  readonly view: ClipView;
  readonly lead: RouteLeading;
}): React.JSX.Element => {
  const { clip, angle, file } = view;
  const handle = usePlayer(file, {
    frame: clip.in.frame,
    loop: { inFrame: clip.in.frame, outFrame: clip.out.frame },
    play: playsByItself(),
  });
  const point = useLeading(handle, follow.isLead, follow.say, {
    ...{ angleId: angle.id, isMirrored: false, hasDrawings: false },
  });
  const svg = useRef<SVGSVGElement>(null);
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.key !== ' ' || (event.target instanceof HTMLElement && event.target.tagName === 'BUTTON')) return;
      event.preventDefault();
      handle.player?.toggle();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [handle.player]);
  const size = sizeSeen(angle, file);
  return (
    <FrameVideo handle={handle} label={view.footage.title} part={partOf(angle, file)}>
      {follow.isLead && (
        <OverPicture
          ref={svg}
          size={size}
          aria-hidden
          onPointerMove={(event) => point(placeIn(svg.current, event, size, false) ?? null)}
          onPointerLeave={() => point(null)}
        />
      )}
    </FrameVideo>
  );
};
