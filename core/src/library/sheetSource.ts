import { answersIn, linkAttempts, type Answer, type Attempt, type Instant, type Link } from '../attempts/index.js';
import type { Footage } from '../footage/index.js';
import type { CountingView, Gathered } from '../map/index.js';
import { answeringOf, casesIn, narrowed, toldCases, type SheetSource, type ToldCase } from '../sheets/index.js';
import { footageSeconds } from '../timecode/index.js';
import type { Words } from '../vocabulary/index.js';
import { byFootage } from './byFootage.js';
import { clocksOf, loggedOf, timedOf, type Library } from './library.js';

type Of = Pick<Library, 'attempts' | 'footage' | 'angles' | 'files' | 'principles'>;

/** Says when an instant of an attempt is, in seconds of its footage; where the file isn't there, 0. */
export const secondsIn = (
  library: Pick<Library, 'angles' | 'files'>,
): ((attempt: Pick<Attempt, 'angleId'>, at: Instant) => number) => {
  const clocks = clocksOf(library);
  return ({ angleId }, { pts }) => {
    const clock = clocks.get(angleId);
    return clock ? footageSeconds(clock, pts) : 0;
  };
};

/** What one footage gives to sheets: its attempts, what follows what among them, and what answers what. It changes only with that footage. */
export type SheetPart = {
  readonly told: readonly ToldCase[];
  readonly links: readonly Link[];
  readonly answers: readonly Answer[];
};

/** The part of one footage: its attempts and angles, with the files that it needs. */
export const sheetPartOf = (
  footage: Footage,
  of: Pick<Library, 'attempts' | 'angles' | 'files'>,
  words: Words,
): SheetPart => {
  const needed = new Set(of.angles.map((a) => a.fileId));
  const own = { ...of, files: of.files.filter((f) => needed.has(f.id)) };
  const timed = timedOf(own, footage.id);
  const links = linkAttempts(timed, words);
  return {
    told: toldCases(loggedOf({ ...own, footage: [footage] }), words),
    links,
    answers: answersIn(timed, words, links),
  };
};

/** What sheets are made of in a view, put together from the parts of each footage; `gathered`: the collection, where the view asks for one. */
export const sheetSourceFrom = (
  parts: readonly SheetPart[],
  library: Pick<Library, 'angles' | 'files' | 'principles'>,
  view?: CountingView,
  gathered?: Gathered,
): SheetSource => {
  const whole = {
    cases: casesIn(
      parts.flatMap((part) => part.told),
      view,
    ),
    links: parts.flatMap((part) => part.links),
    answers: parts.flatMap((part) => part.answers),
    principles: library.principles.filter((p) => p.standing === 'kept'),
    secondsOf: secondsIn(library),
  };
  return narrowed(whole, { view }, gathered);
};

/** The ids of the attempts that answer something, each once. */
export const answeringIn = (parts: readonly SheetPart[]): readonly string[] => [
  ...answeringOf(parts.flatMap((part) => part.answers)),
];

/** What the sheets of a library are made of, in a view. */
export const sheetSourceOf = (library: Of, words: Words, view?: CountingView): SheetSource => {
  const of = byFootage(library);
  const files = new Map(library.files.map((f) => [f.id, f]));
  const parts = library.footage.flatMap((footage) => {
    const one = of.get(footage.id);
    const needed = one?.angles.flatMap((a) => files.get(a.fileId) ?? []) ?? [];
    return one ? [sheetPartOf(footage, { ...one, files: needed }, words)] : [];
  });
  return sheetSourceFrom(parts, library, view);
};
