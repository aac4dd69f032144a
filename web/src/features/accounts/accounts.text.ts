/** As the server has it; the contract that says so is not taken into the page. */
export const PASSWORD_LEAST = 12;

export const ACCOUNTS_TEXT = {
  product: 'Odograph',
  claim: 'The map is never drawn by hand. It is drawn by what was seen to happen.',
  title: 'Sign in',
  ended:
    'Your session has ended: it was ended elsewhere, your password was set anew, or you were taken out of the academy. What was not saved yet is kept in this browser until you sign in again.',
  email: 'E-mail',
  password: 'Password',
  go: 'Sign in',
  going: 'One moment …',
  forgotten: 'Password forgotten',
  found: 'Found an academy',
  toSignIn: 'To the sign-in',
  foundTitle: 'A new academy',
  foundLead:
    'Its library is its own: nobody else sees it. You are its head; coaches and students are invited afterwards. With an account already, use its e-mail and password.',
  foundInvited: (email: string): string => `You are invited to found one, under ${email}.`,
  foundClosed:
    'On this server academies are founded by invitation. Ask whoever runs it for one; coaches and students come in by an invitation of their own academy.',
  foundSpent: 'This invitation was used before, or is too old. Ask whoever runs the server for a new one.',
  foundGo: 'Found it',
  academyName: 'What the academy is called',
  yourName: 'Your name',
  passwordHint: `At least ${PASSWORD_LEAST} characters, or three words. A short sentence is easy to keep in mind.`,
  invitationTitle: 'An invitation',
  looking: 'Looking at the invitation …',
  linkCut: 'The link is cut short. Open it whole from the letter.',
  invited: (email: string, role: string, hasAccount: boolean): string =>
    `You are invited as a ${role}, under ${email}. ${hasAccount ? 'That mail has an account already: give its password.' : 'Give your name and a password of your own.'}`,
  invitationGo: 'Take the invitation',
  forgottenTitle: 'Password forgotten',
  forgottenLead: 'Say your e-mail, and a letter with a link comes to it. The link is good for two hours.',
  forgottenGo: 'Send the link',
  forgottenDone:
    'If that mail has an account, a letter is on its way to it. If none comes: where this server sends no mail, whoever runs it has the letter.',
  newPasswordTitle: 'A new password',
  newPasswordLead: 'Setting it ends every session of your account elsewhere.',
  newPasswordGo: 'Set it',
  again: 'Try again',
  signOut: 'Sign out',
  goOver: (academy: string): string => `Go over to ${academy}`,
  unsaved:
    'Some changes are not saved yet. They are kept in this browser until you sign in again. Sign out all the same?',
  waitForSaving: 'Some changes are not saved yet. Wait until they are, then go over.',
  saveLibrary: 'Save the library as JSON',
  saveMap: 'Save the map as GraphML',
  people: 'People',
  words: 'Words',
  bin: 'Bin',
  sessions: 'Your sessions',
} as const;
