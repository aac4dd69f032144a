import { randomBytes } from 'node:crypto';
import { hash, verify } from '@node-rs/argon2';
import { PASSWORD_WORDS, passwordFault, passwordWords } from '@odograph/core/contract';
import { dictionary } from '@zxcvbn-ts/language-common';
import pLimit from 'p-limit';
import { Refused, invalid } from '../errors/refused.js';

/** Argon2id with the least parameters that current advice names: 19 MiB, two passes. */
const HASHING = { memoryCost: 19_456, timeCost: 2, parallelism: 1 } as const;
/** Hashes at once, and how many wait for their turn at most; whoever comes then is told to come again. */
const AT_ONCE = 2;
const MOST_WAITING = 12;
const AGAIN_S = 2;

const turns = pLimit(AT_ONCE);
/** Hashing takes a processor for a tenth of a second: a server that did it for everybody at once would answer nobody. */
const inTurn = <T>(run: () => Promise<T>): Promise<T> => {
  if (turns.pendingCount >= MOST_WAITING) throw new Refused({ code: 'busy', facts: { retryAfterS: AGAIN_S } });
  return turns(run);
};

export const hashPassword = async (password: string): Promise<string> => inTurn(() => hash(password, HASHING));

let nobodysHash: string | undefined;
/** Whether a password is right; without a hash to compare it takes as long and is wrong. */
export const isPassword = async (known: string | undefined, password: string): Promise<boolean> => {
  // made once, outside of the turns: it must not be what a first guest waits for in vain
  nobodysHash ??= await hash(randomBytes(16).toString('hex'), HASHING);
  return inTurn(async () => (await verify(known ?? nobodysHash!, password)) && known !== undefined);
};

const COMMON: ReadonlySet<string> = new Set(dictionary['passwords-common']);
const LONGEST = Math.max(...dictionary['passwords-common'].map((text) => text.length));
/** Of a common password that is put together with another, so much has to be there. */
const PIECE = 4;
const PIECES = 2;
/** Signs that are put for letters. */
const LOOKS: Readonly<Record<string, string>> = {
  0: 'o',
  1: 'i',
  3: 'e',
  4: 'a',
  5: 's',
  7: 't',
  '@': 'a',
  $: 's',
  '!': 'i',
};

/** The fewest common passwords that a text is made of, one after the other; digits and signs between them count for nothing. Infinity where it is not made of them. */
const piecesOf = (text: string): number => {
  const fewest: number[] = [0];
  for (let end = 1; end <= text.length; end++) {
    fewest[end] = /[^a-z]/.test(text[end - 1]!) ? fewest[end - 1]! : Infinity;
    for (let start = Math.max(0, end - LONGEST); start <= end - PIECE; start++)
      if (fewest[start]! + 1 < fewest[end]! && COMMON.has(text.slice(start, end))) fewest[end] = fewest[start]! + 1;
  }
  return fewest[text.length]!;
};

/** Whether a password is made of one or two of the most common ones, also said again, with digits and signs around them or in place of letters. Sentences of three words are not. */
export const isCommon = (password: string): boolean => {
  const lower = password.toLowerCase().replace(/\s+/g, '');
  const once = /^(.+?)\1+$/.exec(lower)?.[1] ?? lower;
  const read = once.replace(/[0134571@$!]/g, (sign) => LOOKS[sign] ?? sign);
  if (COMMON.has(once) || COMMON.has(read)) return true;
  if (passwordWords(password).size >= PASSWORD_WORDS) return false;
  const pieces = Math.min(piecesOf(once), piecesOf(read));
  // digits alone are made of nothing; they are common where common ones cover them
  return pieces > 0 && pieces <= PIECES && /[a-z]/.test(lower);
};

/** Refuses a new password that is too easy to guess. */
export const mustBeGood = (password: string, field = 'password'): void => {
  const fault = passwordFault(password);
  if (fault === 'short') throw invalid(field, { code: 'password-short' });
  if (fault === 'same') throw invalid(field, { code: 'password-same' });
  if (isCommon(password)) throw invalid(field, { code: 'password-common' });
};
