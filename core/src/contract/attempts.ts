import Joi from 'joi';
import {
  DOUBT_FIELDS,
  HOLD_DEPTHS,
  KEY_MOMENTS,
  PROPOSED_PARTS,
  REACHES,
  SEEN,
  RESETS,
  RESULTS,
  THUMBS,
  type AnswerUse,
  type Attempt,
  type Clip,
  type Control,
  type DetailLoop,
  type Doubt,
  type ErrorUse,
  type Finish,
  type Instant,
  type KeyMoment,
  type ProposedPart,
  type ReactionUse,
  type ReasonUse,
  type Result,
  type Side,
  type State,
  type Subject,
} from '../attempts/index.js';
import { CONTROL_KINDS, LIMBS } from '../vocabulary/index.js';
import { NAME_LIMIT, byKind, editId, frame, id, key, role, text, version } from './fields.js';

/** Longest note that is kept, in characters. */
export const NOTE_LIMIT = 4000;
const LIST_LIMIT = 24;

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
const answer = Joi.object<AnswerUse, true>({
  id: id().required(),
  from: state.required(),
  action: key().required(),
  reaction: key().required(),
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
  | 'answers'
  | 'doubts'
  | 'proposed'
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
  answers: Joi.array<readonly AnswerUse[]>().items(answer).max(LIST_LIMIT),
  doubts: Joi.array<readonly Doubt[]>().items(doubt).unique('field'),
  /** What stands only because it follows; a part that is changed without this being told is said. */
  proposed: Joi.array<readonly ProposedPart[]>()
    .items(Joi.string().valid(...PROPOSED_PARTS))
    .unique(),
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
export type ClipFields = Pick<Clip, 'note' | 'seen' | 'keyMoments' | 'loops'> & {
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
    seen: Joi.string()
      .valid(...SEEN)
      .allow(null),
    keyMoments: Joi.array().items(keyMoment).unique('name'),
    loops: Joi.array().items(detailLoop).max(LIST_LIMIT),
  })
    .min(1)
    .required(),
});
