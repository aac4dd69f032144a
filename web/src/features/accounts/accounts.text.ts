/** As the server has it; the contract that says so is not taken into the page. */
export const PASSWORD_LEAST = 12;

export const ACCOUNTS_TEXT = {
  product: 'Odograph',
  claim: 'Clip techniques from footage. See what really works, for whom, and against what. Teach from that.',
  claimMore: 'The map of your game is never drawn by hand: it’s drawn by what was seen to happen.',
  title: 'Sign in',
  ended:
    'Your session has ended: it was ended on another device, your password was changed, or you were removed from the academy. Anything that isn’t saved yet is kept in this browser until you sign in again.',
  email: 'Email',
  password: 'Password',
  go: 'Sign in',
  going: 'One moment …',
  forgotten: 'Forgot your password?',
  found: 'Create an academy',
  toSignIn: 'Back to sign in',
  foundTitle: 'A new academy',
  foundLead:
    'Its library is private: nobody else sees it. You’re its head; you invite coaches and students afterwards. If you already have an account, use that email and password.',
  foundInvited: (email: string): string => `You’re invited to create one, as ${email}.`,
  foundClosed:
    'On this server, academies are created by invitation. Ask whoever runs it for one. Coaches and students join with an invitation from their own academy.',
  foundSpent: 'This invitation has been used, or it’s too old. Ask whoever runs the server for a new one.',
  foundGo: 'Create academy',
  academyName: 'Academy name',
  yourName: 'Your name',
  passwordHint: `At least ${PASSWORD_LEAST} characters, or three words. A short sentence is easy to remember.`,
  invitationTitle: 'Your invitation',
  looking: 'Checking the invitation …',
  linkCut: 'This link is incomplete. Open the whole link from the email.',
  invited: (email: string, role: string, hasAccount: boolean): string =>
    `You’re invited as a ${role}, as ${email}. ${hasAccount ? 'That email already has an account: enter its password.' : 'Enter your name and choose a password.'}`,
  invitationGo: 'Accept the invitation',
  forgottenTitle: 'Forgot your password?',
  forgottenLead: 'Enter your email and we’ll send you a link. It works for two hours.',
  forgottenGo: 'Send the link',
  forgottenDone:
    'If that email has an account, a link is on its way. Nothing there? Where this server doesn’t send email, whoever runs it has the message.',
  newPasswordTitle: 'Choose a new password',
  newPasswordLead: 'You’ll be signed out everywhere else.',
  newPasswordGo: 'Set password',
  again: 'Try again',
  signOut: 'Sign out',
  goOver: (academy: string): string => `Switch to ${academy}`,
  unsaved: 'Some changes aren’t saved yet. They’re kept in this browser until you sign in again. Sign out anyway?',
  waitForSaving: 'Some changes aren’t saved yet. Wait until they are, then switch.',
  saveLibrary: 'Save the library as JSON',
  saveMap: 'Save the map as GraphML',
  people: 'People',
  words: 'Words',
  bin: 'Bin',
  sessions: 'Your sessions',
} as const;
