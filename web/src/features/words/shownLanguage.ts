import { LANGUAGES, type Language, type Word } from '@odograph/core';
import { useState } from 'react';

export const SHOWN_LANGUAGES = ['all', ...LANGUAGES] as const;
export type ShownLanguage = (typeof SHOWN_LANGUAGES)[number];

const KEPT = 'odograph.names-in';

/** In which language other names are shown: each reader's own choice, kept in the browser. All of them are understood. */
export const useShownLanguage = (): readonly [ShownLanguage, (language: ShownLanguage) => void] => {
  const [language, setLanguage] = useState<ShownLanguage>(
    () => SHOWN_LANGUAGES.find((l) => l === localStorage.getItem(KEPT)) ?? 'all',
  );
  return [
    language,
    (next) => {
      localStorage.setItem(KEPT, next);
      setLanguage(next);
    },
  ];
};

/** The other names of a word in a language; what is said of none is English. */
export const aliasesIn = ({ aliases, languages }: Word, shown: ShownLanguage): readonly string[] =>
  shown === 'all'
    ? aliases
    : aliases.filter((alias): boolean => ((languages?.[alias] ?? 'en') satisfies Language) === shown);
