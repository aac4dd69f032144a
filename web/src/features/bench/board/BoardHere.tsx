import { timecode, type Instant } from '@odograph/core';
import { type ClipView } from '../../library/index.js';
import { usePlayerState } from '../../player/index.js';
import type { Desk } from '../desk/index.js';
import { useSaying } from '../phrase/index.js';
import { BodyBoard } from './BodyBoard.js';

/** The body board for the attempt in hand. Its instants are those of the frame that is shown. */
export const BoardHere = ({
  desk: { handle, table, words, isMirrored, now, before },
  view,
  isAsked,
  onTaken,
  onLeave,
}: {
  readonly desk: Desk;
  readonly view: ClipView;
  /** Opened by its key, so that it takes the hand; otherwise it shows what is being typed. */ readonly isAsked: boolean;
  readonly onTaken: () => void;
  readonly onLeave: () => void;
}): React.JSX.Element => {
  const at = (): Instant => now() ?? view.attempt.start;
  const { attempt, change } = useSaying(view, isMirrored, at);
  const shown = usePlayerState(handle, (state) => state.frame);
  const isOwnCamera = view.clip.angleId === attempt.angleId;
  return (
    <BodyBoard
      key={view.clip.id}
      attempt={attempt}
      footage={view.footage}
      athletes={view.athletes}
      controlsBefore={before?.attempt.controls ?? []}
      words={words}
      change={change}
      frame={isOwnCamera ? shown : attempt.start.frame}
      now={at}
      codeOf={(f) => (table ? timecode(table, f) : String(f))}
      isAsked={isAsked}
      onTaken={onTaken}
      onLeave={onLeave}
    />
  );
};
