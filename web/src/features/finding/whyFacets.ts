import {
  COULD,
  EVIDENCE_WORDS,
  PURPOSE_WORDS,
  aimReached,
  detailChoices,
  errorDecided,
  evidenceOf,
  finishId,
  isNearFinish,
  linksTold,
  plannedWord,
  sayFact,
  type Control,
  type EvidenceHow,
  type FactUse,
} from '@odograph/core';
import { itself, one, wordTexts, type Facet } from './facet.js';
import { placeTexts } from './placeFacet.js';

const MEANT = ['bait', plannedWord(true), plannedWord(false)] as const;

/** Why it went as it went, as parts of the sentence. */
export const WHY_FACETS = [
  {
    key: 'quality',
    label: 'How good their reaction was',
    lead: 'which was',
    any: 'right or wrong',
    valuesOf: (v) => [...new Set(v.attempt.reactions.flatMap((r) => r.quality ?? []))],
    textsOf: (value) =>
      detailChoices().find(({ value: v }) => v.kind === 'quality' && v.quality === value)?.texts ?? [value],
  },
  {
    key: 'fact',
    label: 'How they stood',
    lead: 'with',
    any: 'any stance',
    valuesOf: (v) => [...new Set(v.attempt.facts.map(({ fact, value, whose }) => `${fact} ${value} ${whose}`))],
    textsOf: (key, words) => {
      const [fact, value, whose] = key.split(' ') as [string, string, FactUse['whose']];
      return [sayFact({ fact, value, whose, side: null, when: 'start' }, words)];
    },
  },
  {
    key: 'alternative',
    label: 'What else was there',
    lead: 'where',
    any: 'anything else was there',
    valuesOf: (v) => [
      ...new Set(v.attempt.alternatives.map((a) => `${a.by} ${a.isAction ? 'action' : 'reaction'} ${a.what}`)),
    ],
    textsOf: (key, words) => {
      const [by, kind, what] = key.split(' ') as [keyof typeof COULD, 'action' | 'reaction', string];
      return COULD[by].map((could) => `${could} ${words.name(kind, what)}`);
    },
  },
  {
    key: 'how',
    isWorkedOut: true,
    label: 'How it’s known',
    lead: 'with something',
    any: 'known in any way',
    valuesOf: (v) => [...new Set(evidenceOf(v.attempt).map(({ how }) => how))],
    textsOf: (value) => [EVIDENCE_WORDS[value as EvidenceHow]],
  },
  {
    key: 'teller',
    label: 'Who told it',
    lead: 'with something told by',
    any: 'anybody or nobody',
    valuesOf: (v) => v.tellers,
    textsOf: itself,
  },
  {
    key: 'aim',
    label: 'What it was for',
    lead: 'aimed at',
    any: 'whatever it aims at',
    valuesOf: (v) => one(v.attempt.aim && finishId(aimReached(v.attempt.aim))),
    textsOf: placeTexts,
  },
  {
    key: 'decided',
    isWorkedOut: true,
    label: 'Given or thrown away',
    lead: 'that was',
    any: 'given, thrown away or neither',
    valuesOf: (v) => one(errorDecided(v.attempt)),
    textsOf: itself,
  },
  {
    key: 'near',
    isWorkedOut: true,
    label: 'Near finish',
    lead: 'that was a',
    any: 'near finish or not',
    valuesOf: (v, words) => (isNearFinish(v.attempt, words) ? ['near finish'] : []),
    textsOf: itself,
  },
  {
    key: 'run',
    label: 'Run',
    lead: 'in the run',
    any: 'any run',
    valuesOf: (v) => one(v.attempt.runName || null),
    textsOf: itself,
  },
  {
    key: 'holdPlace',
    isWorkedOut: true,
    label: 'Where the hold is',
    lead: 'held at the',
    any: 'anywhere on it',
    valuesOf: (v) => [...new Set(v.attempt.controls.flatMap((c) => c.place ?? []))],
    textsOf: (value) => [value.replace(/^at the /, '')],
  },
  {
    key: 'holdFor',
    isWorkedOut: true,
    label: 'What the hold is for',
    lead: 'holding',
    any: 'for any purpose',
    valuesOf: (v) => [...new Set(v.attempt.controls.flatMap((c) => c.purposes))],
    textsOf: (value) => [PURPOSE_WORDS[value as Control['purposes'][number]]],
  },
  {
    key: 'because',
    isWorkedOut: true,
    label: 'What one thing does to another',
    lead: 'where something',
    any: 'does anything to something',
    valuesOf: (v) => [...new Set(linksTold(v.attempt).map((l) => l.kind))],
    textsOf: itself,
  },
  {
    key: 'mistake',
    label: 'Mistake',
    lead: 'with the mistake',
    any: 'any mistake or none',
    valuesOf: (v) => [...new Set(v.attempt.errors.flatMap((e) => e.what ?? []))],
    textsOf: wordTexts('reason'),
  },
  {
    key: 'meant',
    isWorkedOut: true,
    label: 'Meant, planned, or a bait',
    lead: 'being',
    any: 'planned or not, meant or a bait',
    valuesOf: ({ attempt: { intent, planned } }) =>
      MEANT.filter((_, i) => (i === 0 ? intent === 'bait' : planned === (i === 1))),
    textsOf: itself,
  },
] as const satisfies readonly Facet[];
