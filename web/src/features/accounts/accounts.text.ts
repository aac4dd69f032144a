export const ACCOUNTS_TEXT = {
  product: 'Odograph',
  claim: 'The map is never drawn by hand. It is drawn by what was seen to happen.',
  title: 'Sign in',
  email: 'E-mail',
  password: 'Password',
  go: 'Sign in',
  going: 'Signing in …',
  unreachable: 'The server cannot be reached.',
  again: 'Try again',
  signOut: 'Sign out',
  unsaved:
    'Some changes are not saved yet. They are kept in this browser until you sign in again. Sign out all the same?',
  saveLibrary: 'Save the library as JSON',
  saveMap: 'Save the map as GraphML',
} as const;
