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
    attempts && what !== 'word' ? many(attempts, 'attempt with its evidence', 'attempts with their evidence') : '',
  ].filter(Boolean);
  return [
    goes.length ? `${goes.join(' and ')} ${clips + attempts === 1 ? 'goes' : 'go'} with it.` : '',
    what === 'word' && attempts ? `${many(attempts, 'attempt uses', 'attempts use')} it.` : '',
    footage.length ? `They’re on ${named(footage)}.` : '',
    routes.length
      ? `${what === 'word' ? 'It’s used in' : 'It’s shown in'} ${routes.length === 1 ? 'the route' : 'the routes'} ${named(routes)}${what === 'word' ? '' : '; another clip of the same line takes its place there'}.`
      : '',
  ]
    .filter(Boolean)
    .join(' ');
};

export const BIN_TEXT = {
  title: 'Bin',
  lead: 'Things stay here for 30 days, then they’re gone for good.',
  empty: 'The bin is empty.',
  back: 'Restore',
  removed: (by: string, at: string): string => `moved here${by ? ` by ${by}` : ''} on ${at}`,
  goes: (days: number): string => (days <= 1 ? 'gone today' : `gone in ${days} days`),
  ask: (name: string): string => `Move ${name} to the bin?`,
  looking: 'Checking what uses it …',
  nothing: 'Nothing else uses it.',
  stays: 'You can restore it for 30 days.',
  yes: 'Move to bin',
  no: 'Leave it',
} as const;
