import { timedOf, type Angle, type Footage, type MediaFile, type Timed } from '@odograph/core';
import { useMemo } from 'react';
import { useClipViews, useLibrary, type ClipView } from '../library/index.js';

/** One footage on the bench: its first angle, its clips in order, its attempts with their instants. */
export type OnBench = {
  readonly footage: Footage;
  readonly angle: Angle;
  readonly file: MediaFile;
  readonly athletes: Readonly<Record<'a' | 'b', string>>;
  readonly clips: readonly ClipView[];
  readonly timed: readonly Timed[];
};

/** What lies on the bench; undefined where there is no such footage. */
export const useOnBench = (footageId: string | undefined): OnBench | undefined => {
  const library = useLibrary();
  const views = useClipViews();
  return useMemo(() => {
    const footage = library.footage.find((f) => f.id === footageId);
    const angle = library.angles.find((a) => a.footageId === footageId);
    const file = library.files.find((f) => f.id === angle?.fileId);
    if (!footage || !angle || !file) return undefined;
    const name = (id: string): string => library.persons.find((p) => p.id === id)?.name ?? 'unknown';
    return {
      footage,
      angle,
      file,
      athletes: { a: name(footage.athleteA), b: name(footage.athleteB) },
      clips: views.filter((v) => v.footage.id === footage.id),
      timed: timedOf(library, footage.id),
    };
  }, [library, views, footageId]);
};
