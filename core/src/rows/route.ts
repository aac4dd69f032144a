import {
  AGE_GROUPS,
  BARE_STEP,
  CLIP_ROLES,
  CUE_WEIGHTS,
  DRILL_FORMS,
  LEVELS,
  RESISTANCES,
  STEP_KINDS,
  type BranchOn,
  type Cue,
  type Drill,
  type KeptRoute,
  type RoleClip,
  type RouteBranch,
  type RouteStep,
} from '../teaching/index.js';
import {
  FLAG,
  ID,
  NAME_LIMIT,
  PLACE,
  bare,
  choice,
  key,
  list,
  name,
  object,
  orNull,
  said,
  saidOr,
  text,
  union,
  whole,
  type FieldsOf,
} from './shapes.js';

/** Longest cue: it is read from eight metres. */
export const CUE_LIMIT = 120;
const STEP_NOTE_LIMIT = 2000;
const STEPS_LIMIT = 60;
const CHECKS_LIMIT = 8;
/** Longest time that is set for one step: an hour, in seconds. */
const STEP_SECONDS_LIMIT = 3600;

const DRILL = object<Drill>({
  form: choice(...DRILL_FORMS),
  resistance: choice(...RESISTANCES),
  kinds: whole(1, 6),
  isBothSides: FLAG,
  seconds: whole(10, 600),
  reps: orNull(whole(1, 50)),
  change: whole(0, 60),
});
const STEP = object<RouteStep>({
  id: ID,
  kind: bare(choice(...STEP_KINDS), BARE_STEP.kind),
  branch: bare(orNull(ID), BARE_STEP.branch),
  from: bare(orNull(PLACE), BARE_STEP.from),
  action: bare(orNull(key('action')), BARE_STEP.action),
  to: bare(orNull(PLACE), BARE_STEP.to),
  title: bare(text(NAME_LIMIT), BARE_STEP.title),
  clipId: bare(orNull(ID), BARE_STEP.clipId),
  clips: bare(list(object<RoleClip>({ role: choice(...CLIP_ROLES), clipId: ID }), { once: 'role' }), BARE_STEP.clips),
  cue: bare(text(CUE_LIMIT), BARE_STEP.cue),
  cues: bare(
    list(object<Cue>({ text: name(CUE_LIMIT), weight: choice(...CUE_WEIGHTS) }), { most: CHECKS_LIMIT }),
    BARE_STEP.cues,
  ),
  mistake: bare(text(CUE_LIMIT), BARE_STEP.mistake),
  checks: bare(list(name(CUE_LIMIT), { most: CHECKS_LIMIT, once: true }), BARE_STEP.checks),
  question: bare(text(CUE_LIMIT), BARE_STEP.question),
  note: bare(text(STEP_NOTE_LIMIT), BARE_STEP.note),
  drill: bare(orNull(DRILL), BARE_STEP.drill),
  seconds: bare(orNull(whole(0, STEP_SECONDS_LIMIT)), BARE_STEP.seconds),
  isMirrored: bare(FLAG, BARE_STEP.isMirrored),
});
const BRANCH = object<RouteBranch>({
  id: ID,
  from: ID,
  on: union<BranchOn>({ reaction: { reaction: key('reaction') }, choice: { text: name(CUE_LIMIT) } }),
  joins: bare(orNull(ID), null),
});
/** What is kept of a route. */
export const ROUTE = {
  name: said(name()),
  steps: said(list(STEP, { least: 1, most: STEPS_LIMIT, once: 'id' })),
  branches: saidOr(list(BRANCH, { most: STEPS_LIMIT, once: 'id' }), []),
  forLevel: saidOr(orNull(choice(...LEVELS)), null),
  forAge: saidOr(orNull(choice(...AGE_GROUPS)), null),
} as const satisfies FieldsOf<KeptRoute>;
