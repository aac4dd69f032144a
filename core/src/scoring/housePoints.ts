import { readPlace, type PlaceId } from '../attempts/index.js';

/** Points that the house rules give for reaching a place and holding it. A ruleset is data: this is the one that ships. */
const HOUSE_POINTS: Record<string, number> = {
  'side-control/top': 3,
  'north-south/top': 3,
  'knee-on-belly/top': 2,
  'mount/top': 4,
  'back/attacker': 4,
  'rear-waist/attacker': 0,
};

export const housePoints = (place: PlaceId): number =>
  readPlace(place)?.kind === 'state' ? (HOUSE_POINTS[place] ?? 0) : 0;
