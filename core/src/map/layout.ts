import { placeFamily, placeName, type PlaceId } from '../attempts/index.js';
import { FAMILIES, type Family, type Words } from '../vocabulary/index.js';
import type { Line } from './types.js';

/** Sizes in pixels. `measure` gives the width of a label line as it will be drawn. */
export type LayoutOptions = {
  readonly width: number;
  readonly height: number;
  readonly lineHeight: number;
  readonly measure: (text: string) => number;
};

export type PlacedPlace = {
  readonly id: PlaceId;
  /** The dot; its y is the place's height. */
  readonly x: number;
  readonly y: number;
  readonly label: readonly string[];
  /** The room that dot and label take up. */
  readonly box: { readonly x: number; readonly y: number; readonly width: number; readonly height: number };
  readonly kind: 'state' | 'won' | 'lost' | 'reset';
};
export type PlacedColumn = { readonly family: Family | 'reset'; readonly x: number; readonly width: number };
export type MapLayout = {
  readonly width: number;
  readonly height: number;
  readonly zeroY: number;
  readonly unitY: number;
  readonly columns: readonly PlacedColumn[];
  readonly places: readonly PlacedPlace[];
};

const DOT = 7;
const DOT_GAP = 6;
const LANE_GAP = 9;
const COLUMN_GAP = 12;
const MOST_LANES = 3;
const EDGE_ROWS = 2;

/** A label on at most two lines, split at the space or comma that leaves both nearest in length. */
export const splitLabel = (name: string): readonly string[] => {
  if (name.length <= 12) return [name];
  let best: readonly string[] = [name],
    length = name.length;
  for (const match of name.matchAll(/ /g)) {
    const parts = [name.slice(0, match.index), name.slice(match.index + 1)];
    const longest = Math.max(...parts.map((p) => p.length));
    if (longest < length) {
      best = parts;
      length = longest;
    }
  }
  return best;
};

type Item = {
  readonly id: PlaceId;
  readonly y: number;
  readonly label: readonly string[];
  readonly width: number;
  readonly height: number;
};

/** First lane in which the label overlaps nothing above it; items come from the top down. Beyond the last lane it slides down in the emptiest one. */
const intoLanes = (items: readonly Item[]): readonly (readonly (Item & { readonly labelY: number })[])[] => {
  const lanes: (Item & { labelY: number })[][] = [];
  const end = (lane: readonly (Item & { labelY: number })[]): number =>
    lane.length ? lane.at(-1)!.labelY + lane.at(-1)!.height / 2 : Number.NEGATIVE_INFINITY;
  for (const item of items) {
    const lane = lanes.find((l) => end(l) + 2 <= item.y - item.height / 2);
    if (lane) lane.push({ ...item, labelY: item.y });
    else if (lanes.length < MOST_LANES) lanes.push([{ ...item, labelY: item.y }]);
    else {
      const emptiest = lanes.reduce((a, b) => (end(b) < end(a) ? b : a));
      emptiest.push({ ...item, labelY: end(emptiest) + 2 + item.height / 2 });
    }
  }
  return lanes;
};

const permutations = <T>(list: readonly T[]): readonly (readonly T[])[] =>
  list.length < 2
    ? [list]
    : list.flatMap((x, i) => permutations([...list.slice(0, i), ...list.slice(i + 1)]).map((rest) => [x, ...rest]));

/** Spreads labels along a row so that none overlap, each as near its wish as the order allows; a second row takes every other one when one is too short. */
const alongRow = (
  wishes: readonly { readonly item: Item; readonly x: number }[],
  left: number,
  right: number,
): ReadonlyMap<PlaceId, { x: number; row: number }> => {
  const sorted = [...wishes].sort((a, b) => a.x - b.x || (a.item.id < b.item.id ? -1 : 1));
  const total = sorted.reduce((sum, w) => sum + w.item.width + LANE_GAP, 0);
  const rows = total > right - left ? EDGE_ROWS : 1;
  const placed = new Map<PlaceId, { x: number; row: number }>();
  for (let row = 0; row < rows; row++) {
    const inRow = sorted.filter((_, i) => i % rows === row);
    let edge = left;
    const xs = inRow.map((w) => {
      const x = Math.max(edge, w.x - DOT);
      edge = x + w.item.width + LANE_GAP;
      return x;
    });
    for (let i = inRow.length - 1, limit = right; i >= 0; i--) {
      xs[i] = Math.min(xs[i]!, limit - inRow[i]!.item.width);
      limit = xs[i]! - LANE_GAP;
    }
    inRow.forEach((w, i) => placed.set(w.item.id, { x: xs[i]!, row }));
  }
  return placed;
};

