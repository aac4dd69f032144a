import { POINTS_OF, SHAPE_KINDS, type Drawing, type Shape, type TrackPoint } from '../drawings/index.js';
import { FACT_WHEN, FACT_WHOSE } from '../attempts/index.js';
import { STRENGTHS, type HoldPattern, type Principle, type PrincipleScope, type View } from '../principles/index.js';
import { FOLLOWED, TODO_KINDS, TODO_STATUSES, type AnnouncedPart, type Todo } from '../todos/index.js';
import { ACTION_KINDS, CONTROL_KINDS, LIMBS } from '../vocabulary/index.js';
import type { Pattern } from '../why/index.js';
import {
  DAY,
  FLAG,
  FRAME,
  ID,
  INSTANT,
  NAME_LIMIT,
  ROLE,
  SIDE,
  STATE,
  SUBJECT,
  bareOf,
  choice,
  fixed,
  key,
  list,
  name,
  number,
  object,
  orNull,
  said,
  saidOr,
  text,
  union,
  whole,
  type FieldsOf,
} from './shapes.js';

/** Longest sentence of a principle, and text of an entry of a list. */
export const SENTENCE_LIMIT = 300;
const CLIPS_LIMIT = 200;
const SHAPES_LIMIT = 200;
const SHAPE_TEXT_LIMIT = 80;
/** A minute, at sixty a second. */
const TRACK_LIMIT = 3600;
const HOLD_LIMIT_MS = 60_000;

const HOLD = {
  holder: choice('subject', 'opponent'),
  limb: choice(...LIMBS),
  control: choice(...CONTROL_KINDS),
  target: key('target'),
  sides: orNull(choice('same', 'cross')),
} as const;
const PATTERN = union<Pattern>({
  fact: {
    fact: key('fact'),
    // what a word may be said to be, it says itself
    value: key(null),
    whose: choice(...FACT_WHOSE),
    side: orNull(SIDE),
    when: orNull(choice(...FACT_WHEN)),
  },
  hold: HOLD,
});
const CLIPS = list(ID, { most: CLIPS_LIMIT, once: true });

/** What is kept of a principle. */
export const PRINCIPLE = {
  scope: said(
    object<PrincipleScope>({
      state: orNull(object<NonNullable<PrincipleScope['state']>>({ position: key('position'), role: orNull(ROLE) })),
      does: orNull(choice(...ACTION_KINDS)),
      action: orNull(key('action')),
      reaction: orNull(key('reaction')),
      hold: orNull(union<HoldPattern>({ hold: HOLD })),
    }),
  ),
  strength: said(choice(...STRENGTHS)),
  habitOf: saidOr(orNull(ID), null),
  sentence: said(name(SENTENCE_LIMIT)),
  pattern: saidOr(orNull(PATTERN), null),
  answer: saidOr(orNull(key('action')), null),
  view: saidOr(
    union<View>({ academy: {}, account: { accountId: ID }, person: { personId: ID }, speaker: { name: name() } }),
    { kind: 'academy' },
  ),
  standing: saidOr(choice('kept', 'other'), 'kept'),
  clipsFor: saidOr(CLIPS, []),
  clipsAgainst: saidOr(CLIPS, []),
} as const satisfies FieldsOf<Principle>;

const ANNOUNCED = object<AnnouncedPart>({ id: ID, name: name(), clipId: orNull(ID), isCutOff: FLAG });
/** What is kept of an entry of the lists that stay open. */
export const TODO = {
  kind: fixed(choice(...TODO_KINDS)),
  text: said(name(SENTENCE_LIMIT)),
  status: saidOr(choice(...TODO_STATUSES), 'open'),
  opened: fixed(DAY),
  due: saidOr(orNull(DAY), null),
  footageId: saidOr(orNull(ID), null),
  at: saidOr(orNull(object<NonNullable<Todo['at']>>({ angleId: ID, frame: FRAME })), null),
  clipIds: saidOr(CLIPS, []),
  personIds: saidOr(list(ID, { once: true }), []),
  by: saidOr(text(NAME_LIMIT), ''),
  state: saidOr(orNull(STATE), null),
  action: saidOr(orNull(key('action')), null),
  reaction: saidOr(orNull(key('reaction')), null),
  theirs: saidOr(orNull(key('action')), null),
  followed: saidOr(orNull(choice(...FOLLOWED)), null),
  said: saidOr(orNull(whole(0, 999)), null),
  parts: saidOr(list(ANNOUNCED, { most: 99, once: 'id' }), []),
  isShared: saidOr(FLAG, false),
} as const satisfies FieldsOf<Todo>;

const SHARE = number(0, 1);
const SHAPE = object<Shape>({
  id: ID,
  kind: choice(...SHAPE_KINDS),
  points: list(object({ x: SHARE, y: SHARE }), { least: 1, most: POINTS_OF.line[1] }),
  whose: orNull(SUBJECT),
  text: text(SHAPE_TEXT_LIMIT),
  order: orNull(whole(1, 999)),
});
/** What is kept of a drawing. */
export const DRAWING = {
  footageId: fixed(ID),
  angleId: fixed(ID),
  from: said(INSTANT),
  to: said(INSTANT),
  holdMs: saidOr(whole(0, HOLD_LIMIT_MS), 0),
  shapes: saidOr(list(SHAPE, { most: SHAPES_LIMIT, once: 'id' }), []),
  track: saidOr(list(object<TrackPoint>({ t: number(0, 3_600_000), x: SHARE, y: SHARE }), { most: TRACK_LIMIT }), []),
} as const satisfies FieldsOf<Drawing>;

/** What nobody said of a principle, of an entry, of a drawing. */
export const BARE_PRINCIPLE = bareOf<Principle>()(PRINCIPLE);
export const BARE_TODO = bareOf<Todo>()(TODO);
export const BARE_DRAWING = bareOf<Drawing>()(DRAWING);
