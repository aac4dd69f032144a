import { answersIn, linkAttempts, type Attempt, type Timed } from '../attempts/index.js';
import type { CountingView, Logged } from '../map/index.js';
import { casesOfView, type SheetSource } from '../sheets/index.js';
import type { Words } from '../vocabulary/index.js';

/** An attempt of the worked examples: its frames are seconds. */
export const timedInSeconds = (attempt: Attempt): Timed => ({
  attempt,
  startS: attempt.start.frame,
  commitS: (attempt.commit ?? attempt.start).frame,
  endS: attempt.end.frame,
});

/** What sheets are made of, out of attempts whose frames are seconds. */
export const sourceOf = (logged: readonly Logged[], words: Words, view?: CountingView): SheetSource => {
  const byFootage = new Map<string, Timed[]>();
  for (const { attempt } of logged) {
    const of = byFootage.get(attempt.footageId) ?? [];
    byFootage.set(attempt.footageId, [...of, timedInSeconds(attempt)]);
  }
  const links = [...byFootage.values()].flatMap((all) => linkAttempts(all, words));
  return {
    cases: casesOfView(logged, words, view),
    answers: [...byFootage.values()].flatMap((all) => answersIn(all, words)),
    principles: [],
    links,
    secondsOf: (_attempt, at) => at.frame,
  };
};
