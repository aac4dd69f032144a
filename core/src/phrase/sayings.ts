import type { Words } from '../vocabulary/index.js';
import { isEveryday } from './everyday.js';
import { SpelledWords, beginAlike, fitSpelled, spelled } from '../spelling/index.js';
import { writtenTokens } from './tokens.js';

/** What a way of saying something names. */
export type Named = {
  readonly kind: 'position' | 'action' | 'target' | 'submission' | 'reaction' | 'reason';
  readonly key: string;
};

/** One way of saying a word: its name, an alias, or what is made of them (its initials, its tokens in one). */
export type Saying = {
  readonly named: Named;
  readonly tokens: readonly number[];
  /** Whether something that parts is written before each token. */ readonly opens: readonly boolean[];
  /** Tokens that may be left out: small words, and the heads of names (*guard*, *sweep*), one bit each. */ readonly spare: number;
  /** Small words, one bit each. */ readonly small: number;
  /** Words of every day, one bit each: by themselves they name nothing. */ readonly everyday: number;
  /** Taken off for what is made of a name. */ readonly less: number;
};

/** Small words: they may stand in a name, and may be left out of it. */
export const SMALL = new Set(
  'a an the of on in at to from with and his her their its my your our by for up into onto them him'.split(' '),
);
/** Small words that may stand between the words of a name without being of it. */
export const BETWEEN = new Set('a an the of on in at his her their its my your our them him'.split(' '));
export const ARTICLES: ReadonlySet<string> = new Set(['a', 'an', 'the']);
/** What kind of thing a name is: left out as often as said. */
const HEADS = new Set('guard pass sweep takedown choke hold control position throw lock'.split(' '));

/** Before initials, which are only taken as they are: no letter stands for it. */
const INITIALS = '#';
const JOINED_LESS = 0.03;
const INITIALS_LESS = 0.15;
/** Two letters may be anything: asked about. */
const TWO_INITIALS_LESS = 0.36;
const ALIAS_LESS = 0.01;
/** Of two letters only vowels may be missing. */
const TWO_LETTERS_LEAST = 0.84;
/** What is said for trying it or for getting there, though it is the name of the thing itself. */
const BY_AIM_LESS = 0.02;

type Text = { readonly named: Named; readonly text: string; readonly less: number };

/** The names of a submission are said for trying it too. */
const byAim = (words: Words): readonly Text[] =>
  words.of('submission').flatMap((submission): Text[] => {
    const way = words.tryOf(submission.key);
    if (!way) return [];
    const known = new Set([way.name, ...way.aliases]);
    return [submission.name, ...submission.aliases].flatMap((text) =>
      known.has(text) ? [] : [{ named: { kind: 'action', key: way.key } as const, text, less: BY_AIM_LESS }],
    );
  });

/** The ways of saying all words, taken apart for reading. */
export class Sayings {
  private readonly vocabulary = new SpelledWords();
  private readonly ids = new Map<string, number>();
  /** Sayings by token. */ readonly holding: number[][] = [];
  readonly all: Saying[] = [];
  private readonly fits = new Map<string, ReadonlyMap<number, number>>();

