import Joi from 'joi';
import type { State, Subject } from '../attempts/index.js';
import { editId, frame, id, key, text, version } from './fields.js';

const NOTE_LIMIT = 500;
const state = Joi.object<State, true>({ position: key().required(), role: key().required() });
const subject = Joi.string().valid('a', 'b');

export type NewMoment = {
  readonly editId: string;
  readonly id: string;
  readonly angleId: string;
  readonly atFrame: number;
  /** Where the picture stood when the key was pressed, and how fast it went; 0 = it stood. */ readonly pressedFrame: number;
  readonly speed: number;
};
export const newMoment = Joi.object<NewMoment, true>({
  editId: editId(),
  id: id().required(),
  angleId: id().required(),
  atFrame: frame().required(),
  pressedFrame: frame().required(),
  speed: Joi.number().min(0).max(16).required(),
});

export type MomentEdit = {
  readonly editId: string;
  readonly baseVersion: number;
  readonly changes: {
    readonly atFrame?: number;
    readonly attemptId?: string | null;
    readonly state?: State | null;
    readonly subject?: Subject | null;
    readonly note?: string;
  };
};
export const momentEdit = Joi.object<MomentEdit>({
  editId: editId(),
  baseVersion: version(),
  changes: Joi.object({
    atFrame: frame(),
    attemptId: id().allow(null),
    state: state.allow(null),
    subject: subject.allow(null),
    note: text(NOTE_LIMIT),
  })
    .min(1)
    .required(),
});
