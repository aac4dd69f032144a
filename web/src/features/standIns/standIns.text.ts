import type { PhoneView } from './phone.js';

export const STAND_IN_TEXT = {
  title: 'Made-up phones',
  lead: 'For trying out how footage comes in. Both film the same made-up bout and send it here as real phones would.',
  first: 'At the edge of the mat',
  second: 'Across the mat, with a clock of its own',
  film: 'Film and send',
  filmLost: 'Film, and lose the connection',
  goOn: 'It has a connection again',
} as const;

export const phoneText = ({ state, sent }: PhoneView): string => {
  const part = `${Math.round(sent * 100)} %`;
  switch (state) {
    case 'idle':
      return '';
    case 'filming':
      return 'Films the bout …';
    case 'sending':
      return `Sends it in pieces: ${part}`;
    case 'without connection':
      return `No connection at ${part}; the phone keeps the film.`;
    case 'sent':
      return 'Sent; you’ll see it above, under Coming in.';
    case 'failed':
      return 'That didn’t work; film again.';
  }
};
