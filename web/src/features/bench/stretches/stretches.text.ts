import type { FootageSpan } from '@odograph/core';

/** What can be said of a stretch, in the order of its keys. */
export const KIND_TEXT: Readonly<Record<FootageSpan['kind'], string>> = {
  advertising: 'advertising',
  talk: 'talk',
  'dead time': 'dead time',
  replay: 'a replay',
  'other footage': 'other footage',
  'logged throughout': 'logged throughout',
};

export const STRETCH_TEXT = {
  span: 'Stretch',
  spanIs: 'is',
  spanWhat: 'is what?',
  spanCalm: 'moves little. Is it',
  spanForget: 'Take it off',
  spanPass: (more: number): string => (more > 1 ? `Technique; next of ${more}` : 'It’s technique'),
  leave: 'Leave it',
  noSpan: 'No stretch here. Mark where it begins with {i}, go to its end, and press {x}.',
  whichFootage: 'Which',
  newFootage: 'footage that isn’t here yet',
  technical: 'Technique',
  of: 'of',
  lulls: 'Look for lulls',
  lullsHide: 'Hide the lulls',
  inLulls: { played: 'Lulls are played', fast: 'Lulls run fast', skipped: 'Lulls are skipped' },
  noLulls: 'No unlogged lull of three seconds or more.',
} as const;
