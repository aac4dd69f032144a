import { applyEdit, type Library, type LibraryEdit } from '@odograph/core';
import type { Changed } from '@odograph/core/contract';

type Row = { readonly id: string; readonly version: number };
type Body = {
  readonly editId: string;
  readonly baseVersion?: number;
  readonly changes?: Readonly<Record<string, unknown>>;
};
/** What becomes of a request: it comes and is answered, it is lost on the way there, its answer is lost, or the server fails at it. */
export type Line = 'well' | 'lost' | 'unanswered' | 'failing';

const KINDS = {
  attempts: 'attempt',
  persons: 'person',
  routes: 'route',
  principles: 'principle',
  todos: 'todo',
  drawings: 'drawing',
} as const;

/**
 * A server in memory that keeps edits as the real one does: each once by its id, refused where the same field was changed since the version that was seen, or where a
 * value is not allowed.
 */
export class FakeServer {
  line: Line = 'well';
  readonly done = new Map<string, Changed>();
  /** In which version the author of an edit saw its row; whoever else's later value it takes the place of unasked is told in `overwritten`. */
  readonly seen = new Map<string, number>();
  readonly overwritten: string[] = [];
  private readonly changedAt: {
    readonly id: string;
    readonly field: string;
    readonly version: number;
    readonly isOther: boolean;
  }[] = [];

  constructor(public rows: Library) {}

  private json(body: unknown, status = 200): Response {
    return new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } });
  }

  readonly fetch = async (input: unknown): Promise<Response> => {
    const request = input as Request;
    const path = new URL(request.url).pathname.replace('/api/', '');
    if (this.line === 'lost') throw new TypeError('network');
    if (path === 'news/since') return this.json({ version: 1, whole: false, changed: null });
    if (path === 'library/base') return this.json({ ...this.rows, attempts: [], clips: [] });
    if (path === 'library/part') return this.json({ attempts: this.rows.attempts, clips: this.rows.clips, next: null });
    if (this.line === 'failing') return this.json({ code: 'internal', facts: {}, message: 'x' }, 500);
    const body = JSON.parse(await request.text()) as Body;
    const answer = this.take(path, request.method, body);
    if (this.line === 'unanswered') throw new TypeError('network');
    return answer;
  };

  private take(path: string, method: string, body: Body): Response {
    const before = this.done.get(body.editId);
    if (before) return this.json(before);
    const [place, id = ''] = path.split('/') as [keyof typeof KINDS, string?];
    const rows: readonly Row[] = this.rows[place];
    const row = rows.find((r) => r.id === id);
    if (method !== 'POST' && !row) return this.json({ code: 'not-found', facts: {}, message: 'x' }, 404);
    if (row && body.baseVersion !== row.version) {
      const since = this.changedAt.filter((c) => c.id === id && c.version > body.baseVersion!).map((c) => c.field);
      const theirs = row as unknown as Record<string, unknown>;
      const fields = Object.entries(body.changes ?? { deleted: true })
        .filter(([field, yours]) => (field === 'deleted' || since.includes(field)) && yours !== theirs[field])
        .map(([field, yours]) => ({ field, yours, theirs: theirs[field] ?? false }));
      if (fields.length)
        return this.json({ code: 'stale', facts: { version: row.version, fields }, message: 'x' }, 409);
    }
    if (Number(body.changes?.['depth']) > 4)
      return this.json({ code: 'invalid', facts: { field: 'changes.depth', reason: 'x' }, message: 'x' }, 400);
    const seen = this.seen.get(body.editId);
    for (const { field } of this.changedAt.filter((c) => c.isOther && c.id === id && c.version > (seen ?? Infinity)))
      if (field in (body.changes ?? {}) && body.changes![field] !== (row as unknown as Record<string, unknown>)[field])
        this.overwritten.push(`${body.editId} ${field}`);
    return this.json(this.keep(place, method, id, body));
  }

  private keep(place: keyof typeof KINDS, method: string, id: string, body: Body): Changed {
    const kind = KINDS[place];
    const { editId, changes = {}, baseVersion, ...fields } = body;
    void baseVersion;
    const edit = (
      method === 'PATCH'
        ? { kind, editId, id, changes }
        : method === 'DELETE'
          ? { kind: 'remove', what: kind, editId, id }
          : { kind: `new ${kind}`, editId, [kind]: { ...fields, version: 0 } }
    ) as LibraryEdit;
    this.rows = applyEdit(this.rows, edit);
    const touched = method === 'POST' ? (fields as { readonly id?: string }).id! : id;
    const of = (rows: readonly Row[]): readonly Row[] =>
      rows.map((r) => (r.id === touched ? { ...r, version: r.version + 1 } : r));
    this.rows = {
      ...this.rows,
      ...Object.fromEntries(Object.keys(KINDS).map((list) => [list, of(this.rows[list as keyof typeof KINDS])])),
    };
    const now = (this.rows[place] as readonly Row[]).filter((r) => r.id === touched);
    for (const field of Object.keys(changes))
      this.changedAt.push({ id, field, version: now[0]?.version ?? 0, isOther: editId.startsWith('other') });
    const changed: Changed = { [place]: now, removed: method === 'DELETE' ? [id] : [] };
    this.done.set(editId, changed);
    return changed;
  }

  /** Somebody else changes something. */
  byOther(id: string, changes: Readonly<Record<string, unknown>>): void {
    const row = this.rows.attempts.find((a) => a.id === id)!;
    this.take(`attempts/${id}`, 'PATCH', { editId: `other ${this.done.size}`, baseVersion: row.version, changes });
  }
}
