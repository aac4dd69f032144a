export const ACADEMY_TEXT = {
  academy: 'Academy',
  sections: {
    people: 'People',
    words: 'Words',
    policy: 'Policy',
    bin: 'Bin',
    disk: 'Disk',
    letters: 'Letters',
    sessions: 'Your sessions',
  },
} as const;

export const FRAME_TEXT = {
  odograph: 'Odograph',
  screens: 'Screens',
  to: {
    '/footage': 'Footage',
    '/break-down': 'Break down',
    '/clips': 'Clips',
    '/map': 'Map',
    '/routes': 'Routes',
  },
  /** Screens that have no place in the bar. */ beside: {
    '/doubts': 'Doubts',
    '/principles': 'Principles',
    '/to-do': 'To do',
    '/follow': 'Follow',
    '/wall': 'The wall',
    '/academy': 'Academy',
  },
  otherRole: 'A head has given you another role in this academy. What you may see and do here goes by it from now on.',
  loadingTheLibrary: 'Loading the library …',
  tryAgain: 'Try again',
} as const;

export const NOT_THERE_TEXT = {
  somethingBrokeOnThis: 'Something broke on this screen.',
  theresNothingAtThis: 'There’s nothing at this address.',
  whatWasCalledSaved: 'What was called saved is on the server. Load the page again to go on.',
  itMayBeIn: 'It may be in the bin, or the address was cut short.',
  goToTheFootage: 'Go to the footage',
} as const;
