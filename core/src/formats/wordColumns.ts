import {
  ACTION_KINDS,
  CONTROL_KINDS,
  DANGERS,
  FAMILIES,
  LEAD_LIMBS,
  LIMBS,
  RISK_CLASSES,
  RISK_PAIN,
  ROLES,
  asCompared,
  valueKey,
  type Aim,
  type ControlPattern,
  type Definition,
  type FactValue,
  type FactWord,
  type Ladder,
  type NamedGrip,
  type PositionWord,
  type Risk,
  type Word,
  type WordKind,
  type Words,
} from '../vocabulary/index.js';

import { saysYes } from './csv.js';

/** Columns of a list of words that say what a word is beside what it is called. */
export const WORD_COLUMNS = [
  'family',
  'roles',
  'height',
  'lead',
  'parent',
  'requires',
  'does',
  'from',
  'aims',
  'ladder',
  'dangers',
  'cloth',
  'sided',
  'grips',
  'injures',
  'class',
  'pain',
  'care',
  'values',
  'whose',
] as const;
export type WordColumn = (typeof WORD_COLUMNS)[number];

const BAR = ' | ';
/** Between the ways of saying one value of a fact. */
const SAME = ' = ';
const WHOSE = ['subject', 'opponent', 'both'] as const satisfies readonly FactWord['whose'][];
/** Lists in a cell: the parts between bars or semicolons. */
export const several = (cell: string): readonly string[] =>
  cell
    .split(/[|;]/)
    .map((part) => part.trim())
    .filter(Boolean);

const yesOrNo = (is: boolean): string => (is ? 'yes' : 'no');
const holdText = ({ limb, kind, target }: NamedGrip | ControlPattern, words: Words): string =>
  `${limb} ${kind} ${words.name('target', target)}`;
const aimText = (aim: Aim, words: Words): string =>
  'submission' in aim
    ? words.name('submission', aim.submission)
    : 'position' in aim
      ? `${words.name('position', aim.position)} ${aim.role}`
      : `any ${aim.family} ${aim.role}`;

/** What a word is, in cells that {@link readDefinition} reads back. */
export const definitionCells = (word: Word, words: Words): Readonly<Partial<Record<WordColumn, string>>> => {
  const parent = 'parent' in word && word.parent !== undefined ? { parent: words.name(word.kind, word.parent) } : {};
  switch (word.kind) {
    case 'position':
      return {
        ...parent,
        family: word.family,
        roles: word.roles.join(BAR),
        height: String(word.height),
        lead: word.lead ? `${word.lead.role} ${word.lead.limb}` : '',
        requires: (word.requires ?? [])
          .map((r) => `${r.holder} ${r.bothSides ? 'both ' : ''}${holdText(r, words)}`)
          .join(BAR),
      };
    case 'action':
      return {
        ...parent,
        does: word.does,
        from: word.from.join(BAR),
        aims: word.aims.map((aim) => aimText(aim, words)).join(BAR),
        ladder: word.ladder?.join(BAR) ?? '',
        dangers: word.dangers?.join(BAR) ?? '',
      };
    case 'target':
      return {
        cloth: yesOrNo(word.cloth),
        sided: yesOrNo(word.sided),
        grips: (word.grips ?? []).map((g) => [g.limbSide, holdText(g, words)].filter(Boolean).join(' ')).join(BAR),
      };
    case 'submission':
      return { injures: word.risk.injures, class: word.risk.class, pain: word.risk.pain, care: word.risk.care };
    case 'reaction':
    case 'reason':
      return {};
    case 'fact':
      return {
        from: word.families.join(BAR),
        sided: yesOrNo(word.sided),
        whose: word.whose,
        values: word.values.map((v) => [v.says, ...v.aliases].join(SAME)).join(BAR),
      };
  }
};

type Fields<K extends WordKind> = Partial<Omit<Extract<Definition, { kind: K }>, 'kind' | 'risk'>>;
/** What the cells of a line say of a word; what they do not say is absent. */
export type SaidDefinition = Fields<'position'> &
  Fields<'action'> &
  Fields<'target'> &
  Fields<'fact'> & { readonly risk?: Partial<Risk> };

