import {
  defaultHeight,
  finishId,
  finishOf,
  standingOf,
  stateId,
  type Answer,
  type Attempt,
  type Instant,
  type Link,
  type PlaceId,
} from '../attempts/index.js';
import { WHOLE, whoseIn, type CountingView, type Logged } from '../map/index.js';
import type { Principle } from '../principles/index.js';
import type { Words } from '../vocabulary/index.js';

/** An attempt as sheets look at it: whose it is in a view, where it led as whoever acted sees it, and what may be said from it. */
export type Case = {
  readonly attempt: Attempt;
  readonly whose: 'own' | 'their';
  readonly from: PlaceId;
  readonly action: string;
  readonly to: PlaceId;
  /** Somebody did it against resistance; otherwise it was shown. */ readonly isCounted: boolean;
  /** Rates follow from it: counted, and all that happened around it is logged too. */ readonly isRated: boolean;
  readonly gi: boolean;
  /** It keeps the place and changes holds: the map draws no line for it, and it is no entry. */ readonly isHeld: boolean;
  /** Default height of where it ended; of a restart that of where it went on. Undefined where that isn't known. */
  readonly endHeight: number | undefined;
};

/** What a library knows that sheets are made of. */
export type SheetSource = {
  readonly cases: readonly Case[];
  readonly answers: readonly Answer[];
  readonly principles: readonly Principle[];
  /** What follows what. */ readonly links: readonly Link[];
  /** When an instant of an attempt is, in seconds of its footage. */ readonly secondsOf: (
    attempt: Attempt,
    at: Instant,
  ) => number;
};

/** Attempts that worked, of those that count. */
export const workedIn = (cases: readonly Case[]): number => cases.filter((c) => c.attempt.result === 'success').length;

/** Whether it is one of those that lines are made of: one's own, no bait, and no mere change of holds. */
export const isOfLine = ({ attempt, whose, isHeld }: Case): boolean =>
  whose === 'own' && attempt.intent !== 'bait' && !isHeld;

const HOLDING: ReadonlySet<string> = new Set(['grip', 'hold']);

/** An attempt that has a place, whoever looks at it. */
export type ToldCase = Omit<Case, 'whose' | 'isRated'> & Pick<Logged, 'footage' | 'isThorough'>;

/** The attempts that have a place. */
export const toldCases = (logged: readonly Logged[], words: Words): readonly ToldCase[] =>
  logged.flatMap(({ attempt, footage, isThorough }): ToldCase[] => {
    const standing = standingOf(attempt, footage, words);
    if ((standing.kind !== 'counted' && standing.kind !== 'shown') || attempt.action === null) return [];
    const end = finishOf(attempt, words)!.finish;
    const value = end.kind === 'reset' ? end.restart && stateId(end.restart) : finishId(end);
    return [
      {
        ...{ attempt, footage, isThorough, from: standing.from, action: attempt.action, to: standing.to },
        isCounted: standing.kind === 'counted',
        gi: footage.gi,
        isHeld: standing.from === standing.to && HOLDING.has(words.action(attempt.action)?.does ?? ''),
        endHeight: value ? defaultHeight(value, words) : undefined,
      },
    ];
  });

/** Those of a view, in the order of their ids. O(n · log n). */
export const casesIn = (told: readonly ToldCase[], view: CountingView = WHOLE): readonly Case[] => {
  const whoseOf = whoseIn(view);
  return told
    .flatMap(({ footage, isThorough, ...told }): Case[] => {
      const whose = whoseOf(footage, told.attempt.subject);
      if (whose === 'neither') return [];
      return [{ ...told, whose, isRated: told.isCounted && (isThorough || view.includePicked) }];
    })
    .sort((a, b) => (a.attempt.id < b.attempt.id ? -1 : 1));
};

export const casesOfView = (logged: readonly Logged[], words: Words, view?: CountingView): readonly Case[] =>
  casesIn(toldCases(logged, words), view);
