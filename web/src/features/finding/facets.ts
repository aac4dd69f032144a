import { depthWord, gripsAtCommit, isResisted, resultChoices, type ActionKind } from '@odograph/core';
import { itself, one, wordTexts, type Facet } from './facet.js';
import { gripKey, gripTexts, theirGrips } from './gripFacet.js';
import { placeTexts, widerThan, withParent } from './placeFacet.js';
import { WHY_FACETS } from './whyFacets.js';
import { timeLeft, toCommit, toEnd } from './times.js';

/** All parts of the sentence, in their order; the first four always stand in it. Adding one is adding a value here, and a test. */
const LIST = [
  {
    key: 'from',
    label: 'Position',
    lead: 'from',
    any: 'any position',
    valuesOf: (v, words) => widerThan(withParent(v.from, words)),
    textsOf: placeTexts,
  },
  {
    key: 'entry',
    label: 'Entry',
    lead: 'by',
    any: 'any entry',
    valuesOf: (v) => one(v.attempt.action),
    textsOf: wordTexts('action'),
  },
  {
    key: 'grip',
    label: 'Grip',
    lead: 'holding',
    any: 'any grip',
    valuesOf: (v) => [...new Set(gripsAtCommit(v.attempt).map(gripKey))],
    textsOf: gripTexts,
  },
  {
    key: 'theirGrip',
    label: 'Their grip',
    lead: 'while they hold',
    any: 'anything',
    valuesOf: (v) => [...new Set(theirGrips(v.attempt).map(gripKey))],
    textsOf: gripTexts,
  },
  {
    key: 'finish',
    label: 'Finish',
    lead: 'ending in',
    any: 'anywhere',
    valuesOf: (v, words) => widerThan(withParent(v.to, words)),
    textsOf: placeTexts,
  },
  {
    key: 'cloth',
    label: 'Cloth or body',
    lead: 'gripping',
    any: 'cloth or body',
    valuesOf: (v) => [...new Set(gripsAtCommit(v.attempt).map((c) => (c.cloth ? 'cloth' : 'body')))],
    textsOf: itself,
  },
  {
    key: 'reaction',
    label: 'Their reaction',
    lead: 'when they',
    any: 'do anything',
    valuesOf: (v) => [...new Set(v.attempt.reactions.map((r) => r.what))],
    textsOf: wordTexts('reaction'),
  },
  ...WHY_FACETS,
  {
    key: 'result',
    label: 'Result',
    lead: 'that',
    any: 'went any way',
    valuesOf: (v) => one(v.attempt.result),
    textsOf: (value) => resultChoices().find((c) => c.value === value)?.texts ?? [value],
  },
  {
    key: 'depth',
    label: 'How far',
    lead: 'as far as',
    any: 'any rung',
    valuesOf: (v, words) => {
      const does = words.action(v.attempt.action ?? '')?.does;
      return does && v.attempt.depth !== null ? [`${does}:${v.attempt.depth}`] : [];
    },
    textsOf: (value) => {
      const [does, depth] = value.split(':') as [ActionKind, string];
      return [`${depthWord({ does }, Number(depth))} (${does})`, depth];
    },
  },
  {
    key: 'reason',
    label: 'Why',
    lead: 'because of',
    any: 'any reason',
    valuesOf: (v) => v.attempt.reasons.map((r) => r.reason),
    textsOf: wordTexts('reason'),
  },
  {
    key: 'athlete',
    label: 'Athlete',
    lead: 'by the athlete',
    any: 'anyone',
    valuesOf: (v) => [v.attempt.subject === 'a' ? v.footage.athleteA : v.footage.athleteB],
    textsOf: (value, _, views) => {
      const view = views.find((v) => v.footage.athleteA === value || v.footage.athleteB === value);
      return [view ? view.athletes[view.footage.athleteA === value ? 'a' : 'b'] : value];
    },
  },
  {
    key: 'side',
    label: 'Side',
    lead: 'leading on the',
    any: 'either side',
    valuesOf: (v) => [v.attempt.lead ?? 'side not said'],
    textsOf: itself,
  },
  {
    key: 'setting',
    label: 'Setting',
    lead: 'in',
    any: 'any setting',
    valuesOf: (v) => [v.footage.setting],
    textsOf: itself,
  },
  {
    key: 'clothing',
    label: 'Gi or no-gi',
    lead: 'wearing',
    any: 'anything',
    valuesOf: (v) => [v.footage.gi ? 'gi' : 'no-gi'],
    textsOf: itself,
  },
  {
    key: 'footage',
    label: 'Footage',
    lead: 'on',
    any: 'any footage',
    valuesOf: (v) => [v.footage.id],
    textsOf: (value, _, views) => [views.find((v) => v.footage.id === value)?.footage.title ?? value],
  },
  {
    key: 'day',
    label: 'Day',
    lead: 'of the day',
    any: 'any day',
    valuesOf: (v) => one(v.footage.date),
    textsOf: itself,
  },
  {
    key: 'logged',
    label: 'Logged',
    lead: 'logged',
    any: 'in any way',
    valuesOf: (v) => [v.footage.logged],
    textsOf: itself,
  },
  {
    key: 'toCommit',
    isWorkedOut: true,
    label: 'Start to commit',
    lead: 'committed to in',
    any: 'any time',
    valuesOf: toCommit,
    textsOf: itself,
  },
  {
    key: 'toEnd',
    isWorkedOut: true,
    label: 'Commit to end',
    lead: 'over in',
    any: 'any time after',
    valuesOf: toEnd,
    textsOf: itself,
  },
  {
    key: 'timeLeft',
    isWorkedOut: true,
    label: 'Time left',
    lead: 'with so much left:',
    any: 'any time on the clock',
    valuesOf: timeLeft,
    textsOf: itself,
  },
  {
    key: 'speaker',
    label: 'Who’s talking',
    lead: 'with',
    any: 'whoever talks',
    valuesOf: (v) => one(v.footage.speaker || null),
    textsOf: itself,
  },
  {
    key: 'skewed',
    isWorkedOut: true,
    label: 'What skews it',
    lead: 'on footage with',
    any: 'anything that skews it',
    valuesOf: (v) => [
      ...(v.footage.counted ? [] : ['left out of the numbers']),
      ...(v.footage.skewedBy === null ? [] : [v.footage.skewedBy]),
    ],
    textsOf: itself,
  },
  {
    key: 'resistance',
    isWorkedOut: true,
    label: 'Resisted or not',
    lead: 'with',
    any: 'or without resistance',
    valuesOf: (v) => [isResisted(v.attempt, v.footage) ? 'resistance' : 'no resistance'],
    textsOf: itself,
  },
  {
    key: 'state',
    label: 'Draft or complete',
    lead: 'being',
    any: 'drafts or complete',
    valuesOf: (v) => [v.missing.length ? 'drafts' : 'complete'],
    textsOf: itself,
  },
  {
    key: 'known',
    label: 'Said or proposed',
    lead: 'with',
    any: 'anything said or proposed',
    valuesOf: (v) => [v.attempt.proposed.length ? 'something proposed' : 'everything said'],
    textsOf: itself,
  },
] as const satisfies readonly Facet[];

export type FacetKey = (typeof LIST)[number]['key'];
export const FACETS: readonly (Facet & { readonly key: FacetKey })[] = LIST;
/** Those that always stand in the sentence. */
export const MAIN: readonly FacetKey[] = ['from', 'entry', 'grip', 'finish'];

export const facetOf = (key: FacetKey): Facet & { readonly key: FacetKey } => FACETS.find((f) => f.key === key)!;
