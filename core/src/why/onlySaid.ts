import { flipPlace, foldPlace, stateId, type Attempt, type PlaceId } from '../attempts/index.js';
import type { Words } from '../vocabulary/index.js';

/** Something that somebody could have done and nobody has been seen to do: an action from a place, or a reaction to an action from there. */
export type OnlySaid =
  | { readonly kind: 'option'; readonly from: PlaceId; readonly action: string; readonly attemptIds: readonly string[] }
  | {
      readonly kind: 'answer';
      readonly from: PlaceId;
      readonly action: string;
      readonly reaction: string;
      readonly attemptIds: readonly string[];
    };

/**
 * Alternatives that nobody has taken: an action by whoever acted is an option from where they were, one by the other side an option from there as they see it, a reaction of theirs
 * an answer to the action. Places stand for those above them. What was seen once, of anybody, is not only said.
 * @returns in the order in which they are first said
 */
export const onlySaid = (attempts: readonly Attempt[], words: Words): readonly OnlySaid[] => {
  const placeOf = ({ state }: Attempt): PlaceId | null => (state ? foldPlace(stateId(state), words) : null);
  const seen = new Set<string>();
  for (const attempt of attempts) {
    const from = placeOf(attempt);
    if (from === null || attempt.action === null) continue;
    seen.add(`${from} ${attempt.action}`);
    for (const { what, isAction } of attempt.reactions) if (!isAction) seen.add(`${from} ${attempt.action} ${what}`);
  }
  const found = new Map<string, { readonly said: Omit<OnlySaid, 'attemptIds'>; readonly attemptIds: string[] }>();
  for (const attempt of attempts) {
    const from = placeOf(attempt);
    if (from === null) continue;
    for (const { by, what, isAction } of attempt.alternatives) {
      const place = by === 'subject' ? from : flipPlace(from);
      if (!isAction && attempt.action === null) continue;
      const key = isAction ? `${place} ${what}` : `${from} ${attempt.action!} ${what}`;
      if (seen.has(key)) continue;
      const said = isAction
        ? { kind: 'option', from: place, action: what }
        : { kind: 'answer', from, action: attempt.action!, reaction: what };
      const one = found.get(key) ?? { said: said as Omit<OnlySaid, 'attemptIds'>, attemptIds: [] };
      if (!one.attemptIds.includes(attempt.id)) one.attemptIds.push(attempt.id);
      found.set(key, one);
    }
  }
  return [...found.values()].map(({ said, attemptIds }) => ({ ...said, attemptIds }) as OnlySaid);
};
