import type { TimeTable } from '@odograph/core';
import { useCallback } from 'react';
import { useDispatch } from 'react-redux';
import { libraryApi } from '../server/index.js';
import { useLibrary } from './useLibrary.js';

/** Gives the presentation times of all files of the given angles, asked for where they are not here yet. */
export const useTables = (): ((angleIds: readonly string[]) => Promise<ReadonlyMap<string, TimeTable>>) => {
  const { angles } = useLibrary();
  const dispatch = useDispatch();
  return useCallback(
    async (angleIds) => {
      const byFile = new Map<string, TimeTable>();
      const wanted = angles.filter((a) => angleIds.includes(a.id));
      for (const fileId of new Set(wanted.map((a) => a.fileId))) {
        const asked = dispatch(
          libraryApi.endpoints.times.initiate(`${fileId}/times`, { subscribe: false }) as never,
        ) as Promise<{ readonly data?: TimeTable }>;
        const { data } = await asked;
        if (data) byFile.set(fileId, data);
      }
      return new Map(
        wanted.flatMap((a): [string, TimeTable][] => {
          const table = byFile.get(a.fileId);
          return table ? [[a.id, table]] : [];
        }),
      );
    },
    [angles, dispatch],
  );
};
