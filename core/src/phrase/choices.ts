import {
  DECIDING_WORDS,
  QUALITY_WORDS,
  REACTION_QUALITIES,
  RESETS,
  RESULTS,
  RESULT_WORDS,
  depthWord,
  finishId,
  isAimedAt,
  metText,
  placeFamily,
  placeName,
  startsElsewhere,
  stateId,
  withLimb,
  type Climbed,
  type Finish,
  type Meeting,
  type Met,
  type PlaceId,
  type ReactionDetail,
  type ReactionQuality,
  type Result,
  type State,
} from '../attempts/index.js';
import { LIMBS, type Role, type Sayable, type Words } from '../vocabulary/index.js';
import type { Usual } from './usual.js';

/** What stands in the context is offered first; what only may follow comes behind it. Added to the score of a match. */
const LIKELY = 0.3;
/** What is said most often here stands so much higher. */
const USUAL = 0.25;
const UNLIKELY = -0.15;

const ROLE_ALIASES: Record<Role, readonly string[]> = {
  even: [''],
  top: ['top', 'on top'],
  bottom: ['bottom', 'underneath'],
  attacker: ['attacker', 'with'],
  defender: ['defender', 'in'],
};

/** The role stands in front: it is told apart by its first letter, where the names of both roles would be typed to their end. */
const textsOfPlace = (name: string, aliases: readonly string[], role: Role): readonly string[] => {
  const texts = [name, ...aliases].flatMap((text) =>
    ROLE_ALIASES[role].map((word) => (word ? `${text}, ${word}` : text)),
  );
  return role === 'even' ? texts : [`${role} ${name}`, ...texts];
};

/** Every place one can be in. Those in `likely` (where the attempt before ended) are offered first, then those from which one usually acts. */
export const placeChoices = (words: Words, likely: readonly PlaceId[] = [], usual?: Usual): readonly Sayable<State>[] =>
  words.of('position').flatMap((position) =>
    position.roles.map((role): Sayable<State> => {
      const value: State = { position: position.key, role };
      const bonus = (likely.includes(stateId(value)) ? LIKELY : 0) + USUAL * (usual?.place(value) ?? 0);
      return { value, texts: textsOfPlace(position.name, position.aliases, role), bonus };
    }),
  );

/** Every action. Those that can start in the family of the state are offered first, then what is usual from it. */
export const entryChoices = (words: Words, state: State | null, usual?: Usual): readonly Sayable<string>[] => {
  const family = state && placeFamily(stateId(state), words);
  return words.of('action').map((action) => ({
    value: action.key,
    texts: [action.name, ...action.aliases],
    bonus:
      (family !== null && action.from.some((f) => f === family) ? LIKELY : 0) +
      USUAL * (usual?.action(action.key, state) ?? 0),
  }));
};

/** Where an attempt may end: every place, every submission won or lost, every restart. What the action aims at is offered first, then where it usually ends. */
export const finishChoices = (
  words: Words,
  state: State | null,
  action: string | null,
  usual?: Usual,
): readonly Sayable<Finish>[] => {
  const bonusOf = (finish: Finish): number => fits(finish) + USUAL * (usual?.finish(finish, state, action) ?? 0);
  const fits = (finish: Finish): number => {
    if (isAimedAt(finish, action ?? '', words)) return LIKELY;
    if (state && finish.kind === 'state' && stateId(finish) === stateId(state)) return LIKELY / 2;
    return finish.kind === 'submission' && !finish.won ? UNLIKELY : 0;
  };
  const states = placeChoices(words).map((c): Sayable<Finish> => {
    const value: Finish = { kind: 'state', ...c.value };
    return { value, texts: c.texts, bonus: bonusOf(value) };
  });
  const submissions = words.of('submission').flatMap((s) =>
    [true, false].map((won): Sayable<Finish> => {
      const value: Finish = { kind: 'submission', submission: s.key, won };
      const said = won ? ['won', 'tap'] : ['lost', 'caught'];
      return {
        value,
        texts: [s.name, ...s.aliases].flatMap((t) => said.map((w) => `${t} ${w}`)),
        bonus: bonusOf(value),
      };
    }),
  );
  const resets = RESETS.map((how): Sayable<Finish> => {
    const value: Finish = { kind: 'reset', how, restart: null };
    return { value, texts: [placeName(finishId(value), words), `reset ${how}`], bonus: UNLIKELY };
  });
  return [...states, ...submissions, ...resets];
};

