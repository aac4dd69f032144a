import { RESULT_WORDS, placeName, stateId, type Words } from '@odograph/core';
import { useCallback } from 'react';
import type { Found } from '../../design/fields.js';
import { useClipViews, useWords, type ClipView } from '../library/index.js';
import { CLIP_FINDER_TEXT as T } from './finding.text.js';

const SHOWN = 8;

/** A clip in a few words: what was done from where, and how it went. */
export const clipSaid = ({ attempt, footage }: Pick<ClipView, 'attempt' | 'footage'>, words: Words): string =>
  T.clip(didSaid({ attempt }, words), footage.title);
/** What was done in it, from where, and how it went. */
const didSaid = ({ attempt }: Pick<ClipView, 'attempt'>, words: Words): string => {
  const { state, action, result } = attempt;
  const said = [
    ...(action === null ? [] : [words.name('action', action)]),
    ...(state ? [T.from(placeName(stateId(state), words))] : []),
    ...(result ? [RESULT_WORDS[result]] : []),
  ];
  return said.join(', ');
};
/** All that is told of a clip, to find it by. */
const allSaid = ({ said, footage }: ClipView): string => `${said.map((part) => part.text).join(' ')} ${footage.title}`;

const wordsIn = (text: string): readonly string[] =>
  text
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean);
/** Whether each word that is typed begins a word of a text. */
export const beginsWords = (typed: string, text: string): boolean => {
  const has = wordsIn(text);
  return wordsIn(typed).every((word) => has.some((h) => h.startsWith(word)));
};

/** Finds clips by words of their sentences: each that is typed begins a word of it. */
export const useClipFinder = (): ((typed: string) => readonly Found<string>[]) => {
  const views = useClipViews();
  const words = useWords();
  return useCallback(
    (typed) => {
      const found: Found<string>[] = [];
      for (const view of views) {
        if (found.length === SHOWN) break;
        const name = clipSaid(view, words);
        if (beginsWords(typed, allSaid(view))) found.push({ value: view.clip.id, name, via: name });
      }
      return found;
    },
    [views, words],
  );
};
