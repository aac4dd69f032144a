import {
  asSaid,
  type Angle,
  type Attempt,
  type Clip,
  type Footage,
  type KeptRoute,
  type Library,
  type Moment,
  type Person,
  type WordChange,
} from '@odograph/core';
import type {
  AliasLines,
  AngleEdit,
  AttemptFields,
  Binned,
  ClipEdit,
  FootageEdit,
  MomentEdit,
  NewClip,
  PersonEdit,
  RouteEdit,
  WordEdit,
} from '@odograph/core/contract';
import type { SendRequest } from './library.api.js';
import { upsert } from './merge.js';

/** A change of fields of a record: what is sent, and what it does to the record as the interface knows it. */
type FieldEdit<Kind extends string, Changes, Row> = {
  readonly kind: Kind;
  readonly editId: string;
  readonly id: string;
  readonly changes: Changes;
  readonly patch: Partial<Row>;
};

/**
 * An edit on its way to the server. It is shown at once and carries an id, so that sending it twice does it once.
 */
export type PendingEdit =
  | {
      readonly kind: 'new clip';
      readonly editId: string;
      readonly body: NewClip;
      readonly attempt: Attempt;
      readonly clip: Clip;
    }
  | { readonly kind: 'new look'; readonly editId: string; readonly clip: Clip }
  | {
      readonly kind: 'new clips';
      readonly editId: string;
      readonly made: readonly {
        readonly body: Omit<NewClip, 'editId'>;
        readonly attempt: Attempt;
        readonly clip: Clip;
      }[];
    }
  | FieldEdit<'attempt', Partial<AttemptFields>, Attempt>
  | FieldEdit<'clip', ClipEdit['changes'], Clip>
  | FieldEdit<'angle', AngleEdit['changes'], Angle>
  | FieldEdit<'footage', FootageEdit['changes'], Footage>
  | FieldEdit<'person', PersonEdit['changes'], Person>
  | FieldEdit<'route', RouteEdit['changes'], KeptRoute>
  | FieldEdit<'moment', MomentEdit['changes'], Moment>
  | { readonly kind: 'new moment'; readonly editId: string; readonly moment: Moment }
  | { readonly kind: 'new person'; readonly editId: string; readonly person: Person }
  | { readonly kind: 'new route'; readonly editId: string; readonly route: KeptRoute }
  | {
      readonly kind: 'word';
      readonly editId: string;
      readonly body: Omit<WordEdit, 'editId' | 'baseVersion'>;
      readonly change: WordChange;
    }
  | { readonly kind: 'aliases'; readonly editId: string; readonly lines: AliasLines['lines'] }
  | { readonly kind: 'remove'; readonly editId: string; readonly what: Binned | 'moment'; readonly id: string }
  | { readonly kind: 'restore'; readonly editId: string; readonly what: Binned; readonly id: string }
  | { readonly kind: 'undo'; readonly editId: string }
  | { readonly kind: 'redo'; readonly editId: string };

/** Where the records of each kind lie in the library, and under which address of the server. */
const PLACES = {
  angle: ['angles', 'angles'],
  attempt: ['attempts', 'attempts'],
  clip: ['clips', 'clips'],
  footage: ['footage', 'footage'],
  moment: ['moments', 'moments'],
  person: ['persons', 'persons'],
  route: ['routes', 'routes'],
  word: ['wordChanges', 'words'],
} as const satisfies Record<Binned | 'angle' | 'attempt' | 'moment', readonly [keyof Library, string]>;

type Versioned = { readonly id: string; readonly version: number };
const rowsOf = (library: Library, kind: keyof typeof PLACES): readonly Versioned[] => library[PLACES[kind][0]];

const without = <T extends Versioned>(rows: readonly T[], id: string): readonly T[] => rows.filter((r) => r.id !== id);

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

const removed = (library: Library, what: Binned | 'moment', id: string): Library => {
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
      };
    }
    case 'moment':
    case 'person':
    case 'route':
    case 'word':
      return { ...library, [PLACES[what][0]]: without(rowsOf(library, what), id) };
  }
};

