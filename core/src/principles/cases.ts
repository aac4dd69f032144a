import { stateId, foldPlace, type Answer, type Attempt } from '../attempts/index.js';
import type { Words } from '../vocabulary/index.js';
import { hasPattern, twoByTwo, type WithAndWithout } from '../why/index.js';
import type { Principle, PrincipleScope } from './types.js';

/** An attempt, with the athlete whose it is. */
export type Seen = { readonly attempt: Attempt; readonly athleteId: string };

const isInPlace = (attempt: Attempt, { state }: PrincipleScope, words: Words): boolean => {
  if (!state) return true;
  if (!attempt.state || (state.role !== null && attempt.state.role !== state.role)) return false;
  const { position } = attempt.state;
  return position === state.position || words.position(position)?.parent === state.position;
};

/** Whether a principle applies to an attempt: each part that its scope names agrees; a state stands for its children too. */
export const isInScope = (
  { attempt, athleteId }: Seen,
  { scope, habitOf }: Pick<Principle, 'scope' | 'habitOf'>,
  words: Words,
): boolean =>
  (habitOf === null || habitOf === athleteId) &&
  isInPlace(attempt, scope, words) &&
  (scope.action === null ||
    attempt.action === scope.action ||
    (attempt.action !== null && words.action(attempt.action)?.parent === scope.action)) &&
  (scope.does === null || (attempt.action !== null && words.action(attempt.action)?.does === scope.does)) &&
  (scope.reaction === null || attempt.reactions.some((r) => !r.isAction && r.what === scope.reaction)) &&
  (scope.hold === null || hasPattern(attempt, scope.hold) === true);

/** An attempt held against a principle. */
export type PrincipleCase = {
  readonly attemptId: string;
  /** Whether what is asked for was there; undefined where nothing was said of it. */ readonly has: boolean | undefined;
  readonly worked: boolean;
  /** Whether it speaks for the principle; null where it says nothing. */ readonly side: 'for' | 'against' | null;
  readonly by: 'itself' | 'hand';
  /** Required, and said to be absent: listed, whether it worked or not. */ readonly isBroken: boolean;
};

/** What the library knows that is asked about: whose attempts, which of them answer what, and which clips look at them. */
export type Known = {
  readonly seen: readonly Seen[];
  readonly answers: readonly Answer[];
  readonly clips: readonly { readonly id: string; readonly attemptId: string }[];
};

type Asked = { readonly has: boolean | undefined; readonly worked: boolean };

/** Whether an attempt has what a principle names: its pattern, or the answer to its reaction, and whether that worked. */
const askedOf = (
  { pattern, answer, scope }: Principle,
  attempt: Attempt,
  { answers, seen }: Pick<Known, 'answers' | 'seen'>,
  words: Words,
): Asked => {
  const worked = attempt.result === 'success';
  if (pattern) return { has: hasPattern(attempt, pattern), worked };
  if (answer === null) return { has: undefined, worked };
  const found = answers.find((a) => a.toId === attempt.id && a.reaction === scope.reaction);
  const answering = found && seen.find((s) => s.attempt.id === found.attemptId)?.attempt;
  if (!answering || answering.action === null) return { has: undefined, worked };
  const is = answering.action === answer || words.action(answering.action)?.parent === answer;
  return { has: is, worked: answering.result === 'success' };
};

/**
 * The attempts in scope of a principle, and those that somebody has put for or against it by hand, whose word stands.
 * @returns in the order of `known.seen`
 */
export const casesOf = (principle: Principle, known: Known, words: Words): readonly PrincipleCase[] => {
  const looked = (clipIds: readonly string[]): ReadonlySet<string> => {
    const ids = new Set(clipIds);
    return new Set(ids.size ? known.clips.flatMap((c) => (ids.has(c.id) ? c.attemptId : [])) : []);
  };
  const [byHandFor, byHandAgainst] = [looked(principle.clipsFor), looked(principle.clipsAgainst)];
  return known.seen.flatMap((seen): PrincipleCase[] => {
    const { attempt } = seen;
    const hand = byHandFor.has(attempt.id) ? 'for' : byHandAgainst.has(attempt.id) ? 'against' : null;
    const isIn = isInScope(seen, principle, words);
    if (!isIn && hand === null) return [];
    const { has, worked } = isIn
      ? askedOf(principle, attempt, known, words)
      : { has: undefined, worked: attempt.result === 'success' };
    const speaks = has === undefined ? null : has === (principle.strength !== 'never') ? 'for' : 'against';
    const isBroken = principle.strength === 'required' && has === false;
    return [
      { attemptId: attempt.id, has, worked, side: hand ?? speaks, by: hand === null ? 'itself' : 'hand', isBroken },
    ];
  });
};

/** Of how many of these with what is asked for, and of how many without it, the aim was reached. */
export const tableOf = (cases: readonly PrincipleCase[]): WithAndWithout => twoByTwo(cases);

/** Principles that apply where somebody is, the narrower scopes first: those of the place itself before those of the place above it. */
export const principlesAt = (
  principles: readonly Principle[],
  place: { readonly position: string; readonly role: string },
  words: Words,
): readonly Principle[] => {
  const here = stateId(place as Parameters<typeof stateId>[0]);
  const above = foldPlace(here, words);
  const rank = ({ scope: { state } }: Principle): number | undefined => {
    if (!state || (state.role !== null && state.role !== place.role)) return undefined;
    const id = `${state.position}/${place.role}`;
    return id === here ? 0 : id === above ? 1 : undefined;
  };
  return principles
    .map((principle) => ({ principle, rank: rank(principle) }))
    .filter((p) => p.rank !== undefined)
    .sort((a, b) => a.rank! - b.rank! || (a.principle.id < b.principle.id ? -1 : 1))
    .map((p) => p.principle);
};
