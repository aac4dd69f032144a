import { isAimedAt, type Result } from '../attempts/index.js';
import { otherRole, type ActionKind, type Family, type Role, type Words } from '../vocabulary/index.js';
import { holderOf } from './holderOf.js';
import type { Reading, Way } from './readings.js';
import type { Meant, SaidFinish, SaidPlace } from './types.js';
import type { Mark } from './weights.js';

/** Who does not do this: the other side of a guard. */
const OTHER_SIDE: Partial<Record<ActionKind, Role>> = {
  pass: 'bottom',
  sweep: 'top',
  retention: 'top',
};

export const beginsThere = (place: SaidPlace | null, action: string | null, words: Words): readonly Mark[] => {
  const word = action === null ? undefined : words.action(action);
  const family = place && words.position(place.position)?.family;
  if (!word?.from.length || !family) return [];
  // a pass is the top's, a sweep the bottom's: not of whoever is said to be the other
  const isOther = OTHER_SIDE[word.does] === place.role && family !== 'standing';
  return [['begins', !word.from.includes(family) ? -0.7 : isOther ? -1.5 : 1]];
};

/** Where one side holds the other: from there it gets away from nothing. */
const HOLDING: ReadonlySet<Family> = new Set(['pin', 'back', 'turtle']);
/** Where one side is held: it gets no further from there. */
const HELD: ReadonlySet<Family> = new Set(['pin', 'back']);
const GETS_FURTHER: ReadonlySet<ActionKind> = new Set(['submission', 'advance', 'back take', 'pass']);

/** Whether what is told of one side is rather done by the other, by who holds whom at a place. */
export const isRatherOthers = (place: SaidPlace | null, action: string, words: Words): boolean => {
  const does = words.action(action)?.does;
  const family = place && words.position(place.position)?.family;
  if (!does || !family) return false;
  return place.role === 'top' || place.role === 'attacker'
    ? does === 'escape' && HOLDING.has(family)
    : GETS_FURTHER.has(does) && HELD.has(family);
};

export const endsThere = (
  action: string | null,
  finish: SaidFinish | null,
  place: SaidPlace | null,
  words: Words,
): readonly Mark[] => {
  if (!finish) return [];
  if (action !== null && isAimedAt(finish, action, words)) return [['aims', 1]];
  return finish.kind === 'state' && finish.position === place?.position ? [['aims', 0.3]] : [];
};
export const pointed = (r: Reading, to: Reading['pointer']): readonly Mark[] =>
  r.pointer === to
    ? [['pointed', 1]]
    : r.pointer === null || r.pointer === 'act'
      ? []
      : [['mispointed', r.pointer === 'because' ? 2.5 : 1]];

export const isWonWithout = (finish: SaidFinish | null, result: Result | null): boolean =>
  finish?.kind === 'submission' && finish.won && result !== null && result !== 'success' && result !== 'shown';

const startOf = (finish: SaidFinish | null): SaidPlace | null =>
  finish?.kind === 'state' ? { position: finish.position, role: finish.role, lead: null } : null;

/** What changes where a further attempt begins: it starts where the one before ended. */
export const nextAttempt = (r: Reading): Partial<Reading> => ({
  attempt: r.attempt + 1,
  place: startOf(r.finish) ?? (r.finish ? null : r.place),
  ...{ action: null, finish: null, result: null, depth: false, used: new Set<string>(), met: false },
});
/** How much speaks for a further attempt: it is said, or the one before has come to an end. */
export const chainMarks = (r: Reading): readonly Mark[] => [
  ['chain', 1],
  ...(r.isThen ? [['chained', 1] as const] : []),
  ...(r.result !== null || r.finish !== null ? [['chained', 0.6] as const] : r.met ? [['chained', 0.4] as const] : []),
];

/** What failed may be followed by a further try: *triangle, failed, armbar, tap*. */
export const isAgain = ({ isOpen, told, result }: Reading): boolean =>
  isOpen && told === 'result' && (result === 'failed' || result === 'partial');

/** Whether a place is the one said before, or a child of it. */
export const isFiner = (before: Pick<SaidPlace, 'position'>, place: SaidPlace, words: Words): boolean =>
  place.position === before.position || words.position(place.position)?.parent === before.position;

/** What is done to get further, not to get out. */
export const ATTACKS: ReadonlySet<ActionKind> = new Set([
  'takedown',
  'sweep',
  'pass',
  'advance',
  'back take',
  'submission',
]);

/** Where they are of whom it is said: *they half guard* is our top of it. */
export const ofThem = (place: SaidPlace, words: Words): SaidPlace => {
  const word = words.position(place.position);
  const theirs = word && holderOf(word);
  return theirs && word.roles.length > 1 ? { ...place, role: otherRole(theirs) } : place;
};

/** The other side's action that met the attempt in hand and was told last. */
export const theirs = (r: Reading): string | null => {
  for (let step: Reading | null = r; step && step.attempt === r.attempt; step = step.before)
    if (step.meant?.part === 'reaction' && step.meant.isAction) return step.meant.what;
  return null;
};

export const placed = (meant: Meant, change: Partial<Reading>, ...marks: readonly (readonly Mark[])[]): Way => ({
  marks: marks.flat(),
  change,
  meant,
});