const apply = (library: Library, edit: PendingEdit): Library => {
  switch (edit.kind) {
    case 'new clip':
      return {
        ...library,
        attempts: upsert(library.attempts, [edit.attempt]),
        clips: upsert(library.clips, [edit.clip]),
      };
    case 'new look':
      return { ...library, clips: upsert(library.clips, [edit.clip]) };
    case 'new clips':
      return {
        ...library,
        attempts: upsert(
          library.attempts,
          edit.made.map((m) => m.attempt),
        ),
        clips: upsert(
          library.clips,
          edit.made.map((m) => m.clip),
        ),
      };
    case 'attempt': {
      // what is said is not proposed any more, as the server has it
      const attempts = library.attempts.map((a) => (a.id === edit.id ? { ...a, ...asSaid(a, edit.patch) } : a));
      return { ...library, attempts };
    }
    case 'angle':
    case 'clip':
    case 'footage':
    case 'moment':
    case 'person':
    case 'route': {
      const rows = rowsOf(library, edit.kind).map((row) => (row.id === edit.id ? { ...row, ...edit.patch } : row));
      return { ...library, [PLACES[edit.kind][0]]: rows };
    }
    case 'new moment':
      return { ...library, moments: upsert(library.moments, [edit.moment]) };
    case 'new person':
      return { ...library, persons: upsert(library.persons, [edit.person]) };
    case 'new route':
      return { ...library, routes: upsert(library.routes, [edit.route]) };
    case 'word':
      return { ...library, wordChanges: upsert(library.wordChanges, [edit.change]) };
    case 'remove':
      return removed(library, edit.what, edit.id);
    // what these do is known when the server has done it
    case 'aliases':
    case 'restore':
    case 'undo':
    case 'redo':
      return library;
  }
};

/** The library as the person sees it: what the server has, with the edits that it does not have yet. */
export const withPending = (library: Library, pending: readonly PendingEdit[]): Library =>
  pending.reduce(apply, library);

/** The request of an edit. The base version is that of the record the server gave last; undefined = the record is gone. */
export const requestOf = (edit: PendingEdit, library: Library): SendRequest | undefined => {
  const { editId } = edit;
  const versionOf = (kind: keyof typeof PLACES, id: string): number | undefined =>
    rowsOf(library, kind).find((row) => row.id === id)?.version;
  switch (edit.kind) {
    case 'new clip':
      return { url: 'clips', method: 'POST', body: edit.body };
    case 'new look': {
      const { id, attemptId, angleId, note } = edit.clip;
      const [inFrame, outFrame] = [edit.clip.in.frame, edit.clip.out.frame];
      const clip = { id, angleId, inFrame, outFrame, note };
      return { url: `attempts/${attemptId}/looks`, method: 'POST', body: { editId, clip } };
    }
    case 'new clips':
      return { url: 'clips/many', method: 'POST', body: { editId, clips: edit.made.map((m) => m.body) } };
    case 'redo':
      return { url: 'redo', method: 'POST', body: { editId } };
    case 'undo':
      return { url: 'undo', method: 'POST', body: { editId } };
    case 'angle':
    case 'attempt':
    case 'clip':
    case 'footage':
    case 'moment':
    case 'person':
    case 'route': {
      const baseVersion = versionOf(edit.kind, edit.id);
      const url = `${PLACES[edit.kind][1]}/${edit.id}`;
      return baseVersion === undefined
        ? undefined
        : { url, method: 'PATCH', body: { editId, baseVersion, changes: edit.changes } };
    }
    case 'new moment': {
      const { id, angleId, at, pressed, speed } = edit.moment;
      const body = { editId, id, angleId, atFrame: at.frame, pressedFrame: pressed.frame, speed };
      return { url: 'moments', method: 'POST', body };
    }
    case 'new person': {
      const { version, ...fields } = edit.person;
      void version;
      return { url: 'persons', method: 'POST', body: { editId, ...fields } };
    }
    case 'new route': {
      const { id, name, steps } = edit.route;
      return { url: 'routes', method: 'POST', body: { editId, id, name, steps } };
    }
    case 'word': {
      const baseVersion = versionOf('word', edit.body.id) ?? null;
      return { url: 'words', method: 'PUT', body: { editId, baseVersion, ...edit.body } };
    }
    case 'aliases':
      return { url: 'words/aliases', method: 'POST', body: { editId, lines: edit.lines } };
    case 'remove': {
      const baseVersion = versionOf(edit.what, edit.id);
      const url = `${PLACES[edit.what][1]}/${edit.id}`;
      return baseVersion === undefined ? undefined : { url, method: 'DELETE', body: { editId, baseVersion } };
    }
    case 'restore':
      return { url: 'bin/restore', method: 'POST', body: { editId, kind: edit.what, id: edit.id } };
  }
};

/** How fields of a request are called in the record. */
const PATCHED: Readonly<Record<string, string>> = {
  startFrame: 'start',
  commitFrame: 'commit',
  endFrame: 'end',
  inFrame: 'in',
  outFrame: 'out',
  atFrame: 'at',
};

/** An edit without the fields for which the other's values are to stand; null where nothing of it is left. */
export const withoutFields = (edit: PendingEdit, fields: ReadonlySet<string>): PendingEdit | null => {
  if (!('changes' in edit)) return edit;
  const changes = Object.fromEntries(Object.entries(edit.changes).filter(([field]) => !fields.has(field)));
  if (!Object.keys(changes).length) return null;
  const gone = new Set([...fields].map((field) => PATCHED[field] ?? field));
  const patch = Object.fromEntries(Object.entries(edit.patch).filter(([field]) => !gone.has(field)));
  return { ...edit, changes, patch };
};
