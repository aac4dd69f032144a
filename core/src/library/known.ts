import { answersIn, standingOf } from '../attempts/index.js';
import { footageSeconds, angleClock } from '../timecode/index.js';
import type { KnownOfPrinciples, Principle } from '../principles/index.js';
import type { Dated } from '../todos/index.js';
import type { Words } from '../vocabulary/index.js';
import { byFootage } from './byFootage.js';
import { timedOf, type Library } from './library.js';

type Of = Pick<Library, 'attempts' | 'footage' | 'angles' | 'files' | 'clips'>;

/** Attempts that count (nobody shows them, and their footage counts), as principles are held against them; what answers what only where one asks for it. */
export const knownForPrinciples = (
  library: Of,
  principles: readonly Pick<Principle, 'answer'>[],
  words: Words,
): KnownOfPrinciples => {
  const footage = new Map(library.footage.map((f) => [f.id, f]));
  const seen = library.attempts.flatMap((attempt) => {
    const of = footage.get(attempt.footageId);
    if (!of || standingOf(attempt, of, words).kind !== 'counted') return [];
    return [{ attempt, athleteId: attempt.subject === 'a' ? of.athleteA : of.athleteB }];
  });
  const isAsked = principles.some((p) => p.answer !== null);
  const answers = isAsked ? [...byFootage(library)].flatMap(([id, of]) => answersIn(timedOf(of, id), words)) : [];
  return { seen, answers, clips: library.clips };
};

/** Attempts with whose they are and the day of their footage. */
export const datedOf = ({ attempts, footage }: Pick<Library, 'attempts' | 'footage'>): readonly Dated[] => {
  const byId = new Map(footage.map((f) => [f.id, f]));
  return attempts.flatMap((attempt) => {
    const of = byId.get(attempt.footageId);
    return of ? [{ attempt, athleteId: attempt.subject === 'a' ? of.athleteA : of.athleteB, day: of.date }] : [];
  });
};

/** The second of footage time at which a frame of an angle lies, with the attempts of that footage and theirs; undefined where the angle isn't there. */
export const startsFrom = (
  library: Of,
  at: { readonly angleId: string; readonly pts: number },
): { readonly atS: number; readonly starts: readonly (Dated & { readonly startS: number })[] } | undefined => {
  const angle = library.angles.find((a) => a.id === at.angleId);
  const file = angle && library.files.find((f) => f.id === angle.fileId);
  if (!angle || !file) return undefined;
  const startOf = new Map(timedOf(library, angle.footageId).map((t) => [t.attempt.id, t.startS]));
  const starts = datedOf(library).flatMap((d) => {
    const startS = startOf.get(d.attempt.id);
    return startS === undefined ? [] : [{ ...d, startS }];
  });
  return { atS: footageSeconds(angleClock(angle, file), at.pts), starts };
};
