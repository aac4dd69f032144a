import type { Teller } from '../attempts/index.js';
import type { Footage } from '../footage/index.js';
import type { Person } from '../people/index.js';
import type { KeptRoute } from '../teaching/index.js';
import { blankNames } from '../people/index.js';
import type { Library, LibraryLists } from './library.js';

/** Whether pictures of somebody may be shown to the whole academy; where nothing is said, only coaches see them. */
export const isForAcademy = (person: Pick<Person, 'shownTo'> | undefined): boolean =>
  person?.shownTo === 'academy' || person?.shownTo === 'anyone';

/** What members who are no coaches may see, by ids, and a text without the names of those whom they may not. */
export type Shown = {
  readonly footage: ReadonlySet<string>;
  readonly angles: ReadonlySet<string>;
  readonly files: ReadonlySet<string>;
  /** Who is on that footage. */
  readonly persons: ReadonlySet<string>;
  readonly text: (text: string) => string;
};

/**
 * What members who are no coaches may see: footage of people who may be shown to them. A file goes out whole, so one that also shows footage they may not
 * see is kept from them, with the angles that lie in it.
 */
export const shownOf = ({ persons, footage, angles }: Pick<Library, 'persons' | 'footage' | 'angles'>): Shown => {
  const byId = new Map(persons.map((p) => [p.id, p]));
  const isShown = (f: Footage): boolean =>
    f.audience === 'academy' && isForAcademy(byId.get(f.athleteA)) && isForAcademy(byId.get(f.athleteB));
  const allowed = new Map(footage.filter(isShown).map((f) => [f.id, f]));
  const closed = new Set(angles.filter((a) => !allowed.has(a.footageId)).map((a) => a.fileId));
  const open = angles.filter((a) => allowed.has(a.footageId) && !closed.has(a.fileId));
  const shown = new Set(open.map((a) => a.footageId));
  return {
    footage: shown,
    angles: new Set(open.map((a) => a.id)),
    files: new Set(open.map((a) => a.fileId)),
    persons: new Set([...shown].flatMap((id) => [allowed.get(id)!.athleteA, allowed.get(id)!.athleteB])),
    text: blankNames(
      persons.filter((p) => !isForAcademy(p)).map((p) => p.name),
      persons.filter(isForAcademy).map((p) => p.name),
    ),
  };
};

/** Rows of a library, all of them or some. */
export type LibraryRows = Partial<LibraryLists>;

const of = <R>(
  list: readonly R[] | undefined,
  isSeen: (row: R) => boolean,
  as: (row: R) => R,
): readonly R[] | undefined => list?.filter(isSeen).map(as);

/** Who told something, where they may know of them. */
const tellerShown = (by: Teller | null, { persons }: Shown): Teller | null =>
  by?.kind === 'person' && persons.has(by.personId) ? by : null;

/** A route without what they may not see; notes of its steps are for whoever teaches. */
const routeShown = (
  route: KeptRoute,
  text: (text: string) => string,
  isClipShown: (id: string) => boolean,
): KeptRoute => ({
  ...route,
  name: text(route.name),
  steps: route.steps.map((s) => ({
    ...s,
    title: text(s.title),
    cue: text(s.cue),
    cues: s.cues.map((cue) => ({ ...cue, text: text(cue.text) })),
    mistake: text(s.mistake),
    checks: s.checks.map(text),
    question: text(s.question),
    note: '',
    clipId: s.clipId !== null && isClipShown(s.clipId) ? s.clipId : null,
    clips: s.clips.filter((c) => isClipShown(c.clipId)),
  })),
  branches: route.branches.map((b) => (b.on.kind === 'choice' ? { ...b, on: { ...b.on, text: text(b.on.text) } } : b)),
});

