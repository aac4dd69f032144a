import {
  controlKey,
  gripsAtCommit,
  lineReaction,
  normaliseSides,
  readPlace,
  type Attempt,
  type PlaceId,
} from '../attempts/index.js';
import type { Words } from '../vocabulary/index.js';
import { columnKey } from './answerTable.js';
import type { Case } from './cases.js';

/** Parts by which two attempts may be alike, and how much each counts. */
const PARTS = { state: 0.3, entry: 0.25, holds: 0.2, reaction: 0.1, finish: 0.15 } as const;
export type RelativePart = keyof typeof PARTS;

const placeApart = (a: PlaceId, b: PlaceId, words: Words): number => {
  if (a === b) return 0;
  const [x, y] = [readPlace(a), readPlace(b)];
  if (x?.kind !== 'state' || y?.kind !== 'state') return 1;
  const [p, q] = [words.position(x.position), words.position(y.position)];
  if (!p || !q) return 1;
  const above = (word: typeof p): string => word.parent ?? word.key;
  if (x.role === y.role && above(p) === above(q)) return 0.3;
  return p.family === q.family ? 0.6 : 1;
};

const entryApart = (a: string, b: string, words: Words): number => {
  if (a === b) return 0;
  const [p, q] = [words.action(a), words.action(b)];
  if (!p || !q || p.does !== q.does) return 1;
  const aims = (word: typeof p): string => JSON.stringify(word.aims);
  return aims(p) === aims(q) ? 0.4 : 0.7;
};

/** Of what two attempts held, the share that only one of them did; half where nothing is said of one. */
const holdsApart = (a: Attempt, b: Attempt): number => {
  const keys = (attempt: Attempt): ReadonlySet<string> =>
    new Set(gripsAtCommit(normaliseSides(attempt)).map((c) => `${c.limb} ${c.limbSide ?? '-'} ${controlKey(c)}`));
  if (a.controls.length === 0 && b.controls.length === 0) return 0;
  if (a.controls.length === 0 || b.controls.length === 0) return 0.5;
  const [x, y] = [keys(a), keys(b)];
  const all = new Set([...x, ...y]);
  return all.size ? 1 - [...x].filter((k) => y.has(k)).length / all.size : 0;
};

const reactionOf = ({ attempt }: Case): string => {
  const met = lineReaction(attempt);
  return met ? columnKey(met) : '';
};

/** How far two attempts are apart, 0 (alike) … 1, and the parts in which they agree. */
export const apartOf = (
  a: Case,
  b: Case,
  words: Words,
): { readonly apart: number; readonly alike: readonly RelativePart[] } => {
  const by: Record<RelativePart, number> = {
    state: placeApart(a.from, b.from, words),
    entry: entryApart(a.action, b.action, words),
    holds: holdsApart(a.attempt, b.attempt),
    reaction: reactionOf(a) === reactionOf(b) ? 0 : 1,
    finish: placeApart(a.to, b.to, words),
  };
  const parts = Object.keys(PARTS) as RelativePart[];
  return {
    apart: parts.reduce((sum, part) => sum + PARTS[part] * by[part], 0),
    alike: parts.filter((part) => by[part] === 0),
  };
};

/** The attempts most like one, the nearest first, then by id. */
export const relativesOf = (
  of: Case,
  cases: readonly Case[],
  words: Words,
  most = 12,
): readonly { readonly attemptId: string; readonly apart: number; readonly alike: readonly RelativePart[] }[] =>
  cases
    .filter((c) => c.attempt.id !== of.attempt.id)
    .map((c) => ({ attemptId: c.attempt.id, ...apartOf(of, c, words) }))
    .sort((a, b) => a.apart - b.apart || (a.attemptId < b.attemptId ? -1 : 1))
    .slice(0, most);
