import type { Attempt, Clip } from '../attempts/index.js';
import type { NewClip } from '../contract/index.js';
import type { Library } from '../library/index.js';
import { KEPT, sentName, sentValue, type Entity, type Fields } from '../rows/index.js';
import type { LibraryEdit, MadeClip } from './edit.js';
import { ROWS, type Kept } from './rows.js';

/** What is sent to the server: `url` below its interface. */
export type EditRequest = {
  readonly url: string;
  readonly method: 'POST' | 'PATCH' | 'PUT' | 'DELETE';
  readonly body: object;
};

/** Fields of a row as they are sent. */
const asSent = (kind: Entity, changes: object): Readonly<Record<string, unknown>> => {
  const fields: Fields = KEPT[kind];
  return Object.fromEntries(
    Object.entries(changes).map(([field, value]: [string, unknown]) => [
      sentName(fields, field),
      sentValue(fields, field, value),
    ]),
  );
};

const attemptSent = ({ version, footageId, angleId, ...attempt }: Attempt): NewClip['attempt'] => {
  void [version, footageId, angleId];
  return asSent('attempt', attempt) as NewClip['attempt'];
};
const clipSent = ({ id, angleId, in: inAt, out, note }: Clip): NewClip['clip'] => ({
  ...{ id, angleId, inFrame: inAt.frame, outFrame: out.frame, note },
});
const madeSent = ({ attempt, clip }: MadeClip): Omit<NewClip, 'editId'> => ({
  attempt: attemptSent(attempt),
  clip: clipSent(clip),
});

/** Under which address of the server the records of a kind lie. */
const ADDRESS: Readonly<Record<Kept, string>> = { ...ROWS, word: 'words' };

type Making = Extract<
  LibraryEdit,
  {
    kind:
      | 'new moment'
      | 'new person'
      | 'new route'
      | 'new principle'
      | 'new todo'
      | 'new drawing'
      | 'new plan'
      | 'new policy'
      | 'new collection';
  }
>;
const withoutVersion = <T extends { readonly version: number }>({ version, ...fields }: T): Omit<T, 'version'> => {
  void version;
  return fields;
};
/** What is sent of a row that is made, and of which kind it is. */
const madeOf = (edit: Making): readonly [Kept, object] => {
  switch (edit.kind) {
    case 'new moment': {
      const { id, angleId, at, pressed, speed } = edit.moment;
      return ['moment', { id, angleId, atFrame: at.frame, pressedFrame: pressed.frame, speed }];
    }
    case 'new person':
      return ['person', withoutVersion(edit.person)];
    case 'new route':
      return ['route', withoutVersion(edit.route)];
    case 'new principle':
      return ['principle', withoutVersion(edit.principle)];
    case 'new todo':
      return ['todo', withoutVersion(edit.todo)];
    case 'new collection':
      return ['collection', withoutVersion(edit.collection)];
    case 'new policy':
      return ['policy', withoutVersion(edit.policy)];
    case 'new plan':
      return ['plan', withoutVersion(edit.plan)];
    case 'new drawing': {
      const { footageId, ...fields } = withoutVersion(edit.drawing);
      void footageId;
      return ['drawing', asSent('drawing', fields)];
    }
  }
};

/** The row that an edit changes; null where it makes one, or where only the server knows which. */
const rowOf = (edit: LibraryEdit): { readonly kind: Kept; readonly id: string } | null => {
  if ('changes' in edit) return { kind: edit.kind, id: edit.id };
  if (edit.kind === 'word') return { kind: 'word', id: edit.change.id };
  return edit.kind === 'remove' ? { kind: edit.what, id: edit.id } : null;
};
/** The id of the row that an edit changes; null where there is none yet. */
export const rowIdOf = (edit: LibraryEdit): string | null => rowOf(edit)?.id ?? null;

/** The version in which whoever makes an edit sees the row that it changes; null where there is none. */
export const seenVersion = (edit: LibraryEdit, library: Library): number | null => {
  const row = rowOf(edit);
  if (!row) return null;
  const rows: readonly { readonly id: string; readonly version: number }[] = library[ROWS[row.kind]];
  return rows.find(({ id }) => id === row.id)?.version ?? null;
};

/** Where a new row is sent, and what. */
const madeSentTo = (edit: Making): readonly [url: string, fields: object] => {
  const [of, fields] = madeOf(edit);
  return [ADDRESS[of], fields];
};

/**
 * The request of an edit. `base` is the version in which its author saw the row. Of a row that was not there for them it is sent too: only the server knows whether this
 * very edit was done before it went.
 */
export const requestOf = (edit: LibraryEdit, base: number | null): EditRequest => {
  const { editId } = edit;
  const baseVersion = base ?? 1;
  const post = (url: string, body: object): EditRequest => ({ url, method: 'POST', body: { editId, ...body } });
  switch (edit.kind) {
    case 'new clip':
      return post('clips', madeSent(edit));
    case 'new clips':
      return post('clips/many', { clips: edit.made.map(madeSent) });
    case 'new look':
      return post(`attempts/${edit.clip.attemptId}/looks`, { clip: clipSent(edit.clip) });
    case 'new moment':
    case 'new person':
    case 'new route':
    case 'new principle':
    case 'new todo':
    case 'new plan':
    case 'new policy':
    case 'new collection':
    case 'new drawing':
      return post(...madeSentTo(edit));
    case 'angle':
    case 'attempt':
    case 'clip':
    case 'drawing':
    case 'footage':
    case 'moment':
    case 'person':
    case 'plan':
    case 'policy':
    case 'collection':
    case 'principle':
    case 'route':
    case 'todo': {
      const body = { editId, baseVersion, changes: asSent(edit.kind, edit.changes) };
      return { url: `${ADDRESS[edit.kind]}/${edit.id}`, method: 'PATCH', body };
    }
    case 'word': {
      const { id, kind, key, name, hidden, aliases, definition, scope } = edit.change;
      const whole = { name: name ?? null, hidden: hidden ?? false, aliases: aliases ?? [] };
      const body = { editId, baseVersion: base, id, kind, key, ...whole };
      return {
        ...{ url: 'words', method: 'PUT' },
        body: { ...body, definition: definition ?? null, scope: scope ?? { kind: 'academy' } },
      };
    }
    case 'aliases':
      return post('words/aliases', { lines: edit.lines });
    case 'remove': {
      const body = { editId, baseVersion };
      return { url: `${ADDRESS[edit.what]}/${edit.id}`, method: 'DELETE', body };
    }
    case 'restore':
      return post('bin/restore', { kind: edit.what, id: edit.id });
    case 'undo':
    case 'redo':
      return post(edit.kind, {});
  }
};

/** What an edit would change, by the names of the fields as they are sent, with the values that were to stand. */
export const fieldsSent = (edit: LibraryEdit): Readonly<Record<string, unknown>> =>
  'changes' in edit ? asSent(edit.kind, edit.changes) : {};

/** An edit without the fields (as they are sent) for which somebody else's values are to stand; null where nothing of it is left. */
export const withoutFields = (edit: LibraryEdit, fields: ReadonlySet<string>): LibraryEdit | null => {
  if (!('changes' in edit)) return edit;
  const left = Object.entries(edit.changes).filter(([field]) => !fields.has(sentName(KEPT[edit.kind], field)));
  return left.length ? { ...edit, changes: Object.fromEntries(left) } : null;
};
