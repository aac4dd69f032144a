import { SHIPPED_WORDS } from './shipped.js';
import type {
  ActionWord,
  PositionWord,
  Role,
  SubmissionWord,
  TargetWord,
  Word,
  WordChange,
  WordKind,
} from './types.js';

type Of<K extends WordKind> = Extract<Word, { kind: K }>;

/** The words of one academy: the shipped list with the academy's own changes laid over it. */
export class Words {
  private readonly byKey = new Map<string, Word>();
  readonly all: readonly Word[];

  constructor(list: readonly Word[]) {
    this.all = list;
    for (const word of list) this.byKey.set(`${word.kind}:${word.key}`, word);
  }

  get<K extends WordKind>(kind: K, key: string): Of<K> | undefined {
    return this.byKey.get(`${kind}:${key}`) as Of<K> | undefined;
  }

  of<K extends WordKind>(kind: K): readonly Of<K>[] {
    return this.all.filter((w): w is Of<K> => w.kind === kind);
  }

  position(key: string): PositionWord | undefined {
    return this.get('position', key);
  }
  action(key: string): ActionWord | undefined {
    return this.get('action', key);
  }
  target(key: string): TargetWord | undefined {
    return this.get('target', key);
  }
  submission(key: string): SubmissionWord | undefined {
    return this.get('submission', key);
  }

  /** The name of a word; an unknown key reads as itself, so that old data never shows nothing. */
  name(kind: WordKind, key: string): string {
    return this.get(kind, key)?.name ?? key;
  }

  hasRole(position: string, role: string): boolean {
    return this.position(position)?.roles.some((r) => r === role) ?? false;
  }
}

/**
 * Lays an academy's changes over a list of words. A change keeps only what it names, so a renewed list shows through everywhere else;
 * aliases are added to the shipped ones; a hidden word is left out. Changes to words that the list does not have are kept out.
 */
export const withChanges = (list: readonly Word[], changes: readonly WordChange[]): Words => {
  const byKey = new Map(changes.map((c) => [`${c.kind}:${c.key}`, c]));
  return new Words(
    list.flatMap((word): Word[] => {
      const change = byKey.get(`${word.kind}:${word.key}`);
      if (!change) return [word];
      if (change.hidden) return [];
      return [
        {
          ...word,
          name: change.name ?? word.name,
          aliases: [...word.aliases, ...(change.name ? [word.name] : []), ...(change.aliases ?? [])],
        },
      ];
    }),
  );
};

export const shippedWords = (): Words => new Words(SHIPPED_WORDS);

/** The other role of a pair; `even` stays. */
export const otherRole = (role: Role): Role =>
  (({ even: 'even', top: 'bottom', bottom: 'top', attacker: 'defender', defender: 'attacker' }) as const)[role];
