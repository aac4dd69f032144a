import type { Letter, MemberRole, Quota } from '@odograph/core/contract';

export const ROLE_TEXT: Record<MemberRole, string> = {
  head: 'does everything, and says who may do what',
  coach: 'logs footage, settles words, lays out routes',
  student: 'looks at what may be shown to the academy',
};

export const PEOPLE_TEXT = {
  accounts: 'Accounts',
  accountsLead: 'Who signs in here, and what they may do.',
  invite: 'Invite somebody',
  email: 'E-mail',
  as: 'As',
  send: 'Send the invitation',
  sentTo: (email: string): string => `A letter to ${email} is written. How it fares stands under Letters.`,
  accountsOf: ({ used, most }: Quota): string => `${used} of ${most} accounts are taken, open invitations included.`,
  invited: 'Invited',
  withdraw: 'Take it back',
  until: (day: string): string => `good until ${day}`,
  remove: 'Remove',
  removeAsk: (name: string): string =>
    `Remove ${name}? They cannot sign in here any more. What they have logged stays.`,
  leave: 'Leave this academy',
  leaveAsk: 'Leave this academy? You cannot sign in here any more. What you have logged stays.',
  you: 'you',
  persons: 'Persons',
  personsLead:
    'Athletes on footage and members of the room. Where nothing is said to whom somebody may be shown, only coaches see their footage. For minors, their guardians decide.',
  newPerson: 'New person',
  noPersons: 'Nobody yet. Whoever is named on a footage sheet appears here by themselves.',
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
  keep: 'Keep',
  cancel: 'Cancel',
  toBin: 'Put in the bin',
  needsName: 'needs a name',
  letters: 'Letters',
  lettersLead: 'The invitations that this academy has sent. Their links are secret and stand in the letters alone.',
  lettersOfDemo:
    'This is an academy of the demo: all letters of its people stand here whole, in place of a mailbox. Elsewhere only invitations stand here, without their links.',
  noLetters: 'No letter has been sent yet. Invitations appear here.',
  to: 'to',
  sessions: 'Your sessions',
  sessionsLead: 'Where your account is signed in. End what you do not know.',
  thisOne: 'this one',
  end: 'End',
  endOthers: 'End all others',
} as const;

export const AUDIENCE_TEXT = { coaches: 'coaches only', academy: 'the academy', anyone: 'anyone' } as const;

export const LETTER_TEXT: Record<Letter['state'], string> = {
  waiting: 'waits for the mail server',
  sent: 'sent',
  failed: 'given up',
  kept: 'kept: this server sends no mail, so whoever runs it has to hand it on',
};
export const LETTER_WHY_TEXT: Record<NonNullable<Letter['why']>, string> = {
  refused: 'the mail server did not take it',
  unreachable: 'the mail server cannot be reached',
  slow: 'the mail server did not answer in time',
  'cut off': 'the connection broke off',
};
