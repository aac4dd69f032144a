export const REFUSAL_TEXT = {
  somebodyElseHasChanged: 'Somebody else has changed the same thing in the meantime.',
  whatShouldStand: 'What you see now is theirs. What should stand?',
  theirs: (value: string) => `theirs: ${value}`,
  mine: (value: string) => `mine: ${value}`,
  letThisStand: 'Let this stand',
  notSaved: 'Not saved.',
  seenIsTheirs: 'What you see now is theirs.',
  doItAllThe: 'Do it all the same',
  tryOnceMore: 'Try once more',
  keepTheirs: 'Keep theirs',
  understood: 'Understood',
  of: (length: number) => `1 of ${length}`,
} as const;

export const SAVE_STATE_TEXT = {
  saved: 'Saved',
  saving: 'Saving …',
  toDecide: (n: number) => `Saved, but for ${n} that you’re asked about`,
  unreachable: (n: number) => `Not saved yet (${n}): can’t reach the server. Kept here, trying again`,
  signedOut: (n: number) => `Not saved yet (${n}), kept here: you’re signed out. `,
  onlyHere: (isFull: boolean) =>
    ` ${isFull ? 'This browser is full' : 'This browser keeps nothing'}: don’t close this window.`,
  signInAgain: 'Sign in again',
} as const;

export const TELLER_TEXT = { you: 'you', coach: 'a coach' } as const;

export const ATTEMPT_TIMES_TEXT = {
  toCommit: (seconds: number): string => `${seconds.toFixed(1)} s to commit`,
  toEnd: (seconds: number, isThen: boolean): string => `${isThen ? 'then ' : ''}${seconds.toFixed(1)} s to the end`,
  left: (ms: number): string =>
    `${Math.floor(ms / 60_000)}:${String(Math.floor(ms / 1000) % 60).padStart(2, '0')} left`,
} as const;