  constructor(words: Words) {
    const said: readonly Text[] = [
      ...words.said.flatMap((word) => {
        const { kind, key } = word;
        // what a fact is called says nothing without its value: facts are read apart, as they are written
        if (kind === 'fact') return [];
        return [word.name, ...word.aliases].map((text, i) => ({
          named: { kind, key },
          text,
          less: i ? ALIAS_LESS : 0,
        }));
      }),
      ...byAim(words),
    ];
    const written = said.map((s) => ({ ...s, all: writtenTokens(s.text) })).filter(({ all }) => all.length > 0);
    for (const { named, all, less } of written)
      this.add(
        named,
        all.map((t) => t.text),
        all.map((t) => t.opens),
        less,
      );
    for (const { named, all, less } of written) {
      if (all.length === 1) continue;
      const texts = all.map((t) => t.text);
      const telling = texts.filter((t) => !SMALL.has(t));
      if (texts.length <= 3) this.add(named, [texts.join('')], [false], less + JOINED_LESS);
      // two of them written as one: *bodylock pass*
      for (let i = 0; texts.length >= 3 && texts.length <= 4 && i < texts.length - 1; i++)
        if (!SMALL.has(texts[i]!) && !SMALL.has(texts[i + 1]!))
          this.add(
            named,
            [...texts.slice(0, i), texts[i]! + texts[i + 1]!, ...texts.slice(i + 2)],
            [...all.slice(0, i + 1), ...all.slice(i + 2)].map((t) => t.opens),
            less + JOINED_LESS,
          );
      if (!['position', 'action', 'submission'].includes(named.kind) || telling.length < 2) continue;
      const initials = telling.map((t) => t[0]).join('');
      if (initials.length <= 4 && !isEveryday(initials) && !SMALL.has(initials) && !this.isWord(initials))
        this.add(
          named,
          [INITIALS + initials],
          [false],
          less + (initials.length === 2 ? TWO_INITIALS_LESS : INITIALS_LESS),
        );
    }
  }

  /** Whether it stands in a name or an alias as it is. */
  isWord(token: string): boolean {
    return this.ids.has(token);
  }

  private idOf(token: string): number {
    const known = this.ids.get(token);
    if (known !== undefined) return known;
    const id = this.vocabulary.add(spelled(token));
    this.ids.set(token, id);
    this.holding.push([]);
    return id;
  }

  private add(named: Named, all: readonly string[], opens: readonly boolean[], less: number): void {
    if (all.length > 30) return;
    const ids = all.map((t) => this.idOf(t));
    const bits = (of: (t: string) => boolean): number => all.reduce((sum, t, i) => (of(t) ? sum | (1 << i) : sum), 0);
    const small = bits((t) => SMALL.has(t));
    const heads = bits((t) => HEADS.has(t));
    const whole = (1 << all.length) - 1;
    // what kind of thing it is stands last; a name of nothing but such words and small ones is nothing without them
    const isThing = named.kind !== 'reason' && named.kind !== 'reaction';
    // of places to hold *side of the head* is more than a side and a head
    const spared = named.kind === 'target' ? bits((t) => t === 'the' || t === 'a') : small;
    const spare = (small | heads) === whole ? 0 : spared | (isThing ? heads & (1 << (all.length - 1)) : 0);
    const everyday = bits((t) => isEveryday(t));
    const at = this.all.push({ named, tokens: ids, opens, spare, small, everyday, less }) - 1;
    for (const id of new Set(ids)) this.holding[id]!.push(at);
  }

  /** The tokens of the vocabulary that a typed one may be, with how well it fits each; a word (of whatever kind) only those of the same stem. Kept: the same words are read again with every key. */
  fitsOf(typed: string, isWord: boolean): ReadonlyMap<number, number> {
    const known = this.fits.get(typed);
    if (known) return known;
    const found = new Map<number, number>();
    const same = this.ids.get(typed);
    const asInitials = this.ids.get(INITIALS + typed);
    if (same !== undefined) found.set(same, 1);
    if (asInitials !== undefined) found.set(asInitials, 1);
    if (!SMALL.has(typed) && typed.length >= 2) {
      const ready = spelled(typed);
      const isKnown = isWord || same !== undefined;
      const near = isKnown ? this.vocabulary.ofStem(ready.stem) : this.vocabulary.near(ready);
      // in the order of the words, as ever
      for (const id of [...near].sort((a, b) => a - b)) {
        if (id === same) continue;
        const word = this.vocabulary.all[id]!;
        const how = beginAlike(ready, word) ? fitSpelled(ready, word, isKnown) : 0;
        if (how > (typed.length === 2 ? TWO_LETTERS_LEAST : 0)) found.set(id, how);
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
