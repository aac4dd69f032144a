export const ACADEMY_TEXT = {
  academy: 'Academy',
} as const;

export const FRAME_TEXT = {
  odograph: 'Odograph',
  screens: 'Screens',
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
