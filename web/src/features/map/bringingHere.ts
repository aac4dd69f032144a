import { flipPlace, type PlaceId } from '@odograph/core';
import type { MapLine, MapPicture } from '../../workers/map.protocol.js';

/**
 * What the other side does to bring one here, as it is seen from here: told so where somebody's game is looked at; otherwise whatever gets anybody to the other side of this
 * place, turned round.
 */
export const bringingHere = (picture: Pick<MapPicture, 'lines'>, place: PlaceId): readonly MapLine[] => {
  const told = picture.lines.filter((l) => l.side === 'their');
  if (told.length) return told.filter((l) => l.to === place && l.from !== place);
  const there = flipPlace(place);
  if (there === place) return [];
  return picture.lines
    .filter((l) => l.to === there && l.from !== there)
    .map((l) => ({ ...l, side: 'their', from: flipPlace(l.from), to: place }));
};
