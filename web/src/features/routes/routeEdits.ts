import {
  branchCut,
  branchJoined,
  branchPut,
  mirrored,
  stepMoved,
  stepPut,
  stepShifted,
  stepTaken,
  type BranchOn,
  type KeptRoute,
  type RouteShape,
  type RouteStep,
} from '@odograph/core';
import { v7 as newId } from 'uuid';
import { useEdit } from '../replica/index.js';

/** What can be done to a route; each is one edit, and one undo. False: the route would lead round in a circle, or have no step left. */
export type RouteEdits = {
  readonly change: (stepId: string, change: Partial<RouteStep>) => void;
  readonly put: (after: string | null, step: RouteStep) => void;
  readonly twice: (stepId: string) => string | undefined;
  readonly shift: (stepId: string, by: 1 | -1) => boolean;
  readonly move: (stepId: string, after: string | null) => boolean;
  readonly take: (stepId: string) => boolean;
  readonly branch: (from: string, on: BranchOn, first: RouteStep | null, joins: string | null) => boolean;
  readonly join: (branchId: string, joins: string | null) => boolean;
  readonly cut: (branchId: string) => void;
  readonly mirror: () => void;
};

export const useRouteEdits = (route: KeptRoute | undefined): RouteEdits | undefined => {
  const edit = useEdit();
  if (!route) return undefined;
  const keep = (shape: RouteShape | undefined): boolean => {
    if (!shape) return false;
    // what has not changed isn't said: another coach may be changing it
    const changes = {
      ...(shape.steps === route.steps ? {} : { steps: shape.steps }),
      ...(shape.branches === route.branches ? {} : { branches: shape.branches }),
    };
    edit({ kind: 'route', id: route.id, changes });
    return true;
  };
  return {
    change: (stepId, change) =>
      void keep({ ...route, steps: route.steps.map((s) => (s.id === stepId ? { ...s, ...change } : s)) }),
    put: (after, step) => void keep(stepPut(route, after, step)),
    twice: (stepId) => {
      const step = route.steps.find((s) => s.id === stepId);
      if (!step) return undefined;
      const again = { ...step, id: newId() };
      keep(stepPut(route, stepId, again));
      return again.id;
    },
    shift: (stepId, by) => keep(stepShifted(route, stepId, by)),
    move: (stepId, after) => keep(stepMoved(route, stepId, after)),
    take: (stepId) => keep(stepTaken(route, stepId)),
    branch: (from, on, first, joins) => keep(branchPut(route, { id: newId(), from, on, joins }, first)),
    join: (branchId, joins) => keep(branchJoined(route, branchId, joins)),
    cut: (branchId) => void keep(branchCut(route, branchId)),
    mirror: () => void keep(mirrored(route)),
  };
};
