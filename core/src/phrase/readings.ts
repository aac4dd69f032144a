import type { Result, Subject } from '../attempts/index.js';
import type { Piece } from './piece.js';
import type { Meant, SaidFinish, SaidPlace } from './types.js';
import type { Mark } from './weights.js';

/**
 * Whose doings are told: nobody was named; the acting side, named; the other side, named; the other side, named in a clause before. It holds until it is turned.
 */
export type Voice = 'open' | 'us' | 'they' | 'they still';

/** A reading of the text up to a token: what has been said so far, and how well it explains the text. */
export type Reading = {
  readonly at: number;
  readonly score: number;
  readonly voice: Voice;
  readonly pointer: 'from' | 'to' | 'with' | 'because' | 'act' | null;
  /** *then* was said, and nothing after it yet. */ readonly isThen: boolean;
  /** A clause begins here. */ readonly isOpen: boolean;
  /** Something was told since it was said whose doings it is. */ readonly isTold: boolean;
  /** Which attempt of the line is told: 0, or further ones of a chain. */ readonly attempt: number;
  readonly place: SaidPlace | null;
  readonly action: string | null;
  readonly finish: SaidFinish | null;
  readonly result: Result | null;
  readonly depth: boolean;
  readonly clothing: boolean;
  readonly who: Subject | null;
  /** What was told of this attempt, each once. */ readonly used: ReadonlySet<string>;
  /** The last part says the one before it again, more exactly. */ readonly isFiner: boolean;
  /** The finish was said with a word that points to it. */ readonly isTo: boolean;
  /** They have done something since the action. */ readonly met: boolean;
  /** The part that was told last. */ readonly told: Meant['part'] | null;
  readonly before: Reading | null;
  /** The piece that was read last; null where a token was not understood. */ readonly piece: Piece | null;
  readonly meant: Meant | null;
  readonly marks: readonly Mark[];
};

export const START: Reading = {
  ...{
    at: 0,
    score: 0,
    voice: 'open',
    pointer: null,
    isThen: false,
    isOpen: true,
    attempt: 0,
    place: null,
    action: null,
  },
  ...{
    finish: null,
    result: null,
    depth: false,
    clothing: false,
    who: null,
    used: new Set(),
    met: false,
    told: null,
    isTo: false,
    isFiner: false,
    isTold: false,
  },
  ...{ before: null, piece: null, meant: null, marks: [] },
};

/** A way to go on from a reading; without something meant where a word only steers. */
export type Way = { readonly marks: readonly Mark[]; readonly change: Partial<Reading>; readonly meant: Meant | null };

/** A new clause: what they do may go on, what was pointed at is over. */
export const opened = (r: Reading, { opens, arrow }: { readonly opens: boolean; readonly arrow: boolean }): Reading => {
  if (r.before === null) return r;
  if (!opens) return r.isOpen ? { ...r, isOpen: false } : r;
  return {
    ...r,
    isOpen: true,
    // of whom nothing was told, nothing goes on: *he is strong, …*
    voice: r.voice === 'they' ? (r.isTold ? 'they still' : 'open') : r.voice === 'us' ? 'open' : r.voice,
    pointer: arrow ? 'to' : r.pointer === 'with' || r.pointer === 'because' ? r.pointer : null,
  };
};
