import type { ClashKind, Strength, WithAndWithout } from '@odograph/core';

/** How far a principle binds, as it is picked. */
export const STRENGTH_TEXT: Readonly<Record<Strength, string>> = {
  required: 'required',
  usual: 'usual',
  habit: 'one athlete’s habit',
  never: 'never without a reason',
};

const rate = ({ worked, not }: WithAndWithout['with']): string => `${worked} of ${worked + not}`;
const p = (value: number): string => (value < 0.001 ? 'p < 0.001' : `p = ${value.toFixed(value < 0.1 ? 3 : 2)}`);
const isEmpty = ({ worked, not }: WithAndWithout['with']): boolean => worked + not === 0;

/** The two by two in words: counts first. */
export const tableText = (table: WithAndWithout): string => {
  const { with: had, without, notSaid } = table;
  const parts = [
    ...(isEmpty(had) ? [] : [`with it, worked ${rate(had)}`]),
    ...(isEmpty(without) ? [] : [`without it, worked ${rate(without)}`]),
    ...(notSaid ? [`not said ${notSaid}`] : []),
    ...(isEmpty(had) || isEmpty(without) ? [] : [p(table.p)]),
  ];
  return parts.length ? parts.join('; ') : 'No attempt it applies to yet';
};

export const CLASH_TEXT: Readonly<Record<ClashKind, string>> = {
  'required and never': 'One requires what the other says never to do.',
  'other values': 'They ask for two different things at once.',
  'other answers': 'They answer the same reaction in two ways.',
};

export const PRINCIPLES_TEXT = {
  title: 'Principles',
  lead: 'What has to be there, what mostly is, and what never without a reason. Each is held against your attempts: those that have it or miss it count for or against by themselves, and your word stands over that.',
  forStudents: 'Your coach hasn’t written down any principles yet.',
  empty: 'No principles yet. Say below where one applies and what has to be there.',
  add: 'Add principle',
  adding: 'A new principle',
  where: 'Applies to',
  wherePlaceholder: 'half guard top, any pass',
  what: 'What has to be there, or how it’s answered',
  whatPlaceholder: 'arms inside',
  whatNever: 'What’s never to be there without a reason',
  how: 'How far it binds',
  whose: 'Whose habit',
  whoseView: 'Whose view',
  sentence: 'In your words',
  sentencePlaceholder: 'Both arms inside before you pass',
  academyView: 'the academy’s',
  myView: 'mine',
  speakerView: 'somebody’s, by name …',
  speaker: 'Their name',
  readWhere: (parts: readonly string[]): string => `Read as: ${parts.join(', ')}.`,
  readWhat: (what: string): string => `Read as: ${what}.`,
  notUnderstood: (texts: readonly string[]): string => `Not understood: ${texts.map((t) => `“${t}”`).join(', ')}.`,
  needsWhere: 'Say where it applies: a place, an entry, or what they do.',
  needsReaction: 'An entry here is an answer. Say under “Applies to” what they do.',
  needsSentence: 'Say it in your own words.',
  needsWhose: 'Pick the athlete.',
  answer: (action: string): string => `answer with ${action}`,
  asks: (what: string): string => `asks for ${what}`,
  never: (what: string): string => `never ${what}`,
  asksNothing: 'told, not measured',
  of: (name: string): string => `of ${name}`,
  view: (name: string): string => `${name}’s view`,
  other: 'another view, on record',
  tally: (on: number, against: number, byHand: number): string =>
    `${on} for, ${against} against${byHand ? ` (${byHand} by your word)` : ''}`,
  broken: (n: number): string => (n === 1 ? '1 attempt without it' : `${n} attempts without it`),
  show: 'Show the attempts',
  hide: 'Hide the attempts',
  another: 'Put another clip beside it',
  findClip: 'words of its sentence',
  speaksFor: 'It speaks for it',
  speaksAgainst: 'It speaks against it',
  more: (n: number): string => `${n} more`,
  for: 'For',
  against: 'Against',
  byItself: 'By itself',
  says: (text: string): string => `Whether it speaks for “${text}”`,
  has: 'has it',
  lacks: 'misses it',
  saysNothing: 'doesn’t say',
  worked: 'worked',
  notWorked: 'didn’t work',
  remove: 'Remove',
  clashes: 'Clashes',
  clashLead:
    'Two principles that advise opposite things where both apply. Keep both, or take one for the academy; the other stays on record.',
  take: 'Take this one',
  keepBoth: 'Keep both',
  bothKept: 'Both kept',
  taken: 'The academy’s',
  coach: 'a coach',
  look: (title: string, code: string): string => `Look at it: ${title}, ${code}`,
  elsewhere: 'Everywhere',
  views: 'Two views',
  viewsLead: 'What the other side could have done against the same thing, told differently in different clips.',
} as const;