/** The values that a line says of a fact, each under the key it had: what is kept of attempts names it. */
const valuesKept = (before: readonly FactValue[], said: readonly FactValue[]): readonly FactValue[] =>
  said.map((value) => {
    const known = before.find((v) => asCompared(v.says) === asCompared(value.says));
    return known ? { ...known, ...value, key: known.key } : value;
  });

/** A word, or what one is, with what a line says of it. */
export const withSaid = <T extends Word | Definition>(before: T, { risk, ...said }: SaidDefinition): T => {
  if (before.kind === 'submission') return { ...before, risk: { ...before.risk, ...risk } };
  if (before.kind === 'fact' && said.values)
    return { ...before, ...said, values: valuesKept(before.values, said.values) };
  return { ...before, ...said };
};

/** A cell that could not be read. */
export type CellFault = { readonly column: WordColumn; readonly text: string };

const oneOf = <T extends string>(all: readonly T[], text: string): T | undefined =>
  all.find((one) => one === text.trim().toLowerCase());

/** Finds a word of a kind by what it is called; gives its key. */
export type FindWord = (kind: WordKind, name: string) => { readonly key: string; readonly cloth?: boolean } | undefined;

/** A value of a fact: what it says, then its other names. */
const factValue = (text: string): FactValue | undefined => {
  const [says, ...aliases] = text
    .split('=')
    .map((part) => part.trim())
    .filter(Boolean);
  return says === undefined ? undefined : { key: valueKey(says), says, aliases };
};

/**
 * Reads what a line says a word is. `cell` gives the text of a column, empty where there is none. Words that it names are found by `find`. What cannot be read is
 * given back by column.
 */
