import type {
  AngleFields,
  AttemptFields,
  ClipFields,
  Refusal,
  FieldFault,
  FieldKind,
  FootageFields,
  MomentFields,
  PersonFields,
  RouteFields,
  PrincipleFields,
  TodoFields,
  DrawingFields,
  PlanFields,
  CollectionFields,
  PolicyFields,
} from '@odograph/core/contract';
import { faultText } from '../../design/index.js';

/** Every field that an edit can say. */
type Sayable =
  | keyof AngleFields
  | keyof AttemptFields
  | keyof ClipFields
  | keyof FootageFields
  | keyof MomentFields
  | keyof PersonFields
  | keyof RouteFields
  | keyof PrincipleFields
  | keyof TodoFields
  | keyof DrawingFields
  | keyof PlanFields
  | keyof CollectionFields
  | keyof PolicyFields;
const FIELDS: Readonly<Record<Sayable, string>> & Readonly<Record<string, string>> = {
  state: 'position',
  action: 'entry',
  finish: 'finish',
  result: 'result',
  controls: 'grips',
  reactions: 'their reaction',
  reasons: 'why',
  depth: 'how far',
  subject: 'whose action it is',
  inFrame: 'in',
  outFrame: 'out',
  note: 'note',
  seen: 'seen from',
  leftMark: 'what stands at the left',
  rightMark: 'what stands at the right',
  keyMoments: 'key moments',
  loops: 'loops',
  views: 'how well it shows',
  wanted: 'wanted reaction',
  errors: 'mistakes',
  answers: 'what it answers',
  doubts: 'doubts',
  proposed: 'what is proposed',
  followsId: 'what it follows',
  isCut: 'cut from what came before',
  offsetMs: 'when it starts',
  rate: 'how fast it runs',
  fromFrame: 'first frame',
  toFrame: 'last frame',
  title: 'title',
  name: 'name',
  steps: 'steps',
  branches: 'branches',
  forLevel: 'level',
  forAge: 'age',
  school: 'school',
  rows: 'policy',
  aliases: 'aliases',
  hidden: 'hidden',
  definition: 'what it is',
  scope: 'for whom it holds',
  role: 'role',
  level: 'level',
  age: 'adult or minor',
  filming: 'consent to be filmed',
  shownTo: 'shown to whom',
  athlete: 'athlete',
  member: 'member',
  accountId: 'account',
  kitA: 'kit of the first',
  kitB: 'kit of the second',
  setting: 'setting',
  ruleset: 'rules',
  place: 'place',
  speaker: 'who talks on it',
  surroundings: 'around the mat',
  context: 'what skews the numbers',
  skewedBy: 'why its figures say less',
  audience: 'who may see it',
  clock: 'readings of the clock',
  spans: 'stretches that are no technique',
  gi: 'clothing',
  logged: 'logged',
  lead: 'lead side',
  intent: 'bait or meant',
  endAssumed: 'end not said',
  planned: 'planned or on the spot',
  form: 'how the entry was done',
  aim: 'what it was for',
  runName: 'name of the run',
  region: 'part of the picture',
  facts: 'how they stood',
  alternatives: 'what else was there',
  links: 'what made what possible',
  evidence: 'how it’s known',
  until: 'until when',
  from: 'from when',
  resisted: 'whether they resisted',
  shownAs: 'shown right or as a mistake',
  parentId: 'which try it goes on with',
  series: 'which try it is',
  counterOfId: 'what it counters',
  attemptId: 'what was told of the mark',
  atFrame: 'where the mark stands',
  live: 'live or staged',
  counted: 'whether it counts',
  kind: 'live or replay',
  startFrame: 'start',
  commitFrame: 'commit',
  endFrame: 'end',
  timeZone: 'time zone',
  academyName: 'name of the academy',
  strength: 'how far it binds',
  habitOf: 'whose habit',
  sentence: 'the sentence',
  pattern: 'what has to be there',
  answer: 'the answer',
  view: 'whose view',
  standing: 'the academy’s or another view',
  clipsFor: 'clips for it',
  clipsAgainst: 'clips against it',
  text: 'what it is',
  status: 'open or done',
  due: 'by when',
  footageId: 'footage',
  at: 'frame',
  clipIds: 'clips',
  filter: 'what finds its clips',
  personIds: 'who',
  by: 'from whom',
  reaction: 'their reaction',
  theirs: 'their action',
  followed: 'whether they did it',
  said: 'how many',
  parts: 'what was announced',
  isShared: 'whether it may be told',
  holdMs: 'how long the picture is held',
  shapes: 'what is drawn',
  track: 'the pointer’s way',
  clipId: 'clip',
  cue: 'cue',
  email: 'email',
  password: 'password',
  date: 'date',
  athleteA: 'first athlete',
  athleteB: 'second athlete',
};

