import { answersIn, linkAttempts, type Answer, type Attempt, type Instant, type Link } from '../attempts/index.js';
import type { CountingView } from '../map/index.js';
import { casesOfView, type SheetSource } from '../sheets/index.js';
import { angleClock, footageSeconds } from '../timecode/index.js';
import type { Words } from '../vocabulary/index.js';
import { byFootage } from './byFootage.js';
import { loggedOf, timedOf, type Library } from './library.js';

type Of = Pick<Library, 'attempts' | 'footage' | 'angles' | 'files' | 'principles'>;

/** Says when an instant of an attempt is, in seconds of its footage; where the file isn't there, 0. */
export const secondsIn = ({
  angles,
  files,
}: Pick<Library, 'angles' | 'files'>): ((attempt: Pick<Attempt, 'angleId'>, at: Instant) => number) => {
  const byId = new Map(files.map((f) => [f.id, f]));
  const clocks = new Map(
    angles.flatMap((angle) => {
      const file = byId.get(angle.fileId);
      return file ? [[angle.id, angleClock(angle, file)] as const] : [];
    }),
  );
  return ({ angleId }, { pts }) => {
    const clock = clocks.get(angleId);
    return clock ? footageSeconds(clock, pts) : 0;
  };
};

/** What the sheets of a library are made of, in a view. */
export const sheetSourceOf = (library: Of, words: Words, view?: CountingView): SheetSource => {
  const links: Link[] = [];
  const answers: Answer[] = [];
  for (const [id, of] of byFootage(library)) {
    const timed = timedOf(of, id);
    const linked = linkAttempts(timed, words);
    links.push(...linked);
    answers.push(...answersIn(timed, words, linked));
  }
  return {
    cases: casesOfView(loggedOf(library), words, view),
    answers,
    links,
    principles: library.principles.filter((p) => p.standing === 'kept'),
    secondsOf: secondsIn(library),
  };
};
