import {
  LANGUAGES,
  SHIPPED_WORDS,
  Words,
  asCompared,
  type Language,
  type Word,
  type WordKind,
} from '../vocabulary/index.js';
import { readCsv } from './csv.js';
import { WORD_COLUMNS, finderIn, readDefinition, several, withSaid, type WordColumn } from './wordColumns.js';

/** What the kinds of words are also called in a list. */
const KINDS: Readonly<Record<string, WordKind>> = {
  position: 'position',
  state: 'position',
  place: 'position',
  action: 'action',
  entry: 'action',
  target: 'target',
  grip: 'target',
  control: 'target',
  submission: 'submission',
  reaction: 'reaction',
  reason: 'reason',
  fact: 'fact',
};

const keyOf = (name: string): string => asCompared(name).replaceAll(' ', '-');

/** A word of a list with the cells that say what it is: the first that says something. */
type Listed = {
  kind: WordKind;
  key: string;
  name: string;
  aliases: string[];
  languages: Record<string, Language>;
  cells: Partial<Record<WordColumn, string>>;
};

/** What is taken of a word of which a list says no more: any role that is said where it names none, nothing is expected of it. */
const plainWord = ({ kind, key, name, aliases, languages }: Listed): Word => {
  const entry = { key, name, aliases, ...(Object.keys(languages).length ? { languages } : {}) };
  switch (kind) {
    case 'position':
      return { kind, ...entry, family: 'scramble', roles: [], height: 0, lead: null, facing: 'facing' };
    case 'action':
      return { kind, ...entry, does: 'advance', aims: [], from: [] };
    case 'target':
      return { kind, ...entry, cloth: false, sided: true };
    case 'submission':
      return { kind, ...entry, risk: { injures: '', class: 'joint lock', pain: 'does not warn', care: '' } };
    case 'reaction':
    case 'reason':
      return { kind, ...entry };
    case 'fact':
      return { kind, ...entry, values: [], sided: false, families: [], whose: 'subject' };
  }
};

/** A way of saying something that names two words of one kind. */
export type Clash = { readonly kind: WordKind; readonly alias: string; readonly name: readonly [string, string] };
const clashesIn = (list: readonly Word[]): readonly Clash[] => {
  const known = new Map<string, Word>();
  return list.flatMap((word) =>
    [word.name, ...word.aliases].flatMap((alias): Clash[] => {
      const id = `${word.kind} ${asCompared(alias)}`;
      const other = known.get(id);
      if (!other) known.set(id, word);
      return other && other !== word ? [{ kind: word.kind, alias, name: [other.name, word.name] }] : [];
    }),
  );
};

/**
 * The words of a list with the columns `kind`, `name` and `alias` (or `aliases`, several parted by bars), in any order, a line for each alias or for
 * each word. Further columns may say the `key` of a word, what it is ({@link readDefinition}), and of the alias of a line its `language`. A word that ships with the product, found by its name alone, brings along what it is; of all others only what the list says.
 * Lines of no known kind, and ways of saying that name two words, are given back.
 */
export const readVocabulary = (
  text: string,
):
  | { readonly words: Words; readonly skipped: readonly number[]; readonly clashes: readonly Clash[] }
  | 'head missing' => {
  const table = readCsv(text);
  const head = table.head.map((cell) => cell.trim().toLowerCase());
  const column = (...names: readonly string[]): number => head.findIndex((cell) => names.includes(cell));
  const [kindAt, nameAt, aliasAt] = [column('kind', 'type'), column('name', 'term'), column('alias', 'aliases')];
  if (kindAt < 0 || nameAt < 0) return 'head missing';
  const found = new Map<string, Listed>();
  const skipped: number[] = [];
  for (const { line, cells } of table.rows) {
    const cell = (...names: readonly string[]): string => {
      const at = column(...names);
      return at < 0 ? '' : (cells[at] ?? '').trim();
    };
    const kind = KINDS[cell('kind', 'type').toLowerCase()];
    const name = cell('name', 'term');
    if (!kind || asCompared(name) === '') {
      skipped.push(line);
      continue;
    }
    const id = `${kind} ${asCompared(name)}`;
    const word: Listed = found.get(id) ?? {
      ...{ kind, key: cell('key') || keyOf(name), name, aliases: [], languages: {}, cells: {} },
    };
    const aliases = aliasAt < 0 ? [] : several(cells[aliasAt] ?? '');
    const language = LANGUAGES.find((l) => l === cell('language').toLowerCase());
    word.aliases.push(...aliases);
    if (language && language !== 'en') for (const alias of aliases) word.languages[alias] = language;
    for (const name of WORD_COLUMNS) word.cells[name] ||= name === 'roles' ? cell('roles', 'role') : cell(name);
    found.set(id, word);
  }
  const shipped = new Map(SHIPPED_WORDS.map((word) => [`${word.kind} ${asCompared(word.name)}`, word]));
  const plain = [...found].map(([id, listed]) => {
    const same = shipped.get(id);
    return { listed, word: same ? { ...same, name: listed.name, aliases: listed.aliases } : plainWord(listed) };
  });
  // what a list says of a word may name others of the list
  const find = finderIn(plain.map(({ word }) => word));
  const list = plain.map(({ word, listed }) =>
    withSaid(word, readDefinition(word.kind, (column) => listed.cells[column] ?? '', find).said),
  );
  return { words: new Words(list), skipped, clashes: clashesIn(list) };
};
