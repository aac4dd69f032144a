import type { Attempt, Clip, Footage, Library } from '@odograph/core';
import type { AttemptFields, ClipEdit, FootageEdit, NewClip } from '@odograph/core/contract';
import type { SendRequest } from './library.api.js';
import { upsert } from './merge.js';

/**
 * An edit on its way to the server. It is shown at once (`patch` is what it does to the record as the interface knows it) and carries an id,
 * so that sending it twice does it once.
 */
export type PendingEdit =
  | {
      readonly kind: 'new clip';
      readonly editId: string;
      readonly body: NewClip;
      readonly attempt: Attempt;
      readonly clip: Clip;
    }
  | {
      readonly kind: 'attempt';
      readonly editId: string;
      readonly id: string;
      readonly changes: Partial<AttemptFields>;
      readonly patch: Partial<Attempt>;
    }
  | {
      readonly kind: 'clip';
      readonly editId: string;
      readonly id: string;
      readonly changes: ClipEdit['changes'];
      readonly patch: Partial<Clip>;
    }
  | { readonly kind: 'remove clip'; readonly editId: string; readonly id: string }
  | {
      readonly kind: 'footage';
      readonly editId: string;
      readonly id: string;
      readonly changes: FootageEdit['changes'];
      readonly patch: Partial<Footage>;
    }
  | { readonly kind: 'undo'; readonly editId: string };

const patched = <T extends { readonly id: string }>(rows: readonly T[], id: string, patch: Partial<T>): readonly T[] =>
  rows.map((row) => (row.id === id ? { ...row, ...patch } : row));

const apply = (library: Library, edit: PendingEdit): Library => {
  switch (edit.kind) {
    case 'new clip':
      return {
        ...library,
        attempts: upsert(library.attempts, [edit.attempt]),
        clips: upsert(library.clips, [edit.clip]),
      };
    case 'attempt':
      return { ...library, attempts: patched(library.attempts, edit.id, edit.patch) };
    case 'clip':
      return { ...library, clips: patched(library.clips, edit.id, edit.patch) };
    case 'footage':
      return { ...library, footage: patched(library.footage, edit.id, edit.patch) };
    case 'remove clip': {
      const clip = library.clips.find((c) => c.id === edit.id);
      const clips = library.clips.filter((c) => c.id !== edit.id);
      const isLookedAt = clips.some((c) => c.attemptId === clip?.attemptId);
      return {
        ...library,
        clips,
        attempts: isLookedAt ? library.attempts : library.attempts.filter((a) => a.id !== clip?.attemptId),
      };
    }
    case 'undo':
      return library;
  }
};

/** The library as the person sees it: what the server has, with the edits that it does not have yet. */
export const withPending = (library: Library, pending: readonly PendingEdit[]): Library =>
  pending.reduce(apply, library);

/** The request of an edit. The base version is that of the record the server gave last; undefined = the record is gone. */
export const requestOf = (edit: PendingEdit, library: Library): SendRequest | undefined => {
  const { editId } = edit;
  const versioned = (
    rows: readonly { readonly id: string; readonly version: number }[],
    id: string,
  ): number | undefined => rows.find((row) => row.id === id)?.version;
  switch (edit.kind) {
    case 'new clip':
      return { url: 'clips', method: 'POST', body: edit.body };
    case 'undo':
      return { url: 'undo', method: 'POST', body: { editId } };
    case 'attempt': {
      const baseVersion = versioned(library.attempts, edit.id);
      return baseVersion === undefined
        ? undefined
        : { url: `attempts/${edit.id}`, method: 'PATCH', body: { editId, baseVersion, changes: edit.changes } };
    }
    case 'clip': {
      const baseVersion = versioned(library.clips, edit.id);
      return baseVersion === undefined
        ? undefined
        : { url: `clips/${edit.id}`, method: 'PATCH', body: { editId, baseVersion, changes: edit.changes } };
    }
    case 'footage': {
      const baseVersion = versioned(library.footage, edit.id);
      return baseVersion === undefined
        ? undefined
        : { url: `footage/${edit.id}`, method: 'PATCH', body: { editId, baseVersion, changes: edit.changes } };
    }
    case 'remove clip': {
      const baseVersion = versioned(library.clips, edit.id);
      return baseVersion === undefined
        ? undefined
        : { url: `clips/${edit.id}`, method: 'DELETE', body: { editId, baseVersion } };
    }
  }
};
