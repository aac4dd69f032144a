import {
  SETTINGS,
  SKEWS,
  SPAN_KINDS,
  type Angle,
  type Footage,
  type FootageSpan,
  type MediaFile,
  type Region,
  type SoundTrack,
} from '../footage/index.js';
import type { ClockAnchor } from '../timecode/index.js';
import {
  DAY,
  FLAG,
  FRAME,
  ID,
  NAME_LIMIT,
  bareOf,
  choice,
  fixed,
  list,
  name,
  number,
  object,
  orNull,
  said,
  saidOr,
  text,
  whole,
  type FieldsOf,
} from './shapes.js';

/** Longest shift between two cameras, in milliseconds: a day. */
const OFFSET_LIMIT_MS = 86_400_000;
const CONTEXT_LIMIT = 500;
const CLOCK_ANCHORS_LIMIT = 200;
const CLOCK_LIMIT_MS = 100 * 60_000;
const SPANS_LIMIT = 1000;
const RATE_LIMIT = 8;
const LANDMARK_LIMIT = 40;
const TICKS = Number.MAX_SAFE_INTEGER;

const FOOTAGE_MS = number(-OFFSET_LIMIT_MS, OFFSET_LIMIT_MS);
const CLOCK_ANCHOR = object<ClockAnchor>({
  atMs: FOOTAGE_MS,
  readingMs: number(0, CLOCK_LIMIT_MS),
  direction: choice('down', 'up'),
  running: FLAG,
  period: whole(1, 99),
  lengthMs: orNull(number(1000, CLOCK_LIMIT_MS)),
});
const SPAN = object<FootageSpan>({
  fromMs: FOOTAGE_MS,
  toMs: number(-OFFSET_LIMIT_MS, OFFSET_LIMIT_MS, 'fromMs'),
  kind: choice(...SPAN_KINDS),
});

/** What is kept of a footage: its sheet. */
export const FOOTAGE = {
  title: said(name()),
  setting: said(choice(...SETTINGS)),
  logged: saidOr(choice('throughout', 'picked'), 'picked'),
  live: saidOr(FLAG, true),
  gi: said(FLAG),
  counted: saidOr(FLAG, true),
  date: saidOr(orNull(DAY), null),
  athleteA: said(ID),
  athleteB: said(ID),
  kitA: saidOr(text(NAME_LIMIT), ''),
  kitB: saidOr(text(NAME_LIMIT), ''),
  ruleset: saidOr(text(NAME_LIMIT), ''),
  level: saidOr(text(NAME_LIMIT), ''),
  place: saidOr(text(NAME_LIMIT), ''),
  speaker: saidOr(text(NAME_LIMIT), ''),
  surroundings: saidOr(orNull(choice('open', 'edge', 'wall')), null),
  context: saidOr(text(CONTEXT_LIMIT), ''),
  skewedBy: saidOr(orNull(choice(...SKEWS)), null),
  audience: saidOr(choice('academy', 'coaches'), 'academy'),
  clock: saidOr(list(CLOCK_ANCHOR, { most: CLOCK_ANCHORS_LIMIT }), []),
  spans: saidOr(list(SPAN, { most: SPANS_LIMIT }), []),
} as const satisfies FieldsOf<Footage>;

const SHARE = number(0, 1);
const REGION = object<Region>({
  left: SHARE,
  top: SHARE,
  right: number(0, 1, 'left'),
  bottom: number(0, 1, 'top'),
});
/** What is kept of an angle. */
export const ANGLE = {
  footageId: fixed(ID),
  fileId: fixed(ID),
  fromFrame: said(FRAME),
  toFrame: said(FRAME),
  fromPts: fixed(number(-TICKS, TICKS)),
  toPts: fixed(number(-TICKS, TICKS)),
  offsetMs: saidOr(FOOTAGE_MS, 0),
  rate: saidOr(number(0, RATE_LIMIT), 1),
  kind: saidOr(choice('live', 'replay'), 'live'),
  region: saidOr(orNull(REGION), null),
  leftMark: saidOr(text(LANDMARK_LIMIT), ''),
  rightMark: saidOr(text(LANDMARK_LIMIT), ''),
} as const satisfies FieldsOf<Angle>;

const COUNT = whole(0, 2 ** 31 - 1);
const TRACK = object<SoundTrack>({ language: text(255), title: text(255), channels: COUNT, codec: text(255) });
/** What is kept of a media file, as the file itself tells it. */
export const FILE = {
  name: fixed(name(255)),
  mime: fixed(text(60)),
  sizeBytes: fixed(whole(0, TICKS)),
  sha256: fixed(text(64)),
  frames: fixed(COUNT),
  width: fixed(COUNT),
  height: fixed(COUNT),
  timeBaseNum: fixed(COUNT),
  timeBaseDen: fixed(COUNT),
  codec: fixed(text(60)),
  playable: fixed(FLAG),
  hasSound: fixed(FLAG),
  seconds: fixed(number(0, TICKS)),
  cutOff: fixed(FLAG),
  tracks: fixed(list(TRACK)),
  track: fixed(COUNT),
} as const satisfies FieldsOf<MediaFile>;

/** What nobody said of a footage, of an angle. */
export const BARE_FOOTAGE = bareOf<Footage>()(FOOTAGE);
export const BARE_ANGLE = bareOf<Angle>()(ANGLE);
