import { isAimedAt } from '../attempts/index.js';
import type { Words } from '../vocabulary/index.js';
import { asides } from './grammarAsides.js';
import { actionWays } from './grammarActions.js';
import { endsThere, isWonWithout, placed, pointed } from './grammarMarks.js';
import { placeWays } from './grammarPlaces.js';
import type { Piece, Said } from './piece.js';
import type { Reading, Way } from './readings.js';
import type { SaidFinish } from './types.js';

const ways = {
  who: (r: Reading, { subject }: Extract<Said, { is: 'who' }>): readonly Way[] => {
    const other = subject === 'a' ? 'b' : 'a';
    // *theo sweeps marco*: whom it is done to
    if (r.who !== null && subject !== r.who && r.told === 'entry' && r.piece?.said.is === 'action' && !r.isOpen)
      return [{ marks: [], change: {}, meant: null }];
    if (r.who !== null) return [{ marks: [], change: { voice: subject === r.who ? 'us' : 'they' }, meant: null }];
    return [
      ...(r.action === null ? [placed({ part: 'who', subject }, { who: subject, voice: 'open' })] : []),
      { marks: [], change: { who: other, voice: 'they' }, meant: null },
    ];
  },
  submission: (r: Reading, said: Extract<Said, { is: 'submission' }>, words: Words): readonly Way[] => {
    // what is only named is tried, not won
    if (r.finish || (!said.isEnd && r.pointer !== 'to')) return [];
    const finish: SaidFinish = { kind: 'submission', submission: said.key, won: said.won };
    if (isWonWithout(finish, r.result)) return [];
    return [
      placed(
        { part: 'finish', finish },
        { finish, voice: 'open' },
        endsThere(r.action, finish, r.place, words),
        pointed(r, 'to'),
        r.action === null || !isAimedAt(finish, r.action, words) ? [['order', 1.5]] : [],
      ),
    ];
  },
};

/** Where a piece belongs after what was read, and what speaks for it; nothing where it has no place, several where it may be two things. */
export const waysFor = (r: Reading, piece: Piece, words: Words): readonly Way[] => {
  const { said } = piece;
  switch (said.is) {
    case 'who':
      return ways.who(r, said);
    case 'place':
      return placeWays(r, said, piece, words);
    case 'action':
      return actionWays(r, said, piece, words);
    case 'submission':
      return ways.submission(r, said, words);
    case 'reset':
      return asides.reset(r, said);
    case 'stays':
      return asides.stays(r);
    case 'reaction':
      return asides.reaction(r, said, piece);
    case 'reason':
      return asides.reason(r, said, piece);
    case 'hold':
      return asides.hold(r, said, piece, words);
    case 'fact':
      return asides.fact(r, said, words);
    case 'other way':
      return asides.otherWay(r, said);
    case 'known':
      return asides.known(r, said);
    case 'aim':
      return asides.aim(r, said);
    case 'bait':
      return asides.bait(r);
    case 'result':
      return asides.result(r, said, piece, words);
    case 'clothing':
      return asides.clothing(r, said);
    case 'depth':
      return asides.depth(r, said, words);
    case 'pointer':
      return asides.pointer(r, said.to);
  }
};
