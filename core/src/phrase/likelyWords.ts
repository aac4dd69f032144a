import { matchWords, type Word, type WordKind, type Words } from '../vocabulary/index.js';
import type { PhraseReading } from './types.js';

/** What kind of word is likeliest at a place of the line, by what stands around it: the best first. */
const likelyKinds = ({ parts }: PhraseReading, at: number): readonly WordKind[] => {
  const before = parts.filter((p) => p.status !== 'proposed' && p.to <= at);
  const last = before.at(-1)?.meant.part;
  const has = (part: string): boolean => parts.some((p) => p.meant.part === part && p.status !== 'proposed');
  if (last === 'reason') return ['reason', 'reaction', 'action'];
  if (!has('entry'))
    return has('position') ? ['action', 'submission', 'reaction', 'position'] : ['position', 'action', 'submission'];
  if (last === 'reaction') return ['reaction', 'position', 'action'];
  return before.some((p) => p.meant.part === 'entry')
    ? ['position', 'reaction', 'reason']
    : ['target', 'position', 'reaction'];
};

const KIND = 0.12;
const BEGINS = 0.2;

/**
 * What an unknown word of a line may be called here, best first: by where it stands (`at`, in the text that was read) and by what can be done from the place
 * that is said; by what is typed to find it. Over all kinds of words at once; ties keep the order of the words.
 */
export const likelyWords = (reading: PhraseReading, at: number, words: Words): ((typed: string) => readonly Word[]) => {
  const kinds = likelyKinds(reading, at);
  const from = reading.parts.find((p) => p.meant.part === 'position')?.meant;
  const family = from?.part === 'position' ? words.position(from.place.position)?.family : undefined;
  const choices = words.said.map((word) => {
    const rank = kinds.indexOf(word.kind);
    const isBegun = word.kind === 'action' && family !== undefined && word.from.includes(family);
    return {
      value: word,
      texts: [word.name, ...word.aliases],
      bonus: (rank < 0 ? 0 : KIND * (kinds.length - rank)) + (isBegun ? BEGINS : 0),
    };
  });
  return (typed) => matchWords(typed, choices).map((m) => m.value);
};

/** The word that a further name is given to: of what only tries a submission, that submission. */
export const wordOfAction = (word: Word, words: Words): { readonly kind: WordKind; readonly key: string } => {
  const isOwn = words.all.some((w) => w.kind === word.kind && w.key === word.key);
  const aim = word.kind === 'action' ? word.aims[0] : undefined;
  return !isOwn && aim && 'submission' in aim
    ? { kind: 'submission', key: aim.submission }
    : { kind: word.kind, key: word.key };
};
