import Joi from 'joi';
import type { Moment } from '../moments/index.js';
import { KEPT } from '../rows/index.js';
import { editId, frame, id } from './fields.js';
import { editOf, saidOf, schemaOf, type EditOf, type SentFields } from './schemas.js';

export type NewMoment = {
  readonly editId: string;
  readonly id: string;
  readonly angleId: string;
  readonly atFrame: number;
  /** Where the picture stood when the key was pressed, and how fast it went; 0 = it stood. */ readonly pressedFrame: number;
  readonly speed: number;
};
export const newMoment = Joi.object<NewMoment>({
  editId: editId(),
  id: id().required(),
  angleId: id().required(),
  atFrame: frame().required(),
  pressedFrame: frame().required(),
  speed: schemaOf(KEPT.moment.speed.told).required(),
});

export type MomentFields = SentFields<Moment, typeof KEPT.moment>;
export type MomentEdit = EditOf<Partial<MomentFields>>;
export const momentEdit = editOf<Partial<MomentFields>>(saidOf(KEPT.moment));
