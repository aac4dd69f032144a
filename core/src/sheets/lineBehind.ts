import type { PlaceId } from '../attempts/index.js';
import { isOfLine, type Case } from './cases.js';

/** A line of the map by what it says. */
export type WayOn = { readonly from: PlaceId; readonly action: string; readonly to: PlaceId };

/**
 * The line that some attempts mostly went: of own attempts of a view, baits and what only changes holds left out, the one with the most that worked, then the most tried,
 * then by its name. Undefined where there is none.
 */
export const lineBehind = (attemptIds: readonly string[], cases: readonly Case[]): WayOn | undefined => {
  const wanted = new Set(attemptIds);
  const lines = new Map<string, WayOn & { worked: number; n: number }>();
  for (const c of cases) {
    const { attempt, from, action, to } = c;
    if (!wanted.has(attempt.id) || !isOfLine(c)) continue;
    const key = `${from} ${action} ${to}`;
    const line = lines.get(key) ?? { from, action, to, worked: 0, n: 0 };
    lines.set(key, { ...line, n: line.n + 1, worked: line.worked + (attempt.result === 'success' ? 1 : 0) });
  }
  const [best] = [...lines].sort(([a, x], [b, y]) => y.worked - x.worked || y.n - x.n || (a < b ? -1 : 1));
  return best && { from: best[1].from, action: best[1].action, to: best[1].to };
};
