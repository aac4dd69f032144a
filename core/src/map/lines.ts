import {
  controlKey,
  gripsAtCommit,
  gripsAtEnd,
  normaliseSides,
  standingOf,
  type Attempt,
  type Footage,
  type PlaceId,
} from '../attempts/index.js';
import type { Words } from '../vocabulary/index.js';
import { wilson, type Interval } from './wilson.js';

/** An attempt with the footage it belongs to: what counting needs. */
export type Logged = { readonly attempt: Attempt; readonly footage: Footage };

/** Counts of one setting or of all. */
export type Counts = { readonly count: number; readonly successes: number; readonly partial: number };

/** Limbs of the subject and what they hold, sides normalised; empty where nothing is recorded. */
export type GripSet = ReadonlyMap<string, string>;

/** An action from a place with the place it ended in. */
export type Line = {
  readonly id: string;
  readonly from: PlaceId;
  readonly action: string;
  readonly bait: boolean;
  readonly to: PlaceId;
  /** All attempts of the group (from, action, bait), any end, that may be rated. */
  readonly attempts: number;
  /** Those of them that ended in `to`. */
  readonly count: number;
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
};

/** Whether attempts of picked footage are taken into the rates, against the usual rule. */
export type CountingView = { readonly includePicked: boolean };

type Open = {
  from: PlaceId;
  action: string;
  bait: boolean;
  to: PlaceId;
  picked: number;
  shown: number;
  competition: { count: number; successes: number; partial: number };
  training: { count: number; successes: number; partial: number };
  seen: { attempt: Attempt; weight: number }[];
};

const gripSet = (attempt: Attempt, pick: (a: Attempt) => Attempt['controls']): GripSet =>
  new Map(pick(normaliseSides(attempt)).map((c) => [`${c.limb} ${c.limbSide ?? '-'}`, controlKey(c)]));

const isHeldInPlace = (attempt: Attempt, from: PlaceId, to: PlaceId, words: Words): boolean => {
  const does = words.action(attempt.action ?? '')?.does;
  return from === to && (does === 'grip' || does === 'hold');
};

/**
 * The lines of the map out of what was logged: one pass over the attempts, then one over the lines.
 * Definitions in the project's model: a line's `attempts` are those of its group, so that the counts of a group add up to them.
 * Lines come out sorted by id, so shuffled input gives the same answer. O(n + lines · log lines).
 */
export const buildLines = (
  logged: readonly Logged[],
  words: Words,
  view: CountingView = { includePicked: false },
): LineBook => {
  const open = new Map<string, Open>();
  const groups = new Map<string, number>();
  const totals = { attempts: 0, shown: 0, unplaced: 0, drafts: 0, picked: 0 };
  for (const { attempt, footage } of logged) {
    const standing = standingOf(attempt, footage, words);
    if (standing.kind === 'draft') totals.drafts++;
    if (standing.kind === 'unplaced') totals.unplaced++;
    if (standing.kind !== 'counted' && standing.kind !== 'shown') continue;
    const { from, to } = standing;
    if (isHeldInPlace(attempt, from, to, words)) continue;
    const bait = attempt.intent === 'bait';
    const group = `${from} ${attempt.action}${bait ? ' (bait)' : ''}`;
    const id = `${group} ${to}`;
    let line = open.get(id);
    if (!line) {
      line = {
        from,
        action: attempt.action!,
        bait,
        to,
        picked: 0,
        shown: 0,
        competition: { count: 0, successes: 0, partial: 0 },
        training: { count: 0, successes: 0, partial: 0 },
        seen: [],
      };
      open.set(id, line);
    }
    const rated = footage.logged === 'throughout' || view.includePicked;
    if (standing.kind === 'shown') {
      line.shown++;
      totals.shown++;
    } else if (!rated) {
      line.picked++;
      totals.picked++;
    } else {
      totals.attempts++;
      groups.set(group, (groups.get(group) ?? 0) + 1);
      const counts = footage.setting === 'competition' ? line.competition : line.training;
      counts.count++;
      if (attempt.result === 'success') counts.successes++;
      if (attempt.result === 'partial') counts.partial++;
    }
    const success = attempt.result === 'success' ? 0 : 1;
    line.seen.push({ attempt, weight: standing.kind === 'shown' ? 4 : rated ? success : 2 + success });
  }
  const lines = [...open]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([id, line]): Line => {
      const attempts = groups.get(`${line.from} ${line.action}${line.bait ? ' (bait)' : ''}`) ?? 0;
      const successes = line.competition.successes + line.training.successes;
      const seen = line.seen
        .sort((x, y) => x.weight - y.weight || (x.attempt.id < y.attempt.id ? -1 : 1))
        .map((s) => s.attempt);
      const telling = seen.find((a) => gripsAtCommit(a).length > 0) ?? seen[0]!;
      return {
        id,
        from: line.from,
        action: line.action,
        bait: line.bait,
        to: line.to,
        attempts,
        count: line.competition.count + line.training.count,
        successes,
        partial: line.competition.partial + line.training.partial,
        interval: wilson(successes, attempts),
        competition: line.competition,
        training: line.training,
        picked: line.picked,
        shown: line.shown,
        attemptIds: seen.map((a) => a.id),
        gripsAtCommit: gripSet(telling, gripsAtCommit),
        gripsAtEnd: gripSet(telling, gripsAtEnd),
      };
    });
  return { lines, ...totals };
};
