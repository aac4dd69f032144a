import { flipPlace, readPlace, stateId } from '../attempts/index.js';
import type { Todo } from '../todos/index.js';
import type { Words } from '../vocabulary/index.js';
import {
  answeredBy,
  answersSeen,
  answersTo,
  cellsOf,
  groupsOf,
  type Answered,
  type AnswerSeen,
  type AnswersFound,
} from './answerTable.js';
import type { Case, SheetSource } from './cases.js';
import type { Hole } from './coverage.js';

/** What an entry of the lists asks for: an answer to a reaction, to an attack or an action of theirs, or an entry from a place. */
export type AskedFor = Pick<Todo, 'state' | 'action' | 'reaction' | 'theirs'>;

/** A hole as an entry of the lists asks for it; undefined where it's at no place. */
export const askedFor = ({ place, action, met }: Hole): AskedFor | undefined => {
  const at = readPlace(place);
  if (at?.kind !== 'state') return undefined;
  const state = { position: at.position, role: at.role };
  if (met === null) return { state, action: null, reaction: null, theirs: action };
  return met.isAction
    ? { state, action, reaction: null, theirs: met.what }
    : { state, action, reaction: met.what, theirs: null };
};

export type FoundFor = { readonly status: Answered; readonly attemptIds: readonly string[] };
const byAnswers = (answers: readonly AnswerSeen[], status: Answered): FoundFor => ({
  status,
  attemptIds: answers.flatMap((a) => a.attemptIds),
});

/** What is there of what an entry asks for: how far it is answered, and the attempts that do. Undefined where it asks for nothing that can be looked up. */
export const foundFor = (
  { state, action, reaction, theirs }: AskedFor,
  source: SheetSource,
  found: AnswersFound,
  words: Words,
): FoundFor | undefined => {
  if (!state || (action === null && theirs === null)) return undefined;
  const place = stateId(state);
  if (action === null) {
    const done = source.cases.filter((c) => c.from === flipPlace(place) && c.action === theirs);
    const answers = answersSeen(done.flatMap((c) => answersTo(found, c, null)));
    return byAnswers(answers, answeredBy(answers, [], false));
  }
  const here = source.cases.filter((c: Case) => c.from === place && c.action === action);
  const what = reaction ?? theirs;
  if (what === null) {
    const seen = answersSeen(here);
    return byAnswers(seen, answeredBy(seen, [], false));
  }
  const cells = groupsOf(here)
    .flatMap((group) => cellsOf(group, source, found, words))
    .filter(
      ({ column }) => typeof column !== 'string' && column.what === what && column.isAction === (reaction === null),
    );
  const [best] = [...cells].sort((a, b) => (a.answers.length && !b.answers.length ? -1 : 0));
  return best?.status ? byAnswers(best.answers, best.status) : { status: 'unanswered', attemptIds: [] };
};
