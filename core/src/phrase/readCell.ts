import type { Words } from '../vocabulary/index.js';
import { readPhrase } from './reader.js';
import type { Meant } from './types.js';

/** What a cell stands behind in a line, so that the reader knows which part it is for. */
const LEADS: Partial<Record<Meant['part'], string>> = {
  position: 'from ',
  finish: 'ends in ',
  reaction: 'they ',
  reason: 'because ',
};

/**
 * What a text says that is known to be one part of an attempt (a cell of a list, a field), as the line would read it: only where that is certain, it is the
 * one thing the text says, and no word is left over.
 */
export const readCell = (part: Meant['part'], text: string, words: Words): Meant | undefined => {
  const { parts, notUnderstood, notes } = readPhrase(`${LEADS[part] ?? ''}${text}`, words);
  const typed = parts.filter((p) => p.status !== 'proposed');
  const [only, ...others] = typed;
  const isWhole = others.length === 0 && notUnderstood.length === 0 && notes.length === 0;
  return only && isWhole && only.status === 'certain' && only.meant.part === part ? only.meant : undefined;
};
