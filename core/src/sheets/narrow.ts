import type { Side } from '../attempts/index.js';
import type { SheetSource } from './cases.js';

/** What of a library a sheet looks at. What is absent lets everything through. */
export type Narrowing = {
  /** As the view says: cold, or as an answer to what the other side did. */
  readonly begun?: 'cold' | 'answering' | undefined;
  /** On which side of the body the place lay where it began, where that is said. */ readonly lead?: Side | undefined;
};

/** The ids of the attempts that answer something. */
export const answeringOf = (answers: SheetSource['answers']): ReadonlySet<string> =>
  new Set(answers.map((a) => a.attemptId));

/** The same, made of those attempts alone. What answers what stays as it was. O(attempts + answers). */
export const narrowed = (source: SheetSource, { begun, lead }: Narrowing): SheetSource => {
  if (begun === undefined && lead === undefined) return source;
  const answering = answeringOf(source.answers);
  return {
    ...source,
    cases: source.cases.filter(
      ({ attempt }) =>
        (begun === undefined || answering.has(attempt.id) === (begun === 'answering')) &&
        (lead === undefined || attempt.lead === lead),
    ),
  };
};
