import type { Side } from '../attempts/index.js';
import { ANSWERING, amongGathered, type AskedByName, type Gathered } from '../map/index.js';
import type { SheetSource } from './cases.js';

/** What of a library a sheet looks at. What is absent lets everything through. */
export type Narrowing = {
  /** As the view says: cold, or as an answer to what the other side did; of a collection. */
  readonly view?: AskedByName | undefined;
  /** On which side of the body the place lay where it began, where that is said. */ readonly lead?: Side | undefined;
};

/** The ids of the attempts that answer something. */
export const answeringOf = (answers: SheetSource['answers']): ReadonlySet<string> =>
  new Set(answers.map((a) => a.attemptId));

const NOTHING: Gathered = new Map();
/** The same, made of those attempts alone; `gathered`: those of the collection. What answers what stays as it was. O(attempts + answers). */
export const narrowed = (
  source: SheetSource,
  { view = {}, lead }: Narrowing,
  gathered: Gathered = NOTHING,
): SheetSource => {
  if (view.begun === undefined && view.collection === undefined && lead === undefined) return source;
  const isAmong = amongGathered(view, new Map([...gathered, [ANSWERING, answeringOf(source.answers)]]));
  return {
    ...source,
    cases: source.cases.filter(
      ({ attempt }) => (!isAmong || isAmong(attempt.id)) && (lead === undefined || attempt.lead === lead),
    ),
  };
};
