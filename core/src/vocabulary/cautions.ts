import type { Danger } from './types.js';
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

/** What an action itself can do to somebody, whatever it ends in. */
const DANGER_CAUTIONS: Readonly<Record<Danger, Omit<Caution, 'about'>>> = {
  falls: {
    injures: 'head and neck, where somebody lands on them',
    pain: 'does not warn',
    care: 'Both have to know how to fall. Never let anybody land on the head or the neck: hold on and lower them, or let the throw go.',
  },
  slam: {
    injures: 'head, neck and back of whoever is dropped',
    pain: 'does not warn',
    care: 'Not in class, and against the rules of most events: lift only to set them down again under control.',
  },
  jump: {
    injures: 'knee of whoever stands, head and back of whoever jumps',
    pain: 'does not warn',
    care: 'Only where the instructor in the room allows it, with a partner who expects it and stands on both feet. The weight must never come onto the knee from the side.',
  },
  knee: {
    injures: 'knee ligaments, by twisting or by weight from the side',
    pain: 'does not warn',
    care: 'Against the rules of many events. Only slowly, with a partner who knows what comes, and only where the instructor in the room allows it; let go at once when the knee turns.',
  },
  neck: {
    injures: 'joints and discs of the neck and back',
    pain: 'does not warn',
    care: 'Not in class unless the policy of the academy names the level. Tap at once, let go at once; numbness, weakness or pain is for a medical professional.',
  },
};

/**
 * The cautions that belong to an action and to the submission it ended in: the submission's own, those of the submissions an action aims at, that of
 * falling for takedowns, and what the action itself can do. Each once, in this order. Nothing recorded: an empty list, which does not mean safe.
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
  if (!action) return found;
  return [
    ...found,
    ...(action.does === 'takedown' ? [{ about: action.name, ...FALL }] : []),
    ...(action.dangers ?? []).map((danger) => ({ about: action.name, ...DANGER_CAUTIONS[danger] })),
  ];
};
