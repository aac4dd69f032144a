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

type Row = {
  readonly line: number;
  readonly cell: (name: (typeof HEAD)[number]) => string;
  readonly kind: WordKind | undefined;
  /** It says more than names. */ readonly isFull: boolean;
  readonly isOwn: boolean;
};

const rowsOf = ({ rows }: Pick<ReturnType<typeof readCsv>, 'rows'>, at: ReadonlyMap<string, number>): readonly Row[] =>
  rows.map(({ line, cells }) => {
    const cell = (name: (typeof HEAD)[number]): string => cells[at.get(name)!] ?? '';
    const kind = WORD_KINDS.find((k) => k === cell('kind').toLowerCase());
    const isFull = WORD_COLUMNS.some((column) => cell(column).trim() !== '');
    return { line, cell, kind, isFull, isOwn: saysYes(cell('own')) };
  });

/** Finds words that are there, and those that the list itself makes: they may be named in it, before and behind. */
const finderWith = (rows: readonly Row[], unreadable: ReadonlySet<number>, words: Words): FindWord => {
  const there = finderIn(words.all);
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
  return (kind, name) => there(kind, name) ?? made.get(idOf(kind, name));
};

const meaningsIn = (words: Words): ReadonlyMap<string, readonly Word[]> => {
  const meanings = new Map<string, Word[]>();
  for (const word of words.all)
    for (const name of [word.name, ...word.aliases]) {
      const id = asCompared(name);
      meanings.set(id, [...(meanings.get(id) ?? []), word]);
    }
  return meanings;
};

type Reading = {
  readonly words: Words;
  readonly find: FindWord;
  readonly ownDefinition: (kind: WordKind, key: string) => Definition | undefined;
  readonly meanings: ReadonlyMap<string, readonly Word[]>;
  readonly unreadable: ReadonlySet<number>;
  /** Words that lines before have begun, names that they have added. */ readonly begun: Set<string>;
  readonly seen: Set<string>;
};

/** What a line makes or changes of a word; null where it says nothing new of it. */
const defined = (
  { line, cell, isFull }: Row,
  of: OfWord,
  isNew: boolean,
  { words, find, ownDefinition, begun }: Reading,
): WordLine | 'risk' | 'sides' | null => {
  const { kind, key } = of;
  const before = words.get(kind, key) ? ownDefinition(kind, key) : isNew ? freshDefinition(kind) : undefined;
  if (!before || !(isFull || isNew)) return null;
  begun.add(key);
  const { said, faults } = readDefinition(kind, cell, find);
  const definition = withSaid(before, said);
  const lacking = isLacking(definition);
  if (lacking) return lacking;
  const isOther = isNew || JSON.stringify(cellsOf(definition, words)) !== JSON.stringify(cellsOf(before, words));
  return isOther ? { ...of, line, does: isNew ? 'makes' : 'changes', definition, faults } : null;
};

const lineOf = (row: Row, reading: Reading): WordLine => {
  const { line, cell, kind } = row;
  const { words, find, meanings, unreadable, begun, seen } = reading;
  const [name, alias] = [cell('name'), cell('alias')];
  const nothing = (why: Extract<WordLine, { does: 'nothing' }>['why']): WordLine => ({
    ...{ line, does: 'nothing', why, said: [cell('kind'), name, alias].join(', ') },
  });
  if (unreadable.has(line)) return nothing('unreadable');
  if (!kind) return nothing('kind');
  const found = find(kind, name);
  if (!found) return nothing('name');
  if (name.length > LONGEST || alias.length > LONGEST) return nothing('too long');
  const word = words.get(kind, found.key);
  const language = LANGUAGES.find((l) => l !== 'en' && l === cell('language').trim().toLowerCase());
  const compared = asCompared(alias);
  const isKnown =
    compared === '' || [word?.name ?? name, ...(word?.aliases ?? [])].some((n) => asCompared(n) === compared);
  const id = `${kind} ${found.key} ${compared}`;
  const isTwice = !isKnown && seen.has(id);
  if (!isKnown) seen.add(id);
  const of: OfWord = {
    ...{ kind, key: found.key, name: word?.name ?? name, alias: isKnown || isTwice ? '' : alias },
    ...(language && !isKnown && !isTwice ? { language } : {}),
  };
  const more = defined(row, of, !word && !begun.has(found.key), reading);
  if (more) return typeof more === 'string' ? nothing(more) : more;
  if (compared === '') return nothing('no alias');
  if (isKnown) return { line, does: 'known', name: of.name, alias };
  if (isTwice) return nothing('twice');
  const alsoMeans = (meanings.get(compared) ?? []).filter((w) => w !== word).map((w) => `${w.kind}: ${w.name}`);
  return { ...of, line, does: 'adds', alsoMeans };
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
  const rows = rowsOf(table, at);
  const unreadable = new Set(table.faults.map((f) => f.line));
  const reading: Reading = {
    ...{ words, ownDefinition, unreadable, meanings: meaningsIn(words) },
    ...{ find: finderWith(rows, unreadable, words), begun: new Set(), seen: new Set() },
  };
  return rows.map((row) => lineOf(row, reading));
};

/** What a definition says, for comparing: the same in the same words. */
const cellsOf = (definition: Definition, words: Words): Readonly<Partial<Record<string, string>>> =>
  definitionCells({ key: '', name: '', aliases: [], lead: null, facing: 'facing', ...definition } as Word, words);
