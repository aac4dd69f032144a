import {
  RowTable,
  Tally,
  applyRows,
  bestRoutes,
  compareLines,
  gatheredFor,
  gripChanges,
  heightsOf,
  reachOf,
  unpackRows,
  wordsOf,
  type Line,
} from '@odograph/core';
import { expose } from 'comlink';
import type { GatheredIds, MapComparison, MapLine, MapView, MapWish, MapWorker } from './map.protocol.js';

/** Attempts of a line whose ids go to the page: enough to play. */
const TELLING = 16;

/** Lines that go to the page in one message: read in some ten milliseconds. */
const LINES_AT_ONCE = 1000;

let reader: string | undefined;
let table = new RowTable();
let version: number | undefined;
let tally: { readonly of: Tally; readonly view: string } | undefined;
let lines: readonly Line[] = [];
let revision = 0;
let words = wordsOf({ wordChanges: [] });
let queue: Promise<unknown> = Promise.resolve();

const startAnew = (): void => {
  table = new RowTable();
  version = undefined;
  tally = undefined;
};

/** Brings the rows to what the server has; gives the numbers of the rows that were touched, or null where all are new. */
const refresh = async (): Promise<readonly number[] | null> => {
  const answer = await fetch(`/api/map/rows${version === undefined ? '' : `?since=${version}`}`);
  if (answer.status === 304) return [];
  if (!answer.ok) throw new Error(`the rows could not be had (${answer.status})`);
  const message = unpackRows(await answer.arrayBuffer());
  if (message.whole) startAnew();
  version = message.version;
  const touched = applyRows(table, message);
  return message.whole ? null : touched;
};

const plain = ({ gripsAtCommit, gripsAtEnd, attemptIds, ...rest }: Line): MapLine => {
  void gripsAtCommit;
  void gripsAtEnd;
  return { ...rest, attemptIds: attemptIds.slice(0, TELLING) };
};

const counted = (view: MapView, touched: readonly number[] | null): Tally => {
  const name = JSON.stringify(view);
  // what is gathered changes with the attempts beside one, too
  if (tally?.view === name && touched && !gatheredFor(view).length) tally.of.update(touched);
  else tally = { of: new Tally(table, view), view: name };
  return tally.of;
};

const gather = (ids: GatheredIds): void => {
  table.gathered = new Map(Object.entries(ids).map(([name, of]) => [name, new Set(of)]));
};

const show = async ({ reader: who, view, wordChanges, gathered }: MapWish): ReturnType<MapWorker['show']> => {
  if (who !== reader) startAnew();
  reader = who;
  const touched = await refresh();
  gather(gathered);
  const { lines: built, ...totals } = counted(view, touched).book();
  lines = built;
  words = wordsOf({ wordChanges });
  revision++;
  return {
    revision,
    lineCount: lines.length,
    heights: Object.fromEntries(heightsOf(table, words, view)),
    totals,
  };
};

const compare = (first: MapView, second: MapView, gathered: GatheredIds): MapComparison => {
  gather(gathered);
  const [a, b] = [first, second].map((view) => new Tally(table, view).book().lines) as [
    readonly Line[],
    readonly Line[],
  ];
  const [high, other] = [heightsOf(table, words, first), heightsOf(table, words, second)];
  return {
    groups: compareLines(a, b),
    heights: [...high].flatMap(([place, { height }]) => {
      const second = other.get(place);
      return second && second.height !== height ? [{ place, first: height, second: second.height }] : [];
    }),
  };
};

const worker: MapWorker = {
  // one after the other: a wish must not count what another is just bringing in
  show: (wish) => {
    const mine = queue.then(() => show(wish));
    queue = mine.catch(() => undefined);
    return mine;
  },
  linesFrom: (of, n) => (of === revision ? lines.slice(n, n + LINES_AT_ONCE).map(plain) : null),
  routes: ({ from, goal, most }) =>
    bestRoutes(lines, from, goal, most).map((route) => ({
      ...route,
      steps: route.steps.map((step) => ({ ...step, line: plain(step.line) })),
    })),
  reach: ({ from, goal }) => reachOf(lines, from, goal) ?? null,
  compare: (first, second, gathered) => {
    const mine = queue.then(() => compare(first, second, gathered));
    queue = mine.catch(() => undefined);
    return mine;
  },
  gripChanges: (lineIds) => {
    const byId = new Map(lines.map((line) => [line.id, line]));
    return lineIds.map((id, i) => {
      const [before, line] = [byId.get(lineIds[i - 1] ?? ''), byId.get(id)];
      return before && line ? gripChanges(before.gripsAtEnd, line.gripsAtCommit) : 0;
    });
  },
};

expose(worker);
