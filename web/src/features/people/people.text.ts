import type { Letter, MemberRole, Quota } from '@odograph/core/contract';

export const ROLE_TEXT: Record<MemberRole, string> = {
  head: 'does everything, and decides who may do what',
  coach: 'logs footage, settles words, builds routes',
  student: 'watches what may be shown to the academy',
};

export const PEOPLE_TEXT = {
  accounts: 'Accounts',
  accountsLead: 'Who signs in here, and what they can do.',
  invite: 'Invite somebody',
  email: 'Email',
  as: 'As',
  send: 'Send the invitation',
  sentTo: (email: string): string => `An invitation to ${email} is on its way. Letters shows whether it got there.`,
  accountsOf: ({ used, most }: Quota): string => `${used} of ${most} accounts used, open invitations included.`,
  invited: 'Invited',
  withdraw: 'Take it back',
  until: (day: string): string => `good until ${day}`,
  remove: 'Remove',
  removeAsk: (name: string): string =>
    `Remove ${name}? They won’t be able to sign in here any more. What they’ve logged stays.`,
  leave: 'Leave this academy',
  leaveAsk: 'Leave this academy? You won’t be able to sign in here any more. What you’ve logged stays.',
  you: 'you',
  persons: 'Athletes and members',
  personsLead:
    'Athletes on footage and members of the room. Until it’s said who may see somebody, only coaches see their footage. For minors, their guardians decide.',
  newPerson: 'New person',
  noPersons: 'Nobody yet. Anyone named on a footage sheet shows up here.',
  name: 'Name',
  isWhat: 'They are',
  athlete: 'an athlete on footage',
  member: 'a member of the room',
  account: 'Account',
  noAccount: 'no account',
  level: 'Level',
  levelHint: 'in the words of your room',
  age: 'Age',
  filming: 'May be filmed',
  shownTo: 'May be shown to',
  notSaid: 'not said',
  keep: 'Save',
  cancel: 'Cancel',
  toBin: 'Move to bin',
  needsName: 'needs a name',
  letters: 'Letters',
  lettersLead: 'The invitations this academy has sent. Their links are secret, and only in the letters themselves.',
  lettersOfDemo:
    'This is a demo academy: all its letters are here in full, in place of a mailbox. Elsewhere you only see invitations, without their links.',
  noLetters: 'Nothing sent yet. Invitations show up here.',
  to: 'to',
  sessions: 'Your sessions',
  sessionsLead: 'Where you’re signed in. End any you don’t recognise.',
  thisOne: 'this one',
  end: 'End',
  endOthers: 'End all others',
} as const;

export const AUDIENCE_TEXT = { coaches: 'coaches only', academy: 'the academy', anyone: 'anyone' } as const;

export const LETTER_TEXT: Record<Letter['state'], string> = {
  waiting: 'waiting for the mail server',
  sent: 'sent',
  failed: 'given up',
  kept: 'kept: this server sends no email, so whoever runs it has to pass it on',
};
export const LETTER_WHY_TEXT: Record<NonNullable<Letter['why']>, string> = {
  refused: 'the mail server didn’t take it',
  unreachable: 'the mail server can’t be reached',
  slow: 'the mail server didn’t answer in time',
  'cut off': 'the connection dropped',
};

export const ACCOUNTS_TEXT = {
  since: (email: string, day: string) => `${email}, since ${day}`,
  roleOf: (name: string) => `Role of ${name}`,
} as const;

export const PEOPLE_SAYS = {
  people: 'People',
} as const;

export const PERSONS_TEXT = {
  is: { athlete: 'athlete', member: 'member', account: 'account' },
  filming: (is: boolean | null) => (is === null ? 'filming not said' : is ? 'may be filmed' : 'may not be filmed'),
  shownTo: (to: keyof typeof AUDIENCE_TEXT | null) =>
    to === null ? 'shown to coaches only, as nothing is said' : `shown to ${AUDIENCE_TEXT[to]}`,
  ages: { adult: 'adult', minor: 'minor' },
  yes: 'yes',
  no: 'no',
  pieces: (n: number) => (n === 0 ? 'no footage' : n === 1 ? '1 piece' : `${n} pieces`),
  changeOf: (name: string) => `Change ${name}`,
  change: 'Change',
} as const;

export const SESSIONS_TEXT = {
  noName: 'a program that doesn’t give its name',
  on: (browser: string, system: string) => `${browser} on ${system}`,
  since: (since: string, lastSeen: string) => `since ${since}, last seen ${lastSeen}`,
} as const;
