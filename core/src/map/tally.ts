import type { PlaceId } from '../attempts/index.js';
import type { Counts, GripSet, Line, LineBook } from './types.js';
import { NONE, isBait, isHeld, kindOf, resultOf, type RowTable } from './rows.js';
import { WHOLE, sidesOf, type CountingView, type Whose } from './view.js';
import { wilson } from './wilson.js';

type Acc = { count: number; successes: number; partial: number };
type Open = {
  readonly key: number;
  readonly competition: Acc;
  readonly training: Acc;
  picked: number;
  shown: number;
  readonly rows: Set<number>;
};
/** What a row adds: to the totals only, or to a line as one of three sorts. */
type Part =
  | { readonly total: 'drafts' | 'unplaced' }
  | {
      readonly total: 'attempts' | 'picked' | 'shown';
      readonly key: number;
      readonly setting: 'competition' | 'training';
      readonly success: boolean;
      readonly partial: boolean;
    };

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
const weightOf = (part: Part, success: boolean): number =>
  part.total === 'shown' ? 4 : (part.total === 'picked' ? 2 : 0) + (success ? 0 : 1);

const gripSet = (text: string | undefined): GripSet =>
  new Map(text === undefined ? [] : text.split('|').map((hold) => hold.split('=') as [string, string]));

/**
 * Counts lines and groups over a table of rows in a view, and keeps the counts as rows change: what a row added is remembered, so a changed row costs
 * what its own line costs, and the outcome is exactly that of counting anew (integers only; lines come out sorted by id).
 * Building is one pass, O(rows); {@link book} is O(lines · log lines + rows of each line · log).
 */
export class Tally {
  private readonly lines = new Map<number, Open>();
  private readonly groups = new Map<number, number>();
  private readonly parts: (Part | undefined)[] = [];
  private readonly totals = { attempts: 0, shown: 0, picked: 0, unplaced: 0, drafts: 0 };
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

  private partOf(row: number): Part | undefined {
    const { table } = this;
    const flags = table.column('flags')[row]!;
    const kind = kindOf(flags);
    if (kind === 'gone' || kind === 'left out') return undefined;
    const whose = this.whose(row);
    if (whose === 'neither') return undefined;
    if (kind === 'draft') return { total: 'drafts' };
    if (kind === 'unplaced') return { total: 'unplaced' };
    if (isHeld(flags)) return undefined;
    const footage = table.footage[table.column('footage')[row]!]!;
    const [from, to] = [table.column('from')[row]!, table.column('to')[row]!];
    const isTheirs = whose === 'their';
    const key =
      (isTheirs ? THEIR : 0) +
      (isTheirs ? table.flip(from) : from) * FROM +
      table.column('action')[row]! * ACTION +
      (isBait(flags) ? BAIT : 0) +
      (isTheirs ? table.flip(to) : to);
    const result = resultOf(flags);
    return {
      total:
        kind === 'shown' ? 'shown' : footage.logged === 'throughout' || this.view.includePicked ? 'attempts' : 'picked',
      key,
      setting: footage.setting === 'competition' ? 'competition' : 'training',
      success: result === 'success',
      partial: result === 'partial',
    };
  }

  private put(row: number): void {
    const part = this.partOf(row);
    this.parts[row] = part;
    if (part) this.add(part, row, 1);
  }

  private take(row: number): void {
    const part = this.parts[row];
    if (part) this.add(part, row, -1);
    this.parts[row] = undefined;
  }

  private add(part: Part, row: number, by: 1 | -1): void {
    this.totals[part.total] += by;
    if (!('key' in part)) return;
    let line = this.lines.get(part.key);
    if (!line) {
      line = { key: part.key, competition: emptyAcc(), training: emptyAcc(), picked: 0, shown: 0, rows: new Set() };
      this.lines.set(part.key, line);
    }
    if (by > 0) line.rows.add(row);
    else line.rows.delete(row);
    if (line.rows.size === 0) this.lines.delete(part.key);
    if (part.total !== 'attempts') {
      line[part.total] += by;
      return;
    }
    const group = groupOf(part.key);
    this.groups.set(group, (this.groups.get(group) ?? 0) + by);
    const acc = line[part.setting];
    acc.count += by;
    if (part.success) acc.successes += by;
    if (part.partial) acc.partial += by;
  }

  /** Lines sorted by id, with the totals. */
  book(): LineBook {
    const lines = [...this.lines.values()].map((line) => this.lineOf(line)).sort((a, b) => (a.id < b.id ? -1 : 1));
    return { lines, ...this.totals };
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
    const seen = [...open.rows]
      .map((row) => {
        const part = this.parts[row] as Extract<Part, { key: number }>;
        return { row, weight: weightOf(part, part.success), id: table.ids[row]! };
      })
      .sort((x, y) => x.weight - y.weight || (x.id < y.id ? -1 : 1));
    const [commitGrips, endGrips] = [table.column('commitGrips'), table.column('endGrips')];
    const telling = (seen.find((s) => commitGrips[s.row] !== NONE) ?? seen[0]!).row;
    return {
      id: `${side === 'their' ? 'their: ' : ''}${from} ${action}${bait ? ' (bait)' : ''} ${to}`,
      side,
      from,
      action,
      bait,
      to,
      attempts,
      count: open.competition.count + open.training.count,
      successes,
      partial: open.competition.partial + open.training.partial,
      interval: wilson(successes, attempts),
      competition: plain(open.competition),
      training: plain(open.training),
      picked: open.picked,
      shown: open.shown,
      attemptIds: seen.map((s) => s.id),
      gripsAtCommit: gripSet(table.grips.texts[commitGrips[telling]!]),
      gripsAtEnd: gripSet(table.grips.texts[endGrips[telling]!]),
    };
  }
}
