import type { Binned, References } from '@odograph/core/contract';

export const KIND_TEXT: Record<Binned, string> = {
  footage: 'footage',
  clip: 'clip',
  route: 'route',
  person: 'person',
  word: 'word',
};

const many = (n: number, one: string, more: string): string => (n === 1 ? `1 ${one}` : `${n} ${more}`);
const named = (names: readonly string[]): string => names.map((n) => `“${n}”`).join(', ');

/** What goes with a thing, or stands on it, in a sentence. */
export const referencesText = (what: Binned, { clips, attempts, footage, routes }: References): string => {
  const goes = [
    clips ? many(clips, 'clip', 'clips') : '',
    attempts && what !== 'word' ? many(attempts, 'attempt and its evidence', 'attempts and their evidence') : '',
  ].filter(Boolean);
  return [
    goes.length ? `With it ${clips + attempts === 1 ? 'goes' : 'go'} ${goes.join(' and ')}.` : '',
    what === 'word' && attempts ? `${many(attempts, 'attempt says', 'attempts say')} it.` : '',
    footage.length ? `It is on ${named(footage)}.` : '',
    routes.length
      ? `${what === 'word' ? 'It is said by' : 'It is shown by'} ${routes.length === 1 ? 'the route' : 'the routes'} ${named(routes)}${what === 'word' ? '' : '; another clip of the same line takes its place there'}.`
      : '',
  ]
    .filter(Boolean)
    .join(' ');
};

export const BIN_TEXT = {
  title: 'Bin',
  lead: 'What was put here lies for 30 days, then it is gone for good.',
  empty: 'The bin is empty.',
  back: 'Take it out',
  removed: (by: string, at: string): string => `put here${by ? ` by ${by}` : ''} on ${at}`,
  goes: (days: number): string => (days <= 1 ? 'goes today' : `goes in ${days} days`),
  ask: (name: string): string => `Put ${name} in the bin?`,
  looking: 'Looking at what stands on it …',
  nothing: 'Nothing stands on it.',
  stays: 'It can be taken out again for 30 days.',
  yes: 'Put it in the bin',
  no: 'Leave it',
} as const;
