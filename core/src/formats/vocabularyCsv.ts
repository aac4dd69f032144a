import {
  SHIPPED_WORDS,
  Words,
  asCompared,
  ACTION_KINDS,
  FAMILIES,
  LANGUAGES,
  type ActionWord,
  type Aim,
  type Family,
  type Language,
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

/** What a line of a list may say of a word beside what it is called. */
type More = {
  roles: string[];
  family: string;
  does: string;
  from: string[];
  aims: string[];
  lead: string;
  parent: string;
  height: string;
};
type Listed = More & {
  kind: WordKind;
  key: string;
  name: string;
  aliases: string[];
  languages: Record<string, Language>;
};

const leadOf = (said: string): PositionWord['lead'] => {
  const [role, limb] = said.toLowerCase().split(/\s+/);
  return role && limb ? { role: role as Role, limb } : null;
};

/** A word of which the list alone knows what it is: any role that is said is taken where it names none, nothing is expected of it that it does not say. */
const ownWord = (listed: Listed): Word => {
  const { kind, key, name, aliases, roles, family, does, from, lead, height, languages } = listed;
  const entry = { key, name, aliases, ...(Object.keys(languages).length ? { languages } : {}) };
  switch (kind) {
    case 'position':
      return {
        ...{ kind, ...entry, family: (family || 'scramble') as Family, height: Number(height) || 0, facing: 'facing' },
        ...{ roles: [...new Set(roles)] as readonly Role[], lead: leadOf(lead) },
      } satisfies PositionWord;
    case 'action':
      return {
        ...{ kind, ...entry, does: ACTION_KINDS.find((d) => d === does.toLowerCase()) ?? 'advance', aims: [] },
        from: FAMILIES.filter((f) => from.some((said) => said.toLowerCase() === f)),
      } satisfies ActionWord;
    case 'target':
      return { kind, ...entry, cloth: false, sided: true };
    case 'submission':
      return { kind, ...entry, risk: PLAIN_RISK };
    case 'reaction':
    case 'reason':
      return { kind, ...entry };
  }
};

/** What an action of a list aims at, by the names of the list: a place with its role behind it, or a submission. */
const aimsOf = (said: readonly string[], list: readonly Word[]): readonly Aim[] => {
  const named = (kind: WordKind, text: string): Word | undefined =>
    list.find((w) => w.kind === kind && [w.name, ...w.aliases].some((n) => asCompared(n) === asCompared(text)));
  return said.flatMap((text): Aim[] => {
    const submission = named('submission', text);
    if (submission) return [{ submission: submission.key }];
    const words = text.trim().split(/\s+/);
    const place = named('position', words.slice(0, -1).join(' '));
    return place ? [{ position: place.key, role: words.at(-1)!.toLowerCase() as Role }] : [];
  });
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
 * each word. Further columns may say what a word is: `roles`, `family`, `key`, `height`, `lead` (whose limb: *top leg*), `parent`, for actions `does`, `from` (families) and `aims` (*side control
 * top*, or a submission), and of the alias of a line its `language`. A word that ships with the product, found by its name alone, brings along what it is; of all others only what the list says.
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
      ...{ kind, key: cell('key') || keyOf(name), name, aliases: [], languages: {} },
      ...{ roles: [], family: '', does: '', from: [], aims: [], lead: '', parent: '', height: '' },
    };
    const aliases = aliasAt < 0 ? [] : several(cells[aliasAt] ?? '');
    const language = LANGUAGES.find((l) => l === cell('language').toLowerCase());
    word.aliases.push(...aliases);
    if (language && language !== 'en') for (const alias of aliases) word.languages[alias] = language;
    word.roles.push(...several(cell('roles', 'role').replaceAll(/[/,]/g, '|')));
    word.from.push(...several(cell('from')));
    word.aims.push(...several(cell('aims')));
    for (const field of ['family', 'does', 'lead', 'parent', 'height'] as const) word[field] ||= cell(field);
    found.set(id, word);
  }
  const shipped = new Map(SHIPPED_WORDS.map((word) => [`${word.kind} ${asCompared(word.name)}`, word]));
  const plain = [...found].map(([id, listed]): Word => {
    const same = shipped.get(id);
    return same ? { ...same, name: listed.name, aliases: listed.aliases } : ownWord(listed);
  });
  const list = plain.map((word, i): Word => {
    const { aims, parent } = [...found.values()][i]!;
    const over = plain.find((w) => w.kind === word.kind && asCompared(w.name) === asCompared(parent));
    const under = over && parent ? { parent: over.key } : {};
    if (word.kind === 'action') return { ...word, ...under, ...(aims.length ? { aims: aimsOf(aims, plain) } : {}) };
    return word.kind === 'position' ? { ...word, ...under } : word;
  });
  return { words: new Words(list), skipped, clashes: clashesIn(list) };
};
