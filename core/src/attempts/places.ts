import { otherRole, type Family, type Role, type Words } from '../vocabulary/index.js';
import type { Finish, State } from './types.js';

/** A place of the map as one string: `half-guard/top`, `won:rear-choke`, `lost:rear-choke`, `reset:edge`. */
export type PlaceId = string & { readonly __place: true };

export const stateId = (state: State): PlaceId => `${state.position}/${state.role}` as PlaceId;

export const finishId = (finish: Finish): PlaceId => {
  switch (finish.kind) {
    case 'state':
      return stateId(finish);
    case 'submission':
      return `${finish.won ? 'won' : 'lost'}:${finish.submission}` as PlaceId;
    case 'reset':
      return `reset:${finish.how}` as PlaceId;
  }
};

export type Place =
  | { readonly kind: 'state'; readonly position: string; readonly role: Role }
  | { readonly kind: 'submission'; readonly submission: string; readonly won: boolean }
  | { readonly kind: 'reset'; readonly how: string };

/** What a place id stands for; undefined where it is not one. */
export const readPlace = (id: string): Place | undefined => {
  const [left, right] = id.includes('/') ? id.split('/') : id.split(':');
  if (!left || !right) return undefined;
  if (id.includes('/')) return { kind: 'state', position: left, role: right as Role };
  if (left === 'won' || left === 'lost') return { kind: 'submission', submission: right, won: left === 'won' };
  return left === 'reset' ? { kind: 'reset', how: right } : undefined;
};

/** The same state as the other side sees it; the athletes' own left and right stay. */
export const flipState = (state: State): State => ({ ...state, role: otherRole(state.role) });

/** The same place as the other side sees it. */
export const flipPlace = (id: PlaceId): PlaceId => {
  const place = readPlace(id);
  if (place?.kind === 'state') return stateId(flipState(place));
  if (place?.kind === 'submission') return `${place.won ? 'lost' : 'won'}:${place.submission}` as PlaceId;
  return id;
};

/** The place with a child position shown as its parent. */
export const foldPlace = (id: PlaceId, words: Words): PlaceId => {
  const place = readPlace(id);
  const parent = place?.kind === 'state' ? words.position(place.position)?.parent : undefined;
  return place?.kind === 'state' && parent !== undefined ? stateId({ position: parent, role: place.role }) : id;
};

/** Default height of a place for whoever is in it: −5 … +5; resets have none. */
export const defaultHeight = (id: PlaceId, words: Words): number | undefined => {
  const place = readPlace(id);
  if (place?.kind === 'submission') return place.won ? 5 : -5;
  if (place?.kind !== 'state') return undefined;
  const word = words.position(place.position);
  if (!word) return undefined;
  if (place.role === 'even') return 0;
  return place.role === word.roles[0] ? word.height : -word.height;
};

export const placeFamily = (id: PlaceId, words: Words): Family | 'submission' | 'reset' => {
  const place = readPlace(id);
  if (place?.kind === 'state') return words.position(place.position)?.family ?? 'scramble';
  return place?.kind === 'submission' ? 'submission' : 'reset';
};

const RESET_NAMES: Record<string, string> = {
  edge: 'restart: edge of the mat',
  time: 'restart: time',
  'stand-up': 'restart: stood up',
};

/** The place in words, with its role: *half guard, top*; *rear choke won*. */
export const placeName = (id: string, words: Words): string => {
  const place = readPlace(id);
  if (!place) return id;
  switch (place.kind) {
    case 'state': {
      const name = words.name('position', place.position);
      return place.role === 'even' ? name : `${name}, ${place.role}`;
    }
    case 'submission':
      return `${words.name('submission', place.submission)} ${place.won ? 'won' : 'lost'}`;
    case 'reset':
      return RESET_NAMES[place.how] ?? `restart: ${place.how}`;
  }
};
