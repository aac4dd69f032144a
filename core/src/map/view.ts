import type { Setting, Skew } from '../footage/index.js';
import { amongGathered, type AskedByName } from './gathered.js';
import { isB, type FootageRow, type RowTable } from './rows.js';

/** Whose game it is: whoever acts, or certain athletes; the other side's attempts against them are then counted apart. */
export type PointOfView = { readonly kind: 'whoever' } | { readonly kind: 'athletes'; readonly ids: readonly string[] };

/** Which attempts are counted, and from whose side. What is absent lets everything through. */
export type CountingView = AskedByName & {
  /** Whether attempts of picked footage are taken into the rates, against the usual rule. */
  readonly includePicked: boolean;
  readonly settings?: readonly Setting[];
  readonly gi?: boolean;
  /** Only footage whose figures say less for this reason, or for none. */ readonly skewedBy?: Skew | 'nothing';
  /** Only footage whose sheet names these rules; this level. */ readonly ruleset?: string;
  readonly level?: string;
  /** Only footage on which this one talks, by name. */ readonly speaker?: string;
  /** First and last day, both included; footage without a day is left out where one is said. */
  readonly fromDay?: string;
  readonly toDay?: string;
  readonly pointOfView?: PointOfView;
};

export const WHOLE: CountingView = { includePicked: false };

const isInView = (footage: FootageRow, view: CountingView): boolean =>
  (view.settings === undefined || view.settings.includes(footage.setting)) &&
  (view.gi === undefined || footage.gi === view.gi) &&
  (view.skewedBy === undefined || (footage.skewedBy ?? 'nothing') === view.skewedBy) &&
  (view.ruleset === undefined || footage.ruleset === view.ruleset) &&
  (view.level === undefined || footage.level === view.level) &&
  (view.speaker === undefined || footage.speaker === view.speaker) &&
  (view.fromDay === undefined || (footage.date !== null && footage.date >= view.fromDay)) &&
  (view.toDay === undefined || (footage.date !== null && footage.date <= view.toDay));

/** Whose a row is in a view: the side that is looked at, the other side's, or neither. */
export type Whose = 'own' | 'their' | 'neither';

type Sides = readonly [a: Whose, b: Whose];
/** Whose attempts on a footage are in a view, of its first athlete and of its second. */
const sidesIn = ({ pointOfView: of, ...view }: CountingView): ((footage: FootageRow) => Sides) => {
  const seen = of?.kind === 'athletes' ? new Set(of.ids) : null;
  return (footage) => {
    if (!isInView(footage, view)) return ['neither', 'neither'];
    if (!seen) return ['own', 'own'];
    const [a, b] = [seen.has(footage.athleteA), seen.has(footage.athleteB)];
    const whose = (isIn: boolean, isOther: boolean): Whose => (isIn ? 'own' : isOther ? 'their' : 'neither');
    return [whose(a, b), whose(b, a)];
  };
};

/** Says of each row whose it is in a view; what depends on the footage is found out once for each. What is gathered under names the table has to know. */
export const sidesOf = (table: RowTable, view: CountingView): ((row: number) => Whose) => {
  const sides = sidesIn(view);
  const byFootage: (Sides | undefined)[] = [];
  const footages = table.column('footage');
  const flags = table.column('flags');
  const isAmong = amongGathered(view, table.gathered);
  return (row) => {
    if (isAmong && !isAmong(table.ids[row]!)) return 'neither';
    const number = footages[row]!;
    return (byFootage[number] ??= sides(table.footage[number]!))[isB(flags[row]!) ? 1 : 0];
  };
};

/** Says whose an attempt on a footage is in a view. */
export const whoseIn = (view: CountingView): ((footage: FootageRow, subject: 'a' | 'b') => Whose) => {
  const sides = sidesIn(view);
  const known = new Map<FootageRow, Sides>();
  return (footage, subject) => {
    const of = known.get(footage) ?? sides(footage);
    known.set(footage, of);
    return of[subject === 'b' ? 1 : 0];
  };
};
