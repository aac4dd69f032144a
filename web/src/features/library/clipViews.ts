import {
  athletesOf,
  finishId,
  finishOf,
  missingParts,
  sayAttempt,
  stateId,
  type Angle,
  type Attempt,
  type Clip,
  type Footage,
  type Library,
  type MediaFile,
  type PlaceId,
  type SaidPart,
  type Words,
} from '@odograph/core';
import { tellerName } from './tellerName.js';

/** A clip with everything that belongs to it, and its sentence. */
export type ClipView = {
  readonly clip: Clip;
  readonly attempt: Attempt;
  readonly footage: Footage;
  readonly angle: Angle;
  readonly file: MediaFile;
  readonly athletes: Readonly<Record<'a' | 'b', string>>;
  /** By what name each is called who told something of it, felt it or saw it. */ readonly tellers: readonly string[];
  readonly said: readonly SaidPart[];
  readonly missing: readonly ('state' | 'action' | 'result')[];
  readonly from: PlaceId | undefined;
  readonly to: PlaceId | undefined;
};

/** What the views of clips are made of. */
type Shown = Pick<Library, 'clips' | 'attempts' | 'footage' | 'angles' | 'files' | 'persons'>;
type Made = { readonly view: ClipView; readonly words: Words };

/** Views as they were made last, by their clip: one is made anew only where something of it has changed. */
const made = new WeakMap<Clip, Made>();

const viewOf = (
  parts: Pick<ClipView, 'clip' | 'attempt' | 'footage' | 'angle' | 'file' | 'athletes' | 'tellers'>,
  words: Words,
): ClipView => {
  const before = made.get(parts.clip);
  if (
    before?.words === words &&
    before.view.attempt === parts.attempt &&
    before.view.footage === parts.footage &&
    before.view.angle === parts.angle &&
    before.view.file === parts.file &&
    before.view.athletes.a === parts.athletes.a &&
    before.view.athletes.b === parts.athletes.b &&
    String(before.view.tellers) === String(parts.tellers)
  )
    return before.view;
  const { attempt, athletes } = parts;
  const end = finishOf(attempt, words);
  const view: ClipView = {
    ...parts,
    said: sayAttempt(attempt, words, athletes),
    missing: missingParts(attempt),
    from: attempt.state ? stateId(attempt.state) : undefined,
    to: end && finishId(end.finish),
  };
  made.set(parts.clip, { view, words });
  return view;
};

const NOBODY: readonly string[] = [];
const tellersOf = ({ evidence }: Attempt, persons: Library['persons']): readonly string[] =>
  evidence.some(({ by }) => by !== null)
    ? [...new Set(evidence.flatMap(({ by }) => (by && tellerName(by, persons)) ?? []))]
    : NOBODY;

const compare = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

/** All clips of a library that can be shown, by footage and then by their first frame. */
export const clipViews = (library: Shown, words: Words): readonly ClipView[] => {
  const by = <T extends { readonly id: string }>(rows: readonly T[]): ReadonlyMap<string, T> =>
    new Map(rows.map((row) => [row.id, row]));
  const [attempts, footages, angles, files] = [
    by(library.attempts),
    by(library.footage),
    by(library.angles),
    by(library.files),
  ];
  const names = new Map(library.footage.map((f) => [f.id, athletesOf(f, library.persons)]));
  const views = library.clips.flatMap((clip): ClipView[] => {
    const attempt = attempts.get(clip.attemptId);
    const angle = angles.get(clip.angleId);
    const footage = angle && footages.get(angle.footageId);
    const file = angle && files.get(angle.fileId);
    if (!attempt || !angle || !footage || !file) return [];
    const tellers = tellersOf(attempt, library.persons);
    return [viewOf({ clip, attempt, footage, angle, file, athletes: names.get(footage.id)!, tellers }, words)];
  });
  const order = new Map(library.footage.map((f) => [f.id, `${f.date ?? ''} ${f.id}`]));
  return views.sort(
    (a, b) =>
      compare(order.get(a.footage.id)!, order.get(b.footage.id)!) ||
      a.clip.in.frame - b.clip.in.frame ||
      compare(a.clip.id, b.clip.id),
  );
};
