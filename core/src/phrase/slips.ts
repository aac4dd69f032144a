/** Neighbours on a keyboard: letters that are next to each other in a row, or above and below. */
const ROWS = ['qwertyuiop', 'asdfghjkl', 'zxcvbnm'] as const;
const VOWELS = 'aeiou';

/** What a slip costs: the likelier it is, the less. */
const COST = {
  vowelLeftOut: 0.3,
  letterLeftOut: 0.85,
  doubled: 0.35,
  letterTooMany: 0.9,
  neighbour: 0.6,
  otherVowel: 0.6,
  otherLetter: 1,
  swapped: 0.6,
} as const;

/** Letters as small numbers: a–z are 1–26, everything else is by its code, below 128 or not told apart. */
const CODES = 128;
const codeOf = (letter: string): number => {
  const code = letter.charCodeAt(0);
  return code >= 97 && code <= 122 ? code - 96 : Math.min(code, CODES - 1);
};
const isVowelCode = new Uint8Array(CODES);
for (const vowel of VOWELS) isVowelCode[codeOf(vowel)] = 1;
/** What it costs to type one letter for another. */
const replacing = new Float64Array(CODES * CODES).fill(COST.otherLetter);
const isBeside = new Uint8Array(CODES * CODES);
for (const a of VOWELS) for (const b of VOWELS) replacing[codeOf(a) * CODES + codeOf(b)] = COST.otherVowel;
ROWS.forEach((row, r) =>
  [...row].forEach((key, k) => {
    for (const other of [row[k + 1], ROWS[r + 1]?.[k], ROWS[r + 1]?.[k - 1]])
      if (other)
        for (const at of [codeOf(key) * CODES + codeOf(other), codeOf(other) * CODES + codeOf(key)]) {
          replacing[at] = COST.neighbour;
          isBeside[at] = 1;
        }
  }),
);
for (let code = 0; code < CODES; code++) replacing[code * CODES + code] = 0;

/** How much may go wrong in a word of so many letters. */
const limitFor = (letters: number): number =>
  letters <= 2 ? 0 : letters === 3 ? 0.72 : letters === 4 ? 1.2 : letters <= 6 ? 1.5 : letters <= 9 ? 2.1 : 2.6;

const INFINITE = Number.POSITIVE_INFINITY;
const LONGEST = 60;
/** Fewer or more letters than this are never slips: the band of the table in which anything can stay below a limit. */
const BAND = 7;

/** Letters as numbers, and what it costs to leave each out: less for a vowel that is not the first, and for the second of two. */
type Letters = { readonly codes: Uint8Array; readonly leavingOut: Float64Array };
const lettersOf = (text: string): Letters => {
  const codes = Uint8Array.from(text, codeOf);
  const leavingOut = Float64Array.from(codes, (code, j) =>
    j > 0 && code === codes[j - 1] ? COST.doubled : j > 0 && isVowelCode[code] ? COST.vowelLeftOut : COST.letterLeftOut,
  );
  return { codes, leavingOut };
};

const table = [0, 1, 2].map(() => new Float64Array(LONGEST + 2));
/** Of the last comparison: the cheapest row of slips to the whole word, and to a beginning of it of three letters or more. */
const last = { whole: INFINITE, begun: INFINITE };

/**
 * Least cost of the slips that turn a word into what was typed; infinite above the limit. Weighted optimal string alignment in a band;
 * O(|typed| · band).
 */
const compare = (typed: Letters, word: Letters, limit: number): typeof last => {
  const [n, m] = [typed.codes.length, word.codes.length];
  last.whole = last.begun = INFINITE;
  if (n > LONGEST || m > LONGEST) return last;
  let [before, row, next] = table as [Float64Array, Float64Array, Float64Array];
  row[0] = 0;
  for (let j = 1; j <= m; j++) row[j] = row[j - 1]! + word.leavingOut[j - 1]!;
  for (let i = 1; i <= n; i++) {
    const t = typed.codes[i - 1]!;
    const isTwice = i > 1 && typed.codes[i - 2] === t;
    const from = Math.max(1, i - BAND);
    const to = Math.min(m, i + BAND);
    next[from - 1] = from === 1 ? row[0]! + COST.letterTooMany : INFINITE;
    let least = next[from - 1]!;
    for (let j = from; j <= to; j++) {
      const w = word.codes[j - 1]!;
      let best = row[j - 1]! + replacing[t * CODES + w]!;
      const left = next[j - 1]! + word.leavingOut[j - 1]!;
      if (left < best) best = left;
      if (j < i + BAND) {
        const more = row[j]! + (isTwice && w === t ? COST.doubled : COST.letterTooMany);
        if (more < best) best = more;
      }
      if (i > 1 && j > 1 && t === word.codes[j - 2] && typed.codes[i - 2] === w) {
        const swapped = before[j - 2]! + COST.swapped;
        if (swapped < best) best = swapped;
      }
      next[j] = best;
      if (best < least) least = best;
    }
    if (least > limit) return last;
    [before, row, next] = [row, next, before];
  }
  for (let j = Math.min(3, m); j < m && j <= n + BAND; j++) if (row[j]! < last.begun) last.begun = row[j]!;
  if (m <= n + BAND && n <= m + BAND) last.whole = row[m]!;
  return last;
};

