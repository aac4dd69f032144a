import type { CourseRun } from '@odograph/core';

export type Point = { readonly atS: number; readonly height: number };

/** How high the line is at a time: along the course, level before its first point and behind its last, and between two runs as the nearer one leaves it; 0 where there is no course. */
export const heightAt = (runs: readonly CourseRun[], atS: number): number => {
  const inside = runs.find((r) => r.points[0]!.atS <= atS && atS <= r.points.at(-1)!.atS);
  if (!inside) {
    const ends = runs.flatMap((r) => [r.points[0]!, r.points.at(-1)!]);
    const nearest = ends.reduce<Point | undefined>(
      (best, p) => (best && Math.abs(best.atS - atS) <= Math.abs(p.atS - atS) ? best : p),
      undefined,
    );
    return nearest?.height ?? 0;
  }
  const i = Math.max(
    1,
    inside.points.findIndex((p) => p.atS >= atS),
  );
  const [from, to] = [inside.points[i - 1]!, inside.points[i] ?? inside.points[i - 1]!];
  const part = to.atS === from.atS ? 1 : (atS - from.atS) / (to.atS - from.atS);
  return from.height + (to.height - from.height) * Math.min(1, Math.max(0, part));
};

/** The stretch of the line between two times, with every bend that lies in it. */
export const stretchOf = (runs: readonly CourseRun[], fromS: number, toS: number): readonly Point[] => [
  { atS: fromS, height: heightAt(runs, fromS) },
  ...runs
    .flatMap((r) => r.points)
    .filter((p) => p.atS > fromS && p.atS < toS)
    .sort((a, b) => a.atS - b.atS)
    .map(({ atS, height }) => ({ atS, height })),
  { atS: toS, height: heightAt(runs, toS) },
];
