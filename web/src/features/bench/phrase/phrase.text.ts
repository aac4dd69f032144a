import type { Meant } from '@odograph/core';
import type { ProposedPart } from '@odograph/core';

/** A key in braces stands for the key that does now what that one does at first (`Caps`). */
export const LINE_TEXT = {
  label: 'The whole attempt in one line',
  placeholder: 'half top, far underhook, knee slice, they frame then hip out, side control, ok',
  understood: 'Understood so far',
  example: 'Position, grips, entry, what they do, where it ends, how it went: in any order, shortened, as you call it.',
  from: (place: string): string => `from ${place}`,
  endsIn: (place: string): string => `ends in ${place}`,
  proposed: (what: string): string => `and so, unless you say otherwise: ${what}`,
  notUnderstood: (texts: readonly string[]): string =>
    `not understood, kept as a note: ${texts.map((t) => `“${t}”`).join(', ')}`,
  teach: 'F2: say what it is',
  note: (texts: readonly string[]): string => `note: ${texts.map((t) => `“${t}”`).join(', ')}`,
  answer: (others: readonly string[]): string => (others.length ? `? ↓ yes, ↓↓ or ${others.join(', or ')}` : '? ↓ yes'),
  unanswered: 'If you don’t answer, it goes to Doubts, and into the note as you typed it.',
  nth: (nth: number): string => ['first', 'then', 'after that', 'and then'][nth] ?? 'then',
  chain: (n: number): string => `That’s ${n} tries in a row: each becomes a clip of its own, linked.`,
  stays: (what: readonly string[]): string => `stays as it is: ${what.join('; ')}`,
  called: (typed: string): string => `What do you call “${typed}”?`,
  calledChoose: 'choose, or type to find it',
  forMe: 'just for me, not the whole academy',
  learned: (typed: string, name: string): string => `“${typed}” means ${name} from now on.`,
  alsoIn: (n: number): string =>
    n === 1 ? 'One earlier note says it too.' : `${n} earlier notes and doubts say it too.`,
  look: 'See them',
  sighting: 'a sighting until you say an entry: they’re there, and nobody acts',
  or: (others: readonly string[]): string => `(↓ or ${others.join(', or ')})`,
} as const;

/** From what a part is concluded that nobody said. */
const FOLLOWS_FROM = {
  subject: 'the other one was named',
  state: 'where things were left',
  stateRole: 'the side by what is done',
  action: 'it leads from the one place to the other',
  finish: 'it’s what is aimed at',
  finishRole: 'the side by who was on top',
  result: 'by where it ended',
} as const satisfies Record<ProposedPart, string>;

/** What stands though nobody said it. */
export const PROPOSED_TEXT = {
  /** A part that follows, with from what. */
  follows: (what: string, from: ProposedPart): string => `${what} (${FOLLOWS_FROM[from]})`,
  said: (what: readonly string[]): string => `Not said, but it follows: ${what.join('; ')}.`,
  confirm: 'That’s right ({=})',
} as const;

/** What does not go together; told, never changed. */
export const ODD_TEXT = {
  lead: 'Doesn’t add up:',
  twoPlaces: (name: string, side: string, limb: string): string =>
    `the ${side} ${limb} of ${name} is in two places at once`,
  tooMany: (name: string, limb: string, count: number): string =>
    `${name} holds with ${count} ${limb === 'foot' ? 'feet' : 'hands'}`,
  noGi: (target: string): string => `${target} is cloth, and nobody’s in a gi`,
  notHeld: (position: string, target: string, both: boolean): string =>
    `${position} needs ${both ? 'both hands on a' : 'a hand on the'} ${target}, and that’s not among the grips`,
  leadSide: (position: string, before: string, now: string): string =>
    `${position} had the ${before} side just before, and has the ${now} one now`,
  side: (before: string, now: string): string => `just before it was “${before}”, now it is “${now}”`,
  result: (follows: string): string => `ending there usually counts as “${follows}”`,
} as const;

export const DOUBT_TEXT = {
  said: ({ kind, text }: { readonly kind: 'unsure' | 'unknown'; readonly text: string }): string =>
    kind === 'unknown' ? `“${text}”?` : 'unsure',
  settle: 'Keep it as it is',
} as const;

export const ERROR_TEXT = {
  choice: (by: 'subject' | 'opponent', what: string, cause: string): string =>
    `${by === 'opponent' ? 'theirs' : 'own'}: ${what}, ${cause}`,
  some: 'something',
} as const;

export const TAIL_TEXT = {
  near: 'near finish',
  elsewhere: ' (starts elsewhere)',
  mainly: ' (mainly)',
  lead: (isOwn: boolean, limb: string): string => `${isOwn ? 'own' : 'their'} ${limb}:`,
} as const;

export const SAME_TEXT = {
  looksLike: (code: string): string => `This may be the same try as the one at ${code}.`,
  itIs: 'Same try, another look',
} as const;

export const PHRASE_TEXT = {
  seen: { front: 'the front', back: 'the back' },
  note: 'Note',
  grips: 'Grips',
  notePlaceholder: 'a cue or a note',
} as const;

