import { isAimedAt } from '../attempts/index.js';
import type { Words } from '../vocabulary/index.js';
import type { SaidFinish, SaidPlace } from './types.js';

/** How an action and the place it is begun in go together. */
export const beginsThere = (place: SaidPlace | null, action: string | null, words: Words): number => {
  const word = action === null ? undefined : words.action(action);
  const family = place && words.position(place.position)?.family;
  if (!word?.from.length || !family) return 0;
  return word.from.includes(family) ? 0.3 : -0.15;
};

/** How an action, where it ends and where it began go together. */
export const endsThere = (
  action: string | null,
  finish: SaidFinish | null,
  place: SaidPlace | null,
  words: Words,
): number => {
  if (!finish) return 0;
  if (action !== null && isAimedAt(finish, action, words)) return 0.35;
  return finish.kind === 'state' && finish.position === place?.position ? 0.1 : 0;
};