/** A size as people say it. */
export const sizeText = (bytes: number): string =>
  bytes >= 1e9
    ? `${(bytes / 1e9).toFixed(bytes >= 1e11 ? 0 : 1)} GB`
    : bytes >= 1e6
      ? `${(bytes / 1e6).toFixed(bytes >= 1e7 ? 0 : 1)} MB`
      : `${Math.ceil(bytes / 1000)} kB`;

/** A field of a request in the interface's words. */
export const fieldName = (field: string): string => {
  const known = field.split('.').find((part) => FIELDS[part] !== undefined);
  return known === undefined ? field : FIELDS[known]!;
};

const NAMED: Readonly<Record<(FieldFault & { code: 'not-here' })['facts']['what'], string>> = {
  word: 'isn’t one of your words',
  place: 'isn’t one of your positions',
  hold: 'isn’t a place to hold',
  aim: 'isn’t a position or a submission',
  member: 'isn’t a member here',
  footage: 'isn’t footage of yours',
  clip: 'isn’t a clip of yours',
  attempt: 'isn’t an attempt in this footage',
  detail: 'isn’t told there any more',
  step: 'is no step of this route',
  branch: 'is no branch of this route',
};
const KINDS: Readonly<Record<FieldKind, string>> = {
  text: 'has to be text',
  number: 'has to be a number',
  'whole number': 'has to be a whole number',
  'yes or no': 'has to be yes or no',
  list: 'has to be a list',
  record: 'can’t be read',
  id: 'can’t be read',
};
const SAID: Readonly<Record<Exclude<FieldFault, { facts: unknown }>['code'], string>> = {
  missing: 'is missing',
  'unknown-field': 'isn’t known here',
  'wrong-form': 'isn’t written the way it has to be',
  twice: 'has the same thing twice',
  'not-possible': 'can’t be that',
  'no-email': 'isn’t an email address',
  'no-day': 'isn’t a day; write it like 2031-05-24',
  'no-time-zone': 'isn’t a time zone; write it like Europe/Lisbon',
  'no-roles': 'has to be even, or a pair, or a pair and even',
  'password-short': 'needs at least 12 characters, or three words',
  'password-same': 'is the same few characters over and over',
  'password-common': 'is one of the most common ones; choose another',
  'outside-footage': 'is outside the footage',
  'other-footage': 'belongs to other footage',
  itself: 'can’t be the same attempt',
  'same-athlete': 'has to be somebody else',
  'clips-outside': 'would leave clips of this angle outside',
  'no-track': 'isn’t a sound track of this file',
  'no-captions': 'has no captions that can be read',
  capitals: 'can’t be read',
  'keeps-definition': 'belongs to a word that came with Odograph and can’t be changed',
  'under-itself': 'is a kind of this word itself',
  'other-sides': 'has other sides than this position',
  'goes-round': 'would lead round in a circle',
  'body-too-large': 'is too much at once',
  'body-unreadable': 'can’t be read',
};

/** What is wrong with a field, as it goes on behind the field's name. */
const fieldFaultText = (fault: FieldFault): string => {
  switch (fault.code) {
    case 'wrong-kind':
      return KINDS[fault.facts.wanted];
    case 'not-one-of':
      return fault.facts.all.length <= 6
        ? `has to be one of: ${fault.facts.all.join(', ')}`
        : 'isn’t one of the choices';
    case 'too-many':
      return `can have ${fault.facts.most} ${fault.facts.of} at most`;
    case 'too-few':
      return `needs ${fault.facts.least} ${fault.facts.of} at least`;
    case 'too-large':
      return `can be ${fault.facts.most} at most`;
    case 'too-small':
      return `has to be ${fault.facts.least} at least`;
    case 'not-here':
      return NAMED[fault.facts.what];
    case 'no-role':
      return fault.facts.position === null
        ? 'isn’t a role of this position'
        : `isn’t a role of ${fault.facts.position}`;
    case 'not-after':
      return `has to come after ${fieldName(fault.facts.field)}`;
    case 'not-between':
      return `has to lie between ${fieldName(fault.facts.from)} and ${fieldName(fault.facts.to)}`;
    case 'circle':
      return `would go round in a circle of ${fault.facts.through.length}: something would have made itself possible`;
    case 'outside-file':
      return `is outside the file, which has ${fault.facts.frames} frames`;
    default:
      return SAID[fault.code];
  }
};

