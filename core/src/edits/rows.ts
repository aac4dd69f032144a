import { asSaid, type Attempt, type Clip, type Instant } from '../attempts/index.js';
import { type Person } from '../people/index.js';
import type { AthleteRef } from '../contract/index.js';
import { LISTS, type Library } from '../library/index.js';
import type { ClipChanges, FootageChanges, LibraryEdit, MadeClip, MomentChanges, Removable } from './edit.js';

/** Where the records lie that edits change. */
export const ROWS = { ...LISTS, word: 'wordChanges' } as const;
export type Kept = Exclude<keyof typeof ROWS, 'file'>;

type Row = { readonly id: string };

/** So many rows are each put where they belong; more are sorted together. */
const FEW = 4;
const withRow = <T extends Row>(rows: readonly T[], row: T): readonly T[] => {
  const at = rows.findIndex(({ id }) => id >= row.id);
  return at === -1 ? [...rows, row] : rows.toSpliced(at, rows[at]!.id === row.id ? 1 : 0, row);
};
/** Rows with others laid over them by id, in the order of their ids. */
export const upsert = <T extends Row>(rows: readonly T[], changed: readonly T[]): readonly T[] => {
  if (!changed.length) return rows;
  if (changed.length <= FEW) return changed.reduce(withRow, rows);
  const byId = new Map(rows.map((row) => [row.id, row]));
  for (const row of changed) byId.set(row.id, row);
  return [...byId.values()].sort((a, b) => (a.id < b.id ? -1 : 1));
};
const without = <T extends Row>(rows: readonly T[], id: string): readonly T[] => rows.filter((r) => r.id !== id);
const changed = <T extends Row>(rows: readonly T[], id: string, how: (row: T) => T): readonly T[] =>
  rows.map((row) => (row.id === id ? how(row) : row));

const withoutClips = (library: Library, isGone: (clip: Clip) => boolean): Library => {
  const clips = library.clips.filter((c) => !isGone(c));
  const lookedAt = new Set(clips.map((c) => c.attemptId));
  const wasLookedAt = new Set(library.clips.filter(isGone).map((c) => c.attemptId));
  return {
    ...library,
    clips,
    attempts: library.attempts.filter((a) => lookedAt.has(a.id) || !wasLookedAt.has(a.id)),
  };
};

const removed = (library: Library, what: Removable, id: string): Library => {
  switch (what) {
    case 'clip':
      return withoutClips(library, (clip) => clip.id === id);
    case 'footage': {
      const angles = new Set(library.angles.filter((a) => a.footageId === id).map((a) => a.id));
      const left = withoutClips(library, (clip) => angles.has(clip.angleId));
      return {
        ...left,
        footage: without(left.footage, id),
        angles: left.angles.filter((a) => !angles.has(a.id)),
        attempts: left.attempts.filter((a) => a.footageId !== id),
        moments: left.moments.filter((m) => m.footageId !== id),
        drawings: left.drawings.filter((d) => d.footageId !== id),
      };
    }
    case 'drawing':
    case 'moment':
    case 'person':
    case 'plan':
    case 'collection':
    case 'principle':
    case 'route':
    case 'todo':
    case 'word':
      return { ...library, [ROWS[what]]: without<Row>(library[ROWS[what]], id) };
  }
};

const inside = (at: Instant, low: Instant, high: Instant): Instant =>
  at.frame < low.frame ? low : at.frame > high.frame ? high : at;
/** An attempt whose clip has other edges: what lay on an edge goes with it, and nothing lies outside. Another camera's clip leaves it alone. */
export const recut = (attempt: Attempt, before: Clip, clip: Clip): Attempt => {
  const isSame = before.in.frame === clip.in.frame && before.out.frame === clip.out.frame;
  if (clip.angleId !== attempt.angleId || isSame) return attempt;
  const start = attempt.start.frame === before.in.frame ? clip.in : inside(attempt.start, clip.in, clip.out);
  const end = attempt.end.frame === before.out.frame ? clip.out : inside(attempt.end, start, clip.out);
  return { ...attempt, start, end, commit: attempt.commit && inside(attempt.commit, start, end) };
};
const withClip = (library: Library, id: string, changes: ClipChanges): Library => {
  const before = library.clips.find((c) => c.id === id);
  if (!before) return library;
  const clip = { ...before, ...changes };
  return {
    ...library,
    clips: changed(library.clips, id, () => clip),
    attempts: changed(library.attempts, clip.attemptId, (a) => recut(a, before, clip)),
  };
};

