import { timecode, type Instant } from '@odograph/core';
import { useWords, type ClipView } from '../library/index.js';
import { usePlayerState, type PlayerHandle } from '../player/index.js';
import { BodyBoard } from './BodyBoard.js';
import { useSaying } from './saying.js';

/** The body board, above the list, for the attempt in hand. Its instants are those of the frame that is shown. */
export const BoardHere = ({
  view,
  handle,
  now,
  isMirrored,
  isAsked,
  onTaken,
  onLeave,
}: {
  readonly view: ClipView;
  readonly handle: PlayerHandle;
  readonly now: () => Instant | undefined;
  readonly isMirrored: boolean;
  /** Opened by its key, so that it takes the hand; otherwise it shows what is being typed. */ readonly isAsked: boolean;
  readonly onTaken: () => void;
  readonly onLeave: () => void;
}): React.JSX.Element => {
  const words = useWords(view.footage.id);
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
      words={words}
      change={change}
      frame={isOwnCamera ? shown : attempt.start.frame}
      now={at}
      codeOf={(f) => (handle.table ? timecode(handle.table, f) : String(f))}
      isAsked={isAsked}
      onTaken={onTaken}
      onLeave={onLeave}
    />
  );
};