/** What the server would not do, in a sentence for the person at the screen. */
export const refusalText = (why: Refusal): string => {
  switch (why.code) {
    case 'invalid':
      return why.facts.fields.map((f) => `${fieldName(f.field)}: ${fieldFaultText(f.fault)}`).join('; ');
    case 'signed-out':
      return 'You’re signed out. Sign in again; your changes are kept here.';
    case 'wrong-sign-in':
      return 'That email and password don’t match.';
    case 'too-many-tries':
      return `Too many tries. Try again in ${Math.max(1, Math.ceil(why.facts.retryAfterS / 60))} min.`;
    case 'busy':
      return `The server is busy. Try again in ${why.facts.retryAfterS} s.`;
    case 'founding-closed':
      return 'Academies are created here by invitation. Ask whoever runs this server for one.';
    case 'quota':
      return why.facts.of === 'bytes'
        ? `This academy can keep ${sizeText(why.facts.most)} of footage and has ${sizeText(why.facts.used)}, uploads included. Move footage to the bin, or ask whoever runs the server for more.`
        : why.facts.of === 'accounts'
          ? `This academy can have ${why.facts.most} accounts, open invitations included, and has ${why.facts.used}. Ask whoever runs the server for more.`
          : `This academy can upload ${why.facts.most} files at once, and is uploading ${why.facts.used}. Wait until one is through.`;
    case 'not-allowed':
      return `As a ${why.facts.role} you can watch, but not change anything.`;
    case 'foreign-origin':
      return 'The server doesn’t take changes from this address. Use the address it was set up for.';
    case 'not-found':
      return 'It’s no longer there. Somebody else may have moved it to the bin.';
    case 'stale':
      return `Somebody else has changed it in the meantime (${why.facts.fields.map((f) => fieldName(f.field)).join(', ')}).`;
    case 'id-taken':
      return 'This was sent before with something different in it.';
    case 'not-video':
      return faultText(why.facts.fault);
    case 'no-picture':
      return `The picture of frame ${why.facts.frame} can’t be read from its file.`;
    case 'too-large':
      return `The file is larger than ${Math.round(why.facts.limitBytes / 2 ** 30)} GB, the most that can be taken in.`;
    case 'nothing-to-undo':
      return 'Nothing to undo.';
    case 'not-leading':
      return why.facts.by === null
        ? 'Nobody leads right now. Take the wheel first.'
        : `${why.facts.by} leads. Ask for the wheel.`;
    case 'nothing-to-redo':
      return 'Nothing to redo: nothing was undone, or something else was edited since.';
    case 'cannot-undo':
      return `Can’t be undone: ${fieldName(why.facts.field)} has changed since.`;
    case 'last-head':
      return 'There has to be a head. Make somebody else one first.';
    case 'member-already':
      return 'That email already belongs to a member.';
    case 'link-spent':
      return 'This link has been used, was withdrawn, or is too old. Ask for a new one.';
    case 'in-use':
      return `It stays: ${why.facts.count === 1 ? 'one' : why.facts.count} of the ${why.facts.by} ${why.facts.count === 1 ? 'uses' : 'use'} it.`;
    case 'above-in-bin':
      return `The ${why.facts.what} it belongs to is in the bin. Restore that first.`;
    case 'no-room':
      return `There’s no room for it on the server: it needs ${sizeText(why.facts.neededBytes)}, and ${sizeText(why.facts.freeBytes)} is free. Nothing was sent; make room under Academy, Disk.`;
    case 'not-whole':
      return `Only ${sizeText(why.facts.bytes)} of ${sizeText(why.facts.ofBytes)} has arrived. Choose the same file to go on.`;
    case 'disk-full':
      return why.facts.keptBytes > 0
        ? `The server’s disk is full. The ${sizeText(why.facts.keptBytes)} that arrived is kept, and the rest follows when there’s room.`
        : 'The server’s disk is full. Nothing was saved there; it’s kept here and goes out when there’s room.';
    case 'database-away':
      return 'The server can’t reach its database right now. What you said is kept here and sent again.';
    case 'internal':
      return 'Something went wrong on the server. Nothing was saved; try again.';
  }
};

/** The sentence for whatever went wrong with a request. */
export const failureText = (error: unknown): string => {
  const { data, status } = (error ?? {}) as { data?: unknown; status?: unknown };
  if (typeof data === 'object' && data !== null && 'code' in data) return refusalText(data as Refusal);
  return status === 'FETCH_ERROR'
    ? 'Can’t reach the server. Nothing was sent; try again.'
    : 'Something went wrong. Try again.';
};
