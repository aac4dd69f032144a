import Joi from 'joi';
import {
  DOUBT_FIELDS,
  HOLD_DEPTHS,
  KEY_MOMENTS,
  REACHES,
  RESETS,
  RESULTS,
  SETTINGS,
  SPAN_KINDS,
  THUMBS,
  type Angle,
  type Attempt,
  type BARE_SHEET,
  type Clip,
  type Control,
  type DetailLoop,
  type Doubt,
  type ErrorUse,
  type Finish,
  type Footage,
  type FootageSpan,
  type Instant,
  type KeyMoment,
  type ReactionUse,
  type ReasonUse,
  type Result,
  type Setting,
  type Side,
  type State,
  type Subject,
} from '../attempts/index.js';
import type { ClockAnchor } from '../timecode/index.js';
import { CONTROL_KINDS, LIMBS } from '../vocabulary/index.js';
import {
  NAME_LIMIT,
  byKind,
  calendarDay,
  editId,
  frame,
  id,
  key,
  name,
  password,
  role,
  text,
  version,
} from './fields.js';

/** Longest note that is kept, in characters. */
export const NOTE_LIMIT = 4000;
const LIST_LIMIT = 24;

export type SignIn = { readonly email: string; readonly password: string };
export const signIn = Joi.object<SignIn, true>({
  email: Joi.string().trim().lowercase().max(254).required(),
  password: password(1).required(),
});

const state = Joi.object<State, true>({ position: key().required(), role: role.required() });
const side = Joi.string<Side>().valid('left', 'right');
const finish = byKind<Finish>({
  state: { position: key().required(), role: role.required() },
  submission: { submission: key().required(), won: Joi.boolean().required() },
  reset: {
    how: Joi.valid(...RESETS).required(),
    restart: state.allow(null).required(),
  },
});
const instant = Joi.object<Instant>({ frame: frame().required(), pts: Joi.number().integer() });

const control = Joi.object<Control, true>({
  id: id().required(),
  holder: Joi.string().valid('subject', 'opponent').required(),
  limb: Joi.string()
    .valid(...LIMBS)
    .required(),
  limbSide: side.allow(null).required(),
  kind: Joi.string()
    .valid(...CONTROL_KINDS)
    .required(),
  target: key().required(),
  targetOwner: Joi.string().valid('other', 'own', 'mat', 'wall').required(),
  targetSide: side.allow(null).required(),
  reach: Joi.string()
    .valid(...REACHES, null)
    .default(null),
  cloth: Joi.boolean().required(),
  depth: Joi.string()
    .valid(...HOLD_DEPTHS, null)
    .default(null),
  thumb: Joi.string()
    .valid(...THUMBS, null)
    .default(null),
  handed: Joi.boolean().default(false),
  won: Joi.boolean().default(false),
  gained: instant.allow(null).required(),
  lost: instant.allow(null).required(),
});
const reaction = Joi.object<ReactionUse, true>({
  id: id().required(),
  what: key().required(),
  isAction: Joi.boolean().required(),
  deciding: Joi.boolean().required(),
});
const reason = Joi.object<ReasonUse, true>({
  id: id().required(),
  reason: key().required(),
  main: Joi.boolean().required(),
});

const error = Joi.object<ErrorUse, true>({
  id: id().required(),
  by: Joi.string().valid('subject', 'opponent').required(),
  cause: Joi.string().valid('brought about', 'given away').required(),
  what: key().allow(null).required(),
  until: instant.allow(null).required(),
});
const doubt = Joi.object<Doubt, true>({
  field: Joi.string()
    .valid(...DOUBT_FIELDS)
    .required(),
  kind: Joi.string().valid('unsure', 'unknown').required(),
  text: text(NAME_LIMIT).required(),
  at: instant.required(),
});

/** What can be said of an attempt; everything is optional but whose action it is. */
export type AttemptFields = Pick<
  Attempt,
  | 'subject'
  | 'state'
  | 'lead'
  | 'action'
  | 'intent'
  | 'result'
  | 'depth'
  | 'finish'
  | 'controls'
  | 'reactions'
  | 'reasons'
  | 'resisted'
  | 'shownAs'
  | 'parentId'
  | 'series'
  | 'counterOfId'
  | 'followsId'
  | 'isCut'
  | 'wanted'
  | 'errors'
  | 'doubts'
> & { readonly startFrame: number; readonly commitFrame: number | null; readonly endFrame: number };

