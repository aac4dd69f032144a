export const CLOCK_TEXT = {
  goTo: 'Go to',
  goToHint: '1:48 left, 0:12.03, or #312 for a frame',
  goToRefusal: 'There’s no such moment in this footage. You can go to a clock time once one has been entered with {t}.',
  clock: 'The clock shows',
  clockHint: '4:12, and the first time: stopped, up or down, of 5:00, period 2',
  clockRefusal: 'There’s no time in that. Minutes and seconds are enough: 4:12.',
  clockRead: 'Clock read at',
  clockUnread: 'No clock yet: press {t} to enter what it shows.',
  scoreboard: 'Ask the scoreboard',
  noScoreboard: 'The scoreboard has no times for this footage.',
  stopped: ' stopped',
  forgetReading: (text: string): string => `Forget the reading ${text}`,
} as const;
