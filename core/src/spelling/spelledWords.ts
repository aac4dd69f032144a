import { beginsLike, mostMissing, type Spelled } from './slips.js';

const put = <K>(lists: Map<K, number[]>, key: K, at: number): void => {
  const alike = lists.get(key);
  if (alike) alike.push(at);
  else lists.set(key, [at]);
};

/** Words made ready, of which those are found quickly that something typed may be a slip of. */
export class SpelledWords {
  readonly all: Spelled[] = [];
  /** Their numbers by their first letter. */ private readonly byFirst = new Map<number, number[]>();
  /** And by their second. */ private readonly bySecond = new Map<number, number[]>();
  private readonly byStem = new Map<string, number[]>();

  /** Gives the number of the word. */
  add(word: Spelled): number {
    const at = this.all.push(word) - 1;
    put(this.byFirst, word.first, at);
    put(this.bySecond, word.second, at);
    put(this.byStem, word.stem, at);
    return at;
  }

  /** Those of the same stem. */
  ofStem(stem: string): readonly number[] {
    return this.byStem.get(stem) ?? [];
  }

  /**
   * The numbers of all words that `fitSpelled` may give more than 0 for, or that begin with what was typed, among others: they begin alike, and have most letters of
   * what was typed. In no order.
   */
  near(typed: Spelled): readonly number[] {
    const [letters, stemLetters] = [typed.letters.which, typed.stemLetters.which];
    const most = mostMissing(typed.letters.codes.length);
    const found: number[] = [];
    const look = (at: number): void => {
      const word = this.all[at]!;
      const may = most[Math.min(word.letters.codes.length, most.length - 1)]!;
      if (!isMissing(letters, word.letters.which, may) || !isMissing(stemLetters, word.stemLetters.which, may))
        found.push(at);
    };
    for (const [first, alike] of this.byFirst) if (beginsLike(typed, first)) for (const at of alike) look(at);
    for (const at of this.bySecond.get(typed.first) ?? []) if (!beginsLike(typed, this.all[at]!.first)) look(at);
    return found;
  }
}

/** Whether more than so many of some letters are not among others. */
const isMissing = (letters: number, among: number, may: number): boolean => {
  let left = letters & ~among;
  for (let n = 0; left; n++, left &= left - 1) if (n === may) return true;
  return false;
};
