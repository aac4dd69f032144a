const MONTHS = [
  ...['January', 'February', 'March', 'April', 'May', 'June', 'July'],
  ...['August', 'September', 'October', 'November', 'December'],
];
/** A name is that of a month, or how it begins. */
const monthOf = (name: string): number => MONTHS.findIndex((month) => month.toLowerCase().startsWith(name)) + 1;

const two = (n: number): string => String(n).padStart(2, '0');

/** The day in ISO 8601 where there is such a day. */
const isoOf = (year: number, month: number, day: number): string | undefined => {
  const at = new Date(Date.UTC(year, month - 1, day));
  if (at.getUTCFullYear() !== year || at.getUTCMonth() !== month - 1 || at.getUTCDate() !== day) return undefined;
  return `${String(year).padStart(4, '0')}-${two(month)}-${two(day)}`;
};

/**
 * A day as it is typed, in ISO 8601: *2026-11-03*, *3 Nov 2026*, *Nov 3, 2026*, *3.11.2026*; without a year that of `today` (ISO 8601). Undefined where it is no day, or where
 * month and day could be either.
 * @example readDay('3 nov', '2026-11-30') // '2026-11-03'
 */
export const readDay = (text: string, today: string): string | undefined => {
  const said = text.trim().toLowerCase();
  const year = (typed: string | undefined): number => Number(typed ?? today.slice(0, 4));
  const iso = /^(\d{4})-(\d{1,2})-(\d{1,2})$/.exec(said);
  if (iso) return isoOf(Number(iso[1]), Number(iso[2]), Number(iso[3]));
  const dots = /^(\d{1,2})\.\s*(\d{1,2})\.\s*(\d{4})?$/.exec(said);
  if (dots) return isoOf(year(dots[3]), Number(dots[2]), Number(dots[1]));
  const dayFirst = /^(\d{1,2})\.?\s+([a-z]{3,9})\.?,?(?:\s+(\d{4}))?$/.exec(said);
  const monthFirst = /^([a-z]{3,9})\.?\s+(\d{1,2})(?:st|nd|rd|th)?,?(?:\s+(\d{4}))?$/.exec(said);
  const [day, name, of] = dayFirst
    ? [dayFirst[1], dayFirst[2]!, dayFirst[3]]
    : monthFirst
      ? [monthFirst[2], monthFirst[1]!, monthFirst[3]]
      : ['', 'none', undefined];
  const month = monthOf(name);
  return month ? isoOf(year(of), month, Number(day)) : undefined;
};

/** A day in ISO 8601 as it stands in a field: *3 Nov 2026*. */
export const sayDay = (iso: string): string => {
  const [year, month, day] = iso.split('-').map(Number);
  return `${day} ${MONTHS[month! - 1]!.slice(0, 3)} ${year}`;
};
