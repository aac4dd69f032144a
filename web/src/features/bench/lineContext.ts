import {
  RESULT_WORDS,
  finishId,
  placeName,
  stateId,
  type Following,
  type Footage,
  readPlace,
  type PhraseContext,
  type PlaceId,
  type State,
  type Words,
} from '@odograph/core';
import { useMemo } from 'react';
import { LINE_TEXT as T, followsText } from './bench.text.js';

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
export const followingText = (
  { subject, state, action, finish, result }: Following,
  words: Words,
  athletes: Readonly<Record<'a' | 'b', string>>,
): string | null =>
  [
    subject && followsText(athletes[subject], 'subject'),
    state && followsText(T.from(placeName(stateId(state), words)), 'state'),
    action && followsText(words.name('action', action), 'action'),
    finish && followsText(T.endsIn(placeName(finishId(finish), words)), 'finish'),
    result && followsText(RESULT_WORDS[result], 'result'),
  ]
    .filter(Boolean)
    .join(', ') || null;
