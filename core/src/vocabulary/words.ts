import { SHIPPED_WORDS } from './shipped/index.js';
import type {
  ActionWord,
  Circumstances,
  PositionWord,
  Role,
  Scope,
  SubmissionWord,
  TargetWord,
  Word,
  WordChange,
  WordKind,
} from './types.js';

type Of<K extends WordKind> = Extract<Word, { kind: K }>;

const LONGEST_KEY = 60;
/** The key of the action that tries a submission which has no action of its own. */
const tryKey = (submission: string): string => `try-${submission}`.slice(0, LONGEST_KEY);

/** Every submission can be tried: an action by its name that aims at it. */
const triesOf = (list: readonly Word[]): readonly ActionWord[] =>
  list.flatMap((w): ActionWord[] =>
    w.kind === 'submission'
      ? [
          {
            ...{ kind: 'action', key: tryKey(w.key), name: w.name, aliases: w.aliases, does: 'submission', from: [] },
            aims: [{ submission: w.key }],
          },
        ]
      : [],
  );
/** Submissions that have actions of their own, which aim at nothing else, each with the first of them. */
const triedIn = (list: readonly Word[]): ReadonlyMap<string, string> =>
  new Map(
    list
      .flatMap((w): (readonly [string, string])[] => {
        const aim = w.kind === 'action' && w.aims.length === 1 ? w.aims[0]! : undefined;
        return aim && 'submission' in aim ? [[aim.submission, w.key]] : [];
      })
      .reverse(),
  );

/** The words of one academy: the shipped list with the academy's own changes laid over it. */
export class Words {
  private readonly byKey = new Map<string, Word>();
  private readonly tried: ReadonlyMap<string, string>;
  readonly all: readonly Word[];
  /** All, and what is said without being a word of its own: trying a submission that has no action. */
  readonly said: readonly Word[];

  /** `list` is offered and read; `readOnly` is read where it stands already, but not offered. */
  constructor(list: readonly Word[], readOnly: readonly Word[] = []) {
    this.all = list;
    const every = [...list, ...readOnly];
    // what was told as such a try stays one, also when the submission has got an action of its own
    const tries = triesOf(every);
    this.tried = triedIn(list);
    this.said = [...list, ...triesOf(list.filter((w) => !this.tried.has(w.key)))];
    for (const word of [...every, ...tries]) this.byKey.set(`${word.kind}:${word.key}`, word);
  }

  /** The action by which a submission is tried: the first that aims at it and at nothing else, or the one that is said in its name; undefined of no submission here. */
  tryOf(submission: string): ActionWord | undefined {
    return this.action(this.tried.get(submission) ?? tryKey(submission));
  }

  get<K extends WordKind>(kind: K, key: string): Of<K> | undefined {
    return this.byKey.get(`${kind}:${key}`) as Of<K> | undefined;
  }

  of<K extends WordKind>(kind: K): readonly Of<K>[] {
    return this.said.filter((w): w is Of<K> => w.kind === kind);
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

const holds = (scope: Scope, { accountId, footageId }: Circumstances): boolean =>
  scope.kind === 'academy' || (scope.kind === 'coach' ? scope.accountId === accountId : scope.footageId === footageId);

const laidOver = (word: Word, name: string, change: WordChange, circumstances: Circumstances): Word => {
  const own = (change.aliases ?? []).filter((a) => holds(a.scope, circumstances));
  const languages = {
    ...word.languages,
    ...Object.fromEntries(own.flatMap(({ alias, language }) => (language ? [[alias, language]] : []))),
  };
  return {
    ...word,
    name,
    aliases: [...word.aliases, ...(name === word.name ? [] : [word.name]), ...own.map((a) => a.alias)],
    ...(Object.keys(languages).length ? { languages } : {}),
  };
};

/** The word that an academy's own definition makes; fields that a definition does not have are as plain as they can be. */
const ownWord = ({ key, name, definition }: WordChange): Word | undefined => {
  if (!definition) return undefined;
  const entry = { key, name: name ?? key, aliases: [] };
  return definition.kind === 'position'
    ? { ...entry, lead: null, facing: 'facing', ...definition }
    : { ...entry, ...definition };
};

/**
 * Lays an academy's changes over a list of words. A change keeps only what it names, so a renewed list shows through everywhere else;
 * aliases are added to the shipped ones; words with a definition are the academy's own. A new name and hiding hold in the scope of the change (an own
 * word is offered there only), each alias in its own. A hidden word, and an own word outside its scope, is still read where it stands, but offered no
 * more. Changes to words that the list does not have are kept out.
 */
export const withChanges = (
  list: readonly Word[],
  changes: readonly WordChange[],
  circumstances: Circumstances = {},
): Words => {
  const byKey = new Map(changes.map((c) => [`${c.kind}:${c.key}`, c]));
  const shipped = new Set(list.map((w) => `${w.kind}:${w.key}`));
  const own = changes.flatMap((c) => (shipped.has(`${c.kind}:${c.key}`) ? [] : (ownWord(c) ?? [])));
  const offered: Word[] = [],
    readOnly: Word[] = [];
  for (const word of [...list, ...own]) {
    const change = byKey.get(`${word.kind}:${word.key}`);
    if (!change) {
      offered.push(word);
      continue;
    }
    const isHere = holds(change.scope ?? { kind: 'academy' }, circumstances);
    const isOffered = change.definition ? isHere && !change.hidden : !(isHere && change.hidden);
    const name = change.definition || isHere ? (change.name ?? word.name) : word.name;
    (isOffered ? offered : readOnly).push(laidOver(word, name, change, circumstances));
  }
  return new Words(offered, readOnly);
};

export const shippedWords = (): Words => new Words(SHIPPED_WORDS);

/** The other role of a pair; `even` stays. */
export const otherRole = (role: Role): Role =>
  (({ even: 'even', top: 'bottom', bottom: 'top', attacker: 'defender', defender: 'attacker' }) as const)[role];
