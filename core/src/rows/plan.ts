import { PLAN_LINES_LIMIT, type Plan, type PlannedLine } from '../plans/index.js';
import { FLAG, PLACE, fixed, key, list, name, object, said, type FieldsOf } from './shapes.js';

const LINE = object<PlannedLine>({ from: PLACE, action: key('action'), bait: FLAG, to: PLACE });
/** What is kept of a plan. */
export const PLAN = {
  name: said(name()),
  lines: fixed(list(LINE, { least: 1, most: PLAN_LINES_LIMIT })),
} as const satisfies FieldsOf<Plan>;