/** A person of whom only the name is known, as the server makes one for a sheet. */
const named = ({ id, name }: AthleteRef): Person => ({
  ...{ id, version: 0, name, athlete: true, member: false, accountId: null },
  ...{ level: null, age: null, filming: null, shownTo: null },
});
const withFootage = (library: Library, id: string, { athleteA, athleteB, ...fields }: FootageChanges): Library => {
  const ids = { ...(athleteA && { athleteA: athleteA.id }), ...(athleteB && { athleteB: athleteB.id }) };
  const fresh = [athleteA, athleteB].flatMap((ref) =>
    ref && !library.persons.some((p) => p.id === ref.id) ? [named(ref)] : [],
  );
  return {
    ...library,
    persons: upsert(library.persons, fresh),
    footage: changed(library.footage, id, (f) => ({ ...f, ...fields, ...ids })),
  };
};
/** Clips with the attempts that they look at. */
const withMade = (library: Library, made: readonly MadeClip[]): Library => ({
  ...library,
  attempts: upsert(
    library.attempts,
    made.map((m) => m.attempt),
  ),
  clips: upsert(
    library.clips,
    made.map((m) => m.clip),
  ),
});
/** A mark that is put somewhere by hand stays there. */
const settled = (changes: MomentChanges): MomentChanges & { readonly settled?: true } =>
  changes.at ? { ...changes, settled: true } : changes;

type Beside = Extract<
  LibraryEdit,
  { kind: 'new principle' | 'new todo' | 'new collection' | 'new policy' | 'new plan' | 'new drawing' }
>;
/** What is told beside the attempts, with a new row. */
const withBeside = (library: Library, edit: Beside): Library => {
  switch (edit.kind) {
    case 'new principle':
      return { ...library, principles: upsert(library.principles, [edit.principle]) };
    case 'new todo':
      return { ...library, todos: upsert(library.todos, [edit.todo]) };
    case 'new collection':
      return { ...library, collections: upsert(library.collections, [edit.collection]) };
    case 'new policy':
      return { ...library, policies: upsert(library.policies, [edit.policy]) };
    case 'new plan':
      return { ...library, plans: upsert(library.plans, [edit.plan]) };
    case 'new drawing':
      return { ...library, drawings: upsert(library.drawings, [edit.drawing]) };
  }
};

/**
 * What an edit makes of the rows: shown at once, taken back by leaving the edit out, and what the server is held to. Versions stay as the server gave them last. What
 * restoring, undoing and aliases for several words do is known when the server has done it: they leave the rows as they are.
 */
export const applyEdit = (library: Library, edit: LibraryEdit): Library => {
  switch (edit.kind) {
    case 'new clip':
      return withMade(library, [edit]);
    case 'new clips':
      return withMade(library, edit.made);
    case 'new look':
      return { ...library, clips: upsert(library.clips, [edit.clip]) };
    case 'new moment':
      return { ...library, moments: upsert(library.moments, [edit.moment]) };
    case 'new person':
      return { ...library, persons: upsert(library.persons, [edit.person]) };
    case 'new route':
      return { ...library, routes: upsert(library.routes, [edit.route]) };
    case 'new principle':
    case 'new todo':
    case 'new collection':
    case 'new policy':
    case 'new plan':
    case 'new drawing':
      return withBeside(library, edit);
    case 'attempt':
      return {
        ...library,
        attempts: changed(library.attempts, edit.id, (a) => ({ ...a, ...asSaid(a, edit.changes) })),
      };
    case 'clip':
      return withClip(library, edit.id, edit.changes);
    case 'footage':
      return withFootage(library, edit.id, edit.changes);
    case 'angle':
    case 'drawing':
    case 'person':
    case 'collection':
    case 'policy':
    case 'plan':
    case 'principle':
    case 'route':
    case 'todo': {
      const list = ROWS[edit.kind];
      return { ...library, [list]: changed<Row>(library[list], edit.id, (row) => ({ ...row, ...edit.changes })) };
    }
    case 'moment': {
      const changes = settled(edit.changes);
      return { ...library, moments: changed(library.moments, edit.id, (row) => ({ ...row, ...changes })) };
    }
    case 'word':
      return { ...library, wordChanges: upsert(library.wordChanges, [edit.change]) };
    case 'remove':
      return removed(library, edit.what, edit.id);
    case 'aliases':
    case 'restore':
    case 'undo':
    case 'redo':
      return library;
  }
};

/** The library with edits that the server doesn't have yet laid over it, in their order. */
export const withEdits = (library: Library, edits: readonly LibraryEdit[]): Library => edits.reduce(applyEdit, library);
