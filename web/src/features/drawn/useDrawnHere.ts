import { drawnAt, type Drawing } from '@odograph/core';
import { useMemo } from 'react';
import { useLibrary } from '../library/index.js';
import { usePlayerState, type PlayerHandle } from '../player/index.js';

/** What is drawn on a camera in the order of its frames, and what of it lies on the frame that is shown: made anew only where that is another, not with each frame. */
export const useDrawnHere = (
  handle: PlayerHandle,
  angleId: string,
): { readonly all: readonly Drawing[]; readonly shown: readonly Drawing[] } => {
  const { drawings } = useLibrary();
  const all = useMemo(
    () => drawings.filter((d) => d.angleId === angleId).sort((a, b) => a.from.frame - b.from.frame),
    [drawings, angleId],
  );
  const ids = usePlayerState(handle, ({ frame }) =>
    drawnAt(all, angleId, frame)
      .map((d) => d.id)
      .join(' '),
  );
  const shown = useMemo(() => all.filter((d) => ids.includes(d.id)), [all, ids]);
  return { all, shown };
};
