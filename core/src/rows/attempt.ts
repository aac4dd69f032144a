import {
  BARE_HOLD,
  BARE_REACTION,
  BARE_ALTERNATIVE,
  BARE_EVIDENCE,
  DOUBT_FIELDS,
  EVIDENCE_HOWS,
  FACT_WHEN,
  FACT_WHOSE,
  HOLD_DEPTHS,
  HOLD_PLACES,
  HOLD_PURPOSES,
  LINK_KINDS,
  PROPOSED_PARTS,
  REACTION_QUALITIES,
  REACHES,
  RESETS,
  RESULTS,
  SEEN,
  THUMBS,
  type Alternative,
  type AlternativeOpens,
  type AnswerUse,
  type Attempt,
  type AttemptAim,
  type BecauseLink,
  type Clip,
  type Control,
  VIEW_KINDS,
  type DetailLoop,
  type Doubt,
  type ErrorUse,
  type Evidence,
  type FactUse,
  type Finish,
  type KeyMoment,
  type PartRef,
  type Proof,
  type ReactionUse,
  type ReasonUse,
  type Teller,
  type ViewStretch,
} from '../attempts/index.js';
import { type Moment } from '../moments/index.js';
import { CONTROL_KINDS, LIMBS } from '../vocabulary/index.js';
import {
  FLAG,
  FRAME,
  ID,
  INSTANT,
  NAME_LIMIT,
  ROLE,
  SIDE,
  STATE,
  SUBJECT,
  bare,
  bareOf,
  choice,
  fixed,
  fixedOr,
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

/** Longest note of a clip that is kept, in characters. */
export const NOTE_LIMIT = 4000;
const MARK_NOTE_LIMIT = 500;
const TRIES_LIMIT = 99;
const FORM_LIMIT = 60;
/** Longest name of a run of attempts, and of an instant. */
export const RUN_NAME_LIMIT = 80;
export const MOMENT_NAME_LIMIT = 40;
const WHY_TEXT_LIMIT = 200;
/** A kind of part and an id behind it. */
const PART_LIMIT = 60;
const LINKS_LIMIT = 60;
const VIEWS_LIMIT = 60;

const FINISH = union<Finish>(
  {
    state: { position: key('position'), role: ROLE },
    submission: { submission: key('submission'), won: FLAG },
    reset: { how: choice(...RESETS), restart: orNull(STATE) },
  },
  true,
);
const CONTROL = object<Control>({
  id: ID,
  holder: choice('subject', 'opponent'),
  limb: choice(...LIMBS),
  limbSide: orNull(SIDE),
  kind: choice(...CONTROL_KINDS),
  target: key('target'),
  targetOwner: choice('other', 'own', 'mat', 'wall'),
  targetSide: orNull(SIDE),
  reach: bare(orNull(choice(...REACHES)), BARE_HOLD.reach),
  cloth: FLAG,
  depth: bare(orNull(choice(...HOLD_DEPTHS)), BARE_HOLD.depth),
  thumb: bare(orNull(choice(...THUMBS)), BARE_HOLD.thumb),
  place: bare(orNull(choice(...HOLD_PLACES.arm, ...HOLD_PLACES.leg, ...HOLD_PLACES.cloth)), BARE_HOLD.place),
  purposes: bare(list(choice(...HOLD_PURPOSES), { once: true }), BARE_HOLD.purposes),
  hidden: bare(FLAG, BARE_HOLD.hidden),
  handed: bare(FLAG, BARE_HOLD.handed),
  handedFrom: bare(orNull(ID), BARE_HOLD.handedFrom),
  won: bare(FLAG, BARE_HOLD.won),
  gained: orNull(INSTANT),
  lost: orNull(INSTANT),
});
const REACTION = object<ReactionUse>({
  id: ID,
  // an action word where it was itself an attack
  what: key(({ isAction }) => (isAction ? 'action' : 'reaction')),
  isAction: FLAG,
  deciding: bare(FLAG, BARE_REACTION.deciding),
  quality: bare(orNull(choice(...REACTION_QUALITIES)), BARE_REACTION.quality),
  limb: bare(orNull(choice(...LIMBS)), BARE_REACTION.limb),
  side: bare(orNull(SIDE), BARE_REACTION.side),
  at: bare(orNull(INSTANT), BARE_REACTION.at),
});
const REASON = object<ReasonUse>({ id: ID, reason: key('reason'), main: FLAG });
const ERROR = object<ErrorUse>({
  id: ID,
  by: choice('subject', 'opponent'),
  cause: choice('brought about', 'given away'),
  what: orNull(key('reason')),
  until: orNull(INSTANT),
});
const ANSWER = object<AnswerUse>({ id: ID, from: STATE, action: key('action'), reaction: key('reaction') });
const FACT = object<FactUse>({
  id: ID,
  fact: key('fact'),
  // what a word may be said to be, it says itself
  value: key(null),
  side: orNull(SIDE),
  whose: choice(...FACT_WHOSE),
  when: choice(...FACT_WHEN),
});
const ALTERNATIVE = object<Alternative>({
  id: ID,
  by: choice('subject', 'opponent'),
  what: key(({ isAction }) => (isAction ? 'action' : 'reaction')),
  isAction: FLAG,
  why: bare(orNull(key('reason')), BARE_ALTERNATIVE.why),
  text: bare(text(WHY_TEXT_LIMIT), BARE_ALTERNATIVE.text),
  from: bare(orNull(INSTANT), BARE_ALTERNATIVE.from),
  until: bare(orNull(INSTANT), BARE_ALTERNATIVE.until),
  opens: bare(
    orNull(
      union<AlternativeOpens>({ state: { position: key('position'), role: ROLE }, action: { action: key('action') } }),
    ),
    BARE_ALTERNATIVE.opens,
  ),
});
const AIM = union<AttemptAim>({
  state: { position: key('position'), role: ROLE },
  submission: { submission: key('submission') },
});
const PART = object<PartRef>({ attemptId: orNull(ID), part: name(PART_LIMIT) });
const LINK = object<BecauseLink>({ id: ID, from: PART, to: PART, kind: choice(...LINK_KINDS), isSure: FLAG });
const EVIDENCE = object<Evidence>({
  part: name(PART_LIMIT),
  how: choice(...EVIDENCE_HOWS),
  proof: orNull(union<Proof>({ frame: { angleId: ID, frame: FRAME }, clip: { clipId: ID } })),
  by: bare(orNull(union<Teller>({ account: { accountId: ID }, person: { personId: ID } })), BARE_EVIDENCE.by),
});
const DOUBT = object<Doubt>({
  field: choice(...DOUBT_FIELDS),
  kind: choice('unsure', 'unknown'),
  text: text(NAME_LIMIT),
  at: INSTANT,
});

/** What is kept of an attempt. */
export const ATTEMPT = {
  footageId: fixed(ID),
  angleId: fixed(ID),
  subject: said(SUBJECT),
  state: saidOr(orNull(STATE), null),
  lead: saidOr(orNull(SIDE), null),
  action: saidOr(orNull(key('action')), null),
  intent: saidOr(choice('own', 'bait'), 'own'),
  endAssumed: saidOr(FLAG, false),
  planned: saidOr(orNull(FLAG), null),
  form: saidOr(text(FORM_LIMIT), ''),
  result: saidOr(orNull(choice(...RESULTS)), null),
  depth: saidOr(orNull(whole(0, 4)), null),
  finish: saidOr(orNull(FINISH), null),
  resisted: saidOr(orNull(FLAG), null),
  shownAs: saidOr(choice('right', 'mistake'), 'right'),
  parentId: saidOr(orNull(ID), null),
  series: saidOr(whole(1, TRIES_LIMIT), 1),
  counterOfId: saidOr(orNull(ID), null),
  followsId: saidOr(orNull(ID), null),
  isCut: saidOr(FLAG, false),
  wanted: saidOr(orNull(key('reaction')), null),
  aim: saidOr(orNull(AIM), null),
  runName: saidOr(text(RUN_NAME_LIMIT), ''),
  start: said(INSTANT),
  commit: saidOr(orNull(INSTANT), null),
  end: said(INSTANT),
  controls: saidOr(list(CONTROL), []),
  reactions: saidOr(list(REACTION), []),
  reasons: saidOr(list(REASON), []),
  errors: saidOr(list(ERROR), []),
  answers: saidOr(list(ANSWER), []),
  facts: saidOr(list(FACT), []),
  alternatives: saidOr(list(ALTERNATIVE), []),
  links: saidOr(list(LINK, { most: LINKS_LIMIT }), []),
  evidence: saidOr(list(EVIDENCE, { most: LINKS_LIMIT, once: 'part' }), []),
  doubts: saidOr(list(DOUBT, { once: 'field' }), []),
  proposed: saidOr(list(choice(...PROPOSED_PARTS), { once: true }), []),
} as const satisfies FieldsOf<Attempt>;

const KEY_MOMENT = object<KeyMoment>({ name: name(MOMENT_NAME_LIMIT), at: INSTANT });
const VIEW = object<ViewStretch>({ id: ID, in: INSTANT, out: INSTANT, kind: choice(...VIEW_KINDS) });
const DETAIL_LOOP = object<DetailLoop>({ id: ID, in: INSTANT, out: INSTANT, speed: number(0.05, 4) });
/** What is kept of a clip. */
export const CLIP = {
  attemptId: fixed(ID),
  angleId: fixed(ID),
  in: said(INSTANT),
  out: said(INSTANT),
  note: saidOr(text(NOTE_LIMIT, { isTrimmed: false }), ''),
  seen: saidOr(orNull(choice(...SEEN)), null),
  keyMoments: saidOr(list(KEY_MOMENT, { once: 'name' }), []),
  loops: saidOr(list(DETAIL_LOOP), []),
  views: saidOr(list(VIEW, { most: VIEWS_LIMIT, once: 'id' }), []),
} as const satisfies FieldsOf<Clip>;

/** What is kept of a mark. */
export const MOMENT = {
  footageId: fixed(ID),
  angleId: fixed(ID),
  at: said(INSTANT),
  pressed: fixed(INSTANT),
  speed: fixed(number(0, 16)),
  settled: fixedOr(FLAG, false),
  accountId: fixed(orNull(ID)),
  attemptId: saidOr(orNull(ID), null),
  state: saidOr(orNull(STATE), null),
  subject: saidOr(orNull(SUBJECT), null),
  note: saidOr(text(MARK_NOTE_LIMIT), ''),
} as const satisfies FieldsOf<Moment>;

/** What nobody said of an attempt, of a clip, of a mark. */
export const BARE_ATTEMPT = bareOf<Attempt>()(ATTEMPT);
export const BARE_CLIP = bareOf<Clip>()(CLIP);
export const BARE_MOMENT = bareOf<Moment>()(MOMENT);
/** An attempt of which nothing is known yet but where it is and whose action it is. Version 0: no server has it. */
export const draftAttempt = (
  known: Pick<Attempt, 'id' | 'footageId' | 'angleId' | 'subject' | 'start' | 'end'>,
): Attempt => ({ ...BARE_ATTEMPT, ...known, version: 0 });
