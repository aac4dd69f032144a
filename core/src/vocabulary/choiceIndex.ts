import { SpelledWords, fitSpelled, spelled, type Spelled } from '../spelling/index.js';
import { tokens } from './tokens.js';

/** The words of some choices that a typed token fits, by their numbers, and how well each. */
export type Fits = { readonly fitting: readonly number[]; readonly how: readonly number[] };

/** A way of saying a choice: its words by their numbers, as often as they are in it. `letters`: without what is between them. */
export type SayableText = {
  readonly choice: number;
  readonly nth: number;
  readonly words: readonly number[];
  readonly letters: string;
};

/** Tokens whose fits are remembered: those that are typed on while a line grows. */
const MOST_REMEMBERED = 300;

/** How well a typed token fits a token of a text that begins alike: 1 whole, less for a beginning, less for slips as the reader of the line counts them, 0 not at all. */
const fit = (typed: Spelled, word: Spelled): number => {
  if (typed.text === word.text) return 1;
  if (word.text.startsWith(typed.text)) return 0.82 + 0.1 * (typed.text.length / word.text.length);
  const near = fitSpelled(typed, word, false);
  return near === 0 ? 0 : 0.2 + 0.5 * near;
};

/** Ways of saying some choices, taken apart once: each word stands once, with the texts that have it, names by their beginnings, texts by their initials. */
export class ChoiceIndex {
  readonly texts: SayableText[] = [];
  /** The texts that have a word. */ readonly having: number[][] = [];
  private readonly words = new SpelledWords();
  private readonly initials = new Map<string, number[]>();
  private readonly names: readonly SayableText[];
  private readonly remembered = new Map<string, Fits>();
  /** Marks of one search: which texts were looked at. */ private readonly seenAt: Int32Array;
  private round = 0;
  private readonly tables: Float64Array[] = [];

  constructor(choices: readonly (readonly string[])[]) {
    const numbers = new Map<string, number>();
    const numberOf = (word: string): number => {
      const known = numbers.get(word);
      if (known !== undefined) return known;
      const at = this.words.add(spelled(word));
      numbers.set(word, at);
      this.having.push([]);
      return at;
    };
    choices.forEach((texts, choice) =>
      texts.forEach((text, nth) => {
        const said = tokens(text);
        const at = this.texts.length;
        const words = said.map(numberOf);
        for (const word of new Set(words)) this.having[word]!.push(at);
        const initials = said.map((w) => w[0]).join('');
        const alike = this.initials.get(initials);
        if (alike) alike.push(at);
        else this.initials.set(initials, [at]);
        this.texts.push({ choice, nth, words, letters: said.join('') });
      }),
    );
    this.names = this.texts.filter((t) => t.nth === 0).sort((a, b) => (a.letters < b.letters ? -1 : 1));
    this.seenAt = new Int32Array(this.texts.length);
  }

  fits(typed: string): Fits {
    const before = this.remembered.get(typed);
    if (before) return before;
    if (this.remembered.size >= MOST_REMEMBERED) this.remembered.clear();
    const one = spelled(typed);
    const [fitting, how]: [number[], number[]] = [[], []];
    for (const i of this.words.near(one)) {
      const well = fit(one, this.words.all[i]!);
      if (well === 0) continue;
      fitting.push(i);
      how.push(well);
    }
    const made = { fitting, how };
    this.remembered.set(typed, made);
    return made;
  }

  /** The texts in which every typed token may fit a word: those that have one for the token that fits the fewest. */
  likely(wanted: readonly Fits[]): readonly number[] {
    const counts = wanted.map((f) => f.fitting.reduce((n, word) => n + this.having[word]!.length, 0));
    const rarest = wanted[counts.indexOf(Math.min(...counts))]!;
    this.round++;
    const found: number[] = [];
    for (const word of rarest.fitting)
      for (const text of this.having[word]!)
        if (this.seenAt[text] !== this.round) {
          this.seenAt[text] = this.round;
          found.push(text);
        }
    return found;
  }

  /** Gives how well each typed token fits a word, for as long as `work` takes: laid out by word, in tables that are used again. */
  laidOut<R>(wanted: readonly Fits[], work: (tables: readonly Float64Array[]) => R): R {
    while (this.tables.length < wanted.length) this.tables.push(new Float64Array(this.words.all.length));
    wanted.forEach(({ fitting, how }, t) => fitting.forEach((word, i) => (this.tables[t]![word] = how[i]!)));
    try {
      return work(this.tables);
    } finally {
      wanted.forEach(({ fitting }, t) => fitting.forEach((word) => (this.tables[t]![word] = 0)));
    }
  }

  /** The texts with these initials. */
  withInitials(initials: string): readonly number[] {
    return this.initials.get(initials) ?? [];
  }

  /** The names that begin with these letters, whatever is between them. */
  *namesFrom(letters: string): Iterable<SayableText> {
    let [low, high] = [0, this.names.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (this.names[middle]!.letters < letters) low = middle + 1;
      else high = middle;
    }
    for (; low < this.names.length && this.names[low]!.letters.startsWith(letters); low++) yield this.names[low]!;
  }
}
