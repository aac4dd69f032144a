import Joi from 'joi';
import {
  SETTINGS,
  SPAN_KINDS,
  type Angle,
  type BARE_SHEET,
  type Footage,
  type FootageSpan,
  type Setting,
} from '../attempts/index.js';
import type { ClockAnchor } from '../timecode/index.js';
import { NAME_LIMIT, calendarDay, editId, email, frame, id, name, password, text, version } from './fields.js';

export type SignIn = { readonly email: string; readonly password: string };
export const signIn = Joi.object<SignIn, true>({
  email: email().required(),
  password: password().required(),
});

export type Removal = { readonly editId: string; readonly baseVersion: number };
export const removal = Joi.object<Removal, true>({ editId: editId(), baseVersion: version() });

export type Undo = { readonly editId: string };
export const undo = Joi.object<Undo, true>({ editId: editId() });

/** Longest shift between two cameras, in milliseconds: a day. */
const OFFSET_LIMIT_MS = 86_400_000;
const CONTEXT_LIMIT = 500;
const CLOCK_ANCHORS_LIMIT = 200;
const SPANS_LIMIT = 1000;

export type FootageFields = Pick<
  Footage,
  'title' | 'setting' | 'logged' | 'live' | 'gi' | 'counted' | 'date' | 'kitA' | 'kitB' | keyof typeof BARE_SHEET
>;

const footageMs = (): Joi.NumberSchema => Joi.number().min(-OFFSET_LIMIT_MS).max(OFFSET_LIMIT_MS);
const CLOCK_LIMIT_MS = 100 * 60_000;
const clockAnchor = Joi.object<ClockAnchor, true>({
  atMs: footageMs().required(),
  readingMs: Joi.number().min(0).max(CLOCK_LIMIT_MS).required(),
  direction: Joi.string().valid('down', 'up').required(),
  running: Joi.boolean().required(),
  period: Joi.number().integer().min(1).max(99).required(),
  lengthMs: Joi.number().min(1000).max(CLOCK_LIMIT_MS).allow(null).required(),
});
const span = Joi.object<FootageSpan, true>({
  fromMs: footageMs().required(),
  toMs: footageMs().greater(Joi.ref('fromMs')).required(),
  kind: Joi.string()
    .valid(...SPAN_KINDS)
    .required(),
});
const footageFields = {
  title: name(),
  setting: Joi.string<Setting>().valid(...SETTINGS),
  logged: Joi.string<'throughout' | 'picked'>().valid('throughout', 'picked'),
  live: Joi.boolean(),
  gi: Joi.boolean(),
  counted: Joi.boolean(),
  date: calendarDay().allow(null),
  kitA: Joi.string().trim().allow('').max(NAME_LIMIT),
  kitB: Joi.string().trim().allow('').max(NAME_LIMIT),
  ruleset: text(NAME_LIMIT),
  level: text(NAME_LIMIT),
  place: text(NAME_LIMIT),
  surroundings: Joi.string<'open' | 'edge' | 'wall'>().valid('open', 'edge', 'wall').allow(null),
  context: text(CONTEXT_LIMIT),
  audience: Joi.string<'academy' | 'coaches'>().valid('academy', 'coaches'),
  clock: Joi.array<readonly ClockAnchor[]>().items(clockAnchor).max(CLOCK_ANCHORS_LIMIT),
  spans: Joi.array<readonly FootageSpan[]>().items(span).max(SPANS_LIMIT),
};

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
export const newFootage = Joi.object<NewFootage>({
  editId: editId(),
  id: id().required(),
  angleId: id().required(),
  fileId: id().required(),
  fromFrame: frame().allow(null).default(null),
  toFrame: frame().allow(null).default(null),
  athleteA: athlete.required(),
  athleteB: athlete.required(),
  title: footageFields.title.required(),
  setting: footageFields.setting.required(),
  logged: footageFields.logged.default('picked'),
  live: footageFields.live.default(true),
  gi: footageFields.gi.required(),
  counted: footageFields.counted.default(true),
  date: footageFields.date.default(null),
  kitA: footageFields.kitA.default(''),
  kitB: footageFields.kitB.default(''),
  ruleset: footageFields.ruleset.default(''),
  level: footageFields.level.default(''),
  place: footageFields.place.default(''),
  surroundings: footageFields.surroundings.default(null),
  context: footageFields.context.default(''),
  audience: footageFields.audience.default('academy'),
  clock: footageFields.clock.default([]),
  spans: footageFields.spans.default([]),
});

const RATE_LIMIT = 8;
const LANDMARK_LIMIT = 40;

const angleFields = {
  offsetMs: Joi.number().min(-OFFSET_LIMIT_MS).max(OFFSET_LIMIT_MS),
  rate: Joi.number().min(0).max(RATE_LIMIT),
  kind: Joi.string<Angle['kind']>().valid('live', 'replay'),
  fromFrame: frame(),
  toFrame: frame(),
  leftMark: text(LANDMARK_LIMIT),
  rightMark: text(LANDMARK_LIMIT),
};

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
  readonly fromFrame: number | null;
  readonly toFrame: number | null;
};
export const newAngle = Joi.object<NewAngle>({
  editId: editId(),
  id: id().required(),
  fileId: id().required(),
  offsetMs: angleFields.offsetMs.required(),
  rate: angleFields.rate.default(1),
  kind: angleFields.kind.default('live'),
  fromFrame: angleFields.fromFrame.allow(null).default(null),
  toFrame: angleFields.toFrame.allow(null).default(null),
});

export type AngleFields = Pick<
  Angle,
  'offsetMs' | 'rate' | 'kind' | 'fromFrame' | 'toFrame' | 'leftMark' | 'rightMark'
>;
/** Where an angle lies in the time of its footage, or which frames of its file it holds. */
export type AngleEdit = {
  readonly editId: string;
  readonly baseVersion: number;
  readonly changes: Partial<AngleFields>;
};
export const angleEdit = Joi.object<AngleEdit, true>({
  editId: editId(),
  baseVersion: version(),
  changes: Joi.object(angleFields).min(1).required(),
});

export type FootageEdit = {
  readonly editId: string;
  readonly baseVersion: number;
  readonly changes: Partial<FootageFields> & { readonly athleteA?: AthleteRef; readonly athleteB?: AthleteRef };
};
export const footageEdit = Joi.object<FootageEdit>({
  editId: editId(),
  baseVersion: version(),
  changes: Joi.object({ ...footageFields, athleteA: athlete, athleteB: athlete })
    .min(1)
    .required(),
});

export const idParam = id().required();
export const fileName = name(255).required().label('name');
