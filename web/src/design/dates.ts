/** The day of an instant in ISO 8601, as this browser writes days. */
export const dayText = (iso: string): string => new Date(iso).toLocaleDateString(undefined, { dateStyle: 'medium' });
/** The same with the time of day. */
export const instantText = (iso: string): string =>
  new Date(iso).toLocaleString(undefined, { dateStyle: 'medium', timeStyle: 'short' });
