import type {
  Angle,
  Attempt,
  Clip,
  Control,
  Finish,
  Footage,
  Instant,
  KeptRoute,
  MediaFile,
  Moment,
  Person,
  ReactionUse,
  ReasonUse,
  Role,
  RouteStep,
  State,
} from '@odograph/core';
import type { Row } from '../database/models.js';

/** Rows to what the rest of the program knows, and back. Sequelize never leaves the repositories. */
const pick = <T>(row: Row, ...fields: string[]): T => Object.fromEntries(fields.map((f) => [f, row[f]])) as T;

export const toPerson = (row: Row): Person =>
  pick(row, 'id', 'version', 'name', 'athlete', 'member', 'accountId', 'level', 'age', 'filming', 'shownTo');
const FILE_AS_IS = [
  'name',
  'mime',
  'sha256',
  'frames',
  'width',
  'height',
  'timeBaseNum',
  'timeBaseDen',
  'codec',
  'playable',
  'hasSound',
  'seconds',
  'cutOff',
  'tracks',
  'track',
] as const satisfies readonly (keyof MediaFile)[];
export const toFile = (row: Row): MediaFile => ({
  ...pick<MediaFile>(row, 'id', ...FILE_AS_IS),
  sizeBytes: Number(row['sizeBytes']),
});
export const fromFile = (file: MediaFile): Row => pick({ ...file }, 'sizeBytes', ...FILE_AS_IS);
export const toFootage = (row: Row): Footage =>
  pick(
    row,
    'id',
    'version',
    'title',
    'setting',
    'logged',
    'live',
    'gi',
    'counted',
    'date',
    'athleteA',
    'athleteB',
    'kitA',
    'kitB',
    'ruleset',
    'level',
    'place',
    'surroundings',
    'context',
    'audience',
    'clock',
    'spans',
  );
export const toAngle = (row: Row): Angle =>
  pick(
    row,
    'id',
    'version',
    'footageId',
    'fileId',
    'fromFrame',
    'toFrame',
    'fromPts',
    'toPts',
    'offsetMs',
    'rate',
    'kind',
    'leftMark',
    'rightMark',
  );

const instant = (row: Row, name: string): Instant | null =>
  row[`${name}Frame`] === null ? null : { frame: row[`${name}Frame`] as number, pts: row[`${name}Pts`] as number };
const fromInstant = (name: string, at: Instant | null): Row => ({
  [`${name}Frame`]: at?.frame ?? null,
  [`${name}Pts`]: at?.pts ?? null,
});
const state = (position: unknown, role: unknown): State | null =>
  typeof position === 'string' ? { position, role: role as State['role'] } : null;

export const toClip = (row: Row): Clip => ({
  ...pick<Clip>(row, 'id', 'version', 'attemptId', 'angleId', 'note', 'seen', 'keyMoments', 'loops'),
  in: instant(row, 'in')!,
  out: instant(row, 'out')!,
});

const toFinish = (row: Row): Finish | null => {
  switch (row['finishKind']) {
    case 'state':
      return { kind: 'state', position: row['finishKey'] as string, role: row['finishRole'] as State['role'] };
    case 'submission':
      return { kind: 'submission', submission: row['finishKey'] as string, won: row['finishWon'] as boolean };
    case 'reset':
      return {
        kind: 'reset',
        how: row['finishKey'] as 'edge',
        restart: state(row['restartPosition'], row['restartRole']),
      };
    default:
      return null;
  }
};

export const fromFinish = (finish: Finish | null): Row => ({
  finishKind: finish?.kind ?? null,
  finishKey:
    finish === null
      ? null
      : finish.kind === 'state'
        ? finish.position
        : finish.kind === 'submission'
          ? finish.submission
          : finish.how,
  finishRole: finish?.kind === 'state' ? finish.role : null,
  finishWon: finish?.kind === 'submission' ? finish.won : null,
  restartPosition: finish?.kind === 'reset' ? (finish.restart?.position ?? null) : null,
  restartRole: finish?.kind === 'reset' ? (finish.restart?.role ?? null) : null,
});

