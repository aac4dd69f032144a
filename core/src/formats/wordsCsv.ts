import {
  LANGUAGES,
  WORD_KINDS,
  areRoles,
  asCompared,
  freshDefinition,
  ownKey,
  type Definition,
  type Language,
  type Word,
  type WordKind,
  type Words,
} from '../vocabulary/index.js';
import { readCsv, saysYes, writeCsv } from './csv.js';
import {
  WORD_COLUMNS,
  definitionCells,
  finderIn,
  readDefinition,
  withSaid,
  type CellFault,
  type FindWord,
} from './wordColumns.js';

export const WORDS_HEAD = ['kind', 'name', 'alias'] as const;
const HEAD = [...WORDS_HEAD, 'language', 'own', ...WORD_COLUMNS] as const;

/**
 * All words with all their aliases, a line for each alias; a word without one has a line of its own. What a word is stands on its first line; `isOwn` says which
 * are the academy's own.
 */
export const wordsCsv = (words: Words, isOwn: (word: Word) => boolean = () => false): string =>
  writeCsv(
    HEAD,
    words.all.flatMap((word) => {
      const cells = definitionCells(word, words);
      return (word.aliases.length ? word.aliases : ['']).map((alias, i): readonly string[] => [
        ...[
          word.kind,
          word.name,
          alias,
          alias === '' ? '' : (word.languages?.[alias] ?? 'en'),
          isOwn(word) ? 'yes' : '',
        ],
        ...WORD_COLUMNS.map((column) => (i === 0 ? (cells[column] ?? '') : '')),
      ]);
    }),
  );

/** Another name of a word, as a line of a list says it. */
export type ListedAlias = { readonly alias: string; readonly language?: Language };

type OfWord = ListedAlias & { readonly kind: WordKind; readonly key: string; readonly name: string };

/** What a line of a list of words would do. `alias` is empty where it adds none. */
export type WordLine =
  | (OfWord & { readonly line: number; readonly does: 'adds'; readonly alsoMeans: readonly string[] })
  | (OfWord & {
      readonly line: number;
      /** A word of the academy's own that is new, or one that becomes something else. */ readonly does:
        'makes' | 'changes';
      readonly definition: Definition;
      /** Cells that were not understood; the word is made without them. */ readonly faults: readonly CellFault[];
    })
  | { readonly line: number; readonly does: 'known'; readonly name: string; readonly alias: string }
  | {
      readonly line: number;
      readonly does: 'nothing';
      readonly why: 'no alias' | 'kind' | 'name' | 'twice' | 'unreadable' | 'too long' | 'risk' | 'sides';
      readonly said: string;
    };

const LONGEST = 120;

/** What nobody could keep: a submission without its cautions, sides that make no pair. */
const isLacking = (definition: Definition): 'risk' | 'sides' | null => {
  if (definition.kind === 'submission')
    return definition.risk.injures.trim() && definition.risk.care.trim() ? null : 'risk';
  return definition.kind === 'position' && !areRoles(definition.roles) ? 'sides' : null;
};

/**
 * Reads a list of words and says of each line what it would do: add another name, make a word of the academy's own, say anew what an own one is (`ownDefinition` gives it).
 * Names are found by name or alias, whole. A name that nobody knows makes a word only where the line says what it is, or *yes* under `own`: a slip in a list
 * of aliases makes none.
 */