type Lanes = readonly (readonly (Item & { readonly labelY: number })[])[];
type HeightOf = (id: PlaceId) => number | undefined;

const laneWidth = (lane: readonly Item[]): number => Math.max(...lane.map((i) => i.width));

/** Everything about a picture that does not depend on the order of its lanes. */
const measured = (places: readonly PlaceId[], heightOf: HeightOf, words: Words, options: LayoutOptions) => {
  const rowHeight = options.lineHeight * 2 + 6;
  const sorted = [...new Set(places)].sort();
  const familyOf = new Map(sorted.map((id) => [id, placeFamily(id, words)]));
  const won = sorted.filter((id) => id.startsWith('won:'));
  const lost = sorted.filter((id) => id.startsWith('lost:'));
  const edgeTop = won.length ? rowHeight * EDGE_ROWS : rowHeight / 2;
  const edgeBottom = lost.length ? rowHeight * EDGE_ROWS : rowHeight / 2;
  const unitY = (options.height - edgeTop - edgeBottom - rowHeight) / 10;
  const zeroY = edgeTop + rowHeight / 2 + unitY * 5;
  const itemOf = (id: PlaceId, y: number): Item => {
    const label = splitLabel(placeName(id, words));
    return {
      id,
      y,
      label,
      width: DOT * 2 + DOT_GAP + Math.max(...label.map(options.measure)),
      height: Math.max(DOT * 2, options.lineHeight * label.length) + 2,
    };
  };
  const columns: { readonly family: Family | 'reset'; readonly lanes: Lanes }[] = [];
  for (const family of [...(['reset'] as const), ...FAMILIES]) {
    const items = sorted
      .filter((id) => familyOf.get(id) === family)
      .map((id) => itemOf(id, zeroY - unitY * (heightOf(id) ?? 0)))
      .sort((a, b) => a.y - b.y || (a.id < b.id ? -1 : 1));
    if (items.length) columns.push({ family, lanes: intoLanes(items) });
  }
  const needed = columns.reduce(
    (sum, c) => sum + c.lanes.reduce((w, l) => w + laneWidth(l) + LANE_GAP, 0) + COLUMN_GAP,
    0,
  );
  return { rowHeight, won, lost, unitY, zeroY, itemOf, columns, needed };
};

/** The least width in pixels at which the places lie side by side without overlap. */
export const widthNeeded = (
  places: readonly PlaceId[],
  heightOf: HeightOf,
  words: Words,
  options: Omit<LayoutOptions, 'width'>,
): number => measured(places, heightOf, words, { ...options, width: 0 }).needed;

type Columns = ReturnType<typeof measured>['columns'];

/** Where columns and their places lie across, with the lanes in an order. */
const across = (
  columns: Columns,
  order: readonly Lanes[],
  spare: number,
): { readonly columns: readonly PlacedColumn[]; readonly at: ReadonlyMap<PlaceId, number> } => {
  const at = new Map<PlaceId, number>();
  let x = 0;
  const placed = columns.map((c, k): PlacedColumn => {
    const start = x;
    x += COLUMN_GAP / 2 + spare / 2;
    for (const lane of order[k]!) {
      for (const item of lane) at.set(item.id, x + DOT);
      x += laneWidth(lane) + LANE_GAP;
    }
    x += COLUMN_GAP / 2 + spare / 2;
    return { family: c.family, x: start, width: x - start };
  });
  return { columns: placed, at };
};

