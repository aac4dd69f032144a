import type { Token } from './tokens.js';

/** The tokens of a line, and how far somebody has looked into them. */
export class Line {
  /** The last token that was asked for; as far as the line is long, where its end was asked for. */ furthest = -1;

  constructor(private readonly tokens: readonly Token[]) {}

  at(i: number): Token | undefined {
    if (i > this.furthest) this.furthest = i;
    return this.tokens[i];
  }
}

const isSame = (a: Token, b: Token): boolean => a.text === b.text && a.opens === b.opens && a.isWord === b.isWord;

type Kept<T> = { readonly furthest: number; readonly value: T };

/**
 * What was made of each token of the line that was read last. A line grows by its end: what was made of a token without looking beyond what is the same in the
 * next line is made of that again. O(tokens) besides what is made anew.
 */
export class LineMemo<T> {
  private tokens: readonly Token[] = [];
  private made: readonly Kept<T>[] = [];

  next(tokens: readonly Token[], make: (at: number, line: Line) => T): readonly Kept<T>[] {
    let same = 0;
    while (same < Math.min(tokens.length, this.tokens.length) && isSame(tokens[same]!, this.tokens[same]!)) same++;
    const isWhole = same === tokens.length && same === this.tokens.length;
    const { made } = this;
    this.made = tokens.map((_, at) => {
      const before = made[at];
      if (before && at < same && (isWhole || before.furthest < same)) return before;
      const line = new Line(tokens);
      const value = make(at, line);
      return { furthest: line.furthest, value };
    });
    this.tokens = tokens;
    return this.made;
  }
}
