import { flipPlace, type PlaceId } from '../attempts/index.js';
import type { Height } from '../map/index.js';
import type { Words } from '../vocabulary/index.js';
import {
  answersFound,
  cellsOf,
  columnKey,
  groupsOf,
  isHole,
  type Answered,
  type AnswersFound,
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

type Bare = Omit<Hole, 'share' | 'weight'>;
type Within = {
  readonly source: SheetSource;
  readonly found: AnswersFound;
  readonly words: Words;
  readonly heightAt: (place: PlaceId) => number;
};

/** Reactions that a group met and that nobody answers. */
const holesOf = (group: readonly Case[], { source, found, words, heightAt }: Within): readonly Bare[] =>
  cellsOf(group, source, found, words).flatMap(({ column, status, n, attemptIds }): Bare[] => {
    if (typeof column === 'string' || status === null || !isHole(status)) return [];
    const { from: place, action, attempt } = group[0]!;
    const here = new Set(attemptIds);
    const met = group.filter((c) => c.isRated && here.has(c.attempt.id));
    const cost = costOf(heightAt(place), met, 1);
    return [{ place, action, bait: attempt.intent === 'bait', met: column, status, n, cost, attemptIds }];
  });

/** A group of theirs that worked and that nobody answers. */
const theirHoleOf = (group: readonly Case[], { found, heightAt }: Within): readonly Bare[] => {
  const rated = group.filter((c) => c.isRated);
  const isDangerous = rated.some((c) => c.attempt.result === 'success');
  const isAnswered = group.some((c) => found.toAttempt.has(c.attempt.id));
  if (!isDangerous || isAnswered) return [];
  const { from, action, attempt } = group[0]!;
  const place = flipPlace(from);
  const cost = costOf(heightAt(place), rated, -1);
  const attemptIds = group.map((c) => c.attempt.id);
  const of = { place, action, bait: attempt.intent === 'bait' };
  return [{ ...of, met: null, status: 'unanswered', n: rated.length, cost, attemptIds }];
};

const keyOf = (h: Hole): string => `${h.place} ${h.action} ${h.bait ? 1 : 0} ${h.met ? columnKey(h.met) : ''}`;

/**
 * What to find or film next: reactions that were met and not come through, and that nobody was seen to answer; and what the other side does from the same place that worked and
 * was never answered. By how often it comes times the height it costs, then by how often, then by ids. Only a view with a point of view has another side.
 * Step by step, a group each, so that whoever asks may do something else in between; a step gives the share that is done.
 */
export function* coverageSteps(
  source: SheetSource,
  heights: ReadonlyMap<string, Height>,
  words: Words,
): Generator<number, readonly Hole[]> {
  const within: Within = {
    ...{ source, words, found: answersFound(source) },
    heightAt: (place) => heights.get(place)?.height ?? 0,
  };
  const all = source.cases.filter((c) => c.isRated && !c.isHeld && c.whose === 'own').length;
  const [own, theirs] = (['own', 'their'] as const).map((whose) =>
    groupsOf(source.cases.filter((c) => c.whose === whose)),
  );
  const groups = own!.length + theirs!.length;
  const holes: Hole[] = [];
  for (const [i, group] of [...own!, ...theirs!].entries()) {
    for (const hole of i < own!.length ? holesOf(group, within) : theirHoleOf(group, within)) {
      const share = all ? hole.n / all : 0;
      holes.push({ ...hole, share, weight: share * hole.cost });
    }
    yield (i + 1) / groups;
  }
  return holes.sort((a, b) => b.weight - a.weight || b.n - a.n || (keyOf(a) < keyOf(b) ? -1 : 1));
}

/** The same at once. */
export const coverageOf = (...asked: Parameters<typeof coverageSteps>): readonly Hole[] => {
  const steps = coverageSteps(...asked);
  for (;;) {
    const { done, value } = steps.next();
    if (done) return value;
  }
};
