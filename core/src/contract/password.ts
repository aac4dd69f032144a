/** Fewest characters of a new password that is no sentence; length is what makes a password hard to guess. */
export const PASSWORD_LEAST = 12;
/** So many words of at least three letters are enough, however short they are together. */
export const PASSWORD_WORDS = 3;
/** Fewest different characters. */
const DIFFERENT_LEAST = 4;

/** Why a new password is not taken: too short, or the same few characters over and over. */
export type PasswordFault = 'short' | 'same';

/** The different words of at least three letters in a password. */
export const passwordWords = (password: string): ReadonlySet<string> =>
  new Set(password.toLowerCase().match(/\p{L}{3,}/gu) ?? []);

/** What is wrong with a new password by itself; undefined where nothing is. Whether it is one of the most common, the server knows. */
export const passwordFault = (password: string): PasswordFault | undefined => {
  const characters = [...password];
  if (characters.length < PASSWORD_LEAST && passwordWords(password).size < PASSWORD_WORDS) return 'short';
  return new Set(characters).size < DIFFERENT_LEAST ? 'same' : undefined;
};
