import {
  changesSaid,
  type AskedPart,
  type Attempt,
  type Doubt,
  type Instant,
  type MadeClip,
  type SaidAttempt,
  type SaidParts,
  type TimeTable,
  type Words,
} from '@odograph/core';
import { instantAt, newClipEdit } from '../desk/index.js';

const LONGEST = 120;

/** What follows though nobody said it is right. */
export const CONFIRMED = { proposed: [] } as const satisfies Partial<Attempt>;

/** What is asked about waits among the doubts, at the frame on which it was told: one for each part. */
export const doubtsAsked = (before: readonly Doubt[], asked: readonly AskedPart[], at: Instant): readonly Doubt[] => {
  const doubts = new Map(before.map((d) => [d.field, d]));
  for (const { field, text } of asked) doubts.set(field, { field, kind: 'unsure', text: text.slice(0, LONGEST), at });
  return [...doubts.values()];
};

/** The frames at which the attempts of a chain follow one another: as long as each other, until somebody moves them. */
const boundsOf = (inFrame: number, outFrame: number, count: number): readonly number[] =>
  Array.from({ length: count + 1 }, (_, i) => Math.round(inFrame + ((outFrame - inFrame) * i) / count));

/** Where the first attempt of a chain ends, and the further ones: a clip each, linked to the one before. */
export const chainSaid = (
  first: Pick<Attempt, 'id' | 'footageId' | 'angleId' | 'subject'> & { readonly start: Instant; readonly end: Instant },
  further: readonly SaidAttempt[],
  table: TimeTable,
  words: Words,
  isRight: boolean,
): { readonly end: Instant; readonly made: readonly MadeClip[] } => {
  const bounds = boundsOf(first.start.frame, first.end.frame, further.length + 1);
  let before = first.id;
  const made = further.map((said, i): MadeClip => {
    const bare = newClipEdit({
      ...{ footageId: first.footageId, angleId: first.angleId, table, subject: first.subject },
      ...{ inFrame: bounds[i + 1]!, outFrame: bounds[i + 2]! },
    });
    const { changes } = changesSaid(bare.attempt, said, null, words);
    const doubts = doubtsAsked([], said.asked, bare.attempt.start);
    const told: SaidParts & Partial<Attempt> = {
      ...changes,
      ...(isRight ? CONFIRMED : {}),
      followsId: before,
      doubts,
    };
    before = bare.attempt.id;
    return { attempt: { ...bare.attempt, ...told }, clip: bare.clip };
  });
  return { end: instantAt(table, bounds[1]!), made };
};
