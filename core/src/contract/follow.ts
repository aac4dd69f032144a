import Joi from 'joi';
import { frame, id } from './fields.js';

/** What whoever leads sees: enough for others to show the same from their own copy. */
export type LeadView = {
  readonly angleId: string;
  readonly frame: number;
  readonly playing: boolean;
  readonly speed: number;
  readonly backwards: boolean;
  readonly loop: { readonly inFrame: number; readonly outFrame: number } | null;
  readonly isMirrored: boolean;
  readonly hasDrawings: boolean;
  /** Where the pointer is on the picture, 0 … 1; null while it's elsewhere. */
  readonly pointer: { readonly x: number; readonly y: number } | null;
};
/** Of one window; the id is the window's own. */
export type LeadSaid = { readonly clientId: string; readonly view: LeadView };
export const leadSaid = Joi.object<LeadSaid>({
  clientId: id().required(),
  view: Joi.object({
    angleId: id().required(),
    frame: frame().required(),
    playing: Joi.boolean().required(),
    speed: Joi.number().min(0.05).max(16).required(),
    backwards: Joi.boolean().required(),
    loop: Joi.object({ inFrame: frame().required(), outFrame: frame().required() }).allow(null).required(),
    isMirrored: Joi.boolean().required(),
    hasDrawings: Joi.boolean().required(),
    pointer: Joi.object({ x: Joi.number().min(0).max(1).required(), y: Joi.number().min(0).max(1).required() })
      .allow(null)
      .required(),
  }).required(),
});

/** The wheel is taken where it is free, asked for, given to a window that asked, or let go. */
export type Wheel = {
  readonly clientId: string;
  readonly does: 'take' | 'ask' | 'give' | 'leave';
  readonly to: string | null;
};
export const wheel = Joi.object<Wheel>({
  clientId: id().required(),
  does: Joi.string().valid('take', 'ask', 'give', 'leave').required(),
  to: id().allow(null).default(null),
});

/** A window that follows or leads, and whose it is. */
export type Follower = { readonly clientId: string; readonly name: string };
/** Who leads, what they see, who asks for the wheel, and how many windows follow. */
export type Following = {
  readonly lead: Follower | null;
  readonly view: LeadView | null;
  readonly asking: readonly Follower[];
  readonly followers: number;
};
