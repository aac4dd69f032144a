import type { Language } from '../types.js';

/** Ways of saying a word, parted by bars; what is Japanese or Portuguese has `ja:` or `pt:` before it, all else is English. */
export const spoken = (
  texts: string,
): { readonly aliases: readonly string[]; readonly languages?: Readonly<Record<string, Language>> } => {
  const languages: Record<string, Language> = {};
  const aliases = texts
    .split('|')
    .map((text) => text.trim())
    .filter(Boolean)
    .map((text) => {
      const language = text.startsWith('ja:') ? 'ja' : text.startsWith('pt:') ? 'pt' : null;
      const alias = language ? text.slice(3).trim() : text;
      if (language) languages[alias] = language;
      return alias;
    });
  return Object.keys(languages).length ? { aliases, languages } : { aliases };
};
