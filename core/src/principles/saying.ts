import { BARE_HOLD, placeName, sayControl, sayFact, stateId, type Control } from '../attempts/index.js';
import { readPhrase, type Meant, type PhrasePart } from '../phrase/index.js';
import { ACTION_KINDS, type ActionKind, type Words } from '../vocabulary/index.js';
import type { Pattern } from '../why/index.js';
import type { Principle, PrincipleScope } from './types.js';

/** How far a principle binds, in words. */
export const STRENGTH_WORDS: Readonly<Record<Principle['strength'], string>> = {
  required: 'required',
  usual: 'usual',
  habit: 'a habit',
  never: 'never without a reason',
};

const holdOf = ({ holder, limb, control, target, sides }: Extract<Pattern, { kind: 'hold' }>): Control => ({
  ...BARE_HOLD,
  ...{ id: '', holder, limb, limbSide: null, kind: control, target },
  ...{ targetOwner: 'other', targetSide: null, reach: sides === 'cross' ? 'cross' : null, cloth: false },
  ...{ gained: null, lost: null },
});

/** What a principle asks for, in words: *arms inside: both*, *their underhook*. */
export const sayPattern = (pattern: Pattern, words: Words): string =>
  pattern.kind === 'fact'
    ? sayFact({ ...pattern, when: pattern.when ?? 'start' }, words)
    : `${pattern.holder === 'opponent' ? 'their ' : ''}${sayControl(holdOf(pattern), words)}`;

/** To what a principle applies, in words, part by part: *half guard, top*, *any pass*, *they frame*. */
export const sayScope = ({ state, does, action, reaction, hold }: PrincipleScope, words: Words): readonly string[] => [
  ...(state
    ? [
        state.role === null
          ? words.name('position', state.position)
          : placeName(stateId({ position: state.position, role: state.role }), words),
      ]
    : []),
  ...(does === null ? [] : [`any ${does}`]),
  ...(action === null ? [] : [words.name('action', action)]),
  ...(reaction === null ? [] : [`they ${words.name('reaction', reaction)}`]),
  ...(hold ? [`with ${sayPattern(hold, words)}`] : []),
];

const NOTHING: PrincipleScope = { state: null, does: null, action: null, reaction: null, hold: null };
const ANY = new RegExp(`\\bany (${[...ACTION_KINDS].sort((a, b) => b.length - a.length).join('|')})\\b`, 'i');

const patternOf = (meant: Meant): Pattern | null => {
  if (meant.part === 'fact') {
    const { fact, value, whose, side, when } = meant.fact;
    return { kind: 'fact', fact, value, whose, side, when: when === 'start' ? null : when };
  }
  if (meant.part !== 'grip') return null;
  const { limb, kind: control, target, reach, limbSide, targetSide } = meant.hold;
  const isCross = reach === 'cross' || (limbSide !== null && targetSide !== null && limbSide !== targetSide);
  const isSame = limbSide !== null && limbSide === targetSide;
  return {
    kind: 'hold',
    holder: meant.holder,
    limb,
    control,
    target,
    sides: isCross ? 'cross' : isSame ? 'same' : null,
  };
};

const place = (meant: Meant): PrincipleScope['state'] | undefined => {
  const said = meant.part === 'position' ? meant.place : meant.part === 'finish' ? meant.finish : null;
  return said && 'position' in said ? { position: said.position, role: said.role } : undefined;
};

/** What was typed, read, with what of it nobody understands. */
export type Read<T> = { readonly value: T; readonly notUnderstood: readonly string[] };

/** A place whose role nobody said is meant for both. */
const asSaid = ({ meant, because }: PhrasePart): Meant =>
  meant.part === 'position' && because !== undefined ? { ...meant, place: { ...meant.place, role: null } } : meant;

const meantIn = (typed: string, words: Words): Read<readonly Meant[]> => {
  const { parts, notUnderstood } = readPhrase(typed, words);
  return {
    // what nobody typed only follows for attempts
    value: parts.flatMap((p) => (p.status === 'proposed' ? [] : asSaid(p))),
    notUnderstood: notUnderstood.filter((n) => !n.isPlain).map((n) => n.text),
  };
};

/** To what a principle applies, as it is typed: *half guard top, any pass, they frame*. */
export const readScope = (typed: string, words: Words): Read<PrincipleScope> => {
  const does = (ANY.exec(typed)?.[1]?.toLowerCase() ?? null) as ActionKind | null;
  const { value: all, notUnderstood } = meantIn(typed.replace(ANY, ' '), words);
  const state = all.map(place).find((p) => p !== undefined) ?? null;
  const action = all.flatMap((m) => (m.part === 'entry' ? m.action : []))[0] ?? null;
  const reaction = all.flatMap((m) => (m.part === 'reaction' && !m.isAction ? m.what : []))[0] ?? null;
  const hold = all.map(patternOf).find((p) => p?.kind === 'hold');
  return {
    value: { ...NOTHING, state, does, action, reaction, hold: hold?.kind === 'hold' ? hold : null },
    notUnderstood,
  };
};

/** What is asked for, as it is typed: a fact or a hold, or, where neither is named, the action that answers. */
export const readRequired = (typed: string, words: Words): Read<Pick<Principle, 'pattern' | 'answer'>> => {
  const { value: all, notUnderstood } = meantIn(typed, words);
  const pattern = all.map(patternOf).find((p) => p !== null) ?? null;
  const answer = pattern ? null : (all.flatMap((m) => (m.part === 'entry' ? m.action : []))[0] ?? null);
  return { value: { pattern, answer }, notUnderstood };
};

/** Whether a scope names anything at all. */
export const isEmptyScope = (scope: PrincipleScope): boolean => Object.values(scope).every((part) => part === null);
