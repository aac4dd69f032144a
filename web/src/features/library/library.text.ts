export const REFUSAL_TEXT = {
  somebodyElseHasChanged: 'Somebody else has changed the same thing in the meantime.',
  whatYouSeeNow: ' What you see now is theirs. What should stand?',
  stale: (field: string | number) => `stale-${field}`,
  letThisStand: 'Let this stand',
  notSaved: 'Not saved. ',
  whatYouSeeNowIs: ' What you see now is theirs.',
  doItAllThe: 'Do it all the same',
  tryOnceMore: 'Try once more',
  keepTheirs: 'Keep theirs',
  understood: 'Understood',
  of: (length: string | number) => `1 of ${length}`,
} as const;

export const SAVE_STATE_TEXT = {
  signInAgain: 'Sign in again',
} as const;
