/** A name with what is said about it behind: *hip out (too late)*. */
export const behindName = (name: string, details: readonly string[]): string =>
  details.length ? `${name} (${details.join(', ')})` : name;
