import type { PlaceId } from '../attempts/index.js';
import type { Interval } from './wilson.js';

/** Counts of one setting or of all. */
export type Counts = { readonly count: number; readonly successes: number; readonly partial: number };

/** Limbs of the subject and what they hold, sides normalised; empty where nothing is recorded. */
export type GripSet = ReadonlyMap<string, string>;

/** An action from a place with the place it ended in. */
export type Line = {
  readonly id: string;
  /** `their`: done by the other side, told from the side that is looked at. Only views with a point of view have these. */
  readonly side: 'own' | 'their';
  readonly from: PlaceId;
  readonly action: string;
  readonly bait: boolean;
  readonly to: PlaceId;
  /** All attempts of the group (from, action, bait), any end, that may be rated. */
  readonly attempts: number;
  /** Those of them that worked, wherever they ended. */
  readonly worked: number;
  /** Those of all attempts that ended in `to`. */
  readonly count: number;
  /** Those of `count` that worked: they led there by working. */
  readonly successes: number;
  readonly partial: number;
  /** Wilson interval of successes / attempts; undefined = nothing known. */
  readonly interval: Interval | undefined;
  readonly competition: Counts;
  readonly training: Counts;
  /** Seen in footage from which clips were picked: no rate follows from these. */
  readonly picked: number;
  /** Demonstrations and drills. */
  readonly shown: number;
  /** Of all these, rated, picked and shown, that ended in `to`: those of which something was proposed and is not confirmed. They are counted like the others. */
  readonly proposed: number;
  /** Of `count`: worked since the other side gave it away; lost since whoever acted threw it away. */
  readonly given: number;
  readonly thrown: number;
  /** Every attempt behind it, the most telling first: rated successes, then other rated ones, picked, shown; then by id. */
  readonly attemptIds: readonly string[];
  readonly gripsAtCommit: GripSet;
  readonly gripsAtEnd: GripSet;
};

export type LineBook = {
  readonly lines: readonly Line[];
  readonly attempts: number;
  readonly shown: number;
  readonly unplaced: number;
  readonly drafts: number;
  readonly picked: number;
  readonly proposed: number;
};
