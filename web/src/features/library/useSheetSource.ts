import {
  answeringIn,
  byFootage,
  sheetPartOf,
  sheetSourceFrom,
  type Angle,
  type Attempt,
  type CountingView,
  type Footage,
  type Gathered,
  type Library,
  type SheetPart,
  type SheetSource,
  type Words,
} from '@odograph/core';
import { useEffect, useMemo, useState } from 'react';
import { useLibrary, useWords } from './useLibrary.js';
import { inSlices } from './slices.js';

/** The parts as they were made last, by their footage: one is made anew only where something of it has changed. */
type Made = {
  readonly attempts: readonly Attempt[];
  readonly angles: readonly Angle[];
  readonly words: Words;
  readonly part: SheetPart;
};
const made = new WeakMap<Footage, Made>();

const isSame = <T>(a: readonly T[], b: readonly T[]): boolean => a.length === b.length && a.every((x, i) => x === b[i]);

const partOf = (
  footage: Footage,
  of: { readonly attempts: readonly Attempt[]; readonly angles: readonly Angle[] },
  files: ReadonlyMap<string, Library['files'][number]>,
  words: Words,
): SheetPart => {
  const before = made.get(footage);
  if (before?.words === words && isSame(before.attempts, of.attempts) && isSame(before.angles, of.angles))
    return before.part;
  const needed = of.angles.flatMap((a) => files.get(a.fileId) ?? []);
  const part = sheetPartOf(footage, { ...of, files: needed }, words);
  made.set(footage, { ...of, words, part });
  return part;
};

/** The parts of all footage, one after the other. */
function* partsOf(
  { attempts, footage, angles, files }: Pick<Library, 'attempts' | 'footage' | 'angles' | 'files'>,
  words: Words,
): Generator<number, readonly SheetPart[]> {
  const of = byFootage({ attempts, angles, files });
  const byId = new Map(files.map((f) => [f.id, f]));
  const all: SheetPart[] = [];
  for (const [i, one] of footage.entries()) {
    const own = of.get(one.id);
    if (own) all.push(partOf(one, own, byId, words));
    yield (i + 1) / footage.length;
  }
  return all;
}

/** Work that goes on in slices for as long as it is asked for: its outcome, undefined while it isn't there, and how far it is. `steps` begins it; none: there is nothing to do yet. */
export const useInSlices = <T>(
  steps: (() => Iterator<number, T>) | undefined,
): { readonly done: T | undefined; readonly share: number } => {
  const [done, setDone] = useState<T>();
  const [share, setShare] = useState(0);
  useEffect(() => {
    if (!steps) return undefined;
    let isOver = false;
    void inSlices(steps(), () => isOver, setShare).then((all) => {
      if (!isOver && all !== undefined) setDone(all);
    });
    return () => {
      isOver = true;
    };
  }, [steps]);
  return { done, share };
};

const useParts = (isWanted: boolean): ReturnType<typeof useInSlices<readonly SheetPart[]>> => {
  const { attempts, footage, angles, files } = useLibrary();
  const words = useWords();
  const steps = useMemo(
    () => (): Iterator<number, readonly SheetPart[]> => partsOf({ attempts, footage, angles, files }, words),
    [attempts, footage, angles, files, words],
  );
  return useInSlices(isWanted ? steps : undefined);
};

/** The ids of the attempts that answer something; undefined while they aren't there, or aren't wanted. */
export const useAnswering = (isWanted: boolean): readonly string[] | undefined => {
  const { done: parts } = useParts(isWanted);
  return useMemo(() => (isWanted && parts ? answeringIn(parts) : undefined), [isWanted, parts]);
};

/**
 * What sheets are made of in a view, put together in slices that don't hold up the page; while it isn't there, how far it is. `gathered`: the collection,
 * where the view asks for one. Nothing is done where it isn't wanted.
 */
export const useSheetSource = (
  view: CountingView,
  gathered: Gathered,
  isWanted: boolean,
): { readonly source: SheetSource | undefined; readonly share: number } => {
  const { angles, files, principles } = useLibrary();
  const { done: parts, share } = useParts(isWanted);
  const source = useMemo(
    () => parts && sheetSourceFrom(parts, { angles, files, principles }, view, gathered),
    [parts, gathered, angles, files, principles, view],
  );
  return { source, share };
};
