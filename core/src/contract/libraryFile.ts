import Joi from 'joi';
import type { Library } from '../library/index.js';
import { KEPT, type Fields } from '../rows/index.js';

const rows = (fields: Joi.SchemaMap): Joi.ArraySchema =>
  Joi.array()
    .items(Joi.object({ id: Joi.string().required(), ...fields }).unknown())
    .required();
const instant = Joi.object({ frame: Joi.number().required(), pts: Joi.number().required() });
const state = Joi.object({ position: Joi.string().required(), role: Joi.string().required() });

/** Fields that a file of an earlier version does not have stand as where nobody says them. */
const bareIn = (fields: Fields): Joi.SchemaMap =>
  Object.fromEntries(
    Object.entries(fields).flatMap(([field, part]) => ('bare' in part ? [[field, Joi.any().default(part.bare)]] : [])),
  );

/** A library export read back from a file: loose in what it carries beside, strict in what is counted. */
export const libraryFile = Joi.object<Library>({
  format: Joi.valid('odograph-library').required(),
  formatVersion: Joi.valid(1).required(),
  academy: Joi.object({
    id: Joi.string().required(),
    name: Joi.string().required(),
    timeZone: Joi.string().required(),
  }).required(),
  wordChanges: Joi.array()
    .items(Joi.object({ kind: Joi.string().required(), key: Joi.string().required() }).unknown())
    .required(),
  persons: rows({ name: Joi.string().required() }),
  files: rows({ timeBaseNum: Joi.number().required(), timeBaseDen: Joi.number().required() }),
  footage: rows({
    setting: Joi.string().required(),
    logged: Joi.string().required(),
    live: Joi.boolean().required(),
    counted: Joi.boolean().required(),
  }),
  angles: rows({ footageId: Joi.string().required(), fileId: Joi.string().required() }),
  attempts: rows({
    ...bareIn(KEPT.attempt),
    footageId: Joi.string().required(),
    subject: Joi.valid('a', 'b').required(),
    state: state.allow(null).required(),
    action: Joi.string().allow(null).required(),
    result: Joi.string().allow(null).required(),
    finish: Joi.object().unknown().allow(null).required(),
    intent: Joi.valid('own', 'bait').required(),
    start: instant.required(),
    end: instant.required(),
    controls: Joi.array().required(),
    reactions: Joi.array().required(),
  }),
  clips: rows({
    ...bareIn(KEPT.clip),
    attemptId: Joi.string().required(),
    in: instant.required(),
    out: instant.required(),
  }),
  routes: Joi.array().default([]),
  moments: Joi.array().default([]),
  principles: Joi.array().default([]),
  todos: Joi.array().default([]),
  drawings: Joi.array().default([]),
  plans: Joi.array().default([]),
  policies: Joi.array().default([]),
  collections: Joi.array().default([]),
}).unknown();
