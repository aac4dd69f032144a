import type { Stretch } from './notes.js';

/** A typed word, and where it stands in the text. */
export type Token = {
  /** Lower case, without accents. */ readonly text: string;
  readonly from: number;
  readonly to: number;
  /** Something that parts stands before it: the beginning, a comma, an arrow, a note. */ readonly opens: boolean;
  /** An arrow stands before it. */ readonly arrow: boolean;
  /** It stands in a name or an alias as it is, or is a word of everyday English: no slip of something else. */ readonly isWord: boolean;
};

const ARROW = /->|=>|→/;
const PARTS = /[,;:!?\n|/+]|\.(?=\s|$)|->|=>|→|–|—/;
/** A word, initials with strokes between them (*n/s*), *u-hook*. */
const WORD =
  /(?<![\p{L}\p{N}])[uo]-hook(?!\p{L})|(?<![\p{L}\p{N}])\p{L}(?:\/\p{L})+(?![\p{L}\p{N}\/])|(?:[\p{L}\p{N}]\p{M}*)+(?:['’](?:[\p{L}\p{N}]\p{M}*)+)?/gu;

/** Numbers, and what is shortened with a stroke. */
const WRITTEN_OUT: ReadonlyMap<string, string> = new Map([
  ['u-hook', 'underhook'],
  ['o-hook', 'overhook'],
  ['1', 'one'],
  ['2', 'two'],
  ['3', 'three'],
  ['4', 'four'],
]);
/** A word as it is compared: lower case, without accents, and without what hangs on an apostrophe. */
export const plainly = (word: string): string =>
  word
    .normalize('NFD')
    .replace(/[\p{M}/]/gu, '')
    .toLowerCase()
    .replace(/['’].*$/u, '');

/**
 * Splits at everything that is neither letter nor digit and keeps where each token stood, in UTF-16 units. What lies in `notes` is passed over, and parts.
 * *w/* is *with*.
 */
export const tokenise = (text: string, notes: readonly Stretch[] = []): readonly Token[] => {
  const found: Token[] = [];
  let end = 0;
  for (const { 0: word, index } of text.matchAll(WORD)) {
    if (notes.some(({ from, to }) => from <= index && index < to)) continue;
    const between = text.slice(end, index);
    const isWith = /^w$/i.test(word) && text[index + 1] === '/';
    found.push({
      text: isWith ? 'with' : (WRITTEN_OUT.get(word.toLowerCase()) ?? plainly(word)),
      from: index,
      to: index + word.length + (isWith ? 1 : 0),
      opens: found.length === 0 || PARTS.test(between) || notes.some((note) => end <= note.from && note.to <= index),
      arrow: ARROW.test(between),
      isWord: false,
    });
    end = index + word.length + (isWith ? 1 : 0);
  }
  return found;
};

/** The tokens of a name, each with whether something that parts is written before it. */
export const writtenTokens = (name: string): readonly { readonly text: string; readonly opens: boolean }[] =>
  tokenise(name).map(({ text, opens }, i) => ({ text, opens: i > 0 && opens }));
