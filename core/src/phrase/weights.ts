/**
 * What speaks for a reading and against it. Each feature has an amount (mostly 1) wherever it holds; the score of a reading is the sum of amount × weight.
 * Set by hand on the lines of `testing/gymTalk/first.txt`; a test takes each one out and asks that something is then read wrongly.
 */
export const WEIGHTS = {
  /** For each telling word that a part explains. */ explains: 1,
  /** For each part: fewer parts are likelier than many. */ part: -0.45,
  /** A word that is left, and is no word of every day. */ unread: -0.6,
  /** Letters that say it less and less surely: for each hundredth below four fifths. */ blurred: -0.02,
  /** A word of every day that is left. */ everyday: -0.3,
  /** A word that steers. */ steers: 0.3,
  /** It stands where a word points (*from*, *to*, *with*, *because*). */ pointed: 0.5,
  /** A word points to something else. */ mispointed: -0.35,
  /** The action can begin in the family of the place. */ begins: 0.3,
  /** It ends where the action aims. */ aims: 0.35,
  /** A part that comes before what it rests on, or after what it should come before. */ order: -0.4,
  /** What they do, told of them. */ theirs: 0.55,
  /** What only the other side does, told of nobody. */ unvoiced: -0.3,
  /** An action of whoever was named as the other side, taken as the one that the attempt is about. */ turned: -0.45,
  /** A further action begins a further attempt. */ chain: -0.55,
  /** It is said that it does (*then*), or the one before has come to its end. */ chained: 0.4,
  /** An attempt that has the other side's attack and nothing that was done. */ entryless: -0.35,
  /** A word of every day as a name, in the midst of words that were left. */ astray: -1.1,
  /** A half-heard reason that nothing points to. */ unreasoned: -0.35,
} as const;

export type Feature = keyof typeof WEIGHTS;
export type Weights = Readonly<Record<Feature, number>>;
/** A feature that holds, and how much of it. */
export type Mark = readonly [Feature, number];

export const scoreOf = (marks: readonly Mark[], weights: Weights): number => {
  let sum = 0;
  for (const [feature, amount] of marks) sum += weights[feature] * amount;
  return sum;
};
