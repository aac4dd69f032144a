import { matchWords, type Sayable, type Words } from '@odograph/core';
import type { ClipView } from '../library/index.js';
import { FACETS, facetOf, type FacetKey } from './facets.js';
import { askedIn, hasParts, type Asked } from './readText.js';

/** What of each facet is wanted; a facet that is absent lets everything through. `text` has to be found in the clip's words. */
export type Filter = Readonly<Partial<Record<FacetKey, string>>> & { readonly text?: string };

const SAID = FACETS.filter((facet) => !facet.isWorkedOut);
/** Everything a clip can be found by when words are typed: its sentence, every other name of what it says, its note, its footage. */
const wordsOfClip = (view: ClipView, words: Words): readonly string[] => [
  ...view.said.map((part) => part.text),
  ...SAID.flatMap((facet) => facet.valuesOf(view, words).flatMap((value) => facet.textsOf(value, words, [view]))),
  view.clip.note,
  view.footage.title,
];

const isMentioned = (view: ClipView, tokens: readonly string[], words: Words): boolean => {
  const all = wordsOfClip(view, words).join(' ');
  return tokens.every((token) => matchWords(token, [{ value: true, texts: [all] }]).length > 0);
};

/** What was asked for last: each clip is held against the same text. */
let last: { readonly text: string; readonly words: Words; readonly asked: Asked } | undefined;
const askedOnce = (text: string, words: Words): Asked => {
  if (last?.text !== text || last.words !== words) last = { text, words, asked: askedIn(text, words) };
  return last.asked;
};

/** Whether a clip has what a text says, as the line would read it, or its words all stand somewhere in it. */
const isSaid = (view: ClipView, text: string, words: Words): boolean => {
  const asked = askedOnce(text, words);
  if (asked.parts.length && hasParts(view, asked, words) && isMentioned(view, asked.rest, words)) return true;
  return isMentioned(view, text.split(/\s+/), words);
};

export const matches = (view: ClipView, filter: Filter, words: Words): boolean =>
  FACETS.every(({ key, valuesOf }) => {
    const wanted = filter[key];
    return wanted === undefined || valuesOf(view, words).includes(wanted);
  }) &&
  (filter.text === undefined || isSaid(view, filter.text, words));

/** A filter with one part let go. */
export const without = (filter: Filter, part: FacetKey | 'text'): Filter =>
  Object.fromEntries(Object.entries(filter).filter(([key]) => key !== part));

/** How many clips each value of a facet leaves, the other parts standing as they are. */
export const facetCounts = (
  views: readonly ClipView[],
  filter: Filter,
  key: FacetKey,
  words: Words,
): ReadonlyMap<string, number> => {
  const others = without(filter, key);
  const { valuesOf } = facetOf(key);
  const counts = new Map<string, number>();
  for (const view of views.filter((v) => matches(v, others, words)))
    for (const value of valuesOf(view, words)) counts.set(value, (counts.get(value) ?? 0) + 1);
  return counts;
};

/** Choices of a facet, those that leave most clips first; ties by name. */
export const facetChoices = (
  views: readonly ClipView[],
  counts: ReadonlyMap<string, number>,
  key: FacetKey,
  words: Words,
): readonly Sayable<string>[] =>
  [...counts]
    .map(([value, count]) => ({ value, count, texts: facetOf(key).textsOf(value, words, views) }))
    .sort((a, b) => b.count - a.count || a.texts[0]!.localeCompare(b.texts[0]!))
    .map(({ value, texts }) => ({ value, texts }));
