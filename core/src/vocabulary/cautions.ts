import type { Words } from './words.js';

/** What can be injured, whether pain warns in time, and what is done about it; never a word that something is safe. */
export type Caution = {
  readonly about: string;
  readonly injures: string;
  readonly pain: 'warns' | 'warns late' | 'does not warn';
  readonly care: string;
};

const FALL: Omit<Caution, 'about'> = {
  injures: 'head, neck, shoulder and knee, by falling',
  pain: 'does not warn',
  care: 'Only with room around and partners who know how to fall. Lower them with control, never onto the head; slow first, resistance later.',
};

/**
 * The cautions that belong to an action and to the submission it ended in: the submission's own, those of the submissions an action aims at,
 * and that of falling for takedowns. Each once, in this order. Nothing recorded: an empty list, which does not mean safe.
 */
export const cautionsOf = (
  words: Words,
  of: { readonly action: string | null; readonly submission?: string | null },
): readonly Caution[] => {
  const action = words.action(of.action ?? '');
  const aimedAt = action?.aims.flatMap((aim) => ('submission' in aim ? [aim.submission] : [])) ?? [];
  const submissions = [...new Set([...(of.submission ? [of.submission] : []), ...aimedAt])];
  const found = submissions.flatMap((key): Caution[] => {
    const word = words.submission(key);
    return word ? [{ about: word.name, injures: word.risk.injures, pain: word.risk.pain, care: word.risk.care }] : [];
  });
  return action?.does === 'takedown' ? [...found, { about: action.name, ...FALL }] : found;
};
