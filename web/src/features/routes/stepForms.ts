import { risksOf, stepForm, type Form, type KeptRoute, type Policy, type Words } from '@odograph/core';
import type { ShownStep } from './shownRoute.js';
import { doneIn } from './stepTimes.js';

/** The highest form of a step for whom its route is, under a policy. */
export const formOf = (
  step: ShownStep,
  { forLevel, forAge }: Pick<KeptRoute, 'forLevel' | 'forAge'>,
  policy: Policy,
  words: Words,
): Form => stepForm(risksOf(words, doneIn(step)), [{ level: forLevel, age: forAge }], policy);
