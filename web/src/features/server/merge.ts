import { LISTS, upsert, type Library } from '@odograph/core';
import type { Changed } from '@odograph/core/contract';

/** The library, and which version of the server's it is; that of rows merged in singly is not followed. */
export type VersionedLibrary = Library & { readonly version?: number };

type Kept = { readonly id: string };

const without = <T extends Kept>(rows: readonly T[], gone: ReadonlySet<string>): readonly T[] =>
  gone.size > 0 && rows.some((row) => gone.has(row.id)) ? rows.filter((row) => !gone.has(row.id)) : rows;

/** Whether two libraries hold the same rows, whatever version the server says they are. */
export const isSameRows = (a: VersionedLibrary | undefined, b: VersionedLibrary | undefined): boolean => {
  if (!a || !b || a === b) return a === b;
  const keys = Object.keys({ ...a, ...b }) as (keyof VersionedLibrary)[];
  return keys.every((key) => key === 'version' || a[key] === b[key]);
};

/** The library with what an edit touched as it is now; the rows it removed are gone. */
export const mergeChanged = (library: Library, changed: Changed): Library => {
  const gone = new Set(changed.removed);
  const laid = <T extends Kept>(rows: readonly T[], now: readonly T[]): readonly T[] =>
    without(upsert(rows, now), gone);
  return {
    ...library,
    ...Object.fromEntries(
      Object.values(LISTS).map((list) => [list, laid<Kept>(library[list], changed[list] ?? [])] as const),
    ),
    wordChanges: changed.wordChanges ?? library.wordChanges,
  };
};
