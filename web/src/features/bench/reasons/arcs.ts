/** A link as an arc beside the rows of its details, in rows counted from 0. */
export type Arc = { readonly id: string; readonly from: number; readonly to: number };
/** An arc with the lane it runs in: 0 is nearest to the rows. */
export type LaidArc = Arc & { readonly lane: number };

const isTogether = (a: Arc, b: Arc): boolean =>
  Math.min(a.from, a.to) < Math.max(b.from, b.to) && Math.min(b.from, b.to) < Math.max(a.from, a.to);

/** Arcs in as few lanes as they need so that no two that lie beside each other share one; short ones lie nearer. */
export const laidOut = (arcs: readonly Arc[]): readonly LaidArc[] => {
  const laid: LaidArc[] = [];
  const length = ({ from, to }: Arc): number => Math.abs(from - to);
  for (const arc of [...arcs].sort((a, b) => length(a) - length(b) || (a.id < b.id ? -1 : 1))) {
    const taken = new Set(laid.filter((other) => isTogether(arc, other)).map((other) => other.lane));
    let lane = 0;
    while (taken.has(lane)) lane++;
    laid.push({ ...arc, lane });
  }
  return laid;
};
