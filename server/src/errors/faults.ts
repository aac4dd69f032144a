import type { Fault } from '@odograph/core';
import type { Refusal } from '@odograph/core/contract';

/** A reason as it is kept in a column; one that cannot be read is none that is known. */
export const readFault = (text: unknown): Fault | null => {
  if (text === null || text === undefined) return null;
  try {
    return JSON.parse(text as string) as Fault;
  } catch {
    return { code: 'unexpected' };
  }
};

/** Why something is refused, where it is told later and not at once. */
export const faultOfRefusal = (refusal: Refusal): Fault => {
  switch (refusal.code) {
    case 'not-video':
      return refusal.facts.fault;
    case 'no-room':
      return { code: 'no-room', facts: refusal.facts };
    case 'quota':
      return { code: 'quota', facts: { mostBytes: refusal.facts.most, usedBytes: refusal.facts.used } };
    case 'disk-full':
      return { code: 'disk-full' };
    case 'not-whole':
      return { code: 'not-whole', facts: refusal.facts };
    default:
      return { code: 'unexpected' };
  }
};
