import type { Arc, Hub } from '@odograph/core';

/** How a map hangs together. Places that nothing else hangs on are left out of what they don't belong to. */
export type Shape = {
  readonly hubs: readonly Hub[];
  readonly islands: readonly (readonly string[])[];
  readonly deadEnds: readonly string[];
  /** Of at most three places; `isCut`: there are more than are listed. */
  readonly loops: { readonly isCut: boolean; readonly loops: readonly (readonly string[])[] };
};
export type ShapeWorker = { readonly shape: (arcs: readonly Arc[]) => Shape };
