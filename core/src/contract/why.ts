import Joi from 'joi';
import type { Collection } from '../collections/index.js';
import type { Drawing } from '../drawings/index.js';
import type { Plan } from '../plans/index.js';
import type { Principle } from '../principles/index.js';
import { KEPT } from '../rows/index.js';
import type { AcademyPolicy } from '../teaching/index.js';
import type { Todo } from '../todos/index.js';
import { editId, id } from './fields.js';
import { editOf, newOf, saidOf, schemaOf, type EditOf, type SentFields } from './schemas.js';

type New = { readonly editId: string; readonly id: string };
const made = () => ({ editId: editId(), id: id().required() });

export type PrincipleFields = SentFields<Principle, typeof KEPT.principle>;
export type NewPrinciple = New & PrincipleFields;
export const newPrinciple = Joi.object<NewPrinciple>({ ...made(), ...newOf(KEPT.principle) });
export type PrincipleEdit = EditOf<Partial<PrincipleFields>>;
export const principleEdit = editOf<Partial<PrincipleFields>>(saidOf(KEPT.principle));

export type TodoFields = SentFields<Todo, typeof KEPT.todo>;
export type NewTodo = New & TodoFields & Pick<Todo, 'kind' | 'opened'>;
export const newTodo = Joi.object<NewTodo>({
  ...made(),
  ...newOf(KEPT.todo),
  kind: schemaOf(KEPT.todo.kind.told).required(),
  opened: schemaOf(KEPT.todo.opened.told).required(),
});
export type TodoEdit = EditOf<Partial<TodoFields>>;
export const todoEdit = editOf<Partial<TodoFields>>(saidOf(KEPT.todo));

export type DrawingFields = SentFields<Drawing, typeof KEPT.drawing>;
export type NewDrawing = New & DrawingFields & Pick<Drawing, 'angleId'>;
export const newDrawing = Joi.object<NewDrawing>({
  ...made(),
  ...newOf(KEPT.drawing),
  angleId: id().required(),
});
export type DrawingEdit = EditOf<Partial<DrawingFields>>;
export const drawingEdit = editOf<Partial<DrawingFields>>(saidOf(KEPT.drawing));

export type PlanFields = SentFields<Plan, typeof KEPT.plan>;
export type NewPlan = New & PlanFields & Pick<Plan, 'lines'>;
export const newPlan = Joi.object<NewPlan>({
  ...made(),
  ...newOf(KEPT.plan),
  lines: schemaOf(KEPT.plan.lines.told).required(),
});
export type PlanEdit = EditOf<Partial<PlanFields>>;
export const planEdit = editOf<Partial<PlanFields>>(saidOf(KEPT.plan));

export type CollectionFields = SentFields<Collection, typeof KEPT.collection>;
export type NewCollection = New & CollectionFields;
export const newCollection = Joi.object<NewCollection>({ ...made(), ...newOf(KEPT.collection) });
export type CollectionEdit = EditOf<Partial<CollectionFields>>;
export const collectionEdit = editOf<Partial<CollectionFields>>(saidOf(KEPT.collection));

export type PolicyFields = SentFields<AcademyPolicy, typeof KEPT.policy>;
export type NewPolicy = New & PolicyFields;
export const newPolicy = Joi.object<NewPolicy>({ ...made(), ...newOf(KEPT.policy) });
export type PolicyEdit = EditOf<Partial<PolicyFields>>;
export const policyEdit = editOf<Partial<PolicyFields>>(saidOf(KEPT.policy));
