import { cautionsOf, stepMinutes, type Caution, type StepMinutes, type Words } from '@odograph/core';
import type { ClipView } from '../library/index.js';
import { clipOfShown } from './clipOfShown.js';
import { endsAt, type ShownRoute, type ShownStep } from './shownRoute.js';

/** How long a clip lasts, in seconds. */
export const clipSeconds = ({ clip, file }: ClipView): number =>
  ((clip.out.pts - clip.in.pts) * file.timeBaseNum) / file.timeBaseDen;

/** What is done in a step: its entry, and the submission that it ends in. */
export const doneIn = (step: ShownStep): { readonly action: string | null; readonly submission: string | null } => {
  const to = endsAt(step);
  return {
    action: step.line?.action ?? step.kept?.action ?? null,
    submission: to?.startsWith('won:') ? to.slice(4) : null,
  };
};
/** What can hurt in a step. */
export const cautionsIn = (step: ShownStep, words: Words): readonly Caution[] => cautionsOf(words, doneIn(step));

/** What a step takes, worked out or set by hand. */
export type StepTakes = StepMinutes & { readonly isByHand: boolean };
/** What each step takes, by its id. */
export type Minutes = ReadonlyMap<string, StepTakes>;

/** What each step of a route takes, in seconds; a caution that an earlier step has is said again in fewer words. Minutes set by hand stand as they are. */
export const minutesOf = (route: ShownRoute, views: readonly ClipView[], words: Words): Minutes => {
  const told = new Set<string>();
  return new Map(
    route.steps.map((step) => {
      const kept = step.kept;
      const cautions = cautionsIn(step, words);
      const isNew = cautions.some((c) => !told.has(c.about));
      for (const { about } of cautions) told.add(about);
      const best = clipOfShown(step, views);
      const failureId = kept?.clips.find((c) => c.role === 'failure')?.clipId;
      const failure = views.find((v) => v.clip.id === failureId);
      const found = stepMinutes({
        bestS: best && clipSeconds(best),
        failureS: failure && clipSeconds(failure),
        cues: [...(kept?.cue ? [{ weight: 'required' } as const] : []), ...(kept?.cues ?? [])],
        hasMistake: Boolean(kept?.mistake),
        caution: !cautions.length ? null : isNew ? 'first' : 'again',
        hasQuestion: Boolean(kept?.question),
        drill: kept?.drill ?? null,
      });
      const byHand = kept?.seconds ?? null;
      return [step.id, { ...found, whole: byHand ?? found.whole, isByHand: byHand !== null }];
    }),
  );
};

/** Minutes and seconds, as a coach reads them off a clock. */
export const clockText = (seconds: number): string =>
  `${Math.floor(seconds / 60)}:${String(Math.round(seconds) % 60).padStart(2, '0')}`;

/** Seconds of a text like *7:30* or *7*; undefined where it is neither. */
export const readClock = (text: string): number | undefined => {
  const found = /^\s*(\d{1,2})(?::([0-5]\d))?\s*$/.exec(text);
  return found ? Number(found[1]) * 60 + Number(found[2] ?? 0) : undefined;
};
