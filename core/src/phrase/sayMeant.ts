import {
  BARE_ALTERNATIVE,
  RESULT_WORDS,
  aimText,
  depthWord,
  finishId,
  placeName,
  sayAlternative,
  sayControl,
  sayFact,
  stateId,
} from '../attempts/index.js';
import type { Words } from '../vocabulary/index.js';
import { EVIDENCE_WORDS } from '../why/index.js';
import { finishSaid, holdsOf, stateOf } from './said.js';
import type { Meant, SaidPlace } from './types.js';

const placeText = (place: SaidPlace, words: Words): string => {
  const state = stateOf(place);
  const name = state ? placeName(stateId(state), words) : words.name('position', place.position);
  return place.lead ? `${name}, ${place.lead}` : name;
};

/** A part of a phrase in words, as the sentence of a clip says it. `action` is the entry, for the rungs of its ladder. */
export const sayMeant = (
  meant: Meant,
  words: Words,
  athletes: Readonly<Record<'a' | 'b', string>>,
  action: string | null,
): string => {
  switch (meant.part) {
    case 'who':
      return athletes[meant.subject];
    case 'clothing':
      return meant.gi ? 'in the gi' : 'no gi';
    case 'position':
      return placeText(meant.place, words);
    case 'grip':
      return holdsOf(meant.hold, words)
        .map((hold) => sayControl({ ...hold, id: '', holder: meant.holder }, words))
        .join(' and ');
    case 'entry':
      return words.name('action', meant.action);
    case 'reaction':
      return words.name(meant.isAction ? 'action' : 'reaction', meant.what);
    case 'finish': {
      const finish = finishSaid(meant.finish);
      return finish ? placeName(finishId(finish), words) : placeText(meant.finish as SaidPlace, words);
    }
    case 'result':
      return RESULT_WORDS[meant.result];
    case 'intent':
      return 'bait';
    case 'depth': {
      const word = action === null ? undefined : words.action(action);
      return word ? depthWord(word, meant.depth) : String(meant.depth);
    }
    case 'reason':
      return words.name('reason', meant.reason);
    case 'fact':
      return sayFact(meant.fact, words);
    case 'aim':
      return aimText('own', meant.aim, words);
    case 'known':
      return EVIDENCE_WORDS[meant.how];
    case 'alternative':
      return sayAlternative({ ...BARE_ALTERNATIVE, ...meant.way }, words);
  }
};
