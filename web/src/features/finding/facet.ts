import type { Words } from '@odograph/core';
import type { ClipView } from '../library/index.js';

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

/** A word by its name and every other name. */
export const wordTexts =
  (kind: 'action' | 'reaction' | 'reason') =>
  (value: string, words: Words): readonly string[] => [
    words.name(kind, value),
    ...(words.get(kind, value)?.aliases ?? []),
  ];

export const itself = (value: string): readonly string[] => [value];
export const one = (value: string | null): readonly string[] => (value === null ? [] : [value]);
