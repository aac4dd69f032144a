import {
  byFootage,
  sheetPartOf,
  sheetSourceFrom,
  type Angle,
  type Attempt,
  type CountingView,
  type Footage,
  type Library,
  type SheetPart,
  type SheetSource,
  type Words,
} from '@odograph/core';
import { useEffect, useMemo, useState } from 'react';
import { useLibrary, useWords } from '../library/index.js';

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

/** So long it works without letting the page do anything else. */
const SLICE_MS = 8;
const nextTask = (): Promise<void> =>
  new Promise((resolve) => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = () => {
      port1.close();
      resolve();
    };
    port2.postMessage(null);
  });

/** What sheets are made of in a view, put together in slices that don't hold up the page; while it isn't there, how far it is. */
export const useSheetSource = (
  view: CountingView,
): { readonly source: SheetSource | undefined; readonly share: number } => {
  const { attempts, footage, angles, files, principles } = useLibrary();
  const words = useWords();
  const [parts, setParts] = useState<readonly SheetPart[]>();
  const [share, setShare] = useState(0);
  useEffect(() => {
    let isOver = false;
    const work = async (): Promise<void> => {
      const of = byFootage({ attempts, angles, files });
      const byId = new Map(files.map((f) => [f.id, f]));
      const all: SheetPart[] = [];
      let until = performance.now() + SLICE_MS;
      for (const [i, one] of footage.entries()) {
        const own = of.get(one.id);
        if (own) all.push(partOf(one, own, byId, words));
        if (performance.now() < until) continue;
        setShare(i / footage.length);
        await nextTask();
        if (isOver) return;
        until = performance.now() + SLICE_MS;
      }
      if (!isOver) setParts(all);
    };
    void work();
    return () => {
      isOver = true;
    };
  }, [attempts, footage, angles, files, words]);
  const source = useMemo(
    () => parts && sheetSourceFrom(parts, { angles, files, principles }, view),
    [parts, angles, files, principles, view],
  );
  return { source, share };
};
