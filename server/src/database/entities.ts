import type { Entity } from '@odograph/core';

/** The tables of the kinds of rows that edits change. */
export const TABLES = {
  angle: 'angles',
  attempt: 'attempts',
  clip: 'clips',
  file: 'files',
  footage: 'footage',
  moment: 'moments',
  drawing: 'drawings',
  person: 'persons',
  collection: 'collections',
  plan: 'plans',
  policy: 'policies',
  principle: 'principles',
  route: 'routes',
  todo: 'todos',
  word: 'word_changes',
} as const satisfies Record<Entity, string>;
