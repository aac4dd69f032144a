/** Lower case, without accents, split at everything that is neither letter nor digit. */
export const tokens = (text: string): readonly string[] =>
  text
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean);

/** A text as it is compared whole: two that differ only in case, accents or signs are the same. */
export const asCompared = (text: string): string => tokens(text).join(' ');
