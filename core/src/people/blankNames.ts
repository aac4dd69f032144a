/** What stands where a name was. */
export const BLANK = '…';

/** Parts of a name that stand for somebody by themselves: not initials, nor what ties names together. */
const partsOf = (name: string): readonly string[] =>
  [...name.split(/\s+/), ...name.split(/[\s-]+/)].filter((part) => [...part].length >= 3);
const escaped = (text: string): string => text.replace(/[\\^$.*+?()[\]{}|]/g, '\\$&');

/**
 * Takes names out of texts: a whole name however it is written, and each of its parts where it is written as a name (with its capitals). Parts that somebody
 * bears who may be named stay. Words that only begin like a name stay too.
 *
 * `blankNames(['Renko Hallvard'], [])('Hallvard’s knee')` is `…’s knee`.
 */
export const blankNames = (hidden: readonly string[], named: readonly string[]): ((text: string) => string) => {
  const kept = new Set(named.flatMap(partsOf));
  const wholes = [...new Set(hidden)].filter((name) => name.trim() !== '' && !named.includes(name));
  const parts = [...new Set(wholes.flatMap(partsOf))].filter((part) => !kept.has(part));
  // the longest first, so that a name goes as one
  const any = (list: readonly string[]): string =>
    [...list]
      .sort((a, b) => b.length - a.length || (a < b ? -1 : 1))
      .map(escaped)
      .join('|');
  const asWord = (list: readonly string[], flags: string): RegExp | undefined =>
    list.length ? new RegExp(`(?<![\\p{L}\\p{M}\\p{N}])(?:${any(list)})(?![\\p{L}\\p{M}\\p{N}])`, flags) : undefined;
  const [whole, part] = [asWord(wholes, 'giu'), asWord(parts, 'gu')];
  return (text) => {
    if (text === '') return text;
    const without = whole ? text.replace(whole, BLANK) : text;
    return part ? without.replace(part, BLANK) : without;
  };
};
