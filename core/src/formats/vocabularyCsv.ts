import {
  SHIPPED_WORDS,
  Words,
  asCompared,
  type ActionWord,
  type Family,
  type PositionWord,
  type Role,
  type Word,
  type WordKind,
} from '../vocabulary/index.js';
import { readCsv } from './csv.js';

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
};

/** Lists in a cell: the parts between bars or semicolons. */
const several = (cell: string): readonly string[] =>
  cell
    .split(/[|;]/)
    .map((part) => part.trim())
    .filter(Boolean);

const keyOf = (name: string): string => asCompared(name).replaceAll(' ', '-');

const PLAIN_RISK = { injures: '', class: 'joint lock', pain: 'does not warn', care: '' } as const;

/** A word of which the list knows only what it is called: any role that is said is taken, nothing else is expected of it. */
const plainWord = (
  kind: WordKind,
  key: string,
  name: string,
  aliases: readonly string[],
  more: { readonly roles: readonly string[]; readonly family: string },
): Word => {
  const entry = { key, name, aliases };
  switch (kind) {
    case 'position':
      return {
        ...{ kind, ...entry, family: (more.family || 'scramble') as Family, height: 0, lead: null, facing: 'facing' },
        roles: more.roles as readonly Role[],
      } satisfies PositionWord;
    case 'action':
      return { kind, ...entry, does: 'advance', aims: [], from: [] } satisfies ActionWord;
    case 'target':
      return { kind, ...entry, cloth: false, sided: true };
    case 'submission':
      return { kind, ...entry, risk: PLAIN_RISK };
    case 'reaction':
    case 'reason':
      return { kind, ...entry };
  }
};

/**
 * The words of a list with the columns `kind`, `name` and `alias` (or `aliases`, several parted by bars), in any order, a line for each alias or for
 * each word; `roles`, `family` and `key` may stand there too. A word that ships with the product, found by its name or an alias, brings along what it is
 * (its roles, what it aims at); of all others only what they are called is known. Lines of no known kind are given back.
 */
export const readVocabulary = (
  text: string,
): { readonly words: Words; readonly skipped: readonly number[] } | 'head missing' => {
  const table = readCsv(text);
  const head = table.head.map((cell) => cell.trim().toLowerCase());
  const column = (...names: readonly string[]): number => head.findIndex((cell) => names.includes(cell));
  const [kindAt, nameAt, aliasAt] = [column('kind', 'type'), column('name', 'term'), column('alias', 'aliases')];
  if (kindAt < 0 || nameAt < 0) return 'head missing';
  const [rolesAt, familyAt, keyAt] = [column('roles', 'role'), column('family'), column('key')];
  const found = new Map<
    string,
    { kind: WordKind; key: string; name: string; aliases: string[]; roles: string[]; family: string }
  >();
  const skipped: number[] = [];
  for (const { line, cells } of table.rows) {
    const cell = (at: number): string => (at < 0 ? '' : (cells[at] ?? '').trim());
    const kind = KINDS[cell(kindAt).toLowerCase()];
    const name = cell(nameAt);
    if (!kind || asCompared(name) === '') {
      skipped.push(line);
      continue;
    }
    const id = `${kind} ${asCompared(name)}`;
    const word = found.get(id) ?? { kind, key: cell(keyAt) || keyOf(name), name, aliases: [], roles: [], family: '' };
    word.aliases.push(...several(cell(aliasAt)));
    word.roles.push(...several(cell(rolesAt).replaceAll(/[/,]/g, '|')));
    word.family ||= cell(familyAt);
    found.set(id, word);
  }
  const shipped = new Map<string, Word>();
  for (const word of SHIPPED_WORDS)
    for (const name of [word.name, ...word.aliases]) {
      const id = `${word.kind} ${asCompared(name)}`;
      if (!shipped.has(id)) shipped.set(id, word);
    }
  for (const word of SHIPPED_WORDS) shipped.set(`${word.kind} ${asCompared(word.name)}`, word);
  const words = [...found].map(([id, { kind, key, name, aliases, roles, family }]): Word => {
    const same = shipped.get(id);
    return same
      ? { ...same, name, aliases }
      : plainWord(kind, key, name, aliases, { roles: [...new Set(roles)], family });
  });
  return { words: new Words(words), skipped };
};
