import type { Attempt } from './types.js';

/** An attempt of which nothing is known yet but where it is and whose action it is. Version 0: no server has it. */
export const draftAttempt = (
  known: Pick<Attempt, 'id' | 'footageId' | 'angleId' | 'subject' | 'start' | 'end'>,
): Attempt => ({
  ...known,
  version: 0,
  state: null,
  lead: null,
  action: null,
  intent: 'own',
  result: null,
  depth: null,
  finish: null,
  resisted: null,
  shownAs: 'right',
  parentId: null,
  series: 1,
  counterOfId: null,
  followsId: null,
  isCut: false,
  wanted: null,
  commit: null,
  controls: [],
  reactions: [],
  reasons: [],
  errors: [],
  answers: [],
  doubts: [],
  proposed: [],
});
