import type { PlaceId } from '../attempts/index.js';
import type { Counts, Line, LineBook } from './types.js';
import {
  NONE,
  isBait,
  isByError,
  isHeld,
  isPartProposed,
  isThorough,
  kindOf,
  resultOf,
  type RowTable,
} from './rows.js';
import { WHOLE, sidesOf, type CountingView, type Whose } from './view.js';
import { wilson } from './wilson.js';

type Acc = { count: number; successes: number; partial: number };
type Open = {
  readonly key: number;
  readonly competition: Acc;
  readonly training: Acc;
  picked: number;
  shown: number;
  proposed: number;
  given: number;
  thrown: number;
  /** Its rows, each with the next: the first, the last, how many. */ first: number;
  last: number;
  size: number;
};
/** What a row adds, in one number: to which total (1–5, 0 = nothing), and for those on a line its setting (8), success (16), partial (32), whether a part of it is proposed (64), and whether a mistake decided it (128). */
const TOTALS = ['drafts', 'unplaced', 'attempts', 'picked', 'shown'] as const;
type Total = (typeof TOTALS)[number];
const code = (total: Total): number => TOTALS.indexOf(total) + 1;
const [DRAFTS, UNPLACED, ATTEMPTS, PICKED, SHOWN] = TOTALS.map(code) as [number, number, number, number, number];
const COMPETITION = 8;
const SUCCESS = 16;
const PARTIAL = 32;
const PROPOSED = 64;
const BY_ERROR = 128;

/** Line keys as one number: other side (1 bit), from (16), action (16), bait (1), to (16): 50 bits, exact in a double. */
const TO = 2 ** 16;
const BAIT = 2 ** 16;
const ACTION = 2 ** 17;
const FROM = 2 ** 33;
const THEIR = 2 ** 49;
const groupOf = (key: number): number => Math.floor(key / TO);

const emptyAcc = (): Acc => ({ count: 0, successes: 0, partial: 0 });
const plain = ({ count, successes, partial }: Acc): Counts => ({ count, successes, partial });

/** How telling an attempt is for its line, least first: rated successes, other rated, picked, shown. */
const weightOf = (part: number): number =>
  (part & 7) === SHOWN ? 4 : ((part & 7) === PICKED ? 2 : 0) + (part & SUCCESS ? 0 : 1);

/**
 * Counts lines and groups over a table of rows in a view, and keeps the counts as rows change: what a row added is remembered, so a changed row costs
 * what its own line costs, and the outcome is exactly that of counting anew (integers only; lines come out sorted by id).
 * Building is one pass, O(rows); {@link book} is O(lines · log lines + rows of each line · log).
 */
export class Tally {
  private readonly lines = new Map<number, Open>();
  private readonly groups = new Map<number, number>();
  private readonly worked = new Map<number, number>();
  /** What each row added, and to which line. */
  private parts = new Uint8Array(64);
  private keys = new Float64Array(64);
  /** The rows beside each in its line; −1 = none. */
  private next = new Int32Array(64);
  private before = new Int32Array(64);
  private readonly totals = { attempts: 0, shown: 0, picked: 0, unplaced: 0, drafts: 0, proposed: 0 };
  private whose: (row: number) => Whose;

  constructor(
    private readonly table: RowTable,
    private readonly view: CountingView = WHOLE,
  ) {
    this.whose = sidesOf(table, view);
    for (let row = 0; row < table.length; row++) this.put(row);
  }

  /** Takes in rows that have changed, come or gone since they were counted. */
  update(rows: Iterable<number>): void {
    this.whose = sidesOf(this.table, this.view);
    for (const row of rows) {
      this.take(row);
      this.put(row);
    }
  }

  /** What a row adds; the key of its line is left in `keys`. */
  private partOf(row: number): number {
    const { table } = this;
    const flags = table.column('flags')[row]!;
    const kind = kindOf(flags);
    if (kind === 'gone' || kind === 'left out') return 0;
    const whose = this.whose(row);
    if (whose === 'neither') return 0;
    if (kind === 'draft') return DRAFTS;
    if (kind === 'unplaced') return UNPLACED;
    if (isHeld(flags)) return 0;
    const footage = table.footage[table.column('footage')[row]!]!;
    const [from, to] = [table.column('from')[row]!, table.column('to')[row]!];
    const isTheirs = whose === 'their';
    this.keys[row] =
      (isTheirs ? THEIR : 0) +
      (isTheirs ? table.flip(from) : from) * FROM +
      table.column('action')[row]! * ACTION +
      (isBait(flags) ? BAIT : 0) +
      (isTheirs ? table.flip(to) : to);
    const result = resultOf(flags);
    const isRated = isThorough(flags) || this.view.includePicked;
    return (
      (kind === 'shown' ? SHOWN : isRated ? ATTEMPTS : PICKED) |
      (footage.setting === 'competition' ? COMPETITION : 0) |
      (result === 'success' ? SUCCESS : 0) |
      (result === 'partial' ? PARTIAL : 0) |
      (isPartProposed(flags) ? PROPOSED : 0) |
      (isByError(flags) ? BY_ERROR : 0)
    );
  }

