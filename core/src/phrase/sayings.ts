import { tokens, type Words } from '../vocabulary/index.js';
import { beginAlike, fitSpelled, spelled, type Spelled } from './slips.js';

/** What a way of saying something names. */
export type Named = {
  readonly kind: 'position' | 'action' | 'target' | 'submission' | 'reaction' | 'reason';
  readonly key: string;
};

/** One way of saying a word: its name, an alias, or what is made of them (its initials, its tokens in one). */
export type Saying = {
  readonly named: Named;
  readonly tokens: readonly number[];
  /** What each token weighs: rare ones tell more. */ readonly weights: readonly number[];
  readonly total: number;
  /** Taken off for what is made of a name. */ readonly less: number;
};

/** Small words: they may stand in a name, and may be left out of it. */
export const SMALL = new Set(
  'a an the of on in at to from with and his her their its my your our by for up into onto'.split(' '),
);

/** Before initials, which are only taken as they are: no letter stands for it. */
const INITIALS = '#';

/** The ways of saying all words, taken apart for reading. */
export class Sayings {
  private readonly vocabulary: Spelled[] = [];
  private readonly ids = new Map<string, number>();
  /** Sayings by token. */ readonly holding: number[][] = [];
  readonly all: Saying[] = [];
  /** Tokens that were read as one of the words between, as what. */ readonly between = new Map<string, string>();
  private readonly fits = new Map<string, ReadonlyMap<number, number>>();

  constructor(words: Words) {
    const said = words.all.flatMap((word) =>
      [word.name, ...word.aliases].map((text, i) => ({
        named: { kind: word.kind, key: word.key },
        tokens: tokens(text),
        less: i ? 0.01 : 0,
      })),
    );
    const counts = new Map<string, Set<string>>();
    for (const { named, tokens: all } of said)
      for (const t of all) counts.set(t, (counts.get(t) ?? new Set()).add(`${named.kind} ${named.key}`));
    const most = Math.log(2 + said.length);
    const weigh = (t: string): number =>
      SMALL.has(t) ? 0.12 : 0.35 + 0.65 * (1 - Math.log(1 + (counts.get(t)?.size ?? 1)) / most);
    for (const { named, tokens: all, less } of said) {
      if (!all.length) continue;
      this.add(named, all, all.map(weigh), less);
      if (all.length === 1) continue;
      const telling = all.filter((t) => !SMALL.has(t));
      if (all.length <= 3) this.add(named, [all.join('')], [1], less + 0.03);
      for (const from of new Set([all, telling].map((some) => some.map((t) => t[0]).join(''))))
        if (from.length >= 2) this.add(named, [INITIALS + from], [1], less + 0.12);
    }
  }

  /** Whether it stands in a name or an alias as it is. */
  isWord(token: string): boolean {
    return this.ids.has(token);
  }

  private idOf(token: string): number {
    const known = this.ids.get(token);
    if (known !== undefined) return known;
    const id = this.vocabulary.push(spelled(token)) - 1;
    this.ids.set(token, id);
    this.holding.push([]);
    return id;
  }

  private add(named: Named, all: readonly string[], weights: readonly number[], less: number): void {
    const ids = all.map((t) => this.idOf(t));
    const at = this.all.push({ named, tokens: ids, weights, total: weights.reduce((a, b) => a + b, 0), less }) - 1;
    for (const id of new Set(ids)) this.holding[id]!.push(at);
  }

  /** The tokens of the vocabulary that a typed one may be, with how well it fits each. Kept: the same words are read again with every key. */
  fitsOf(typed: string): ReadonlyMap<number, number> {
    const known = this.fits.get(typed);
    if (known) return known;
    const found = new Map<number, number>();
    const same = this.ids.get(typed);
    const asInitials = this.ids.get(INITIALS + typed);
    if (asInitials !== undefined) found.set(asInitials, 1);
    if (SMALL.has(typed)) {
      if (same !== undefined) found.set(same, 1);
    } else {
      const ready = spelled(typed);
      for (let id = 0; id < this.vocabulary.length; id++) {
        const word = this.vocabulary[id]!;
        const how = beginAlike(ready, word) ? fitSpelled(ready, word, same !== undefined) : 0;
        if (how > 0) found.set(id, how);
      }
    }
    if (this.fits.size > 5000) this.fits.clear();
    this.fits.set(typed, found);
    return found;
  }
}

const known = new WeakMap<Words, Sayings>();
/** The sayings of some words, made once. */
export const sayingsOf = (words: Words): Sayings => {
  const before = known.get(words);
  if (before) return before;
  const made = new Sayings(words);
  known.set(words, made);
  return made;
};
