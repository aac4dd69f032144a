import { ANSWERING, gatheredFor, type CountingView, type Gathered, type SheetSource } from '@odograph/core';
import { useMemo } from 'react';
import type { GatheredIds } from '../../workers/map.protocol.js';
import { useAnswering, useClipViews, useLibrary, useSheetSource, useWords } from '../library/index.js';
import { clipsIn } from './collected.js';

/** The attempts of collections, each under the id of its collection; of one that isn't there, none. */
const useCollected = (ids: readonly string[]): GatheredIds => {
  const { collections } = useLibrary();
  const views = useClipViews();
  const words = useWords();
  const wanted = ids.join();
  // clips are only asked for where some collection is wanted: they change with every edit
  const asked = wanted ? views : undefined;
  return useMemo(
    () =>
      Object.fromEntries(
        (asked && wanted.split(','))?.map((id) => {
          const one = collections.find((c) => c.id === id);
          return [id, one ? [...new Set(clipsIn(one, asked ?? [], words).map((v) => v.attempt.id))] : []];
        }) ?? [],
      ),
    [wanted, collections, asked, words],
  );
};

/** What these views ask for by a name; undefined while it isn't all known. */
export const useGathered = (...views: readonly CountingView[]): GatheredIds | undefined => {
  const names = new Set(views.flatMap(gatheredFor));
  const isAsking = names.delete(ANSWERING);
  const answering = useAnswering(isAsking);
  const collected = useCollected([...names]);
  return useMemo(() => {
    if (isAsking) return answering && { ...collected, [ANSWERING]: answering };
    return collected;
  }, [isAsking, answering, collected]);
};

/** What sheets are made of in a view, its collection known; while it isn't there, how far it is. Nothing is done where it isn't wanted. */
export const useViewSource = (
  view: CountingView,
  isWanted = true,
): { readonly source: SheetSource | undefined; readonly share: number } => {
  const collected = useCollected(view.collection === undefined ? [] : [view.collection]);
  const gathered = useMemo(
    (): Gathered => new Map(Object.entries(collected).map(([id, ids]) => [id, new Set(ids)])),
    [collected],
  );
  return useSheetSource(view, gathered, isWanted);
};
