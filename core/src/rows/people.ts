import { AGES, AUDIENCES, type Person } from '../people/index.js';
import { FLAG, ID, bareOf, choice, name, orNull, said, saidOr, type FieldsOf } from './shapes.js';

const LEVEL_LIMIT = 40;

/** What is kept of a person. */
export const PERSON = {
  name: said(name()),
  athlete: saidOr(FLAG, false),
  member: saidOr(FLAG, false),
  accountId: saidOr(orNull(ID), null),
  level: saidOr(orNull(name(LEVEL_LIMIT)), null),
  age: saidOr(orNull(choice(...AGES)), null),
  filming: saidOr(orNull(FLAG), null),
  shownTo: saidOr(orNull(choice(...AUDIENCES)), null),
} as const satisfies FieldsOf<Person>;

/** What nobody said of a person. */
export const BARE_PERSON = bareOf<Person>()(PERSON);
