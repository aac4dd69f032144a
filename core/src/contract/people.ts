import Joi from 'joi';
import type { Person } from '../people/index.js';
import { KEPT, NAME_LIMIT } from '../rows/index.js';
import { chosenPassword, editId, email, id, name, password, token } from './fields.js';
import { editOf, newOf, saidOf, type EditOf, type SentFields } from './schemas.js';

export const ROLES = ['head', 'coach', 'student'] as const;
/** What somebody may do in an academy: a head everything, a coach everything but people's roles, a student looks. */
export type MemberRole = (typeof ROLES)[number];
const memberRole = Joi.string<MemberRole>().valid(...ROLES);

const timeZone = (): Joi.StringSchema =>
  Joi.string()
    .max(60)
    .custom((value: string, helpers) => {
      try {
        new Intl.DateTimeFormat('en', { timeZone: value });
        return value;
      } catch {
        return helpers.error('fault.no-time-zone');
      }
    });

/** A new academy with its first head. A mail that has an account already needs that account's password. */
export type NewAcademy = {
  readonly academyId: string;
  readonly academyName: string;
  readonly timeZone: string;
  readonly name: string;
  readonly email: string;
  readonly password: string;
  /** The secret of an invitation to found one, where the server asks for it; null where somebody has none. */
  readonly invitation: string | null;
};
export const newAcademy = Joi.object<NewAcademy>({
  academyId: id().required(),
  academyName: name().required(),
  timeZone: timeZone().required(),
  name: name().required(),
  email: email().required(),
  password: password().required(),
  invitation: token().allow(null).default(null),
});

/** Asks what founding an academy needs; `invitation` is the secret of an invitation to do so. */
export type FoundingWish = { readonly invitation: string | null };
export const foundingWish = Joi.object<FoundingWish>({ invitation: token().allow(null).default(null) });

export type NewInvitation = { readonly id: string; readonly email: string; readonly role: MemberRole };
export const newInvitation = Joi.object<NewInvitation, true>({
  id: id().required(),
  email: email().required(),
  role: memberRole.required(),
});

export type TokenOnly = { readonly token: string };
export const tokenOnly = Joi.object<TokenOnly, true>({ token: token().required() });

/** Takes an invitation: name and a password of one's own, or, with an account already, only that account's password. */
export type Acceptance = { readonly token: string; readonly name: string; readonly password: string };
export const acceptance = Joi.object<Acceptance, true>({
  token: token().required(),
  name: Joi.string().trim().allow('').max(NAME_LIMIT).required(),
  password: password().required(),
});

export type ResetWish = { readonly email: string };
export const resetWish = Joi.object<ResetWish, true>({ email: email().required() });

export type NewPassword = { readonly token: string; readonly password: string };
export const newPassword = Joi.object<NewPassword, true>({
  token: token().required(),
  password: chosenPassword().required(),
});

export type RoleChange = { readonly role: MemberRole };
export const roleChange = Joi.object<RoleChange, true>({ role: memberRole.required() });

export type AcademyChoice = { readonly academyId: string };
export const academyChoice = Joi.object<AcademyChoice, true>({ academyId: id().required() });

export type PersonFields = SentFields<Person, typeof KEPT.person>;
export type NewPerson = { readonly editId: string; readonly id: string } & PersonFields;
export const newPerson = Joi.object<NewPerson>({ editId: editId(), id: id().required(), ...newOf(KEPT.person) });
export type PersonEdit = EditOf<Partial<PersonFields>>;
export const personEdit = editOf<Partial<PersonFields>>(saidOf(KEPT.person));
