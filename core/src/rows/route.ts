import type { KeptRoute, RouteStep } from '../attempts/index.js';
import { ID, PLACE, key, list, name, object, orNull, said, text, type FieldsOf } from './shapes.js';

/** Longest cue: it is read from eight metres. */
export const CUE_LIMIT = 120;
const STEP_NOTE_LIMIT = 2000;
const STEPS_LIMIT = 40;

const STEP = object<RouteStep>({
  id: ID,
  from: PLACE,
  action: key('action'),
  to: PLACE,
  clipId: orNull(ID),
  cue: text(CUE_LIMIT),
  note: text(STEP_NOTE_LIMIT),
});
/** What is kept of a route. */
export const ROUTE = {
  name: said(name()),
  steps: said(list(STEP, { least: 1, most: STEPS_LIMIT })),
} as const satisfies FieldsOf<KeptRoute>;
