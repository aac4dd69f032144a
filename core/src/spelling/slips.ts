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
  otherLetter: 1.6,
  swapped: 0.6,
} as const;

/** Letters as small numbers: a–z are 1–26, everything else is by its code, below 128 or not told apart. */
const CODES = 128;
const codeOf = (code: number): number => (code >= 97 && code <= 122 ? code - 96 : Math.min(code, CODES - 1));
const codeOfLetter = (letter: string): number => codeOf(letter.charCodeAt(0));
const isVowelCode = new Uint8Array(CODES);
for (const vowel of VOWELS) isVowelCode[codeOfLetter(vowel)] = 1;
/** What it costs to type one letter for another. */
const replacing = new Float64Array(CODES * CODES).fill(COST.otherLetter);
const isBeside = new Uint8Array(CODES * CODES);
for (const a of VOWELS) for (const b of VOWELS) replacing[codeOfLetter(a) * CODES + codeOfLetter(b)] = COST.otherVowel;
ROWS.forEach((row, r) =>
  [...row].forEach((key, k) => {
    for (const other of [row[k + 1], ROWS[r + 1]?.[k], ROWS[r + 1]?.[k - 1]])
      if (other)
        for (const at of [
          codeOfLetter(key) * CODES + codeOfLetter(other),
          codeOfLetter(other) * CODES + codeOfLetter(key),
        ]) {
          replacing[at] = COST.neighbour;
          isBeside[at] = 1;
        }
  }),
);
for (let code = 0; code < CODES; code++) replacing[code * CODES + code] = 0;

/** How much may go wrong in a word of so many letters. */
const limitFor = (letters: number): number =>
  letters <= 2 ? 0 : letters === 3 ? 0.72 : letters === 4 ? 1.2 : letters <= 6 ? 1.5 : letters <= 9 ? 2.1 : 2.6;

/** In short typed words little may be wrong: what is left would be too little to know it by. */
const mostIn = (typed: number): number => (typed <= 3 ? 0.95 : typed === 4 ? 1.2 : typed === 5 ? 1.3 : 9);

/** What may go wrong at most in a beginning, of so many typed letters. */
const limitOfBeginning = (typed: number): number => (typed < 3 ? -1 : Math.min(limitFor(typed), 1.5) / 2);

/** The least that a letter costs which stands in what was typed, but not in the word. */
const LEAST_MISSING = Math.min(COST.neighbour, COST.otherVowel);
const LONGEST_LIMIT = 10;
/** By the letters of a word: how many different ones of so many typed may be missing in it at most, if it is to fit at all. */
export const mostMissing = (typed: number): readonly number[] => MOST_MISSING[Math.min(typed, LONGEST_LIMIT)]!;
const MOST_MISSING = Array.from({ length: LONGEST_LIMIT + 1 }, (_, typed) =>
  Array.from({ length: LONGEST_LIMIT + 1 }, (_word, letters) =>
    Math.floor(Math.max(Math.min(limitFor(letters), mostIn(typed)), limitOfBeginning(typed), 0) / LEAST_MISSING),
  ),
);

const INFINITE = Number.POSITIVE_INFINITY;
const LONGEST = 60;
/** What it costs at least that one side has a letter more than the other. */
const LEAST_APART = Math.min(COST.vowelLeftOut, COST.doubled, COST.letterLeftOut, COST.letterTooMany);
/** Fewer or more letters than this are never slips: the band of the table in which anything can stay below a limit. */
const bandOf = (limit: number): number => Math.min(7, Math.floor(limit / LEAST_APART + 1e-9));

/** Letters as numbers, and what it costs to leave each out: less for a vowel that is not the first, and for the second of two. */
type Letters = {
  readonly codes: Uint8Array;
  readonly leavingOut: Float64Array;
  /** Which letters there are, one bit each (a–z, then all others together). */ readonly which: number;
};
const lettersOf = (text: string): Letters => {
  const codes = new Uint8Array(text.length);
  const leavingOut = new Float64Array(text.length);
  let which = 0;
  for (let j = 0; j < text.length; j++) {
    const code = codeOf(text.charCodeAt(j));
    codes[j] = code;
    which |= bitOf(code);
    const isDoubled = j > 0 && code === codes[j - 1];
    leavingOut[j] = isDoubled
      ? COST.doubled
      : j > 0 && isVowelCode[code] === 1
        ? COST.vowelLeftOut
        : COST.letterLeftOut;
  }
  return { codes, leavingOut, which };
};