/** Every reaction, first what is usual against the action. */
export const reactionChoices = (
  words: Words,
  action: string | null = null,
  usual?: Usual,
): readonly Sayable<string>[] =>
  words.of('reaction').map((r) => ({
    value: r.key,
    texts: [r.name, ...r.aliases],
    bonus: USUAL * (usual?.reaction(r.key, action) ?? 0),
  }));

/** What the other side can have done: every reaction, and behind them every action, where the answer was an attack itself. */
export const answerChoices = (
  words: Words,
  action: string | null = null,
  usual?: Usual,
): readonly Sayable<{ readonly what: string; readonly isAction: boolean }>[] => [
  ...reactionChoices(words, action, usual).map((c) => ({ ...c, value: { what: c.value, isAction: false } })),
  ...entryChoices(words, null).map((c) => ({
    ...c,
    value: { what: c.value, isAction: true },
    bonus: UNLIKELY,
  })),
];

const DETAIL_ALIASES: Readonly<Record<ReactionQuality, readonly string[]>> = {
  right: ['right', 'good answer'],
  wrong: ['wrong', 'bad answer'],
  early: ['early', 'too soon'],
  late: ['late', 'too slow'],
};
/** What may be said about something that was told last: something of it, or that it was at the frame that is shown. */
export type Here = { readonly kind: 'here' };
const HERE_TEXTS = ['at this frame', 'here', 'now', 'right here', 'right now'] as const;
const LIMB_SIDES = [null, 'left', 'right'] as const;

/** What may be said about the reaction that was told last: how good it was, that it decided, with what it was done, and when. They stand behind what else is typed there. */
export const detailChoices = (): readonly Sayable<ReactionDetail | Here>[] => [
  ...REACTION_QUALITIES.map((quality): Sayable<ReactionDetail> => ({
    value: { kind: 'quality', quality },
    texts: [QUALITY_WORDS[quality], ...DETAIL_ALIASES[quality]],
    bonus: UNLIKELY,
  })),
  { value: { kind: 'deciding' }, texts: [DECIDING_WORDS, 'deciding', 'that decided it'], bonus: UNLIKELY },
  ...LIMBS.flatMap((limb) =>
    LIMB_SIDES.map((side): Sayable<ReactionDetail> => ({
      value: { kind: 'with', limb, side },
      texts: [withLimb(limb, side)],
      bonus: UNLIKELY,
    })),
  ),
  { value: { kind: 'here' }, texts: HERE_TEXTS, bonus: UNLIKELY },
];

/** What the attempt in hand may be an answer to: what was met, first what left people where it starts. */
export const metChoices = (words: Words, meetings: readonly Meeting[], state: State | null): readonly Sayable<Met>[] =>
  meetings.map((meeting) => ({
    value: meeting.met,
    texts: [metText(meeting.met, words)],
    bonus: state && !startsElsewhere({ state }, meeting, words) ? LIKELY : 0,
  }));

export const reasonChoices = (words: Words): readonly Sayable<string>[] =>
  words.of('reason').map((r) => ({ value: r.key, texts: [r.name, ...r.aliases] }));

const RESULT_ALIASES: Record<Result, readonly string[]> = {
  success: ['ok', 'yes', 'success', 'done'],
  partial: ['partial', 'half', 'almost'],
  failed: ['fail', 'no', 'did not work'],
  abandoned: ['abandoned', 'given up', 'let go'],
  shown: ['demonstration', 'demo', 'drill'],
};

/** Every result; the one that is proposed stands first. */
export const resultChoices = (proposed: Result | null = null): readonly Sayable<Result>[] =>
  RESULTS.map((value) => ({
    value,
    texts: [RESULT_WORDS[value], ...RESULT_ALIASES[value]],
    bonus: value === proposed ? LIKELY : 0,
  }));

/** The five rungs of an action's ladder, 0 first. */
export const depthChoices = (action: Climbed): readonly Sayable<number>[] =>
  [0, 1, 2, 3, 4].map((depth) => ({ value: depth, texts: [depthWord(action, depth), String(depth)] }));