export const readWords = (
  text: string,
  words: Words,
  ownDefinition: (kind: WordKind, key: string) => Definition | undefined = () => undefined,
): readonly WordLine[] | 'head missing' => {
  const table = readCsv(text);
  const columnOf = (name: string): number => table.head.findIndex((cell) => cell.trim().toLowerCase() === name);
  const at = new Map(HEAD.map((name) => [name, columnOf(name)]));
  if (WORDS_HEAD.some((name) => at.get(name)! < 0)) return 'head missing';
  const meanings = new Map<string, Word[]>();
  for (const word of words.all)
    for (const name of [word.name, ...word.aliases]) {
      const id = asCompared(name);
      meanings.set(id, [...(meanings.get(id) ?? []), word]);
    }
  const unreadable = new Set(table.faults.map((f) => f.line));
  const rows = table.rows.map(({ line, cells }) => {
    const cell = (name: (typeof HEAD)[number]): string => cells[at.get(name)!] ?? '';
    const kind = WORD_KINDS.find((k) => k === cell('kind').toLowerCase());
    const isFull = WORD_COLUMNS.some((column) => cell(column).trim() !== '');
    return { line, cell, kind, isFull, isOwn: saysYes(cell('own')) };
  });
  const there = finderIn(words.all);
  // words that the list itself makes may be named in it, before and behind
  const made = new Map<string, { readonly key: string; readonly cloth: boolean }>();
  const idOf = (kind: WordKind, name: string): string => `${kind} ${asCompared(name)}`;
  const taken = new Set<string>();
  for (const { line, cell, kind, isFull, isOwn } of rows) {
    const name = cell('name');
    if (!kind || unreadable.has(line) || asCompared(name) === '' || !(isFull || isOwn)) continue;
    if (there(kind, name) || made.has(idOf(kind, name))) continue;
    const key = ownKey(name, (k) => words.get(kind, k) !== undefined || taken.has(`${kind} ${k}`));
    taken.add(`${kind} ${key}`);
    made.set(idOf(kind, name), { key, cloth: saysYes(cell('cloth')) });
  }
  const find: FindWord = (kind, name) => there(kind, name) ?? made.get(idOf(kind, name));
  const begun = new Set<string>();
  const seen = new Set<string>();
  return rows.map(({ line, cell, kind, isFull }): WordLine => {
    const [name, alias] = [cell('name'), cell('alias')];
    const said = [cell('kind'), name, alias].join(', ');
    const nothing = (why: Extract<WordLine, { does: 'nothing' }>['why']): WordLine => ({
      ...{ line, does: 'nothing', why, said },
    });
    if (unreadable.has(line)) return nothing('unreadable');
    if (!kind) return nothing('kind');
    const found = find(kind, name);
    if (!found) return nothing('name');
    if (name.length > LONGEST || alias.length > LONGEST) return nothing('too long');
    const word = words.get(kind, found.key);
    const language = LANGUAGES.find((l) => l !== 'en' && l === cell('language').trim().toLowerCase());
    const isKnown =
      asCompared(alias) === '' ||
      [word?.name ?? name, ...(word?.aliases ?? [])].some((n) => asCompared(n) === asCompared(alias));
    const id = `${kind} ${found.key} ${asCompared(alias)}`;
    const isTwice = !isKnown && seen.has(id);
    if (!isKnown) seen.add(id);
    const of: OfWord = {
      ...{ kind, key: found.key, name: word?.name ?? name, alias: isKnown || isTwice ? '' : alias },
      ...(language && !isKnown && !isTwice ? { language } : {}),
    };
    const isNew = !word && !begun.has(found.key);
    const before = word ? ownDefinition(kind, found.key) : isNew ? freshDefinition(kind) : undefined;
    if (before && (isFull || isNew)) {
      begun.add(found.key);
      const { said: saidHere, faults } = readDefinition(kind, cell, find);
      const definition = withSaid(before, saidHere);
      const lacking = isLacking(definition);
      if (lacking) return nothing(lacking);
      const isOther = isNew || JSON.stringify(cellsOf(definition, words)) !== JSON.stringify(cellsOf(before, words));
      if (isOther) return { ...of, line, does: isNew ? 'makes' : 'changes', definition, faults };
    }
    if (asCompared(alias) === '') return nothing('no alias');
    if (isKnown) return { line, does: 'known', name: of.name, alias };
    if (isTwice) return nothing('twice');
    const alsoMeans = (meanings.get(asCompared(alias)) ?? [])
      .filter((w) => w !== word)
      .map((w) => `${w.kind}: ${w.name}`);
    return { ...of, line, does: 'adds', alsoMeans };
  });
};

/** What a definition says, for comparing: the same in the same words. */
const cellsOf = (definition: Definition, words: Words): Readonly<Partial<Record<string, string>>> =>
  definitionCells({ key: '', name: '', aliases: [], lead: null, facing: 'facing', ...definition } as Word, words);
