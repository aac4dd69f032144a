import Joi from 'joi';
import {
  ACTION_KINDS,
  CONTROL_KINDS,
  DANGERS,
  FAMILIES,
  LANGUAGES,
  LEAD_LIMBS,
  LIMBS,
  RISK_CLASSES,
  RISK_PAIN,
  ROLES,
  WORD_KINDS,
  areRoles,
  type Definition,
  type Language,
  type OwnAlias,
  type Scope,
  type WordKind,
} from '../vocabulary/index.js';
import { KEPT } from '../rows/index.js';
import { editId, id, key, name } from './fields.js';
import { schemaOf } from './schemas.js';

const LINES_LIMIT = 2000;

const role = Joi.string().valid(...ROLES);
const family = Joi.string().valid(...FAMILIES);
const aim = Joi.alternatives().try(
  Joi.object({ position: key().required(), role: role.required() }),
  Joi.object({ family: family.required(), role: role.required() }),
  Joi.object({ submission: key().required() }),
);
const risk = Joi.object({
  injures: name().required(),
  class: Joi.string()
    .valid(...RISK_CLASSES)
    .required(),
  pain: Joi.string()
    .valid(...RISK_PAIN)
    .required(),
  care: Joi.string().trim().min(1).max(400).required(),
});
/** Holds that make a position, or a grip that has a name. */
const HOLDS_LIMIT = 6;
/** Values of a fact, and other names of each. */
const FACT_VALUES_LIMIT = 9;
const FACT_ALIASES_LIMIT = 12;
const limb = Joi.string().valid(...LIMBS);
const holdKind = Joi.string().valid(...CONTROL_KINDS);
const pattern = Joi.object({
  holder: role.required(),
  limb: limb.required(),
  kind: holdKind.required(),
  target: key().required(),
  cloth: Joi.boolean().required(),
  bothSides: Joi.boolean().required(),
});
const namedGrip = Joi.object({
  limb: limb.required(),
  limbSide: Joi.string().valid('left', 'right'),
  kind: holdKind.required(),
  target: key().required(),
});
const rung = Joi.string().trim().min(1).max(40);
const DEFINITIONS: Record<WordKind, Joi.SchemaMap> = {
  position: {
    family: family.required(),
    roles: Joi.array()
      .items(role)
      .custom((value: readonly string[], helpers) => (areRoles(value) ? value : helpers.error('fault.no-roles')))
      .required(),
    height: Joi.number().min(-5).max(5).required(),
    lead: Joi.object({
      role: role.required(),
      limb: Joi.string()
        .valid(...LEAD_LIMBS)
        .required(),
    }).allow(null),
    parent: key(),
    requires: Joi.array().items(pattern).max(HOLDS_LIMIT),
  },
  action: {
    does: Joi.string()
      .valid(...ACTION_KINDS)
      .required(),
    aims: Joi.array().items(aim).max(12).required(),
    from: Joi.array().items(family).max(FAMILIES.length).required(),
    parent: key(),
    dangers: Joi.array()
      .items(Joi.string().valid(...DANGERS))
      .unique(),
    ladder: Joi.array().items(rung).length(5),
  },
  target: {
    cloth: Joi.boolean().required(),
    sided: Joi.boolean().required(),
    grips: Joi.array().items(namedGrip).min(1).max(HOLDS_LIMIT),
  },
  submission: { risk: risk.required() },
  reaction: {},
  reason: {},
  fact: {
    values: Joi.array()
      .items(
        Joi.object({
          key: key().required(),
          says: name().required(),
          theirs: name(),
          aliases: Joi.array().items(name()).max(FACT_ALIASES_LIMIT).required(),
        }),
      )
      .unique('key')
      .max(FACT_VALUES_LIMIT)
      .required(),
    sided: Joi.boolean().required(),
    families: Joi.array().items(family).max(FAMILIES.length).required(),
    whose: Joi.string().valid('subject', 'opponent', 'both').required(),
  },
};
/** A definition has the fields of its kind and no other. */
const definition = Joi.alternatives<Definition>().conditional('kind', {
  switch: WORD_KINDS.map((kind) => ({
    is: kind,
    then: Joi.object({ kind: Joi.valid(kind).required(), ...DEFINITIONS[kind] }),
  })),
});

/** What an academy says of one word, whole: it takes the place of what it said before. */
export type WordEdit = {
  readonly editId: string;
  /** Of the change; the same for as long as it is this word. */
  readonly id: string;
  /** The version of the change that was seen; null = there was none. */
  readonly baseVersion: number | null;
  readonly kind: WordKind;
  readonly key: string;
  /** null = as shipped. */
  readonly name: string | null;
  readonly hidden: boolean;
  readonly aliases: readonly OwnAlias[];
  readonly definition: Definition | null;
  readonly scope: Scope;
};
export const wordEdit = Joi.object<WordEdit>({
  editId: editId(),
  id: id().required(),
  baseVersion: Joi.number().integer().min(1).allow(null).required(),
  kind: Joi.string()
    .valid(...WORD_KINDS)
    .required(),
  key: key().required(),
  ...Object.fromEntries(
    (['name', 'hidden', 'aliases', 'scope'] as const).map((field) => [
      field,
      schemaOf(KEPT.word[field].told).required(),
    ]),
  ),
  definition: definition.allow(null).required(),
});

/** Aliases for many words at once, as they come from a list. */
export type AliasLines = {
  readonly editId: string;
  readonly lines: readonly {
    readonly kind: WordKind;
    readonly key: string;
    readonly aliasId: string;
    /** Of the change that is made where the academy has said nothing of the word yet. */
    readonly changeId: string;
    readonly alias: string;
    readonly language?: Language;
    /** It holds for whoever says it, not for the whole academy. */ readonly forMe?: boolean;
  }[];
};
export const aliasLines = Joi.object<AliasLines>({
  editId: editId(),
  lines: Joi.array()
    .items(
      Joi.object({
        kind: Joi.string()
          .valid(...WORD_KINDS)
          .required(),
        key: key().required(),
        aliasId: id().required(),
        changeId: id().required(),
        alias: name().required(),
        language: Joi.string().valid(...LANGUAGES),
        forMe: Joi.boolean(),
      }),
    )
    .min(1)
    .max(LINES_LIMIT)
    .required(),
});
