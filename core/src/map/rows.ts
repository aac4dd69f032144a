import {
  RESULTS,
  controlKey,
  errorDecided,
  flipPlace,
  finishId,
  finishOf,
  gripsAtCommit,
  gripsAtEnd,
  normaliseSides,
  standingOf,
  stateId,
  type Attempt,
  type PlaceId,
} from '../attempts/index.js';
import { type Footage } from '../footage/index.js';
import type { Words } from '../vocabulary/index.js';
import type { GripSet } from './types.js';
import type { Gathered } from './gathered.js';

/** An attempt with the footage it belongs to: what counting needs. `isThorough`: all that happened around it is logged too, so that rates may be counted. */
export type Logged = { readonly attempt: Attempt; readonly footage: Footage; readonly isThorough: boolean };

/** What counting needs of a footage. */
export type FootageRow = Pick<
  Footage,
  'id' | 'setting' | 'gi' | 'date' | 'athleteA' | 'athleteB' | 'skewedBy' | 'ruleset' | 'level' | 'speaker'
>;

/** How an attempt enters the figures; `gone` = it is not there any more. */
export const ROW_KINDS = ['gone', 'draft', 'unplaced', 'left out', 'shown', 'counted'] as const;
export type RowKind = (typeof ROW_KINDS)[number];

/** Texts by number, each once, in the order in which they came. */
export class Interned {
  private readonly numbers = new Map<string, number>();
  readonly texts: string[] = [];

  of(text: string): number {
    const known = this.numbers.get(text);
    if (known !== undefined) return known;
    this.numbers.set(text, this.texts.length);
    return this.texts.push(text) - 1;
  }
}

/** The columns of a row beside its id, each a number: footage, places, action and grips by their interned number, `none` where there is none. */
export const COLUMNS = ['footage', 'flags', 'from', 'to', 'action', 'value', 'commitGrips', 'endGrips'] as const;
export type Column = (typeof COLUMNS)[number];
export type Row = Readonly<Record<Column, number>>;
export const NONE = 0xffff;

/** Flags of a row in one number: whose action (1 bit), kind (3), held in place (1), bait (1), result + 1 (3, 0 = not said), logged throughout (1), some of it proposed (1), given or thrown away (1). */
export const flagsOf = (
  subject: 'a' | 'b',
  kind: RowKind,
  held: boolean,
  bait: boolean,
  result: Attempt['result'],
  thorough: boolean,
  proposed: boolean,
  decided: boolean,
): number =>
  (subject === 'b' ? 1 : 0) |
  (ROW_KINDS.indexOf(kind) << 1) |
  (held ? 16 : 0) |
  (bait ? 32 : 0) |
  ((result === null ? 0 : RESULTS.indexOf(result) + 1) << 6) |
  (thorough ? 512 : 0) |
  (proposed ? 1024 : 0) |
  (decided ? 2048 : 0);
export const isB = (flags: number): boolean => (flags & 1) === 1;
export const kindOf = (flags: number): RowKind => ROW_KINDS[(flags >> 1) & 7]!;
export const isHeld = (flags: number): boolean => (flags & 16) !== 0;
export const isBait = (flags: number): boolean => (flags & 32) !== 0;
export const isThorough = (flags: number): boolean => (flags & 512) !== 0;
export const isPartProposed = (flags: number): boolean => (flags & 1024) !== 0;
/** A success that was given, or a loss that was thrown away. */
export const isByError = (flags: number): boolean => (flags & 2048) !== 0;
export const resultOf = (flags: number): Attempt['result'] => RESULTS[((flags >> 6) & 7) - 1] ?? null;

/** Limbs of the subject and what they hold, sides normalised, as one text: `limb side=hold`, set apart by bars; sorted, so that equal sets are equal texts. */
const gripsText = (attempt: Attempt, pick: (a: Attempt) => Attempt['controls']): string =>
  pick(normaliseSides(attempt))
    .map((c) => `${c.limb} ${c.limbSide ?? '-'}=${controlKey(c)}`)
    .sort()
    .join('|');

const NO_GRIPS: GripSet = new Map();
const readGrips = (text: string): GripSet =>
  new Map(text.split('|').map((hold) => hold.split('=') as [string, string]));

/**
 * The attempts of a library as rows of numbers, interned texts beside them: what counting reads, what goes to a worker, and what a change of one attempt
 * touches in one place. Rows keep their number for good; a row that goes is marked, and its number is used again when the same attempt comes back.
 */