/** Of lists, principles, drawings, plans and collections, what they see. */
const whyShown = (
  rows: LibraryRows,
  shown: Shown,
  isClipShown: (id: string) => boolean,
): Pick<LibraryRows, 'todos' | 'drawings' | 'principles' | 'plans' | 'collections'> => {
  const { text } = shown;
  const seen = {
    todos: of(
      rows.todos,
      (t) => t.kind === 'credit' && t.isShared && t.personIds.every((id) => shown.persons.has(id)),
      (t) => ({
        ...t,
        text: text(t.text),
        by: text(t.by),
        clipIds: t.clipIds.filter(isClipShown),
        footageId: null,
        at: null,
        parts: [],
      }),
    ),
    drawings: of(
      rows.drawings,
      (d) => shown.angles.has(d.angleId),
      (d) => ({ ...d, shapes: d.shapes.map((s) => ({ ...s, text: text(s.text) })) }),
    ),
    collections: of(
      rows.collections,
      () => true,
      (c) => ({
        ...c,
        name: text(c.name),
        clipIds: c.clipIds.filter(isClipShown),
        filter: c.filter?.map((part) => ({ ...part, value: text(part.value) })) ?? null,
      }),
    ),
    plans: of(
      rows.plans,
      () => true,
      (p) => ({ ...p, name: text(p.name) }),
    ),
    principles: of(
      rows.principles,
      (p) =>
        [p.habitOf, p.view.kind === 'person' ? p.view.personId : null].every(
          (id) => id === null || shown.persons.has(id),
        ),
      (p) => ({
        ...p,
        sentence: text(p.sentence),
        view: p.view.kind === 'speaker' ? { ...p.view, name: text(p.view.name) } : p.view,
        clipsFor: p.clipsFor.filter(isClipShown),
        clipsAgainst: p.clipsAgainst.filter(isClipShown),
      }),
    ),
  };
  return seen as Pick<LibraryRows, 'todos' | 'drawings' | 'principles' | 'plans' | 'collections'>;
};

/**
 * Of some rows, what members who are no coaches see, and nothing of people beyond their names. `isClipShown` says of clips that routes show, and that need not be
 * among the rows, whether they may be seen.
 */
export const asShown = <T extends LibraryRows>(rows: T, shown: Shown, isClipShown: (id: string) => boolean): T => {
  const { text } = shown;
  const seen = {
    persons: of(
      rows.persons,
      (p) => shown.persons.has(p.id),
      (p) => ({ ...p, accountId: null, level: null, age: null, filming: null }),
    ),
    files: of(
      rows.files,
      (f) => shown.files.has(f.id),
      (f) => ({ ...f, name: text(f.name) }),
    ),
    footage: of(
      rows.footage,
      (f) => shown.footage.has(f.id),
      (f) => ({
        ...f,
        title: text(f.title),
        kitA: text(f.kitA),
        kitB: text(f.kitB),
        context: text(f.context),
        speaker: text(f.speaker),
      }),
    ),
    angles: of(
      rows.angles,
      (a) => shown.angles.has(a.id),
      (a) => a,
    ),
    attempts: of(
      rows.attempts,
      (a) => shown.footage.has(a.footageId),
      (a) => ({
        ...a,
        form: text(a.form),
        runName: text(a.runName),
        alternatives: a.alternatives.map((other) => ({ ...other, text: text(other.text) })),
        evidence: a.evidence.map((e) => ({ ...e, by: tellerShown(e.by, shown) })),
        doubts: a.doubts.map((doubt) => ({ ...doubt, text: text(doubt.text) })),
      }),
    ),
    clips: of(
      rows.clips,
      (c) => shown.angles.has(c.angleId),
      (c) => ({ ...c, note: text(c.note), keyMoments: c.keyMoments.map((m) => ({ ...m, name: text(m.name) })) }),
    ),
    // marks are notes of those who log, and so are their lists, but for whose idea something was where that may be told
    moments: rows.moments && [],
    ...whyShown(rows, shown, isClipShown),
    routes: rows.routes?.map((route) => routeShown(route, text, isClipShown)),
  };
  return { ...rows, ...Object.fromEntries(Object.entries(seen).filter(([, list]) => list !== undefined)) };
};

/** A whole library as members see it who are no coaches. */
export const forMembers = (library: Library): Library => {
  const shown = shownOf(library);
  const clips = new Set(library.clips.filter((c) => shown.angles.has(c.angleId)).map((c) => c.id));
  return asShown(library, shown, (id) => clips.has(id));
};
