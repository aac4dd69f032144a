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
import { LINE_TEXT as T } from './bench.text.js';

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

/** What follows though nobody said it, in words; null where nothing does. */
export const followingText = (
  { subject, state, action, finish, result }: Following,
  words: Words,
  athletes: Readonly<Record<'a' | 'b', string>>,
): string | null =>
  [
    subject && athletes[subject],
    state && T.from(placeName(stateId(state), words)),
    action && words.name('action', action),
    finish && T.endsIn(placeName(finishId(finish), words)),
    result && RESULT_WORDS[result],
  ]
    .filter(Boolean)
    .join(', ') || null;
