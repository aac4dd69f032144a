import { foldPlace, stateId, type Attempt } from '../attempts/index.js';
import type { Words } from '../vocabulary/index.js';
import type { AnnouncedPart, Todo } from './types.js';

/** How what was announced compares with what is stored. */
export type Announced = {
  readonly said: number;
  readonly stored: readonly AnnouncedPart[];
  /** Named, and no clip shows them. */ readonly missing: readonly AnnouncedPart[];
  /** So many more were announced than are named here. */ readonly unnamed: number;
  readonly state: 'complete' | 'missing' | 'cut off';
};

/** What was announced against what is stored: complete where each is there, cut off where all that is missing lies behind the end of the footage. */
export const announcedOf = ({ said, parts }: Pick<Todo, 'said' | 'parts'>): Announced => {
  const stored = parts.filter((p) => p.clipId !== null);
  const missing = parts.filter((p) => p.clipId === null);
  const all = Math.max(said ?? 0, parts.length);
  const unnamed = all - parts.length;
  const isAllCut = missing.length > 0 && missing.every((p) => p.isCutOff) && unnamed === 0;
  const state = missing.length + unnamed === 0 ? 'complete' : isAllCut ? 'cut off' : 'missing';
  return { said: all, stored, missing, unnamed, state };
};

/** An attempt, with whose it is and on which day; null where nobody said when that was. */
export type Dated = { readonly attempt: Attempt; readonly athleteId: string; readonly day: string | null };

/** How often something was tried since it is on the list, by whom, and how often it worked. */
export type Tried = {
  readonly tried: number;
  readonly worked: number;
  readonly by: readonly { readonly athleteId: string; readonly tried: number; readonly worked: number }[];
  /** Attempts of footage without a day: nobody knows whether they came before. */ readonly undated: number;
};

const isOption = ({ state, action }: Attempt, todo: Todo, words: Words): boolean =>
  (todo.state === null ||
    (state !== null && [stateId(state), foldPlace(stateId(state), words)].includes(stateId(todo.state)))) &&
  (todo.action === null || action === todo.action || (action !== null && words.action(action)?.parent === todo.action));

/** Attempts of the option of an entry, by its people (of all where it names none), on or after the day it was opened. Where it names no option, none. */
export const triedOf = (todo: Todo, all: readonly Dated[], words: Words): Tried => {
  if (todo.state === null && todo.action === null) return { tried: 0, worked: 0, by: [], undated: 0 };
  const of = all.filter(
    ({ attempt, athleteId }) =>
      (todo.personIds.length === 0 || todo.personIds.includes(athleteId)) && isOption(attempt, todo, words),
  );
  const since = of.filter(({ day }) => day !== null && day >= todo.opened);
  const count = (some: readonly Dated[]) => ({
    tried: some.length,
    worked: some.filter((d) => d.attempt.result === 'success').length,
  });
  const athletes = [...new Set(since.map((d) => d.athleteId))].sort();
  return {
    ...count(since),
    by: athletes.map((athleteId) => ({ athleteId, ...count(since.filter((d) => d.athleteId === athleteId)) })),
    undated: of.filter(({ day }) => day === null).length,
  };
};

/** Advice is followed within so many seconds, or it was not the advice. */
export const FOLLOWED_WITHIN_S = 15;

/** The first attempt of those whom advice is for that starts at it or within fifteen seconds after; undefined where there is none. */
export const followedBy = <T extends { readonly startS: number; readonly athleteId: string }>(
  atS: number,
  personIds: readonly string[],
  attempts: readonly T[],
): T | undefined =>
  attempts
    .filter(
      ({ startS, athleteId }) =>
        startS >= atS && startS <= atS + FOLLOWED_WITHIN_S && (!personIds.length || personIds.includes(athleteId)),
    )
    .reduce<T | undefined>((first, a) => (first && first.startS <= a.startS ? first : a), undefined);

/** Entries as they are looked through: what is due first, then by the day they were opened. */
export const inOrder = (todos: readonly Todo[]): readonly Todo[] =>
  [...todos].sort(
    (a, b) =>
      (a.due ?? '9999').localeCompare(b.due ?? '9999') ||
      a.opened.localeCompare(b.opened) ||
      (a.id < b.id ? -1 : a.id > b.id ? 1 : 0),
  );