export const toControl = (row: Row): Control => ({
  ...pick<Control>(
    row,
    'id',
    'holder',
    'limb',
    'limbSide',
    'kind',
    'target',
    'targetOwner',
    'targetSide',
    'reach',
    'cloth',
    'depth',
    'thumb',
    'handed',
    'won',
  ),
  gained: instant(row, 'gained'),
  lost: instant(row, 'lost'),
});
export const fromControl = (c: Control, ordinal: number): Row => ({
  ordinal,
  holder: c.holder,
  limb: c.limb,
  limbSide: c.limbSide,
  kind: c.kind,
  target: c.target,
  targetOwner: c.targetOwner,
  targetSide: c.targetSide,
  reach: c.reach,
  cloth: c.cloth,
  depth: c.depth,
  thumb: c.thumb,
  handed: c.handed,
  won: c.won,
  ...fromInstant('gained', c.gained),
  ...fromInstant('lost', c.lost),
});
export const toMoment = (row: Row): Moment => ({
  ...pick<Moment>(
    row,
    'id',
    'version',
    'footageId',
    'angleId',
    'speed',
    'settled',
    'attemptId',
    'accountId',
    'subject',
    'note',
  ),
  at: instant(row, 'at')!,
  pressed: instant(row, 'pressed')!,
  state: row['position'] === null ? null : { position: row['position'] as string, role: row['role'] as Role },
});
export const toReaction = (row: Row): ReactionUse => pick(row, 'id', 'what', 'isAction', 'deciding');
export const fromReaction = (r: ReactionUse, ordinal: number): Row => ({
  ordinal,
  what: r.what,
  isAction: r.isAction,
  deciding: r.deciding,
});
export const toReason = (row: Row): ReasonUse => pick(row, 'id', 'reason', 'main');
export const fromReason = (r: ReasonUse, ordinal: number): Row => ({ ordinal, reason: r.reason, main: r.main });

/** What is said of an attempt in columns that are called as the fields are. */
export const SAID_AS_IS = [
  'subject',
  'action',
  'intent',
  'result',
  'depth',
  'resisted',
  'shownAs',
  'parentId',
  'series',
  'counterOfId',
  'followsId',
  'isCut',
  'wanted',
  'errors',
  'answers',
  'doubts',
  'proposed',
] as const satisfies readonly (keyof Attempt)[];

export const toAttempt = (
  row: Row,
  below: { controls: readonly Row[]; reactions: readonly Row[]; reasons: readonly Row[] },
): Attempt => ({
  ...pick<Attempt>(row, 'id', 'version', 'footageId', 'angleId', ...SAID_AS_IS),
  state: state(row['statePosition'], row['stateRole']),
  lead: row['leadSide'] as Attempt['lead'],
  finish: toFinish(row),
  start: instant(row, 'start')!,
  commit: instant(row, 'commit'),
  end: instant(row, 'end')!,
  controls: below.controls.map(toControl),
  reactions: below.reactions.map(toReaction),
  reasons: below.reasons.map(toReason),
});

const toStep = (row: Row): RouteStep => ({
  ...pick<RouteStep>(row, 'id', 'action', 'clipId', 'cue', 'note'),
  from: row['fromPlace'] as string,
  to: row['toPlace'] as string,
});
export const toRoute = (row: Row, steps: readonly Row[]): KeptRoute => ({
  ...pick<KeptRoute>(row, 'id', 'version', 'name'),
  steps: steps.map(toStep),
});

/** The columns of an attempt's own row; its lists are rows of their own. */
export const fromAttempt = ({
  state,
  lead,
  finish,
  start,
  commit,
  end,
  controls,
  reactions,
  reasons,
  ...rest
}: Attempt): Row => {
  void [controls, reactions, reasons];
  return {
    ...rest,
    statePosition: state?.position ?? null,
    stateRole: state?.role ?? null,
    leadSide: lead,
    ...fromFinish(finish),
    ...fromInstant('start', start),
    ...fromInstant('commit', commit),
    ...fromInstant('end', end),
  };
};
export const fromClip = ({ in: inAt, out, ...rest }: Clip): Row => ({
  ...rest,
  ...fromInstant('in', inAt),
  ...fromInstant('out', out),
});