/** A word without the endings that only bend it: *passes*, *passed*, *passing* and *pass* are the same. */
const stem = (word: string): string => {
  const bare = word.replace(/(?:ings?|ed|es|s|e)$/, '');
  return bare.length >= 3 ? bare : word;
};

/** A word made ready for being compared with many others. */
export type Spelled = {
  readonly text: string;
  readonly stem: string;
  readonly letters: Letters;
  readonly stemLetters: Letters;
};
export const spelled = (text: string): Spelled => {
  const bare = stem(text);
  const letters = lettersOf(text);
  return { text, stem: bare, letters, stemLetters: bare === text ? letters : lettersOf(bare) };
};

const BENT = 0.08;
const BEGUN = 0.35;
const FITS_LESS = 0.24;
const WORD_LESS = 0.3;

/** Whether slips may lead from one to the other at all: about as long, and alike at the beginning. */
const mayFit = (typed: Letters, word: Letters, limit: number): boolean => {
  if (typed.codes.length - word.codes.length > limit / COST.doubled) return false;
  const [t, w] = [typed.codes[0]!, word.codes[0]!];
  return (
    t === w ||
    t === word.codes[1] ||
    typed.codes[1] === w ||
    isBeside[t * CODES + w] === 1 ||
    (isVowelCode[t] === 1 && isVowelCode[w] === 1)
  );
};

/**
 * How well a typed token fits a word: 1 the same, 0 not at all; between them less for every slip of the key (a vowel left out, a letter doubled, a
 * neighbouring key, two letters swapped, another letter), for another ending and for a beginning only. Words of one or two letters are taken only as
 * they are, and only where three letters stand a beginning is one. What `isWord` itself is no beginning, and less likely a slip, of another.
 * @example fitSpelled(spelled('hlaf'), spelled('half'), false) // 0.856
 */
export const fitSpelled = (typed: Spelled, word: Spelled, isWord: boolean): number => {
  if (typed.text === word.text) return 1;
  if (typed.text.length < 2 || word.text.length < 3 || word.text[0] === '#' || /^\d/.test(typed.text)) return 0;
  if (typed.stem === word.stem) return 1 - BENT;
  const limit = limitFor(word.text.length);
  if (!mayFit(typed.letters, word.letters, limit)) return 0;
  const { whole, begun } = compare(typed.letters, word.letters, limit);
  const asWhole = whole <= limit ? whole : INFINITE;
  const asBegun =
    !isWord && typed.text.length >= 3 && begun <= limitFor(typed.text.length) / 2 ? begun + BEGUN : INFINITE;
  const isBent = typed.stem !== typed.text || word.stem !== word.text;
  const bent = isBent && typed.stem.length >= 3 ? compare(typed.stemLetters, word.stemLetters, limit).whole : INFINITE;
  const asBent = bent <= limitFor(word.stem.length) ? bent + BENT / FITS_LESS : INFINITE;
  const cost = Math.min(asWhole, asBegun, asBent);
  if (cost === INFINITE) return 0;
  const how = 1 - FITS_LESS * cost;
  return isWord ? Math.max(0, how - WORD_LESS) : how;
};

/** Pairs that were compared before: the same few hundred words are compared with every key that is typed. */
const compared = new Map<string, Map<string, number>>();
const MOST_COMPARED = 500;

/** `fitSpelled` of two texts of which nothing else is known. Remembered. */
export const fit = (typed: string, word: string): number => {
  let known = compared.get(typed);
  if (!known) {
    if (compared.size >= MOST_COMPARED) compared.clear();
    known = new Map<string, number>();
    compared.set(typed, known);
  }
  const before = known.get(word);
  if (before !== undefined) return before;
  const how = fitSpelled(spelled(typed), spelled(word), false);
  known.set(word, how);
  return how;
};
