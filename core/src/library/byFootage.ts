import type { Attempt } from '../attempts/index.js';
import type { Angle } from '../footage/index.js';
import type { Library } from './library.js';

export type OfFootage = { readonly attempts: Attempt[]; readonly angles: Angle[]; readonly files: Library['files'] };
/** The attempts and angles of each footage, gone through once. */
export const byFootage = ({
  attempts,
  angles,
  files,
}: Pick<Library, 'attempts' | 'angles' | 'files'>): ReadonlyMap<string, OfFootage> => {
  const all = new Map<string, OfFootage>();
  const of = (id: string): OfFootage => {
    const known = all.get(id) ?? { attempts: [], angles: [], files };
    all.set(id, known);
    return known;
  };
  for (const attempt of attempts) of(attempt.footageId).attempts.push(attempt);
  for (const angle of angles) of(angle.footageId).angles.push(angle);
  return all;
};
