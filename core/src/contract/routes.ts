import Joi from 'joi';
import type { KeptRoute } from '../teaching/index.js';
import { KEPT } from '../rows/index.js';
import { editId, id } from './fields.js';
import { editOf, newOf, saidOf, type EditOf, type SentFields } from './schemas.js';

export type RouteFields = SentFields<KeptRoute, typeof KEPT.route>;
export type NewRoute = { readonly editId: string; readonly id: string } & RouteFields;
export const newRoute = Joi.object<NewRoute>({ editId: editId(), id: id().required(), ...newOf(KEPT.route) });

export type RouteEdit = EditOf<Partial<RouteFields>>;
export const routeEdit = editOf<Partial<RouteFields>>(saidOf(KEPT.route));

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
