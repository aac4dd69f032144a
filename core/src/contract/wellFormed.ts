/** Halves of pairs that stand alone. */
const HALVES = /\p{Surrogate}/gu;

const textOf = (text: string): string => text.replace(HALVES, '\ufffd');

/**
 * The same with every text in it well-formed, names of fields too: half a pair of characters (a text that was cut in the middle of one) becomes the sign for what cannot be
 * read. Everything that comes in passes here before its schema, so that no schema and no column has to know of it.
 */
export const wellFormed = (input: unknown): unknown => {
  if (typeof input === 'string') return textOf(input);
  if (Array.isArray(input)) return input.map(wellFormed);
  if (typeof input !== 'object' || input === null) return input;
  return Object.fromEntries(Object.entries(input).map(([name, value]) => [textOf(name), wellFormed(value)]));
};
