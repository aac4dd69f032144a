/** How long something was kept, in seconds; `isLost`: until it was lost. Otherwise nobody saw how much longer. */
export type Kept = { readonly s: number; readonly isLost: boolean };
/** So many were still kept at that time, so many of them were lost at it, and the share that is kept longer. */
export type SurvivalStep = { readonly s: number; readonly kept: number; readonly lost: number; readonly share: number };
export type Survival = {
  readonly n: number;
  readonly lost: number;
  readonly steps: readonly SurvivalStep[];
  /** The time after which half of them are lost; null where more than half are kept longer than `longest`. */ readonly medianS:
    number | null;
  readonly longestS: number;
};

/**
 * How long something is kept, where for some nobody saw the end (Kaplan and Meier 1958). What was still kept at a time counts among those that could have been lost at it.
 * @example 2 lost, 3 kept, 4 lost, 4 lost, 5 kept, 7 lost: .8333 after 2, .4167 after 4, 0 after 7; median 4
 */
export const survivalOf = (all: readonly Kept[]): Survival => {
  const times = [...new Set(all.flatMap(({ s, isLost }) => (isLost ? s : [])))].sort((a, b) => a - b);
  let share = 1;
  const steps = times.map((s): SurvivalStep => {
    const kept = all.filter((one) => one.s >= s).length;
    const lost = all.filter((one) => one.isLost && one.s === s).length;
    share *= 1 - lost / kept;
    return { s, kept, lost, share };
  });
  return {
    n: all.length,
    lost: all.filter((one) => one.isLost).length,
    steps,
    medianS: steps.find((step) => step.share <= 0.5)?.s ?? null,
    longestS: Math.max(0, ...all.map(({ s }) => s)),
  };
};
