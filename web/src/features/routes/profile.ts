import type { PlaceId } from '@odograph/core';
import type { MapPicture } from '../../workers/map.protocol.js';
import { beginsAt, endsAt, mainOf, type ShownRoute, type ShownStep } from './shownRoute.js';

/** A point of a profile: how far along, and how high; `place` where one is known there. */
export type ProfilePoint = { readonly column: number; readonly height: number; readonly place: PlaceId | undefined };
/** A step on it, from where it leaves to where it ends; a branch leaves in the middle of its step. */
export type ProfileStep = {
  readonly step: ShownStep;
  readonly from: ProfilePoint;
  readonly to: ProfilePoint;
  readonly isMain: boolean;
};
/** A way that joins or leads back: from where a branch ended to where the step begins that it goes on at. */
export type ProfileJoin = {
  readonly id: string;
  readonly from: ProfilePoint;
  readonly to: ProfilePoint;
  readonly isBack: boolean;
};
export type Profile = {
  readonly start: ProfilePoint | undefined;
  readonly steps: readonly ProfileStep[];
  readonly joins: readonly ProfileJoin[];
  readonly columns: number;
};

const middle = (a: ProfilePoint, b: ProfilePoint): ProfilePoint => ({
  column: (a.column + b.column) / 2,
  height: (a.height + b.height) / 2,
  place: undefined,
});

/** A route set out: each step as far along as the longest way there, as high as the place where it ends; one that says no place goes on as high as what came before. */
export const profileOf = (route: ShownRoute, picture: MapPicture): Profile => {
  const heightOf = (id: PlaceId): number => picture.heights[id]?.height ?? (id.startsWith('won:') ? 5 : 0);
  const byId = new Map(route.steps.map((s) => [s.id, s]));
  const [first] = mainOf(route);
  const pointAt = (column: number, place: PlaceId | undefined, before: number): ProfilePoint => ({
    column,
    height: place === undefined ? before : heightOf(place),
    place,
  });
  const start = first && pointAt(0, beginsAt(first), 0);
  const set = new Map<string, ProfileStep>();
  // in the order of their columns, so that what a step hangs on is set out before it
  const column = (id: string): number => route.columns.get(id) ?? 0;
  const sorted = [...route.steps].sort((a, b) => column(a.id) - column(b.id));
  for (const step of sorted) {
    const leads = route.ways.filter((w) => w.to === step.id && !w.isBack);
    // the way of its own line, before those that join it
    const way = leads.find((w) => w.branchId === (step.kept?.branch ?? null)) ?? leads[0];
    const before = way && set.get(way.from);
    const from = !before ? start! : way.on === null ? before.to : middle(before.from, before.to);
    const to = pointAt(column(step.id) + 1, endsAt(step), from.height);
    set.set(step.id, { step, from, to, isMain: !step.kept?.branch });
  }
  const joins = route.ways.flatMap((way): ProfileJoin[] => {
    const [a, b] = [set.get(way.from), set.get(way.to)];
    const isOwn = !way.isBack && way.branchId === (byId.get(way.to)?.kept?.branch ?? null);
    if (isOwn || !a || !b) return [];
    // a branch without steps leaves in the middle of its step
    const from = way.on === null ? a.to : middle(a.from, a.to);
    return [{ id: String(way.branchId), from, to: b.from, isBack: way.isBack }];
  });
  const steps = [...set.values()];
  return { start, steps, joins, columns: Math.max(1, ...steps.map((s) => s.to.column)) };
};
