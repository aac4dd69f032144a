import { sizeSeen, timecode } from '@odograph/core';
import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { Action } from '../../../design/index.js';
import { FOLLOW_TEXT as T, LeadLine, LeadPointer, useFollowing, useLeading } from '../../follow/index.js';
import type { PlayerState } from '../../player/index.js';
import type { Desk, Room } from '../desk/index.js';

/** Leading others: while it's on, what is seen on the bench is seen wherever somebody follows; a kept instant brings all of them back to it. */
export const useLeadRoom = (
  desk: Desk,
  hasDrawings: boolean,
): { readonly room: Room; readonly onPicture: ReactNode } => {
  const { bench, handle, table, isMirrored, mayWrite } = desk;
  const { player } = handle;
  const [isOn, setOn] = useState(false);
  const [kept, keep] = useState<(PlayerState & { readonly angleId: string }) | null>(null);
  const follow = useFollowing(isOn);
  const { isLead } = follow;
  const point = useLeading(handle, isLead, follow.say, { angleId: bench.angle.id, isMirrored, hasDrawings });
  const toggle = (): void => {
    if (isOn && isLead) follow.wheel('leave');
    if (!isOn) follow.wheel('take');
    setOn(!isOn);
  };
  /** Keeps the instant that is shown with its speed and loop; pressed again, brings it back. */
  const back = (): void => {
    if (!player) return;
    if (kept?.angleId === bench.angle.id) {
      player.goOn(kept);
      keep(null);
    } else keep({ ...player.snapshot(), frame: player.meant(), angleId: bench.angle.id });
  };
  const here = kept?.angleId === bench.angle.id ? kept : null;
  return {
    onPicture: isLead && (
      <LeadPointer size={sizeSeen(bench.angle, bench.file)} isMirrored={isMirrored} onPoint={point} />
    ),
    room: {
      keys: { ...(mayWrite ? { '>': toggle } : {}), '<': back },
      ...((isOn || here) && {
        above: (
          <LeadLine follow={follow} mayLead={isOn} onStop={toggle}>
            {isOn && (
              <Link to="/follow" target="_blank">
                {T.open}
              </Link>
            )}
            {isOn && !isLead && (
              <Action tone="quiet" onClick={toggle}>
                {T.close}
              </Action>
            )}
            {here && table && (
              <>
                {T.kept(timecode(table, here.frame))}
                <Action tone="quiet" onClick={back}>
                  {T.backTo}
                </Action>
              </>
            )}
          </LeadLine>
        ),
      }),
    },
  };
};