const bitOf = (code: number): number => 1 << Math.min(code, 27);
const VOWEL_BITS = [...VOWELS].reduce((bits, vowel) => bits | bitOf(codeOfLetter(vowel)), 0);
const countBits = (bits: number): number => {
  let n = 0;
  for (let left = bits; left; left &= left - 1) n++;
  return n;
};
/** A letter that is not in the word was typed for another one, or is one too many: it costs so much at least, whatever else is typed. */
const leastTyped = (typed: Letters, word: Letters): number => countBits(typed.which & ~word.which) * LEAST_MISSING;
/** What it costs at least that letters of the word were not typed. */
const leastLeftOut = (typed: Letters, word: Letters): number => {
  const missing = word.which & ~typed.which;
  return (
    countBits(missing & ~VOWEL_BITS) * Math.min(COST.neighbour, COST.letterLeftOut) +
    countBits(missing & VOWEL_BITS) * COST.vowelLeftOut
  );
};

const table = [0, 1, 2].map(() => new Float64Array(LONGEST + 2));
/** Of the last comparison: the cheapest row of slips to the whole word, and to a beginning of it of three letters or more. */
const last = { whole: INFINITE, begun: INFINITE };

/**
 * The slips that lead from a word to what was typed at least cost: to all of it, and from a beginning of it of three letters or more; infinite where that is
 * above its limit.
 */
const slips = (typed: Letters, word: Letters, limit: number, limitBegun: number): typeof last => {
  const least = leastTyped(typed, word);
  const longer = (word.codes.length - typed.codes.length) * LEAST_APART;
  const isWhole = least <= limit && longer <= limit && leastLeftOut(typed, word) <= limit;
  const isBegun = least <= limitBegun;
  last.whole = last.begun = INFINITE;
  if (!isWhole && !isBegun) return last;
  compare(typed, word, isWhole ? Math.max(limit, isBegun ? limitBegun : 0) : limitBegun);
  if (last.whole > limit) last.whole = INFINITE;
  if (last.begun > limitBegun) last.begun = INFINITE;
  return last;
};

/**
 * Least cost of the slips that turn a word into what was typed; infinite above the limit. Weighted optimal string alignment in a band;
 * O(|typed| · band).
 */
