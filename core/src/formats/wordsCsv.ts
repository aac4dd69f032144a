import { asCompared, type Word, type WordKind, type Words } from '../vocabulary/index.js';
import { WORD_KINDS } from '../vocabulary/index.js';
import { readCsv, writeCsv } from './csv.js';

export const WORDS_HEAD = ['kind', 'name', 'alias'] as const;

/** All words with all their aliases, a line for each alias; a word without one has a line of its own. */
export const wordsCsv = (words: Words): string =>
  writeCsv(
    WORDS_HEAD,
    words.all.flatMap((word) =>
      (word.aliases.length ? word.aliases : ['']).map((alias) => [word.kind, word.name, alias]),
    ),
  );

/** What a line of a list of aliases would do. */
export type AliasLine =
  | {
      readonly line: number;
      readonly does: 'adds';
      readonly kind: WordKind;
      readonly key: string;
      readonly name: string;
      readonly alias: string;
      readonly alsoMeans: readonly string[];
    }
  | { readonly line: number; readonly does: 'known'; readonly name: string; readonly alias: string }
  | {
      readonly line: number;
      readonly does: 'nothing';
      readonly why: 'no alias' | 'kind' | 'name' | 'twice' | 'unreadable' | 'too long';
      readonly said: string;
    };

const LONGEST = 120;

/** Reads a list of `kind, name, alias` and says of each line what it would do. Names are found by name or alias, whole. */
export const readAliases = (text: string, words: Words): readonly AliasLine[] | 'head missing' => {
  const table = readCsv(text);
  const at = WORDS_HEAD.map((name) => table.head.findIndex((cell) => cell.toLowerCase() === name));
  if (at.some((i) => i < 0)) return 'head missing';
  const byName = new Map<string, Word>();
  const meanings = new Map<string, Word[]>();
  for (const word of words.all)
    for (const name of [word.name, ...word.aliases]) {
      const id = `${word.kind} ${asCompared(name)}`;
      if (!byName.has(id)) byName.set(id, word);
      meanings.set(asCompared(name), [...(meanings.get(asCompared(name)) ?? []), word]);
    }
  const seen = new Set<string>();
  const unreadable = new Set(table.faults.map((f) => f.line));
  return table.rows.map(({ line, cells }): AliasLine => {
    const [kind, name, alias] = at.map((i) => cells[i] ?? '') as [string, string, string];
    const said = [kind, name, alias].join(', ');
    if (unreadable.has(line)) return { line, does: 'nothing', why: 'unreadable', said };
    if (!WORD_KINDS.some((k) => k === kind.toLowerCase())) return { line, does: 'nothing', why: 'kind', said };
    const word = byName.get(`${kind.toLowerCase()} ${asCompared(name)}`);
    if (!word) return { line, does: 'nothing', why: 'name', said };
    if (asCompared(alias) === '') return { line, does: 'nothing', why: 'no alias', said };
    if (alias.length > LONGEST) return { line, does: 'nothing', why: 'too long', said };
    if ([word.name, ...word.aliases].some((n) => asCompared(n) === asCompared(alias)))
      return { line, does: 'known', name: word.name, alias };
    const id = `${word.kind} ${word.key} ${asCompared(alias)}`;
    if (seen.has(id)) return { line, does: 'nothing', why: 'twice', said };
    seen.add(id);
    const alsoMeans = (meanings.get(asCompared(alias)) ?? [])
      .filter((w) => w !== word)
      .map((w) => `${w.kind}: ${w.name}`);
    return { line, does: 'adds', kind: word.kind, key: word.key, name: word.name, alias, alsoMeans };
  });
};