export class RowTable {
  readonly places = new Interned();
  readonly actions = new Interned();
  readonly grips = new Interned();
  readonly footage: FootageRow[] = [];
  private readonly footageNumbers = new Map<string, number>();
  readonly ids: string[] = [];
  private readonly rowNumbers = new Map<string, number>();
  private readonly columns = Object.fromEntries(COLUMNS.map((c) => [c, new Int32Array(64)])) as Record<
    Column,
    Int32Array
  >;
  private readonly flips: number[] = [];
  private readonly gripSets: GripSet[] = [];
  /** Ids came in their order, so that rows stand in it: what is sorted by id is sorted by number. */
  isInOrder = true;
  /** The attempts that views ask for and no row by itself says. */ gathered: Gathered = new Map();

  get length(): number {
    return this.ids.length;
  }

  /** The column whole; it may be longer than there are rows. */
  column(name: Column): Int32Array {
    return this.columns[name];
  }

  /** The same place as the other side sees it, by number. */
  flip(place: number): number {
    return (this.flips[place] ??= this.places.of(flipPlace(this.places.texts[place] as PlaceId)));
  }

  /** Holds by number, each set read once. */
  gripSet(number: number): GripSet {
    return number === NONE ? NO_GRIPS : (this.gripSets[number] ??= readGrips(this.grips.texts[number]!));
  }

  rowOf(id: string): number | undefined {
    return this.rowNumbers.get(id);
  }

  setFootage(footage: FootageRow): number {
    const { id, setting, gi, date, athleteA, athleteB, skewedBy, ruleset, level, speaker } = footage;
    const number = this.footageNumbers.get(id) ?? this.footage.length;
    this.footageNumbers.set(id, number);
    this.footage[number] = { id, setting, gi, date, athleteA, athleteB, skewedBy, ruleset, level, speaker };
    return number;
  }

  footageNumber(id: string): number | undefined {
    return this.footageNumbers.get(id);
  }

  /** Puts a row where its id stands, or at the end; gives its number. */
  setRow(id: string, row: Row): number {
    let number = this.rowNumbers.get(id);
    if (number === undefined) {
      const last = this.ids.at(-1);
      if (last !== undefined && id < last) this.isInOrder = false;
      number = this.ids.push(id) - 1;
      this.rowNumbers.set(id, number);
      if (number >= this.columns.flags.length)
        for (const name of COLUMNS) {
          const longer = new Int32Array(this.columns[name].length * 2);
          longer.set(this.columns[name]);
          this.columns[name] = longer;
        }
    }
    for (const name of COLUMNS) this.columns[name][number] = row[name];
    return number;
  }

  /** The numbers of the rows that are there. */
  present(): readonly number[] {
    return this.ids.flatMap((_, row) => (kindOf(this.columns.flags[row]!) === 'gone' ? [] : row));
  }

  /** Marks a row as gone; undefined where there is none. */
  removeRow(id: string): number | undefined {
    const number = this.rowNumbers.get(id);
    if (number !== undefined) this.columns.flags[number] = 0;
    return number;
  }

  /** Puts an attempt in; gives the number of its row. */
  set({ attempt, footage, isThorough: thorough }: Logged, words: Words): number {
    const standing = standingOf(attempt, footage, words);
    const isPlaced = standing.kind === 'counted' || standing.kind === 'shown';
    const does = words.action(attempt.action ?? '')?.does;
    const held = isPlaced && standing.from === standing.to && (does === 'grip' || does === 'hold');
    const end = isPlaced ? finishOf(attempt, words)!.finish : undefined;
    const value = end?.kind === 'reset' ? end.restart && stateId(end.restart) : end && finishId(end);
    const grips = (pick: (a: Attempt) => Attempt['controls']): number => {
      const text = isPlaced ? gripsText(attempt, pick) : '';
      return text === '' ? NONE : this.grips.of(text);
    };
    return this.setRow(attempt.id, {
      footage: this.footageNumber(footage.id) ?? this.setFootage(footage),
      flags: flagsOf(
        attempt.subject,
        standing.kind,
        held,
        attempt.intent === 'bait',
        attempt.result,
        thorough,
        attempt.proposed.length > 0,
        errorDecided(attempt) !== null,
      ),
      from: isPlaced ? this.places.of(standing.from) : NONE,
      to: isPlaced ? this.places.of(standing.to) : NONE,
      action: isPlaced ? this.actions.of(attempt.action!) : NONE,
      value: value ? this.places.of(value) : NONE,
      commitGrips: grips(gripsAtCommit),
      endGrips: grips(gripsAtEnd),
    });
  }

  static of(logged: readonly Logged[], words: Words): RowTable {
    const table = new RowTable();
    for (const one of logged) table.set(one, words);
    return table;
  }
}
