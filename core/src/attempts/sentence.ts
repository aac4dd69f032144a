import type { ActionKind, ActionWord, Ladder, Words } from '../vocabulary/index.js';
import { placeName, finishId, stateId } from './places.js';
import { proposedIn } from './proposed.js';
import { sayReaction } from './reactions.js';
import { finishOf } from './standing.js';
import type { SideWords, Telling } from './telling.js';
import type { Attempt, Control, ProposedPart, Result, Side } from './types.js';

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

const OWNER: Record<Control['targetOwner'], string> = { other: 'their', own: 'own', mat: 'the', wall: 'the' };

/** What stands for a side that was told by where it is. */
const REACH_WORDS: Record<string, string> = { near: 'near', far: 'far', cross: 'cross', same: 'same-side' };

/** How sides are to be told in words. */
export type SaidSides = { readonly telling: Telling; readonly sides: SideWords };

/** A hold in words, seen from its holder: *right hand grips their left collar*; sides as each one's own, or as `said` tells them. */
export const sayControl = (control: Control, words: Words, said?: SaidSides): string => {
  const sideOf = (part: 'limb' | 'target', side: Side | null): string | null =>
    side && (said?.sides(control, part, side) ?? side);
  const your = said?.telling === 'your' && control.holder === 'subject' ? 'your' : '';
  const limb = [your, sideOf('limb', control.limbSide), control.limb].filter(Boolean).join(' ');
  if (control.kind === 'underhook' && control.target === 'underarm') {
    // whose arm is plain, where not even its side is said
    const arm = control.limb === 'arm' && control.limbSide === null ? '' : limb;
    return `${[arm, REACH_WORDS[control.reach ?? '']].filter(Boolean).join(' ')} underhook${control.targetSide ? `, their ${sideOf('target', control.targetSide)} side` : ''}`.trim();
  }
  const verb = {
    grip: control.limb === 'hand' && control.targetOwner !== 'mat' ? 'on' : 'gripping',
    hook: 'hooking',
    frame: 'framing',
    pin: 'pinning',
    post: 'posted on',
    wedge: 'wedged at',
    lock: 'locked round',
    underhook: 'underhooking',
  }[control.kind];
  const target = [
    control.targetOwner === 'mat' || control.targetOwner === 'wall' ? '' : OWNER[control.targetOwner],
    REACH_WORDS[control.reach ?? ''],
    sideOf('target', control.targetSide),
    words.name('target', control.target),
  ]
    .filter(Boolean)
    .join(' ');
  return `${limb} ${verb} ${control.targetOwner === 'mat' ? 'the mat' : control.targetOwner === 'wall' ? 'the wall' : target}`;
};

export type SaidPart = {
  readonly part: 'who' | 'from' | 'grips' | 'entry' | 'reaction' | 'finish' | 'result' | 'reason';
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
  const grips = attempt.controls.filter((c) => c.holder === 'subject').map((c) => sayControl(c, words, sides));
  const reactions = attempt.reactions.map((r) => sayReaction(r, words));
  const optional = (name: SaidPart['part'], lead: string, texts: readonly string[]): SaidPart[] =>
    texts.length ? [part(name, lead, texts.join(', then '), '')] : [];
  return [
    part('who', '', athletes[attempt.subject], ''),
    part('from', 'from', attempt.state ? placeName(stateId(attempt.state), words) : undefined, 'a place not said'),
    ...optional('grips', 'with', grips.length ? [grips.join(' and ')] : []),
    part(
      'entry',
      '',
      attempt.action
        ? `${attempt.intent === 'bait' ? 'bait: ' : ''}${words.name('action', attempt.action)}${attempt.planned === null ? '' : `, ${plannedWord(attempt.planned)}`}`
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
  ];
};
