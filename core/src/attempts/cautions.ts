import { cautionsOf, type Caution, type Words } from '../vocabulary/index.js';
import type { Attempt } from './types.js';

/** The cautions of an attempt: those of its action and of the submission that it ended in. */
export const attemptCautions = (
  { action, finish }: Pick<Attempt, 'action' | 'finish'>,
  words: Words,
): readonly Caution[] =>
  cautionsOf(words, { action, submission: finish?.kind === 'submission' ? finish.submission : null });
