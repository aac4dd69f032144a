import { foldPlace, placeName, readPlace, type PlaceId, type Words } from '@odograph/core';

/** A place, and the one that it is a child of. */
export const withParent = (place: PlaceId | undefined, words: Words): readonly string[] =>
  place === undefined ? [] : [...new Set([place, foldPlace(place, words)])];

/** A position whichever side one is on, and any submission won or lost. */
const ANY_SIDE = 'any side: ';
const ANY_TAP: Readonly<Record<string, readonly string[]>> = {
  'any won': ['any submission', 'submission', 'tap', 'they tap', 'finish', 'sub'],
  'any lost': ['any submission lost', 'tapped', 'lost by submission'],
};
/** Places with what holds them: either side, any submission. */
export const widerThan = (places: readonly string[]): readonly string[] => {
  const wider = places.flatMap((id) => {
    const place = readPlace(id);
    if (place?.kind === 'state') return [`${ANY_SIDE}${place.position}`];
    return place?.kind === 'submission' ? [place.won ? 'any won' : 'any lost'] : [];
  });
  return [...places, ...new Set(wider)];
};

export const placeTexts = (value: string, words: Words): readonly string[] => {
  if (ANY_TAP[value]) return ANY_TAP[value];
  if (value.startsWith(ANY_SIDE)) {
    const word = words.position(value.slice(ANY_SIDE.length));
    return [`${word?.name ?? value}, either side`, ...(word?.aliases ?? [])];
  }
  const place = readPlace(value);
  const name = placeName(value, words);
  if (place?.kind === 'state')
    return [name, ...(words.position(place.position)?.aliases ?? []).map((a) => `${a}, ${place.role}`)];
  if (place?.kind === 'submission')
    return [
      name,
      ...(words.submission(place.submission)?.aliases ?? []).map((a) => `${a} ${place.won ? 'won' : 'lost'}`),
    ];
  return [name];
};
