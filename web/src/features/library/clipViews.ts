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

/** A clip with everything that belongs to it, and its sentence. */
export type ClipView = {
  readonly clip: Clip;
  readonly attempt: Attempt;
  readonly footage: Footage;
  readonly angle: Angle;
  readonly file: MediaFile;
  readonly athletes: Readonly<Record<'a' | 'b', string>>;
  readonly said: readonly SaidPart[];
  readonly missing: readonly ('state' | 'action' | 'result')[];
  readonly from: PlaceId | undefined;
  readonly to: PlaceId | undefined;
};

/** All clips of a library that can be shown, by footage and then by their first frame. */
export const clipViews = (library: Library, words: Words): readonly ClipView[] => {
  const by = <T extends { readonly id: string }>(rows: readonly T[]): ReadonlyMap<string, T> =>
    new Map(rows.map((row) => [row.id, row]));
  const [attempts, footages, angles, files] = [
    by(library.attempts),
    by(library.footage),
    by(library.angles),
    by(library.files),
  ];
  const views = library.clips.flatMap((clip): ClipView[] => {
    const attempt = attempts.get(clip.attemptId);
    const angle = angles.get(clip.angleId);
    const footage = angle && footages.get(angle.footageId);
    const file = angle && files.get(angle.fileId);
    if (!attempt || !angle || !footage || !file) return [];
    const athletes = athletesOf(footage, library.persons);
    const end = finishOf(attempt, words);
    return [
      {
        clip,
        attempt,
        footage,
        angle,
        file,
        athletes,
        said: sayAttempt(attempt, words, athletes),
        missing: missingParts(attempt),
        from: attempt.state ? stateId(attempt.state) : undefined,
        to: end && finishId(end.finish),
      },
    ];
  });
  const order = (v: ClipView): string => `${v.footage.date ?? ''} ${v.footage.id}`;
  return views.sort(
    (a, b) => order(a).localeCompare(order(b)) || a.clip.in.frame - b.clip.in.frame || (a.clip.id < b.clip.id ? -1 : 1),
  );
};