const SWEEPS = 3;
/** The order of the lanes in which lines are short, found by trying those of one column after the other. */
const shortest = (columns: Columns, lines: readonly Pick<Line, 'from' | 'to'>[], spare: number): readonly Lanes[] => {
  const order = columns.map((c) => c.lanes);
  const stretch = (at: ReadonlyMap<PlaceId, number>): number =>
    lines.reduce(
      (sum, l) =>
        sum + Math.abs((at.get(l.from) ?? 0) - (at.get(l.to) ?? 0)) * (at.has(l.from) && at.has(l.to) ? 1 : 0),
      0,
    );
  for (let sweep = 0; sweep < SWEEPS; sweep++)
    columns.forEach((c, k) => {
      let best = order[k]!,
        least = Number.POSITIVE_INFINITY;
      for (const tried of permutations(c.lanes)) {
        order[k] = tried;
        const cost = stretch(across(columns, order, spare).at);
        if (cost < least - 1e-9) {
          least = cost;
          best = tried;
        }
      }
      order[k] = best;
    });
  return order;
};

const boxOf = (item: Item, x: number, y: number): PlacedPlace['box'] => ({
  x: x - DOT,
  y: y - item.height / 2,
  width: item.width,
  height: item.height,
});

/** Submissions along an edge, each near what leads to it. `yOf`: how far down a row of them lies. */
const alongEdge = (
  ids: readonly PlaceId[],
  kind: 'won' | 'lost',
  lines: readonly Pick<Line, 'from' | 'to'>[],
  at: ReadonlyMap<PlaceId, number>,
  of: {
    readonly width: number;
    readonly itemOf: (id: PlaceId, y: number) => Item;
    readonly yOf: (row: number) => number;
  },
): readonly PlacedPlace[] => {
  const wishes = ids.map((id) => {
    const sources = lines
      .filter((l) => l.to === id)
      .map((l) => at.get(l.from))
      .filter((x): x is number => x !== undefined);
    const x = sources.length ? sources.reduce((a, b) => a + b, 0) / sources.length : of.width / 2;
    return { item: of.itemOf(id, 0), x };
  });
  const row = alongRow(wishes, 4, of.width - 4);
  return wishes.map(({ item }): PlacedPlace => {
    const { x, row: r } = row.get(item.id)!;
    const y = of.yOf(r);
    return { id: item.id, x: x + DOT, y, label: item.label, box: boxOf(item, x + DOT, y), kind };
  });
};

/**
 * Where everything on the map lies. Column = family, from standing to the back (families without places take none); y = height, so up is always
 * better; places at one height side by side in up to three lanes; submissions won along the top edge, lost along the bottom edge, near what leads to them.
 * The order of the lanes is chosen by sweeps so that lines stay short. No two boxes overlap. The picture may get wider than asked where labels need it.
 */
export const layoutMap = (
  places: readonly PlaceId[],
  lines: readonly Pick<Line, 'from' | 'to'>[],
  heightOf: HeightOf,
  words: Words,
  options: LayoutOptions,
): MapLayout => {
  const { rowHeight, won, lost, unitY, zeroY, itemOf, columns, needed } = measured(places, heightOf, words, options);
  const spare = Math.max(0, options.width - needed) / Math.max(1, columns.length);
  const order = shortest(columns, lines, spare);
  const { columns: placedColumns, at } = across(columns, order, spare);
  const width = Math.max(
    options.width,
    placedColumns.reduce((sum, c) => Math.max(sum, c.x + c.width), 0),
  );
  const states = order.flat(2).map((item): PlacedPlace => {
    const x = at.get(item.id)!;
    return {
      id: item.id,
      x,
      y: item.labelY,
      label: item.label,
      box: boxOf(item, x, item.labelY),
      kind: item.id.startsWith('reset:') ? 'reset' : 'state',
    };
  });
  const fromTop = (row: number): number => rowHeight / 2 + row * rowHeight;
  const fromBottom = (row: number): number => options.height - rowHeight / 2 - row * rowHeight;
  const onEdges = [
    ...alongEdge(won, 'won', lines, at, { width, itemOf, yOf: fromTop }),
    ...alongEdge(lost, 'lost', lines, at, { width, itemOf, yOf: fromBottom }),
  ];
  return {
    ...{ width, height: options.height, zeroY, unitY },
    columns: placedColumns,
    places: [...states, ...onEdges].sort((a, b) => (a.id < b.id ? -1 : 1)),
  };
};