const attemptFields = {
  subject: Joi.string<Subject>().valid('a', 'b'),
  state: state.allow(null),
  lead: side.allow(null),
  action: key().allow(null),
  intent: Joi.string<'own' | 'bait'>().valid('own', 'bait'),
  result: Joi.string<Result>()
    .valid(...RESULTS)
    .allow(null),
  depth: Joi.number().integer().min(0).max(4).allow(null),
  finish: finish.allow(null),
  startFrame: frame(),
  commitFrame: frame().allow(null),
  endFrame: frame(),
  controls: Joi.array<readonly Control[]>().items(control).max(LIST_LIMIT),
  reactions: Joi.array<readonly ReactionUse[]>().items(reaction).max(LIST_LIMIT),
  reasons: Joi.array<readonly ReasonUse[]>().items(reason).max(LIST_LIMIT),
  /** Whether the other side resisted; null = as the setting says. */
  resisted: Joi.boolean().allow(null),
  shownAs: Joi.string<Attempt['shownAs']>().valid('right', 'mistake'),
  /** The first of the tries that this one goes on with, and the how manieth it is. */
  parentId: id().allow(null),
  series: Joi.number().integer().min(1).max(99),
  counterOfId: id().allow(null),
  followsId: id().allow(null),
  isCut: Joi.boolean(),
  wanted: key().allow(null),
  errors: Joi.array<readonly ErrorUse[]>().items(error).max(LIST_LIMIT),
  doubts: Joi.array<readonly Doubt[]>().items(doubt).unique('field'),
};

/** Everything in one edit carries the edit's id (made by the client), so that sending it twice does it once. */
export type NewClip = {
  readonly editId: string;
  readonly attempt: { readonly id: string } & Partial<AttemptFields> & { readonly subject: Subject };
  readonly clip: {
    readonly id: string;
    readonly angleId: string;
    readonly inFrame: number;
    readonly outFrame: number;
    readonly note?: string;
  };
};
const note = (): Joi.StringSchema => Joi.string().allow('').max(NOTE_LIMIT);
const outFrame = frame().when('inFrame', {
  is: Joi.exist(),
  then: Joi.number().greater(Joi.ref('inFrame')).messages({ 'number.greater': '{{#label}} must come after inFrame' }),
});
const clipWithAttempt = {
  attempt: Joi.object({ id: id().required(), ...attemptFields, subject: attemptFields.subject.required() }).required(),
  clip: Joi.object({
    id: id().required(),
    angleId: id().required(),
    inFrame: frame().required(),
    outFrame: outFrame.required(),
    note: note(),
  }).required(),
};
export const newClip = Joi.object<NewClip>({ editId: editId(), ...clipWithAttempt });

/** One more clip of an attempt that is told already: another camera, a replay, other edges. */
export type NewLook = { readonly editId: string; readonly clip: NewClip['clip'] };
export const newLook = Joi.object<NewLook>({ editId: editId(), clip: clipWithAttempt.clip });

/** Many clips at once, as they come from a list: one edit, undone as one. */
export type NewClips = { readonly editId: string; readonly clips: readonly Omit<NewClip, 'editId'>[] };
/** Most clips in one edit. */
export const CLIPS_LIMIT = 200;
export const newClips = Joi.object<NewClips>({
  editId: editId(),
  clips: Joi.array().items(Joi.object(clipWithAttempt)).min(1).max(CLIPS_LIMIT).required(),
});

export type AttemptEdit = {
  readonly editId: string;
  readonly baseVersion: number;
  readonly changes: Partial<AttemptFields>;
};
export const attemptEdit = Joi.object<AttemptEdit>({
  editId: editId(),
  baseVersion: version(),
  changes: Joi.object(attemptFields).min(1).required(),
});

const keyMoment = Joi.object<KeyMoment, true>({
  name: Joi.string()
    .valid(...KEY_MOMENTS)
    .required(),
  at: instant.required(),
});
const detailLoop = Joi.object<DetailLoop, true>({
  id: id().required(),
  in: instant.required(),
  out: instant.required(),
  speed: Joi.number().min(0.05).max(4).required(),
});
export type ClipFields = Pick<Clip, 'note' | 'keyMoments' | 'loops'> & {
  readonly inFrame: number;
  readonly outFrame: number;
};
export type ClipEdit = {
  readonly editId: string;
  readonly baseVersion: number;
  readonly changes: Partial<ClipFields>;
};
export const clipEdit = Joi.object<ClipEdit>({
  editId: editId(),
  baseVersion: version(),
  changes: Joi.object({
    inFrame: frame(),
    outFrame,
    note: note(),
    keyMoments: Joi.array().items(keyMoment).unique('name'),
    loops: Joi.array().items(detailLoop).max(LIST_LIMIT),
  })
    .min(1)
    .required(),
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

const angleFields = {
  offsetMs: Joi.number().min(-OFFSET_LIMIT_MS).max(OFFSET_LIMIT_MS),
  rate: Joi.number().min(0).max(RATE_LIMIT),
  kind: Joi.string<Angle['kind']>().valid('live', 'replay'),
  fromFrame: frame(),
  toFrame: frame(),
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

export type AngleFields = Pick<Angle, 'offsetMs' | 'rate' | 'kind' | 'fromFrame' | 'toFrame'>;
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
export const fileName = Joi.string().trim().min(1).max(255).required().label('name');
