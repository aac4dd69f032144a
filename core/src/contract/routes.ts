import Joi from 'joi';
import type { RouteStep } from '../attempts/index.js';
import { editId, id, key, name, text, version } from './fields.js';

/** Longest cue: it is read from eight metres. */
export const CUE_LIMIT = 120;
const STEP_NOTE_LIMIT = 2000;
const STEPS_LIMIT = 40;

const placeId = Joi.string()
  .max(130)
  .pattern(/^[a-z0-9:/ -]+$/);
const step = Joi.object<RouteStep, true>({
  id: id().required(),
  from: placeId.required(),
  action: key().required(),
  to: placeId.required(),
  clipId: id().allow(null).required(),
  cue: text(CUE_LIMIT).required(),
  note: text(STEP_NOTE_LIMIT).required(),
});
const steps = Joi.array<readonly RouteStep[]>().items(step).min(1).max(STEPS_LIMIT);

export type NewRoute = {
  readonly editId: string;
  readonly id: string;
  readonly name: string;
  readonly steps: readonly RouteStep[];
};
export const newRoute = Joi.object<NewRoute>({
  editId: editId(),
  id: id().required(),
  name: name().required(),
  steps: steps.required(),
});

export type RouteEdit = {
  readonly editId: string;
  readonly baseVersion: number;
  readonly changes: { readonly name?: string; readonly steps?: readonly RouteStep[] };
};
export const routeEdit = Joi.object<RouteEdit>({
  editId: editId(),
  baseVersion: version(),
  changes: Joi.object({ name: name(), steps }).min(1).required(),
});

export const BINNED = ['footage', 'clip', 'route', 'person', 'word'] as const;
/** What can lie in the bin. */
export type Binned = (typeof BINNED)[number];
export type Restore = { readonly editId: string; readonly kind: Binned; readonly id: string };
export const restore = Joi.object<Restore, true>({
  editId: editId(),
  kind: Joi.string()
    .valid(...BINNED)
    .required(),
  id: id().required(),
});
