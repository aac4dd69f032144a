import { useLibrary } from './useLibrary.js';

/** The day that it is where the academy is, as `2026-03-01`. */
export const useToday = (): string => {
  const { timeZone } = useLibrary().academy;
  // the one form in which days of this locale are written is that of dates in files
  return new Date().toLocaleDateString('sv-SE', { timeZone });
};
