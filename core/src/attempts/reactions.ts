import type { Words } from '../vocabulary/index.js';
import type { ReactionQuality, ReactionUse } from './types.js';

/** How good a reaction was, in words. */
export const QUALITY_WORDS: Readonly<Record<ReactionQuality, string>> = {
  right: 'the right answer',
  wrong: 'the wrong answer',
  early: 'too early',
  late: 'too late',
};
export const DECIDING_WORDS = 'decided it';

/** What is said about a reaction that was told: how good it was, or that it decided how the attempt went. */
export type ReactionDetail =
  { readonly kind: 'quality'; readonly quality: ReactionQuality } | { readonly kind: 'deciding' };

/** A reaction in words, with what is said about it behind: *hip out (too late)*. */
export const sayReaction = (reaction: Omit<ReactionUse, 'id'>, words: Words): string => {
  const name = words.name(reaction.isAction ? 'action' : 'reaction', reaction.what);
  const details = [
    ...(reaction.quality ? [QUALITY_WORDS[reaction.quality]] : []),
    ...(reaction.deciding ? [DECIDING_WORDS] : []),
  ];
  return details.length ? `${name} (${details.join(', ')})` : name;
};

/**
 * The reactions with something said about the last one; said once more, it is taken off. Only one decides: said of another, it is that one's from then on. Without a
 * reaction nothing changes.
 */
export const withDetail = (reactions: readonly ReactionUse[], detail: ReactionDetail): readonly ReactionUse[] => {
  const last = reactions.at(-1);
  return reactions.map((r) => {
    if (detail.kind === 'deciding') return { ...r, deciding: r === last && !r.deciding };
    return r === last ? { ...r, quality: r.quality === detail.quality ? null : detail.quality } : r;
  });
};

/** The reactions without the last thing that was said: what is said about the last one, or that reaction itself. */
export const withoutLast = (reactions: readonly ReactionUse[]): readonly ReactionUse[] => {
  const last = reactions.at(-1);
  if (!last) return reactions;
  const before = reactions.slice(0, -1);
  if (last.deciding) return [...before, { ...last, deciding: false }];
  if (last.quality) return [...before, { ...last, quality: null }];
  return before;
};
