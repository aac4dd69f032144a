import type { Definition, Words } from '@odograph/core';
import { invalid } from '../errors/refused.js';

/** Whether one word lies under another, however far. */
const isUnder = (kind: 'position' | 'action', key: string | undefined, over: string, words: Words): boolean => {
  const seen = new Set<string>();
  for (let at = key; at !== undefined && !seen.has(at); at = words.get(kind, at)?.parent) {
    if (at === over) return true;
    seen.add(at);
  }
  return false;
};

/** Refuses by name what an own word says of words that this academy does not have, of roles it does not have itself, and that it lies under itself. */
export const checkDefinition = (definition: Definition, key: string, words: Words): void => {
  const isPlace = (target: string): boolean => words.target(target) !== undefined && !words.target(target)!.grips;
  if (definition.kind === 'position' || definition.kind === 'action') {
    const { kind, parent } = definition;
    if (parent !== undefined && !words.get(kind, parent))
      throw invalid('definition.parent', { code: 'not-here', facts: { what: 'word' } });
    if (isUnder(kind, parent, key, words)) throw invalid('definition.parent', { code: 'under-itself' });
  }
  if (definition.kind === 'position') {
    const { lead, parent, roles, requires = [] } = definition;
    // drawn as its parent it keeps its side
    if (parent !== undefined && roles.some((role) => !words.hasRole(parent, role)))
      throw invalid('definition.parent', { code: 'other-sides' });
    if (lead && !roles.includes(lead.role))
      throw invalid('definition.lead.role', { code: 'no-role', facts: { position: null } });
    requires.forEach(({ holder, target }, i) => {
      if (!roles.includes(holder))
        throw invalid(`definition.requires.${i}.holder`, { code: 'no-role', facts: { position: null } });
      if (!isPlace(target))
        throw invalid(`definition.requires.${i}.target`, { code: 'not-here', facts: { what: 'hold' } });
    });
  }
  if (definition.kind === 'action')
    definition.aims.forEach((aim, i) => {
      const known =
        'position' in aim
          ? words.hasRole(aim.position, aim.role)
          : 'submission' in aim
            ? words.submission(aim.submission) !== undefined
            : true;
      if (!known) throw invalid(`definition.aims.${i}`, { code: 'not-here', facts: { what: 'aim' } });
    });
  if (definition.kind === 'target')
    definition.grips?.forEach(({ target }, i) => {
      if (!isPlace(target) || target === key)
        throw invalid(`definition.grips.${i}.target`, { code: 'not-here', facts: { what: 'hold' } });
    });
};
