import Joi from 'joi';
import type { Angle, Footage } from '../footage/index.js';
import { KEPT } from '../rows/index.js';
import { editId, email, frame, id, name, password, version } from './fields.js';
import { editOf, newOf, saidOf, schemaOf, type EditOf, type SentFields } from './schemas.js';

export type SignIn = { readonly email: string; readonly password: string };
export const signIn = Joi.object<SignIn, true>({
  email: email().required(),
  password: password().required(),
});

export type Removal = { readonly editId: string; readonly baseVersion: number };
export const removal = Joi.object<Removal, true>({ editId: editId(), baseVersion: version() });

export type Undo = { readonly editId: string };
export const undo = Joi.object<Undo, true>({ editId: editId() });

/** What a sheet says, but who is on it. */
export type FootageFields = Omit<SentFields<Footage, typeof KEPT.footage>, 'athleteA' | 'athleteB'>;

/** A person of the academy by id; one that is not there yet is made with the name given. */
export type AthleteRef = { readonly id: string; readonly name: string };
const athlete = Joi.object<AthleteRef, true>({ id: id().required(), name: name().required() });

export type NewFootage = {
  readonly editId: string;
  readonly id: string;
  readonly angleId: string;
  readonly fileId: string;
  /** The frames [fromFrame, toFrame) of the file that show it; null = all. */
  readonly fromFrame: number | null;
  readonly toFrame: number | null;
  readonly athleteA: AthleteRef;
  readonly athleteB: AthleteRef;
} & FootageFields;
const athletes = { athleteA: athlete, athleteB: athlete };
export const newFootage = Joi.object<NewFootage>({
  ...newOf(KEPT.footage),
  editId: editId(),
  id: id().required(),
  angleId: id().required(),
  fileId: id().required(),
  fromFrame: frame().allow(null).default(null),
  toFrame: frame().allow(null).default(null),
  athleteA: athlete.required(),
  athleteB: athlete.required(),
});

/**
 * One more file of the same event, or a stretch of one: frames [fromFrame, toFrame), the whole where they are null. `offsetMs` is when its first frame was
 * filmed, in the time of the footage; `rate` how fast that time goes on it (1 = as it happened, 0.25 = four times slowed, 0 = frozen).
 */
export type NewAngle = {
  readonly editId: string;
  readonly id: string;
  readonly fileId: string;
  readonly offsetMs: number;
  readonly rate: number;
  readonly kind: Angle['kind'];
  /** The part of the file's picture that it is; null = all of it. */ readonly region: Angle['region'];
  readonly fromFrame: number | null;
  readonly toFrame: number | null;
};
const { offsetMs, rate, kind, region } = KEPT.angle;
export const newAngle = Joi.object<NewAngle>({
  offsetMs: schemaOf(offsetMs.told).required(),
  rate: schemaOf(rate.told).default(rate.bare),
  kind: schemaOf(kind.told).default(kind.bare),
  region: schemaOf(region.told).default(region.bare),
  editId: editId(),
  id: id().required(),
  fileId: id().required(),
  fromFrame: frame().allow(null).default(null),
  toFrame: frame().allow(null).default(null),
});

/** Where an angle lies in the time of its footage, or which frames of its file it holds. */
export type AngleFields = SentFields<Angle, typeof KEPT.angle>;
export type AngleEdit = EditOf<Partial<AngleFields>>;
export const angleEdit = editOf<Partial<AngleFields>>(saidOf(KEPT.angle));

export type FootageChanges = Partial<FootageFields> & {
  readonly athleteA?: AthleteRef;
  readonly athleteB?: AthleteRef;
};
export type FootageEdit = EditOf<FootageChanges>;
export const footageEdit = editOf<FootageChanges>({ ...saidOf(KEPT.footage), ...athletes });

export const idParam = id().required();
export const fileName = name(255).required().label('name');
