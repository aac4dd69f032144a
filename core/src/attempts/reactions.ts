import type { Limb, Words } from '../vocabulary/index.js';
import { behindName } from './behindName.js';
import type { Instant, ReactionQuality, ReactionUse, Side } from './types.js';

/** How good a reaction was, in words. */
export const QUALITY_WORDS: Readonly<Record<ReactionQuality, string>> = {
  right: 'the right answer',
  wrong: 'the wrong answer',
  early: 'too early',
  late: 'too late',
};
export const DECIDING_WORDS = 'decided it';

/** What is said about a reaction that was told: how good it was, that it decided how the attempt went, with what it was done, and when. */
export type ReactionDetail =
  | { readonly kind: 'quality'; readonly quality: ReactionQuality }
  | { readonly kind: 'deciding' }
  | { readonly kind: 'with'; readonly limb: Limb; readonly side: Side | null }
  | { readonly kind: 'at'; readonly at: Instant };

/** With what it was done, in words: *with the left hand*. */
export const withLimb = (limb: Limb, side: Side | null): string =>
  `with the ${side === null ? limb : `${side} ${limb}`}`;

/** A reaction in words, with what is said about it behind: *hip out (too late)*. */
export const sayReaction = (reaction: Omit<ReactionUse, 'id'>, words: Words): string => {
  const name = words.name(reaction.isAction ? 'action' : 'reaction', reaction.what);
  const details = [
    ...(reaction.limb ? [withLimb(reaction.limb, reaction.side)] : []),
    ...(reaction.quality ? [QUALITY_WORDS[reaction.quality]] : []),
    ...(reaction.deciding ? [DECIDING_WORDS] : []),
  ];
  return behindName(name, details);
};

/**
 * The reactions with something said about the last one; said once more, it is taken off. Only one decides: said of another, it is that one's from then on. Without a
 * reaction nothing changes.
 */
export const withDetail = (reactions: readonly ReactionUse[], detail: ReactionDetail): readonly ReactionUse[] => {
  const last = reactions.at(-1);
  return reactions.map((r) => {
    if (detail.kind === 'deciding') return { ...r, deciding: r === last && !r.deciding };
    if (r !== last) return r;
    switch (detail.kind) {
      case 'quality':
        return { ...r, quality: r.quality === detail.quality ? null : detail.quality };
      case 'with':
        return r.limb === detail.limb && r.side === detail.side
          ? { ...r, limb: null, side: null }
          : { ...r, limb: detail.limb, side: detail.side };
      case 'at':
        return { ...r, at: r.at?.frame === detail.at.frame ? null : detail.at };
    }
  });
};

/** The reactions without the last thing that was said: what is said about the last one, or that reaction itself. */
export const withoutLast = (reactions: readonly ReactionUse[]): readonly ReactionUse[] => {
  const last = reactions.at(-1);
  if (!last) return reactions;
  const before = reactions.slice(0, -1);
  if (last.deciding) return [...before, { ...last, deciding: false }];
  if (last.quality) return [...before, { ...last, quality: null }];
  if (last.at) return [...before, { ...last, at: null }];
  if (last.limb) return [...before, { ...last, limb: null, side: null }];
  return before;
};