  private put(row: number): void {
    if (row >= this.parts.length) this.grow(row);
    const part = this.partOf(row);
    this.parts[row] = part;
    if (part) this.add(part, row, 1);
  }

  private take(row: number): void {
    const part = this.parts[row] ?? 0;
    if (part) this.add(part, row, -1);
    this.parts[row] = 0;
  }

  private grow(row: number): void {
    const length = Math.max(row + 1, this.parts.length * 2);
    const [parts, keys] = [new Uint8Array(length), new Float64Array(length)];
    const [next, before] = [new Int32Array(length), new Int32Array(length)];
    parts.set(this.parts);
    keys.set(this.keys);
    next.set(this.next);
    before.set(this.before);
    [this.parts, this.keys, this.next, this.before] = [parts, keys, next, before];
  }

  private append(line: Open, row: number): void {
    this.before[row] = line.last;
    this.next[row] = -1;
    if (line.last >= 0) this.next[line.last] = row;
    else line.first = row;
    line.last = row;
    line.size++;
  }

  private unlink(line: Open, row: number): void {
    const [before, next] = [this.before[row]!, this.next[row]!];
    if (before >= 0) this.next[before] = next;
    else line.first = next;
    if (next >= 0) this.before[next] = before;
    else line.last = before;
    line.size--;
  }

  private add(part: number, row: number, by: 1 | -1): void {
    const total = TOTALS[(part & 7) - 1]!;
    this.totals[total] += by;
    if (total === 'drafts' || total === 'unplaced') return;
    const key = this.keys[row]!;
    let line = this.lines.get(key);
    if (!line) {
      const none = { picked: 0, shown: 0, proposed: 0, given: 0, thrown: 0, first: -1, last: -1, size: 0 };
      line = { key, competition: emptyAcc(), training: emptyAcc(), ...none };
      this.lines.set(key, line);
    }
    if (by > 0) this.append(line, row);
    else this.unlink(line, row);
    if (line.size === 0) this.lines.delete(key);
    if (part & PROPOSED) {
      line.proposed += by;
      this.totals.proposed += by;
    }
    if (total !== 'attempts') {
      line[total] += by;
      return;
    }
    const group = groupOf(key);
    this.groups.set(group, (this.groups.get(group) ?? 0) + by);
    const acc = part & COMPETITION ? line.competition : line.training;
    acc.count += by;
    if (part & SUCCESS) {
      acc.successes += by;
      this.worked.set(group, (this.worked.get(group) ?? 0) + by);
    }
    if (part & PARTIAL) acc.partial += by;
    if (part & BY_ERROR) line[part & SUCCESS ? 'given' : 'thrown'] += by;
  }

  /** Lines sorted by id, with the totals. */
  book(): LineBook {
    const lines = [...this.lines.values()].map((line) => this.lineOf(line)).sort((a, b) => (a.id < b.id ? -1 : 1));
    return { lines, ...this.totals };
  }

  /** Rows by how telling they are, those that are alike by id. */
  private mostTellingFirst({ first, size }: Open): readonly number[] {
    if (size === 1) return [first];
    const { ids, isInOrder } = this.table;
    const alike: number[][] = [[], [], [], [], []];
    let [last, isAscending] = [-1, isInOrder];
    for (let row = first; row >= 0; row = this.next[row]!) {
      alike[weightOf(this.parts[row]!)]!.push(row);
      if (row < last) isAscending = false;
      last = row;
    }
    if (!isAscending) for (const some of alike) some.sort((x, y) => (ids[x]! < ids[y]! ? -1 : 1));
    return alike.flat();
  }

  private lineOf(open: Open): Line {
    const { table } = this;
    const { key } = open;
    const side = key >= THEIR ? 'their' : 'own';
    const rest = key % THEIR;
    const from = table.places.texts[Math.floor(rest / FROM)] as PlaceId;
    const to = table.places.texts[rest % TO] as PlaceId;
    const action = table.actions.texts[Math.floor((rest % FROM) / ACTION)]!;
    const bait = Math.floor(rest / BAIT) % 2 === 1;
    const attempts = this.groups.get(groupOf(key)) ?? 0;
    const successes = open.competition.successes + open.training.successes;
    const seen = this.mostTellingFirst(open);
    const [commitGrips, endGrips] = [table.column('commitGrips'), table.column('endGrips')];
    const telling = seen.find((row) => commitGrips[row] !== NONE) ?? seen[0]!;
    return {
      id: `${side === 'their' ? 'their: ' : ''}${from} ${action}${bait ? ' (bait)' : ''} ${to}`,
      side,
      from,
      action,
      bait,
      to,
      attempts,
      worked: this.worked.get(groupOf(key)) ?? 0,
      count: open.competition.count + open.training.count,
      successes,
      partial: open.competition.partial + open.training.partial,
      interval: wilson(successes, attempts),
      competition: plain(open.competition),
      training: plain(open.training),
      picked: open.picked,
      shown: open.shown,
      proposed: open.proposed,
      given: open.given,
      thrown: open.thrown,
      attemptIds: seen.map((row) => table.ids[row]!),
      gripsAtCommit: table.gripSet(commitGrips[telling]!),
      gripsAtEnd: table.gripSet(endGrips[telling]!),
    };
  }
}