const compare = (typed: Letters, word: Letters, limit: number): typeof last => {
  const [n, m] = [typed.codes.length, word.codes.length];
  last.whole = last.begun = INFINITE;
  if (n > LONGEST || m > LONGEST) return last;
  const band = bandOf(limit);
  let [before, row, next] = table as [Float64Array, Float64Array, Float64Array];
  /** Two letters swapped lead over a row: only two in turn that are too dear are the end. */
  let wasOver = false;
  row[0] = 0;
  for (let j = 1; j <= m; j++) row[j] = row[j - 1]! + word.leavingOut[j - 1]!;
  for (let i = 1; i <= n; i++) {
    const t = typed.codes[i - 1]!;
    const isTwice = i > 1 && typed.codes[i - 2] === t;
    const from = Math.max(1, i - band);
    const to = Math.min(m, i + band);
    next[from - 1] = from === 1 ? row[0]! + COST.letterTooMany : INFINITE;
    let least = next[from - 1]!;
    for (let j = from; j <= to; j++) {
      const w = word.codes[j - 1]!;
      let best = row[j - 1]! + replacing[t * CODES + w]!;
      const left = next[j - 1]! + word.leavingOut[j - 1]!;
      if (left < best) best = left;
      if (j < i + band) {
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
    const isOver = least > limit;
    if (isOver && wasOver) return last;
    wasOver = isOver;
    [before, row, next] = [row, next, before];
  }
  for (let j = Math.min(3, m); j < m && j <= n + band; j++) if (row[j]! < last.begun) last.begun = row[j]!;
  if (m <= n + band && n <= m + band) last.whole = row[m]!;
  return last;
};

/** Forms that no ending tells: of what is done on the mat. */
const BENT_OTHERWISE = new Map(
  (
    'got get, gotten get, took take, taken take, broke break, went go, gone go, came come, gave give, given give, kept keep, held hold, hidden hide, ' +
    'sat sit, threw throw, thrown throw, swept sweep, spun spin, dug dig, caught catch, fell fall, fallen fall, drove drive, driven drive, slid slide, ' +
    'shot shoot, lost lose, ran run, rode ride, swung swing, swam swim, fought fight, made make, knelt kneel, tore tear, torn tear, brought bring, stole steal, wove weave, ' +
    'woven weave, wound wind, rose rise, found find, bought buy, fed feed'
  )
    .split(', ')
    .map((pair) => pair.split(' ') as [string, string]),
);

/** A word without the endings that only bend it: *passes*, *passed*, *passing* and *pass* are the same; so are *stripped* and *strip*, *carried* and *carry*, *held* and *hold*. */
const stem = (word: string): string => {
  const plain = BENT_OTHERWISE.get(word) ?? word;
  const bare = plain.replace(/(?:ings?|ed|es|(?<!s)s|e)$/, '');
  if (bare.length < 3) return plain;
  const single = /(?:ings?|ed)$/.test(plain) ? bare.replace(/([bdgmnprt])\1$/, '$1') : bare;
  return single.replace(/([^aeiou])i$/, '$1y');
};

/** A word made ready for being compared with many others. */
export type Spelled = {
  readonly text: string;
  readonly stem: string;
  readonly letters: Letters;
  readonly stemLetters: Letters;
  /** Begins with a sign or a digit: nothing else can be meant by it. */ readonly isOnlyItself: boolean;
  /** Its first two letters. */ readonly first: number;
  readonly second: number;
};
export const spelled = (text: string): Spelled => {
  const bare = stem(text);
  const letters = lettersOf(text);
  const stemLetters = bare === text ? letters : lettersOf(bare);
  const [first, second] = [letters.codes[0] ?? 0, letters.codes[1] ?? 0];
  return { text, stem: bare, letters, stemLetters, isOnlyItself: /^[#\d]/.test(text), first, second };
};

/** Words that are compared again and again. */
const ready = new Map<string, Spelled>();
const MOST_READY = 5000;
const readied = (text: string): Spelled => {
  const known = ready.get(text);
  if (known) return known;
  if (ready.size >= MOST_READY) ready.clear();
  const made = spelled(text);
  ready.set(text, made);
  return made;
};

const BENT = 0.08;
const BEGUN = 0.35;
const FITS_LESS = 0.24;
/** What another ending takes, as a slip. */
const AS_BENT = BENT / FITS_LESS;

/** Whether slips may lead from any word that begins with a letter (`Spelled.first`) to what was typed. */
export const beginsLike = ({ first: t, second }: Spelled, first: number): boolean =>
  t === first ||
  second === first ||
  isBeside[t * CODES + first] === 1 ||
  (isVowelCode[t] === 1 && isVowelCode[first] === 1);

/** Whether slips may lead from a word to what was typed at all: they begin alike. */
export const beginAlike = (typed: Spelled, word: Spelled): boolean =>
  beginsLike(typed, word.first) || typed.first === word.second;

/**
 * How well a typed token fits a word: 1 the same, 0 not at all; between them less for every slip of the key (a vowel left out, a letter doubled, a
 * neighbouring key, two letters swapped, another letter), for another ending and for a beginning only. Words of one or two letters are taken only as
 * they are, and only where three letters stand a beginning is one. Only of words that begin alike (`beginAlike`). What `isWord` itself is neither a beginning nor a slip of another,
 * but may be bent.
 * @example fitSpelled(spelled('hlaf'), spelled('half'), false) // 0.856
 */
export const fitSpelled = (typed: Spelled, word: Spelled, isWord: boolean): number => {
  if (typed.text === word.text) return 1;
  const [n, m] = [typed.letters.codes.length, word.letters.codes.length];
  if (n < 2 || m < 3 || typed.isOnlyItself || word.isOnlyItself) return 0;
  if (typed.stem === word.stem) return 1 - BENT;
  if (isWord) return 0;
  const limit = Math.min(limitFor(m), mostIn(n));
  if (n - m > limit / COST.doubled) return 0;
  const limitBegun = limitOfBeginning(n);
  const { whole: asWhole, begun } = slips(typed.letters, word.letters, limit, limitBegun);
  const asSpelled = Math.min(asWhole, begun + BEGUN);
  const isBent = typed.stem !== typed.text || word.stem !== word.text;
  const bent =
    isBent && typed.stem.length >= 3
      ? slips(typed.stemLetters, word.stemLetters, Math.min(limit, limitFor(word.stem.length), asSpelled - AS_BENT), -1)
          .whole
      : INFINITE;
  const cost = Math.min(asSpelled, bent + AS_BENT);
  if (cost === INFINITE) return 0;
  return 1 - FITS_LESS * cost;
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
  const [one, other] = [readied(typed), readied(word)];
  const how = beginAlike(one, other) ? fitSpelled(one, other, false) : 0;
  known.set(word, how);
  return how;
};
