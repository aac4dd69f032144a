import type {
  EvidenceReach,
  ComparedGroup,
  CountingView,
  Height,
  Line,
  PlaceId,
  RouteGoal,
  WordChange,
} from '@odograph/core';

/** What goes to the map's worker and comes back; plain data only. */
export type MapView = CountingView;
/** Ids of attempts under the names by which views ask for them. */
export type GatheredIds = Readonly<Record<string, readonly string[]>>;

/** A line without what only the search for routes needs; of the attempts behind it the most telling ones. */
export type MapLine = Omit<Line, 'gripsAtCommit' | 'gripsAtEnd'>;

export type MapPicture = {
  /** Counts up with every library or view that was computed. */
  readonly revision: number;
  readonly lines: readonly MapLine[];
  readonly heights: Readonly<Record<string, Height>>;
  readonly totals: {
    readonly attempts: number;
    readonly shown: number;
    readonly picked: number;
    readonly unplaced: number;
    readonly proposed: number;
    readonly drafts: number;
  };
};

/** What is to be shown: whose rows (another reader starts from nothing), in which view, with which words. */
export type MapWish = {
  readonly reader: string;
  readonly view: MapView;
  readonly wordChanges: readonly WordChange[];
  /** The attempts that the view asks for by a name. */ readonly gathered: GatheredIds;
};

export type MapComparison = {
  readonly groups: readonly ComparedGroup[];
  readonly heights: readonly { readonly place: string; readonly first: number; readonly second: number }[];
};

export type RouteQuestion = { readonly from: PlaceId; readonly goal: RouteGoal; readonly most: number };

export type MapRoute = {
  readonly steps: readonly { readonly line: MapLine; readonly gripChanges: number; readonly costSoFar: number }[];
  readonly cost: number;
  readonly chance: number;
  readonly low: number;
  readonly high: number;
};

export type MapWorker = {
  /** Asks the server what has changed, counts, and gives the picture; its lines come in parts, since reading all of them at once would hold up the page. */
  readonly show: (wish: MapWish) => Promise<Omit<MapPicture, 'lines'> & { readonly lineCount: number }>;
  /** The next lines of a picture from the n-th on; null where another was computed meanwhile. */
  readonly linesFrom: (revision: number, n: number) => readonly MapLine[] | null;
  /** Routes over what was shown last. */
  readonly routes: (question: RouteQuestion) => readonly MapRoute[];
  /** How far the evidence goes for the best of them: null where there is none. */
  readonly reach: (question: Omit<RouteQuestion, 'most'>) => EvidenceReach | null;
  /** Two views of what was shown last, group by group; and how high each place lies in both. */
  readonly compare: (first: MapView, second: MapView, gathered: GatheredIds) => Promise<MapComparison>;
  /** How many limbs have to change before each of these lines, gone one after the other; 0 where nothing is recorded. */
  readonly gripChanges: (lineIds: readonly string[]) => readonly number[];
};
