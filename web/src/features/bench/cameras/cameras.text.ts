export const CAMERA_TEXT = {
  isFirst: 'This camera sets the time; the others are lined up with it.',
  starts: 'Starts',
  before: 'before',
  after: 'after',
  runs: (ppm: number, isSlow: boolean): string =>
    `Its clock runs ${ppm} parts in a million ${isSlow ? 'slow' : 'fast'}.`,
  replaySpeed: (rate: number): string => `It goes by at ${Math.round(rate * 100)} % of the speed.`,
  listen: 'Find it from the sound',
  earlier: 'A frame earlier',
  later: 'A frame later',
  takeOff: 'Remove this camera',
  uncut: 'This attempt isn’t cut from this camera yet. {k} cuts the same stretch here.',
  outside: 'This camera wasn’t filming then.',
  remember: 'Remember this instant',
  itIsHere: 'It’s this frame',
  remembered: 'Find the remembered instant on this camera, then press {m}.',
  paired: (n: number): string =>
    n === 1
      ? 'Lined up by one instant. A second one, far from it, also tells how fast it goes by.'
      : `Lined up by ${n} instants.`,
  contrary: 'These moments would need a speed no replay has. Start again with one of them.',
} as const;