export const readDefinition = (
  kind: WordKind,
  cell: (column: WordColumn) => string,
  find: FindWord,
): { readonly said: SaidDefinition; readonly faults: readonly CellFault[] } => {
  const faults: CellFault[] = [];
  const read = <T>(column: WordColumn, text: string, of: (text: string) => T | undefined): T | undefined => {
    if (text === '') return undefined;
    const found = of(text);
    if (found === undefined) faults.push({ column, text });
    return found;
  };
  const one = <T>(column: WordColumn, of: (text: string) => T | undefined): T | undefined =>
    read(column, cell(column).trim(), of);
  const list = <T>(
    column: WordColumn,
    of: (text: string) => T | undefined,
    bars = /[|;]/,
  ): readonly T[] | undefined => {
    const texts = cell(column)
      .split(bars)
      .map((text) => text.trim())
      .filter(Boolean);
    const found = texts.flatMap((text) => read(column, text, of) ?? []);
    return found.length ? found : undefined;
  };
  const role = (text: string | undefined) => oneOf(ROLES, text ?? '');
  const isYes = (text: string): boolean | undefined =>
    saysYes(text) ? true : /^(no|n|0|false)$/i.test(text) ? false : undefined;
  /** `limb kind target`, as in *hand grip sleeve*. */
  const hold = (
    text: string,
  ): (Pick<NamedGrip, 'limb' | 'kind' | 'target'> & { readonly cloth: boolean }) | undefined => {
    const [first = '', second = '', ...rest] = text.split(/\s+/);
    const [limb, held, target] = [oneOf(LIMBS, first), oneOf(CONTROL_KINDS, second), find('target', rest.join(' '))];
    return limb && held && target ? { limb, kind: held, target: target.key, cloth: target.cloth ?? false } : undefined;
  };
  const aim = (text: string): Aim | undefined => {
    const submission = find('submission', text);
    if (submission) return { submission: submission.key };
    const words = text.split(/\s+/);
    const of = role(words.at(-1));
    const place = words.slice(0, -1).join(' ');
    if (!of) return undefined;
    const family = /^any\s/i.test(place) ? oneOf(FAMILIES, place.slice(4)) : undefined;
    if (family) return { family, role: of };
    const position = find('position', place);
    return position && { position: position.key, role: of };
  };
  const with_ = <K extends keyof SaidDefinition>(field: K, value: SaidDefinition[K] | undefined): SaidDefinition =>
    value === undefined ? {} : { [field]: value };
  const parent = (): SaidDefinition =>
    with_(
      'parent',
      one('parent', (text) => find(kind, text)?.key),
    );
  const said = ((): SaidDefinition => {
    switch (kind) {
      case 'position':
        return {
          ...parent(),
          ...with_(
            'family',
            one('family', (text) => oneOf(FAMILIES, text)),
          ),
          ...with_('roles', list('roles', role, /[|;/,]/)),
          ...with_(
            'height',
            one('height', (text) => {
              const height = Number(text.replace('−', '-'));
              return Math.abs(height) <= 5 ? height : undefined;
            }),
          ),
          ...with_(
            'lead',
            one('lead', (text): NonNullable<PositionWord['lead']> | undefined => {
              const [of, limb] = text.split(/\s+/);
              const [whose, which] = [role(of), oneOf(LEAD_LIMBS, limb ?? '')];
              return whose && which && { role: whose, limb: which };
            }),
          ),
          ...with_(
            'requires',
            list('requires', (text): ControlPattern | undefined => {
              const [of, ...rest] = text.split(/\s+/);
              const bothSides = rest[0]?.toLowerCase() === 'both';
              const [holder, held] = [role(of), hold(rest.slice(bothSides ? 1 : 0).join(' '))];
              return holder && held && { holder, ...held, bothSides };
            }),
          ),
        };
      case 'action':
        return {
          ...parent(),
          ...with_(
            'does',
            one('does', (text) => oneOf(ACTION_KINDS, text)),
          ),
          ...with_(
            'from',
            list('from', (text) => oneOf(FAMILIES, text)),
          ),
          ...with_('aims', list('aims', aim)),
          ...with_(
            'ladder',
            one('ladder', (text): Ladder | undefined => {
              const rungs = several(text);
              return rungs.length === 5 ? (rungs as unknown as Ladder) : undefined;
            }),
          ),
          ...with_(
            'dangers',
            list('dangers', (text) => oneOf(DANGERS, text)),
          ),
        };
      case 'target':
        return {
          ...with_('cloth', one('cloth', isYes)),
          ...with_('sided', one('sided', isYes)),
          ...with_(
            'grips',
            list('grips', (text): NamedGrip | undefined => {
              const [first = '', ...rest] = text.split(/\s+/);
              const limbSide = oneOf(['left', 'right'] as const, first);
              const held = hold(limbSide ? rest.join(' ') : text);
              if (!held) return undefined;
              const { cloth: _, ...grip } = held;
              void _;
              return { ...grip, ...(limbSide ? { limbSide } : {}) };
            }),
          ),
        };
      case 'submission': {
        const risk = {
          ...(cell('injures').trim() ? { injures: cell('injures').trim() } : {}),
          ...(cell('care').trim() ? { care: cell('care').trim() } : {}),
          ...Object.fromEntries(
            [
              ['class', one('class', (text) => oneOf(RISK_CLASSES, text))] as const,
              ['pain', one('pain', (text) => oneOf(RISK_PAIN, text))] as const,
            ].filter(([, value]) => value !== undefined),
          ),
        };
        return Object.keys(risk).length ? { risk } : {};
      }
      case 'reaction':
      case 'reason':
        return {};
      case 'fact':
        return {
          ...with_(
            'families',
            list('from', (text) => oneOf(FAMILIES, text)),
          ),
          ...with_('sided', one('sided', isYes)),
          ...with_(
            'whose',
            one('whose', (text) => oneOf(WHOSE, text)),
          ),
          ...with_('values', list('values', factValue)),
        };
    }
  })();
  return { said, faults };
};

/** Finds words of a list by what they are called, whole. */
export const finderIn = (all: readonly Word[]): FindWord => {
  const byName = new Map<string, Word>();
  for (const word of all)
    for (const name of [word.name, ...word.aliases]) {
      const id = `${word.kind} ${asCompared(name)}`;
      if (!byName.has(id)) byName.set(id, word);
    }
  return (kind, name) => {
    const word = byName.get(`${kind} ${asCompared(name)}`);
    return word && { key: word.key, ...(word.kind === 'target' ? { cloth: word.cloth } : {}) };
  };
};
