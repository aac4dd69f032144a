import {
  mirrorAttempt,
  mirrorSaid,
  proposedIn,
  type Attempt,
  type DoubtField,
  type Instant,
  type Words,
} from '@odograph/core';
import { useState } from 'react';
import { type ClipView } from '../../library/index.js';
import { useEdit } from '../../replica/index.js';
import { WHY_TEXT } from './phrase.text.js';
import { type Finders, type Proposals } from './useFinders.js';

type Said = Pick<
  Attempt,
  | 'subject'
  | 'state'
  | 'lead'
  | 'action'
  | 'intent'
  | 'planned'
  | 'wanted'
  | 'result'
  | 'finish'
  | 'depth'
  | 'controls'
  | 'facts'
  | 'form'
  | 'aim'
  | 'runName'
  | 'alternatives'
  | 'links'
  | 'evidence'
  | 'resisted'
  | 'shownAs'
  | 'counterOfId'
  | 'parentId'
  | 'series'
  | 'reactions'
  | 'reasons'
  | 'errors'
  | 'answers'
  | 'doubts'
  | 'proposed'
>;
export type SayChange = (changes: Partial<Said>) => void;

/** What every part of the phrase works with. */
export type Saying = {
  /** As it is shown: turned over where the picture is. */ readonly attempt: Attempt;
  readonly words: Words;
  readonly find: Finders;
  readonly proposed: Proposals;
  readonly change: SayChange;
  readonly next: () => void;
  readonly onLine: (typed: string) => void;
  /** Says that a part which only follows is so; nothing where somebody said it. */
  readonly confirm: (field: 'subject' | 'state' | 'action' | 'finish' | 'result') => (() => void) | undefined;
  /** The instant that is shown; where another camera shows it than the one that the attempt is told on, or it is too early, that is said (`problem`). */
  readonly at: (from?: Instant) => Instant | undefined;
  readonly problem: string | null;
  /** Keeps that a part is unsure, or that nobody has a word for it. */
  readonly doubt: (field: DoubtField) => (text: string) => void;
};

/**
 * How parts of an attempt are changed. What is said while the picture is turned over is kept as it was; a part that is said settles a doubt about it. `now` is the
 * instant to look at when there is a doubt.
 */
export const useSaying = (
  view: ClipView,
  isMirrored: boolean,
  now: () => Instant | undefined,
): Pick<Saying, 'attempt' | 'change' | 'confirm' | 'doubt' | 'at' | 'problem'> => {
  const edit = useEdit();
  const [problem, setProblem] = useState<string | null>(null);
  const { attempt } = view;
  const turned = (said: Partial<Said>): Partial<Said> => (isMirrored ? mirrorSaid(said) : said);
  const change: SayChange = (changes) => {
    const doubts = attempt.doubts.filter((d) => !(d.field in changes));
    const kept = turned(doubts.length === attempt.doubts.length || changes.doubts ? changes : { ...changes, doubts });
    edit({ kind: 'attempt', id: attempt.id, changes: kept });
  };
  return {
    at: (from) => {
      const instant = now();
      const isEarly = instant !== undefined && from !== undefined && instant.frame < from.frame;
      setProblem(isEarly ? WHY_TEXT.tooEarly : instant ? null : WHY_TEXT.otherCamera);
      return isEarly ? undefined : instant;
    },
    problem,
    attempt: isMirrored ? mirrorAttempt(attempt) : attempt,
    change,
    confirm: (field) => (proposedIn(attempt, field) ? () => change({ [field]: attempt[field] }) : undefined),
    doubt: (field) => (text) =>
      change({
        doubts: [
          ...attempt.doubts.filter((d) => d.field !== field),
          { field, kind: text ? 'unknown' : 'unsure', text, at: now() ?? attempt.start },
        ],
      }),
  };
};
