import { isLoggedThroughout, type Angle, type Footage, type MediaFile } from '../footage/index.js';
import { type Attempt, type Clip, type Timed } from '../attempts/index.js';
import type { Drawing } from '../drawings/index.js';
import { type Moment } from '../moments/index.js';
import { type Person } from '../people/index.js';
import type { Collection } from '../collections/index.js';
import type { Plan } from '../plans/index.js';
import type { Principle } from '../principles/index.js';
import type { AcademyPolicy, KeptRoute } from '../teaching/index.js';
import type { Todo } from '../todos/index.js';
import type { Logged } from '../map/index.js';
import { angleClock, footageSeconds } from '../timecode/index.js';
import type { Entity } from '../rows/index.js';
import { SHIPPED_WORDS, withChanges, type Circumstances, type WordChange, type Words } from '../vocabulary/index.js';

/** Everything an academy has logged: what the interface loads and what the export holds. */
export type Library = {
  readonly format: 'odograph-library';
  readonly formatVersion: 1;
  readonly academy: { readonly id: string; readonly name: string; readonly timeZone: string };
  readonly wordChanges: readonly WordChange[];
  readonly persons: readonly Person[];
  readonly files: readonly MediaFile[];
  readonly footage: readonly Footage[];
  readonly angles: readonly Angle[];
  readonly attempts: readonly Attempt[];
  readonly clips: readonly Clip[];
  readonly routes: readonly KeptRoute[];
  readonly moments: readonly Moment[];
  readonly principles: readonly Principle[];
  readonly todos: readonly Todo[];
  readonly drawings: readonly Drawing[];
  readonly plans: readonly Plan[];
  /** At most one. */ readonly policies: readonly AcademyPolicy[];
  readonly collections: readonly Collection[];
};

/** Under which name a library lists the rows of each kind. */
export const LISTS = {
  person: 'persons',
  file: 'files',
  footage: 'footage',
  angle: 'angles',
  attempt: 'attempts',
  clip: 'clips',
  route: 'routes',
  moment: 'moments',
  principle: 'principles',
  todo: 'todos',
  drawing: 'drawings',
  plan: 'plans',
  policy: 'policies',
  collection: 'collections',
} as const satisfies Record<Exclude<Entity, 'word'>, keyof Library>;
export type Listed = keyof typeof LISTS;
export const LISTED = Object.keys(LISTS) as readonly Listed[];
export type LibraryLists = Pick<Library, (typeof LISTS)[Listed]>;
/** The lists of a library in which nothing is yet. */
export const NO_ROWS = Object.fromEntries(Object.values(LISTS).map((list) => [list, []])) as unknown as LibraryLists;

export const wordsOf = (library: Pick<Library, 'wordChanges'>, circumstances?: Circumstances): Words =>
  withChanges(SHIPPED_WORDS, library.wordChanges, circumstances);

/** The clock of each angle whose file is there. */
export const clocksOf = ({
  angles,
  files,
}: Pick<Library, 'angles' | 'files'>): ReadonlyMap<string, ReturnType<typeof angleClock>> => {
  const byId = new Map(files.map((f) => [f.id, f]));
  return new Map(
    angles.flatMap((angle) => {
      const file = byId.get(angle.fileId);
      return file ? [[angle.id, angleClock(angle, file)] as const] : [];
    }),
  );
};

/** Attempts with their footage, in the order of their ids. Attempts of footage that is not there are left out. */
export const loggedOf = (library: Pick<Library, 'attempts' | 'footage' | 'angles' | 'files'>): readonly Logged[] => {
  const footage = new Map(library.footage.map((f) => [f.id, f]));
  const clocks = clocksOf(library);
  return library.attempts.flatMap((attempt) => {
    const of = footage.get(attempt.footageId);
    if (!of) return [];
    const clock = clocks.get(attempt.angleId);
    const atMs = clock ? footageSeconds(clock, attempt.start.pts) * 1000 : NaN;
    return [{ attempt, footage: of, isThorough: isLoggedThroughout(of, atMs) }];
  });
};

/** The attempts of one footage with their instants as seconds of footage time. */
export const timedOf = (library: Pick<Library, 'attempts' | 'angles' | 'files'>, footageId: string): readonly Timed[] =>
  library.attempts
    .filter((a) => a.footageId === footageId)
    .flatMap((attempt): Timed[] => {
      const angle = library.angles.find((a) => a.id === attempt.angleId);
      const file = angle && library.files.find((f) => f.id === angle.fileId);
      if (!angle || !file) return [];
      const clock = angleClock(angle, file);
      const startS = footageSeconds(clock, attempt.start.pts);
      return [
        {
          attempt,
          startS,
          commitS: attempt.commit ? footageSeconds(clock, attempt.commit.pts) : startS,
          endS: footageSeconds(clock, attempt.end.pts),
        },
      ];
    });

/** Who is who in a footage. */
export const athletesOf = (footage: Footage, persons: readonly Person[]): Readonly<Record<'a' | 'b', string>> => {
  const name = (id: string): string => persons.find((p) => p.id === id)?.name ?? 'unknown';
  return { a: name(footage.athleteA), b: name(footage.athleteB) };
};
