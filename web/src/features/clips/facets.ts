import {
  COULD,
  aimReached,
  errorDecided,
  finishId,
  EVIDENCE_WORDS,
  depthWord,
  detailChoices,
  evidenceOf,
  gripsAtCommit,
  isNearFinish,
  isResisted,
  resultChoices,
  sayFact,
  type ActionKind,
  type Control,
  type EvidenceHow,
  type FactUse,
  type Words,
} from '@odograph/core';
import type { ClipView } from '../library/index.js';
import { placeTexts, widerThan, withParent } from './placeFacet.js';
import { timeLeft, toCommit, toEnd } from './times.js';

/** One way of choosing clips: a part of the sentence. */
export type Facet = {
  readonly key: string;
  readonly label: string;
  /** What stands before it in the sentence. */
  readonly lead: string;
  /** What stands in it while everything is let through. */
  readonly any: string;
  /** What a clip has of it. */
  readonly valuesOf: (view: ClipView, words: Words) => readonly string[];
  /** Worked out, not said by anybody: words that are typed are not looked for in it. */ readonly isWorkedOut?: true;
  /** A value in words: its name first, then everything else it may be called. `views` may be asked for names. */
  readonly textsOf: (value: string, words: Words, views: readonly ClipView[]) => readonly string[];
};

const KIND_TEXT: Record<Control['kind'], string> = {
  grip: 'on',
  hook: 'hooking',
  frame: 'framing',
  underhook: 'underhook at',
  pin: 'pinning',
  post: 'posted on',
  wedge: 'wedged at',
  lock: 'locked round',
};
export const gripKey = (c: Pick<Control, 'limb' | 'kind' | 'target'>): string => `${c.limb} ${c.kind} ${c.target}`;
const gripTexts = (value: string, words: Words): readonly string[] => {
  const [limb, kind, target] = value.split(' ') as [string, Control['kind'], string];
  const word = words.target(target);
  return [word?.name ?? target, ...(word?.aliases ?? [])].map((t) => `${limb} ${KIND_TEXT[kind]} ${t}`);
};

const wordTexts =
  (kind: 'action' | 'reaction' | 'reason') =>
  (value: string, words: Words): readonly string[] => [
    words.name(kind, value),
    ...(words.get(kind, value)?.aliases ?? []),
  ];

const itself = (value: string): readonly string[] => [value];
const one = (value: string | null): readonly string[] => (value === null ? [] : [value]);

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
