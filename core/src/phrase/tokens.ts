/** A typed word, and where it stands in the text. */
export type Token = {
  /** Lower case, without accents. */ readonly text: string;
  readonly from: number;
  readonly to: number;
  /** Something that parts stands before it: the beginning, a comma, an arrow. */ readonly opens: boolean;
  /** An arrow stands before it. */ readonly arrow: boolean;
  /** It stands in a name or an alias as it is: no slip of something else. */ readonly isWord: boolean;
};

const ARROW = /->|=>|→/;
const PARTS = /[,;:.!?\n()[\]|]|->|=>|→|–|—|\s-\s/;

/** Splits at everything that is neither letter nor digit and keeps where each token stood, in UTF-16 units. */
export const tokenise = (text: string): readonly Token[] => {
  const found: Token[] = [];
  let end = 0;
  for (const { 0: word, index } of text.matchAll(/(?:[\p{L}\p{N}]\p{M}*)+(?:['’]\p{L}+)?/gu)) {
    const between = text.slice(end, index);
    const plain = word
      .normalize('NFD')
      .replace(/\p{M}/gu, '')
      .toLowerCase()
      .replace(/['’].*$/u, '');
    found.push({
      text: plain,
      from: index,
      to: index + word.length,
      opens: found.length === 0 || PARTS.test(between),
      arrow: ARROW.test(between),
      isWord: false,
    });
    end = index + word.length;
  }
  return found;
};
