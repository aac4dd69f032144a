import type { Footage, Person } from '../attempts/index.js';
import type { Library } from './library.js';

/** Whether pictures of somebody may be shown to the whole academy; where nothing is said, only coaches see them. */
export const isForAcademy = (person: Pick<Person, 'shownTo'> | undefined): boolean =>
  person?.shownTo === 'academy' || person?.shownTo === 'anyone';

/**
 * What members who are no coaches see: footage of people who may be shown to them, and nothing of people beyond their names. A file goes out whole, so one
 * that also shows footage they may not see is kept from them, with the angles that lie in it.
 */
export const forMembers = (library: Library): Library => {
  const byId = new Map(library.persons.map((p) => [p.id, p]));
  const isShown = (f: Footage): boolean =>
    f.audience === 'academy' && isForAcademy(byId.get(f.athleteA)) && isForAcademy(byId.get(f.athleteB));
  const allowed = new Set(library.footage.filter(isShown).map((f) => f.id));
  const closed = new Set(library.angles.filter((a) => !allowed.has(a.footageId)).map((a) => a.fileId));
  const angles = library.angles.filter((a) => allowed.has(a.footageId) && !closed.has(a.fileId));
  const shown = new Set(angles.map((a) => a.footageId));
  const footage = library.footage.filter((f) => shown.has(f.id));
  const shownAngles = new Set(angles.map((a) => a.id));
  const files = new Set(angles.map((a) => a.fileId));
  const athletes = new Set(footage.flatMap((f) => [f.athleteA, f.athleteB]));
  const clips = library.clips.filter((c) => shownAngles.has(c.angleId));
  const shownClips = new Set(clips.map((c) => c.id));
  return {
    ...library,
    persons: library.persons
      .filter((p) => athletes.has(p.id))
      .map((p) => ({ ...p, accountId: null, level: null, age: null, filming: null })),
    files: library.files.filter((f) => files.has(f.id)),
    footage,
    angles,
    attempts: library.attempts.filter((a) => shown.has(a.footageId)),
    clips,
    // marks are notes of those who log
    moments: [],
    routes: library.routes.map((route) => ({
      ...route,
      steps: route.steps.map((s) => (s.clipId !== null && !shownClips.has(s.clipId) ? { ...s, clipId: null } : s)),
    })),
  };
};
