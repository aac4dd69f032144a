import { tokens } from './tokens.js';
import type { Definition, Word, WordKind } from './types.js';

const LONGEST = 48;

/** A key for a new word: made of its name, told apart from shipped ones by its beginning, and from others (`isTaken`) by a number. */
export const ownKey = (name: string, isTaken: (key: string) => boolean): string => {
  const base = `own-${tokens(name)
    .map((t) => t.replace(/[^a-z0-9]/g, ''))
    .filter(Boolean)
    .join('-')
    .slice(0, LONGEST)}`.replace(/-+$/, '');
  for (let n = 1; ; n++) {
    const key = n === 1 ? base : `${base}-${n}`;
    if (!isTaken(key)) return key;
  }
};

/** The key of a value of a fact, made of what it says. */
export const valueKey = (says: string): string =>
  tokens(says)
    .map((t) => t.replace(/[^a-z0-9]/g, ''))
    .filter(Boolean)
    .join('-')
    .slice(0, LONGEST) || 'value';

/** Roles beside `even` are a pair. */
const PAIRS: readonly string[] = ['bottom top', 'attacker defender'];
/** Whether a position may have these roles: `even`, a pair, or both; the first one's height is the position's. */
export const areRoles = (roles: readonly string[]): boolean =>
  new Set(roles).size === roles.length &&
  (roles.join() === 'even' ||
    PAIRS.includes(
      roles
        .filter((r) => r !== 'even')
        .sort()
        .join(' '),
    ));
/** What a new word of a kind starts with. */
export const freshDefinition = (kind: WordKind): Definition => {
  switch (kind) {
    case 'position':
      return { kind, family: 'open guard', roles: ['bottom', 'top'], height: 0 };
    case 'action':
      return { kind, does: 'sweep', aims: [], from: [] };
    case 'target':
      return { kind, cloth: false, sided: true };
    case 'submission':
      return { kind, risk: { injures: '', class: 'joint lock', pain: 'warns late', care: '' } };
    case 'reaction':
      return { kind };
    case 'reason':
      return { kind };
    case 'fact':
      return { kind, values: [], sided: false, families: [], whose: 'subject' };
  }
};

/** The words that an own word stands on: what it is a kind of, what it aims at, what is held in it. */
export const namedIn = (definition: Definition): readonly Pick<Word, 'kind' | 'key'>[] => {
  const named = (kind: WordKind, keys: readonly (string | undefined)[]): readonly Pick<Word, 'kind' | 'key'>[] =>
    keys.flatMap((key) => (key === undefined ? [] : [{ kind, key }]));
  switch (definition.kind) {
    case 'position':
      return [
        ...named('position', [definition.parent]),
        ...named(
          'target',
          (definition.requires ?? []).map((r) => r.target),
        ),
      ];
    case 'action':
      return [
        ...named('action', [definition.parent]),
        ...definition.aims.flatMap((aim) =>
          'position' in aim
            ? named('position', [aim.position])
            : 'submission' in aim
              ? named('submission', [aim.submission])
              : [],
        ),
      ];
    case 'target':
      return named(
        'target',
        (definition.grips ?? []).map((g) => g.target),
      );
    default:
      return [];
  }
};
