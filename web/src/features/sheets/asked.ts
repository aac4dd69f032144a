import {
  placeName,
  readPlace,
  stateId,
  type AnswerRow,
  type AskedFor,
  type Cell,
  type PlaceId,
  type Words,
} from '@odograph/core';
import { NEXT_TEXT as N } from './sheets.text.js';

/** What a box of the table asks for; undefined where nothing was met in it. */
export const askedIn = (place: PlaceId, { action }: AnswerRow, { column }: Cell): AskedFor | undefined => {
  const at = readPlace(place);
  if (at?.kind !== 'state' || typeof column === 'string') return undefined;
  const met = column.isAction ? { reaction: null, theirs: column.what } : { reaction: column.what, theirs: null };
  return { state: { position: at.position, role: at.role }, action, ...met };
};

/** The same in words, as it stands on the list. */
export const sayAsked = ({ state, action, reaction, theirs }: AskedFor, words: Words): string => {
  const place = state ? placeName(stateId(state), words) : '';
  if (reaction === null && theirs === null) return N.findEntry(words.name('action', action ?? ''), place);
  const met =
    reaction !== null ? N.they(words.name('reaction', reaction)) : N.theirAction(words.name('action', theirs ?? ''));
  const where = action === null ? N.in(place) : N.against(words.name('action', action), place);
  return N.find(`${met}, ${where}`);
};
