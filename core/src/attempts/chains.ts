import type { Words } from '../vocabulary/index.js';
import { defaultHeight, finishId, flipPlace, foldPlace, stateId, type PlaceId } from './places.js';
import { finishOf } from './standing.js';
import type { Attempt, Subject } from './types.js';

/** An attempt with its instants in seconds of footage time. `commitS` is the start where none is marked. */
export type Timed = {
  readonly attempt: Attempt;
  readonly startS: number;
  readonly commitS: number;
  readonly endS: number;
};

export type Link =
  | { readonly from: string; readonly to: string; readonly kind: 'touching' | 'gap' | 'counter' | 'restart' | 'set' }
  | { readonly from: string; readonly to: string; readonly kind: 'seam' };

const TOUCHING_S = 2;
const GAP_S = 10;

const latest = (a: Timed, b: Timed): number =>
  b.endS - a.endS || b.startS - a.startS || (b.attempt.id < a.attempt.id ? -1 : 1);

/** Where an attempt left things, as one side sees it: the place, and whether it came by a restart. */
const leftIn = (timed: Timed, viewer: Subject, words: Words): { place: PlaceId; restart: boolean } | undefined => {
  const finish = finishOf(timed.attempt, words)?.finish;
  if (!finish) return undefined;
  if (finish.kind === 'reset') return finish.restart ? { place: stateId(finish.restart), restart: true } : undefined;
  const place = finishId(finish);
  return { place: timed.attempt.subject === viewer ? place : flipPlace(place), restart: false };
};

/**
 * Links between the attempts of one footage (the model's section 7): a counter follows what it counters; any other follows, of the attempts that
 * began before it and whose middle is not after its start, the latest by (end, start, id), if that left things where this one starts.
 * Up to 2 s apart they touch, up to 10 s there is a gap; where the places disagree within 10 s there is a seam. What is set or cut by hand wins (set: whatever
 * lies between; cut: it follows nothing). O(n²) in a footage.
 */
export const linkAttempts = (all: readonly Timed[], words: Words): readonly Link[] =>
  all.flatMap((q): Link[] => {
    if (q.attempt.isCut) return [];
    const set = q.attempt.followsId;
    if (set !== null && all.some((p) => p.attempt.id === set)) return [{ from: set, to: q.attempt.id, kind: 'set' }];
    const countered = q.attempt.counterOfId;
    if (countered !== null && all.some((p) => p.attempt.id === countered))
      return [{ from: countered, to: q.attempt.id, kind: 'counter' }];
    if (!q.attempt.state) return [];
    const before = all
      .filter((p) => p !== q && p.startS < q.startS && (p.startS + p.endS) / 2 <= q.startS)
      .sort(latest)[0];
    if (!before) return [];
    const apart = q.startS - before.endS;
    if (apart > GAP_S) return [];
    const left = leftIn(before, q.attempt.subject, words);
    const pair = { from: before.attempt.id, to: q.attempt.id };
    if (!left || foldPlace(left.place, words) !== foldPlace(stateId(q.attempt.state), words))
      return [{ ...pair, kind: 'seam' }];
    return [{ ...pair, kind: left.restart ? 'restart' : apart <= TOUCHING_S ? 'touching' : 'gap' }];
  });

export type CoursePoint = { readonly atS: number; readonly height: number; readonly attemptId: string };
/** An unbroken stretch of the course; `before` says why it does not join the one before. */
export type CourseRun = { readonly before: 'start' | 'seam' | 'not logged'; readonly points: readonly CoursePoint[] };

/**
 * The course of one athlete over a footage: level at the state from start to commit, sloping to the finish at the end, level until the next attempt if
 * that is linked, otherwise broken. A counter takes over at its own start, from its own state. Heights are the default ones, seen by `viewer`.
 */
export const courseOf = (all: readonly Timed[], viewer: Subject, words: Words): readonly CourseRun[] => {
  const links = new Map(linkAttempts(all, words).map((l) => [l.to, l]));
  const counters = new Map(
    all.flatMap((t) => (t.attempt.counterOfId === null ? [] : [[t.attempt.counterOfId, t] as const])),
  );
  const sign = (t: Timed): 1 | -1 => (t.attempt.subject === viewer ? 1 : -1);
  const runs: { before: CourseRun['before']; points: CoursePoint[]; last: string }[] = [];
  for (const t of [...all].sort((a, b) => a.startS - b.startS || (a.attempt.id < b.attempt.id ? -1 : 1))) {
    if (!t.attempt.state) continue;
    const id = t.attempt.id;
    const from = (defaultHeight(stateId(t.attempt.state), words) ?? 0) * sign(t);
    const finish = finishOf(t.attempt, words)?.finish;
    const to = finish && finish.kind !== 'reset' ? defaultHeight(finishId(finish), words) : undefined;
    const points: CoursePoint[] = [
      { atS: t.startS, height: from + 0, attemptId: id },
      { atS: Math.max(t.startS, t.commitS), height: from + 0, attemptId: id },
    ];
    if (!counters.has(id)) points.push({ atS: t.endS, height: to === undefined ? from : to * sign(t), attemptId: id });
    const link = links.get(id);
    const run = link && link.kind !== 'seam' ? runs.find((r) => r.last === link.from) : undefined;
    if (run) {
      run.points.push(...points);
      run.last = id;
    } else
      runs.push({
        before: runs.length === 0 ? 'start' : link?.kind === 'seam' ? 'seam' : 'not logged',
        points,
        last: id,
      });
  }
  return runs.map(({ before, points }) => ({
    before,
    points: points.filter((p, i) => i === 0 || p.atS !== points[i - 1]!.atS || p.height !== points[i - 1]!.height),
  }));
};

/** What an attempt may be the counter to: the latest of the other side's that began before it, and overlaps or touches it; undefined where there is none. */
export const counteredBy = (q: Timed, all: readonly Timed[]): Timed | undefined =>
  all
    .filter((p) => p.attempt.subject !== q.attempt.subject && p.startS < q.startS && q.startS - p.endS <= TOUCHING_S)
    .sort(latest)[0];

/**
 * The run of linked attempts that one is part of, in their order: back to the one that follows none, and on by the first that follows each; itself alone where nothing is linked.
 * A seam is no link. `links` of one footage.
 */
const linkedRun = (id: string, links: readonly Link[]): readonly string[] => {
  const joined = links.filter((l) => l.kind !== 'seam');
  const before = new Map(joined.map((l) => [l.to, l.from]));
  const after = new Map([...joined].reverse().map((l) => [l.from, l.to]));
  const run = [id];
  for (let at = before.get(id); at !== undefined && !run.includes(at); at = before.get(at)) run.unshift(at);
  for (let at = after.get(id); at !== undefined && !run.includes(at); at = after.get(at)) run.push(at);
  return run;
};

/** The run that an attempt is part of: where it has a name, those that are linked with it by the same one; otherwise all that are linked. */
export const runOf = (
  { id, runName }: Pick<Attempt, 'id' | 'runName'>,
  attempts: readonly Pick<Attempt, 'id' | 'runName'>[],
  links: readonly Link[],
): readonly string[] => {
  if (runName === '') return linkedRun(id, links);
  const named = new Set(attempts.filter((a) => a.runName === runName).map((a) => a.id));
  return linkedRun(
    id,
    links.filter((l) => named.has(l.from) && named.has(l.to)),
  );
};
