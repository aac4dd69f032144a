const DAY_MS = 86_400_000;
const WEEK_MS = 7 * DAY_MS;

/** Days of a demo, as recent as can be: the last of them lies in the week before `now`, each keeps its weekday and how far it lies from the others. */
export const recentDays = <T extends { readonly date: string | null }>(rows: readonly T[], now: Date): readonly T[] => {
  const times = rows.flatMap(({ date }) => (date === null ? [] : Date.parse(date)));
  const today = Math.floor(now.getTime() / DAY_MS) * DAY_MS;
  const by = Math.floor((today - DAY_MS - Math.max(...times)) / WEEK_MS) * WEEK_MS;
  return rows.map((row) =>
    row.date === null ? row : { ...row, date: new Date(Date.parse(row.date) + by).toISOString().slice(0, 10) },
  );
};
