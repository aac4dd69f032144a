import Joi from 'joi';
import type { Attempt, Clip } from '../attempts/index.js';
import { KEPT } from '../rows/index.js';
import { editId, frame, id } from './fields.js';
import { editOf, saidOf, schemaOf, type EditOf, type SentFields } from './schemas.js';

/** What can be said of an attempt; everything is optional but whose action it is. */
export type AttemptFields = SentFields<Attempt, typeof KEPT.attempt>;
const attemptFields = saidOf(KEPT.attempt);

/** Everything in one edit carries the edit's id (made by the client), so that sending it twice does it once. */
export type NewClip = {
  readonly editId: string;
  readonly attempt: { readonly id: string } & Partial<AttemptFields> & Pick<AttemptFields, 'subject'>;
  readonly clip: {
    readonly id: string;
    readonly angleId: string;
    readonly inFrame: number;
    readonly outFrame: number;
    readonly note?: string;
  };
};
const outFrame = frame().when('inFrame', {
  is: Joi.exist(),
  then: Joi.number().greater(Joi.ref('inFrame')),
});
const clipFields = { ...saidOf(KEPT.clip), outFrame };
const clipWithAttempt = {
  attempt: Joi.object({ id: id().required(), ...attemptFields })
    .fork('subject', (s) => s.required())
    .required(),
  clip: Joi.object({
    id: id().required(),
    angleId: id().required(),
    inFrame: frame().required(),
    outFrame: outFrame.required(),
    note: schemaOf(KEPT.clip.note.told),
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

export type AttemptEdit = EditOf<Partial<AttemptFields>>;
export const attemptEdit = editOf<Partial<AttemptFields>>(attemptFields);

export type ClipFields = SentFields<Clip, typeof KEPT.clip>;
export type ClipEdit = EditOf<Partial<ClipFields>>;
export const clipEdit = editOf<Partial<ClipFields>>(clipFields);
