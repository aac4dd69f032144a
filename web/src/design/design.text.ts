import type { Caution } from '@odograph/core';

const PAIN: Record<Caution['pain'], string> = {
  warns: 'Pain warns.',
  'warns late': 'Pain warns late.',
  'does not warn': 'Pain does not warn in time.',
};

/** What is up in every profile, and what is down. */
export const UP_TEXT = { better: 'better ↑', worse: 'worse ↓' } as const;

export const CAUTION_NOTE_TEXT = {
  caution: 'Caution',
  about: (what: string) => `Caution, ${what}:`,
  injures: (what: string, pain: Caution['pain']) => `can injure the ${what}. ${PAIN[pain]}`,
  defers: 'Odograph advises; the instructor in the room, the rules of the event and a medical professional decide.',
} as const;

export const COUNTED_TEXT = {
  of: (length: number, limit: number) =>
    length > limit ? `${length} of ${limit}: ${length - limit} too many` : `${length} of ${limit}`,
} as const;

export const EVIDENCE_TEXT = {
  noRate: 'no rate',
  rated: (worked: number, attempts: number, led: string) => `worked ${worked} of ${attempts}${led}`,
  led: (where: 'here' | 'there', count: number, attempts: number) => `, led ${where} ${count} of ${attempts}`,
  byWorking: (successes: number) => ` (${successes || 'none'} by working)`,
  picked: (n: number) => `seen ${n}, highlights only`,
  shown: (n: number) => `shown ${n}`,
  given: (n: number) => `${n} given`,
  thrown: (n: number) => `${n} thrown away`,
  proposed: (n: number) => `of these ${n} proposed`,
  unknown: 'nothing known of how well it works',
  band: (low: string, high: string) => `leads there by working ${low} to ${high} times in 100`,
  howFar: (word: string) => `how far: ${word}`,
} as const;

export const WORD_FIELD_TEXT = {
  nothing: (typed: string) => `No word here sounds like “${typed}”.`,
} as const;

export const DAY_TEXT = {
  example: '3 Nov 2026',
  pick: 'Pick the day',
  pickFor: (label: string): string => `Pick: ${label}`,
  noDay: 'No such day. Try 3 Nov 2026.',
  before: 'The month before',
  after: 'The month after',
} as const;
