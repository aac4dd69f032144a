import { flipPlace, type PlaceId } from '../attempts/index.js';
import type { Height } from '../map/index.js';
import type { Words } from '../vocabulary/index.js';
import {
  answersFound,
  answersSeen,
  cellsOf,
  columnKey,
  groupsOf,
  isHole,
  type Answered,
  type Met,
} from './answerTable.js';
import type { Case, SheetSource } from './cases.js';

/** Something to find or to film next: a reaction that nobody answers (`met`), or, where that is null, an action of theirs that works and that nobody answers. */
export type Hole = {
  /** Where one is, as one sees it oneself. */ readonly place: PlaceId;
  readonly action: string;
  readonly bait: boolean;
  readonly met: Met | null;
  readonly status: Answered;
  /** Rated attempts that met it, or in which they did it. */ readonly n: number;
  /** How often it comes, and how much height it costs then: their product is the weight. */
  readonly share: number;
  readonly cost: number;
  readonly weight: number;
  readonly attemptIds: readonly string[];
};

const mean = (values: readonly number[]): number | undefined =>
  values.length ? values.reduce((a, b) => a + b, 0) / values.length : undefined;

/** How much lower than a place attempts ended on average; nothing where they ended higher, or nobody knows where. `sign`: −1 where the other side tells it. */
const costOf = (height: number, cases: readonly Case[], sign: 1 | -1): number => {
  const ended = mean(cases.flatMap((c) => (c.endHeight === undefined ? [] : sign * c.endHeight)));
  return ended === undefined ? 0 : Math.max(0, height - ended);
};

/**
 * What to find or film next: reactions that were met and not come through, and that nobody was seen to answer; and what the other side does from the same place that worked and
 * was never answered. By how often it comes times the height it costs, then by how often, then by ids. Only a view with a point of view has another side.
 */
export const coverageOf = (
  source: SheetSource,
  heights: ReadonlyMap<string, Height>,
  words: Words,
): readonly Hole[] => {
  const found = answersFound(source);
  const all = source.cases.filter((c) => c.isRated && !c.isHeld && c.whose === 'own').length;
  const heightAt = (place: PlaceId): number => heights.get(place)?.height ?? 0;
  const holes: Hole[] = [];
  const add = (hole: Omit<Hole, 'share' | 'weight'>): void => {
    const share = all ? hole.n / all : 0;
    holes.push({ ...hole, share, weight: share * hole.cost });
  };
  for (const group of groupsOf(source.cases.filter((c) => c.whose === 'own')))
    for (const { column, status, n, attemptIds } of cellsOf(group, source, found, words)) {
      if (typeof column === 'string' || status === null || !isHole(status)) continue;
      const { from: place, action, attempt } = group[0]!;
      const rated = new Set(attemptIds);
      const met = group.filter((c) => c.isRated && rated.has(c.attempt.id));
      const cost = costOf(heightAt(place), met, 1);
      add({ place, action, bait: attempt.intent === 'bait', met: column, status, n, cost, attemptIds });
    }
  for (const group of groupsOf(source.cases.filter((c) => c.whose === 'their'))) {
    const rated = group.filter((c) => c.isRated);
    const isDangerous = rated.some((c) => c.attempt.result === 'success');
    const answers = answersSeen(group.flatMap((c) => (found.toAttempt.get(c.attempt.id) ?? []).map(({ by }) => by)));
    if (!isDangerous || answers.length) continue;
    const { from, action, attempt } = group[0]!;
    const place = flipPlace(from);
    const cost = costOf(heightAt(place), rated, -1);
    const attemptIds = group.map((c) => c.attempt.id);
    const n = rated.length;
    add({ place, action, bait: attempt.intent === 'bait', met: null, status: 'unanswered', n, cost, attemptIds });
  }
  const key = (h: Hole): string => `${h.place} ${h.action} ${h.bait ? 1 : 0} ${h.met ? columnKey(h.met) : ''}`;
  return holes.sort((a, b) => b.weight - a.weight || b.n - a.n || (key(a) < key(b) ? -1 : 1));
};