export const PHRASE_SAYS = {
  phrase: 'Phrase',
  note: '; note: ',
} as const;

export const PHRASE_PARTS_TEXT = {
  whoseAction: 'Whose action',
  who: 'who',
  from: ' from ',
  fromPosition: 'From position',
  whichPosition: 'which position',
  with: ' with ',
  grip: '+ grip',
  whichGrips: 'which grips',
  theyHave: ' while they have ',
  and: ' and ',
  entry: 'Entry',
  whatTheyDo: 'what they do',
  they: '; they ',
  theirReaction: 'Their reaction',
  reaction: '+ reaction',
  doWhat: 'do what',
  endsIn: '; ends in ',
  finish: 'Finish',
  assumed: (place: string) => `${place} (assumed)`,
  where: 'where',
  result: 'Result',
  worked: 'worked?',
} as const;

export const PHRASE_TAIL_TEXT = {
  andOnFrom: ' and on from ',
  restartIn: 'Restart in',
  whichPosition: 'which position',
  howFarLabel: 'How far',
  howFar: 'how far',
  because: ' because ',
  whyLabel: 'Why',
  reason: '+ reason',
  why: 'why',
  beforeMistakes: '; mistakes: ',
  mistakesLabel: 'Mistakes',
  mistake: '+ mistake',
  noneSaid: 'none said',
  meantOrBait: 'Meant or bait',
  meant: 'meant',
  soThatThey: ' so that they ',
  wantedReaction: 'Wanted reaction',
  doWhat: 'do what',
  whichSideLabel: 'Which side',
  whichSide: 'which side',
  plannedLabel: 'Planned or on the spot',
  planned: 'planned or not',
  beforeAnswers: '; answers: ',
  answersLabel: 'Answers',
  answer: '+ answer',
  asFound: 'as found',
} as const;

/** What is told of why it went as it went. */
export const WHY_TEXT = {
  before: '; also: ',
  label: 'What else there was, and why',
  placeholder: 'what else was there',
  more: '+ more',
  gone: 'something that’s no longer told',
  known: (what: string, how: string, isProved: boolean): string =>
    `${what}: ${how}${isProved ? ', shown on another camera' : ''}`,
  by: (text: string): string => `done ${text}`,
  saysSo: (name: string): string => `${name} said so`,
  you: 'I',
  overAll: (n: number, median: number, least: number, most: number): string =>
    `; over ${n} told: mostly ${median.toFixed(1)} s, ${least.toFixed(1)} to ${most.toFixed(1)}`,
  aim: (what: string): string => `aimed at ${what}`,
  run: (name: string): string => `the run is called “${name}”`,
  quoted: (text: string): string => `“${text}”`,
  resisted: (isResisted: boolean): string => (isResisted ? 'they resisted' : 'they didn’t resist'),
  asMistake: 'shown as a mistake',
  counterTo: (action: string): string => `a counter to their ${action}`,
  nthTry: (nth: number): string => `try ${nth} of the same thing`,
  guess: 'only a guess',
  proof: 'this frame shows it',
  proofClip: 'this clip shows it',
  until: 'until this frame',
  untilFrame: (frame: number): string => `, until frame ${frame}`,
  toAct: (seconds: number, frames: number): string => ` (${seconds.toFixed(1)} s to act, ${frames} frames)`,
  tooLate: (reason: string): string => `but ${reason}`,
  opens: (what: string): string => `opens ${what}`,
  tooEarly: 'This frame is before the attempt starts. Go to where it still would have worked.',
  otherCamera: 'This clip was told on another camera. Go back to that one to set an instant of it.',
} as const;

export const SEEN_FROM_TEXT = {
  before: '; seen from',
  label: 'Seen from',
  where: 'where',
} as const;

export const SEVERAL_FIELD_TEXT = {
  takeBackOne: (text: string) => `Take back: ${text}`,
  takeBack: 'Take back',
} as const;

/** How the parts of a phrase begin in a sentence. */
export const LEADS: Readonly<Record<Meant['part'] | 'their grip', string>> = {
  'their grip': 'they have',
  who: '',
  clothing: '',
  position: 'from',
  grip: 'with',
  entry: '',
  reaction: 'they',
  finish: 'ends in',
  result: '',
  intent: 'as',
  depth: '',
  reason: 'because',
  fact: '',
  alternative: 'also there',
  aim: '',
  known: '',
};
/** How one more of the same part begins. */
export const MORE: Partial<Record<Meant['part'], string>> = { grip: 'and', reaction: 'then', reason: 'and' };
/** What a part is, where another reading makes it something else. */
export const AS: Readonly<Record<Meant['part'], string>> = {
  who: 'whose it is',
  clothing: 'what they wear',
  position: 'where it begins',
  grip: 'a grip',
  entry: 'what is done',
  reaction: 'what they do',
  finish: 'where it ends',
  result: 'how it went',
  intent: 'a bait',
  depth: 'how far it came',
  reason: 'why',
  fact: 'how they stood',
  alternative: 'what else was there',
  aim: 'what it was for',
  known: 'how it’s known',
};
