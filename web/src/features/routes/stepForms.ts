import { risksOf, stepForm, type Form, type KeptRoute, type Policy, type Words } from '@odograph/core';
import { endsAt, type ShownStep } from './shownRoute.js';

/** The highest form of a step for whom its route is, under a policy. */
export const formOf = (
  step: ShownStep,
  { forLevel, forAge }: Pick<KeptRoute, 'forLevel' | 'forAge'>,
  policy: Policy,
  words: Words,
): Form => {
  const to = endsAt(step);
  const submission = to?.startsWith('won:') ? to.slice(4) : null;
  const risks = risksOf(words, { action: step.line?.action ?? step.kept?.action ?? null, submission });
  return stepForm(risks, [{ level: forLevel, age: forAge }], policy);
};
