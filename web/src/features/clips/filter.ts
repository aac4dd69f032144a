import { foldPlace, gripsAtCommit, placeName, readPlace, type Control, type Sayable, type Words } from '@odograph/core';
import type { ClipView } from '../library/index.js';

export const FACETS = ['from', 'entry', 'grip', 'finish'] as const;
export type Facet = (typeof FACETS)[number];

/** What of each facet is wanted; a facet that is absent lets everything through. */
export type Filter = Readonly<Partial<Record<Facet, string>>>;

const gripKey = (c: Control): string => `${c.limb} ${c.kind} ${c.target}`;

const withParent = (place: string | undefined, words: Words): readonly string[] =>
  place === undefined ? [] : [...new Set([place, foldPlace(place as never, words)])];

/** What a clip has in a facet. A place also counts as its parent; grips are those the subject holds at commit. */
export const valuesOf = (view: ClipView, facet: Facet, words: Words): readonly string[] => {
  switch (facet) {
    case 'from':
      return withParent(view.from, words);
    case 'entry':
      return view.attempt.action === null ? [] : [view.attempt.action];
    case 'grip':
      return [...new Set(gripsAtCommit(view.attempt).map(gripKey))];
    case 'finish':
      return withParent(view.to, words);
  }
};

export const matches = (view: ClipView, filter: Filter, words: Words): boolean =>
  FACETS.every((facet) => filter[facet] === undefined || valuesOf(view, facet, words).includes(filter[facet]));

/** How many clips each value of a facet leaves, the other facets standing as they are. */
export const facetCounts = (
  views: readonly ClipView[],
  filter: Filter,
  facet: Facet,
  words: Words,
): ReadonlyMap<string, number> => {
  const others: Filter = { ...filter, [facet]: undefined };
  const counts = new Map<string, number>();
  for (const view of views.filter((v) => matches(v, others, words)))
    for (const value of valuesOf(view, facet, words)) counts.set(value, (counts.get(value) ?? 0) + 1);
  return counts;
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

/** A value of a facet in words, its name first, then everything else it may be called. */
export const textsOf = (facet: Facet, value: string, words: Words): readonly string[] => {
  if (facet === 'entry') return [words.name('action', value), ...(words.action(value)?.aliases ?? [])];
  if (facet === 'grip') {
    const [limb, kind, target] = value.split(' ') as [string, Control['kind'], string];
    const word = words.target(target);
    return [word?.name ?? target, ...(word?.aliases ?? [])].map((t) => `${limb} ${KIND_TEXT[kind]} ${t}`);
  }
  const place = readPlace(value);
  const name = placeName(value, words);
  if (place?.kind === 'state')
    return [name, ...(words.position(place.position)?.aliases ?? []).map((a) => `${a}, ${place.role}`)];
  if (place?.kind === 'submission')
    return [
      name,
      ...(words.submission(place.submission)?.aliases ?? []).map((a) => `${a} ${place.won ? 'won' : 'lost'}`),
    ];
  return [name];
};

/** Choices of a facet, those that leave most clips first; ties by name. */
export const facetChoices = (
  counts: ReadonlyMap<string, number>,
  facet: Facet,
  words: Words,
): readonly Sayable<string>[] =>
  [...counts]
    .map(([value, count]) => ({ value, count, texts: textsOf(facet, value, words) }))
    .sort((a, b) => b.count - a.count || a.texts[0]!.localeCompare(b.texts[0]!))
    .map(({ value, texts }) => ({ value, texts }));
