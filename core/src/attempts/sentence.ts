import type { ActionKind, ActionWord, Ladder, Words } from '../vocabulary/index.js';
import { sayAlternative } from './alternatives.js';
import { sayFact } from './facts.js';
import { sayHold } from './holdDetails.js';
import { placeName, finishId, stateId } from './places.js';
import { proposedIn } from './proposed.js';
import { sayReaction } from './reactions.js';
import type { SaidSides } from './sayControl.js';
import { finishOf, sayAim } from './standing.js';
import type { Attempt, AttemptAim, Control, ProposedPart, Result } from './types.js';

export const RESULT_WORDS: Record<Result, string> = {
  success: 'worked',
  partial: 'partly',
  failed: 'failed',
  abandoned: 'dropped',
  shown: 'shown',
};

/** How far an action of a kind can come. */
export const LADDERS: Readonly<Record<ActionKind, Ladder>> = {
  takedown: ['reached', 'weight broken', 'hand or hip down', 'down', 'settled'],
  'guard pull': ['reached', 'weight broken', 'hips down', 'legs in', 'settled'],
  sweep: ['loaded', 'weight broken', 'hand or hip down', 'over', 'on top, settled'],
  pass: ['reached', 'past the feet', 'past the knees', 'past the hips', 'settled'],
  advance: ['reached', 'connected', 'one leg or arm in', 'locked', 'settled'],
  'back take': ['angle', 'past the elbow', 'one hook', 'both sides closed', 'settled'],
  submission: ['shown', 'in place', 'tight', 'nearly finished', 'finished'],
  escape: ['frame', 'space', 'hip or head free', 'out', 'settled'],
  retention: ['frame', 'knee in', 'hook or hold', 'facing', 'settled'],
  'off-balance': ['loaded', 'weight broken', 'one hand down', 'two hands or a hip down', 'down'],
  grip: ['reached', 'touched', 'held', 'held against a strip', 'used'],
  hold: ['reached', 'touched', 'held', 'held against a strip', 'settled'],
  yield: ['begun', 'half given', 'given', 'arrived', 'settled'],
};

/** What tells how far an action can come: its own ladder, or that of its kind. */
export type Climbed = Pick<ActionWord, 'does' | 'ladder'>;

/** The words of a rung (0–4) of an action's ladder. */
export const depthWord = ({ does, ladder = LADDERS[does] }: Climbed, depth: number): string =>
  ladder[Math.min(4, Math.max(0, Math.round(depth)))] ?? '';

export type SaidPart = {
  readonly part:
    | 'who'
    | 'from'
    | 'facts'
    | 'grips'
    | 'theirGrips'
    | 'entry'
    | 'reaction'
    | 'finish'
    | 'result'
    | 'reason'
    | 'alternatives';
  readonly lead: string;
  readonly text: string;
  readonly missing: boolean;
  /** What of it stands only because it follows; nobody has said or confirmed that. */ readonly proposed: ProposedPart | null;
};

/** The fields of the parts that may be proposed. */
const FIELD_OF: Partial<Record<SaidPart['part'], Parameters<typeof proposedIn>[1]>> = {
  who: 'subject',
  from: 'state',
  entry: 'action',
  finish: 'finish',
  result: 'result',
};

/** Whether it was meant beforehand, in words. */
export const plannedWord = (isPlanned: boolean): string => (isPlanned ? 'planned' : 'made up on the spot');

/** What it was for, where that is not what the action aims at; of a bait what is really wanted. */
export const aimText = (intent: Attempt['intent'], aim: AttemptAim, words: Words): string =>
  `${intent === 'bait' ? 'really after' : 'aimed at'} ${sayAim(aim, words)}`;

/** One attempt read back as a sentence, part by part. A part that was not said is marked missing and named plainly. */
export const sayAttempt = (
  attempt: Attempt,
  words: Words,
  athletes: Readonly<Record<'a' | 'b', string>>,
  sides?: SaidSides,
): readonly SaidPart[] => {
  const part = (name: SaidPart['part'], lead: string, text: string | undefined, whenMissing: string): SaidPart => ({
    part: name,
    lead,
    text: text ?? whenMissing,
    missing: text === undefined,
    proposed: FIELD_OF[name] === undefined ? null : proposedIn(attempt, FIELD_OF[name]),
  });
  const end = finishOf(attempt, words);
  const holds = (holder: Control['holder']): readonly string[] => {
    const texts = attempt.controls.filter((c) => c.holder === holder).map((c) => sayHold(c, words, sides));
    return texts.length ? [texts.join(' and ')] : [];
  };
  const facts = attempt.facts.map((f) => sayFact(f, words));
  const reactions = attempt.reactions.map((r) => sayReaction(r, words));
  const alternatives = attempt.alternatives.map((a) => sayAlternative(a, words));
  const optional = (name: SaidPart['part'], lead: string, texts: readonly string[]): SaidPart[] =>
    texts.length ? [part(name, lead, texts.join(', then '), '')] : [];
  return [
    part('who', '', athletes[attempt.subject], ''),
    part('from', 'from', attempt.state ? placeName(stateId(attempt.state), words) : undefined, 'a place not said'),
    ...optional('facts', '', facts.length ? [facts.join(', ')] : []),
    ...optional('grips', 'with', holds('subject')),
    ...optional('theirGrips', 'while they have', holds('opponent')),
    part(
      'entry',
      '',
      attempt.action
        ? [
            `${attempt.intent === 'bait' ? 'bait: ' : ''}${words.name('action', attempt.action)}`,
            ...(attempt.form ? [attempt.form] : []),
            ...(attempt.aim ? [aimText(attempt.intent, attempt.aim, words)] : []),
            ...(attempt.planned === null ? [] : [plannedWord(attempt.planned)]),
          ].join(', ')
        : undefined,
      'entry not said',
    ),
    ...optional('reaction', 'they', reactions),
    part('finish', 'ends in', end ? placeName(finishId(end.finish), words) : undefined, 'a place not said'),
    part('result', '', attempt.result ? RESULT_WORDS[attempt.result] : undefined, 'result not said'),
    ...optional(
      'reason',
      'because',
      attempt.reasons.map((r) => words.name('reason', r.reason)),
    ),
    ...optional('alternatives', 'also there', alternatives.length ? [alternatives.join(' and ')] : []),
  ];
};
