import type { Found } from './useLineUp.js';

export const CAMERA_TEXT = {
  found: (share: number): string => `Found. ${Math.round(share * 100)} % sure; look at it with C.`,
  isFirst: 'This camera sets the time; the others are lined up with it.',
  isInset: 'A small picture in the picture of another camera: frame for frame the same time.',
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

export const FOUND_TEXT: Readonly<Record<Exclude<Found['state'], 'found'>, string>> = {
  'not asked': '',
  listening: 'Listening to both …',
  'no sound':
    'One of the two has no sound. Line them up by hand: stop at one instant, change cameras with C, move by frames.',
  'not listened to': 'The sound hasn’t been read yet. That happens soon after the file comes in; try again then.',
  'no match': 'No match: the two never heard the same thing. Nothing was changed.',
};
