import type { Arc, Band } from '@odograph/core';

/** Whose steps: of the side that acts alone, or of either. */
export type Sides = 'own' | 'both';
/** What is asked: how it goes on from a place over counted steps, and how far that can be believed. */
export type ChancesQuestion = {
  readonly place: string;
  readonly sides: Sides;
  readonly arcs: readonly Arc[];
};
export type Uncertain = { readonly at: number; readonly band: Band };
export type Chances = {
  /** The most likely first; those of no chance left out. */
  readonly endings: readonly (Uncertain & { readonly ending: string })[];
  readonly steps: Uncertain;
  readonly points: Uncertain;
};
export type ChancesWorker = {
  /** Null where nothing is counted from there; `onShare` is told how far it is. */
  readonly chances: (question: ChancesQuestion, onShare: (share: number) => void) => Chances | null;
};
