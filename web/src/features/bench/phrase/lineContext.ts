import {
  RESULT_WORDS,
  changesSaid,
  draftAttempt,
  finishId,
  placeName,
  stateId,
  type Following,
  type Footage,
  readPlace,
  type PhraseContext,
  type PlaceId,
  type SaidAttempt,
  type State,
  type Words,
} from '@odograph/core';
import { useMemo } from 'react';
import { LINE_TEXT as T, PROPOSED_TEXT } from './phrase.text.js';

/** The state in which the attempt before left things; null where it ended otherwise. */
export const useStateLeft = (left: PlaceId | undefined): State | null =>
  useMemo(() => {
    const found = left === undefined ? undefined : readPlace(left);
    return found?.kind === 'state' ? { position: found.position, role: found.role } : null;
  }, [left]);

/** What is known before a line is read: what the athletes may be called, what they wear, and where things stand. */
export const useLineContext = (
  athletes: Readonly<Record<'a' | 'b', string>>,
  footage: Footage,
  left: State | null,
): PhraseContext =>
  useMemo(
    () => ({
      athletes: { a: [athletes.a, footage.kitA], b: [athletes.b, footage.kitB] },
      left,
      gi: footage.gi,
    }),
    [athletes, footage, left],
  );

/** What follows though nobody said it, in words and with from what; null where nothing does. */
const followingText = (
  { subject, state, action, finish, result }: Following,
  words: Words,
  athletes: Readonly<Record<'a' | 'b', string>>,
): string | null =>
  [
    subject && PROPOSED_TEXT.follows(athletes[subject], 'subject'),
    state && PROPOSED_TEXT.follows(T.from(placeName(stateId(state), words)), 'state'),
    action && PROPOSED_TEXT.follows(words.name('action', action), 'action'),
    finish && PROPOSED_TEXT.follows(T.endsIn(placeName(finishId(finish), words)), 'finish'),
    result && PROPOSED_TEXT.follows(RESULT_WORDS[result], 'result'),
  ]
    .filter(Boolean)
    .join(', ') || null;

/** The same of each attempt that a line tells, the first one's first. */
export const followingTexts = (
  first: Following,
  further: readonly SaidAttempt[],
  attempt: Parameters<typeof draftAttempt>[0],
  words: Words,
  athletes: Readonly<Record<'a' | 'b', string>>,
): string | null =>
  [first, ...further.map((said) => changesSaid(draftAttempt(attempt), said, null, words).following)]
    .flatMap((following, i) => {
      const text = followingText(following, words, athletes);
      return text === null ? [] : [i === 0 ? text : `${T.nth(i)} ${text}`];
    })
    .join('; ') || null;
