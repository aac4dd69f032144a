/** Words that say whose something is, as it is seen by whoever types: of this side, of the other. */
export const MINE: ReadonlySet<string> = new Set(['my', 'our', 'own']);
export const THEIRS: ReadonlySet<string> = new Set(['his', 'her', 'their', 'your']);
export const isOwner = (text: string): boolean => MINE.has(text) || THEIRS.has(text);

/** To whom something is done: the other side, this one. */
export const THEM: ReadonlySet<string> = new Set(['him', 'her', 'them']);
export const ME: ReadonlySet<string> = new Set(['me', 'us']);
