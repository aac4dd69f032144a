import {
  gripsAtCommit,
  normaliseSides,
  type Attempt,
  type Control,
  type Link,
  type PlaceId,
} from '../attempts/index.js';
import { twoByTwo, type WithAndWithout } from '../why/index.js';
import { workedIn, type Case, type SheetSource } from './cases.js';
import { grouped } from './details.js';
import { survivalOf, type Kept, type Survival } from './survival.js';

/** A hold as sheets tell it: by which limb, of what kind, on what, of cloth or not, on the same side as the limb or across. */
export type HoldKind = {
  readonly limb: Control['limb'];
  readonly kind: Control['kind'];
  readonly target: string;
  readonly cloth: boolean;
  readonly sides: 'same' | 'cross' | null;
};

export const holdKind = ({ limb, limbSide, kind, target, targetSide, cloth }: Control): HoldKind => ({
  ...{ limb, kind, target, cloth },
  sides: limbSide === null || targetSide === null ? null : limbSide === targetSide ? 'same' : 'cross',
});
export const holdKey = ({ limb, kind, target, cloth, sides }: HoldKind): string =>
  [limb, kind, target, cloth ? 'cloth' : 'body', sides ?? '-'].join(' ');

const has = (controls: readonly Control[], key: string): boolean => controls.some((c) => holdKey(holdKind(c)) === key);
const heldAtCommit = (attempt: Attempt, key: string): boolean => has(gripsAtCommit(attempt), key);

export type HoldUse = {
  readonly from: PlaceId;
  readonly action: string;
  readonly bait: boolean;
  readonly n: number;
  readonly worked: number;
  readonly seen: number;
  readonly attemptIds: readonly string[];
};
export type HoldSheet = {
  readonly hold: HoldKind;
  /** What was begun with it, the most begun first. */ readonly uses: readonly HoldUse[];
  /** The longest run of attempts, one on the other, through which it was the same hold. */ readonly longestRun: readonly string[];
  /** For each entry, with it and without it; never as a cause. */
  readonly buys: readonly (WithAndWithout & { readonly from: PlaceId; readonly action: string })[];
  readonly kept: Survival;
  /** What they did when it was lost, within half a second; and what it was handed over to. */
  readonly lostTo: readonly { readonly reaction: string; readonly n: number }[];
  readonly handedTo: readonly { readonly hold: HoldKind; readonly n: number }[];
  /** What the same limb held instead in attempts from the same places that worked. */
  readonly instead: readonly { readonly hold: HoldKind; readonly n: number }[];
  /** Attacks of theirs that met attempts in which it was held: how often, and how often they stopped them. */
  readonly metBy: readonly { readonly action: string; readonly n: number; readonly stopped: number }[];
};

const LOST_WITHIN_S = 0.5;

/** How often each of some keys came, the most often first, then by key. */
const tally = <T>(all: readonly T[], key: (one: T) => string): readonly { readonly one: T; readonly n: number }[] =>
  grouped(all, key).map((some) => ({ one: some[0]!, n: some.length }));

const usesOf = (cases: readonly Case[], key: string): readonly HoldUse[] => {
  const held = cases.filter((c) => heldAtCommit(c.attempt, key));
  return grouped(held, (c) => `${c.from} ${c.action} ${c.attempt.intent}`).map((some): HoldUse => {
    const rated = some.filter((c) => c.isRated);
    const { from, action, attempt } = some[0]!;
    return {
      ...{ from, action, bait: attempt.intent === 'bait', n: rated.length, worked: workedIn(rated) },
      seen: some.length - rated.length,
      attemptIds: some.map((c) => c.attempt.id),
    };
  });
};

/** A hold of that kind that an attempt leaves with, and that the next one comes with. */
const keptOn = (attempt: Attempt, key: string, at: 'start' | 'end'): boolean =>
  attempt.controls.some(
    (c) =>
      c.holder === 'subject' &&
      holdKey(holdKind(c)) === key &&
      (at === 'end' ? c.lost === null : c.gained === null || c.gained.frame <= attempt.start.frame),
  );

const longestRunOf = (cases: readonly Case[], links: readonly Link[], key: string): readonly string[] => {
  const byId = new Map(cases.map((c) => [c.attempt.id, c.attempt]));
  const after = new Map<string, string>();
  for (const { from, to, kind } of links) {
    const [a, b] = [byId.get(from), byId.get(to)];
    if (kind === 'seam' || !a || !b || a.subject !== b.subject) continue;
    if (keptOn(a, key, 'end') && keptOn(b, key, 'start') && !after.has(from)) after.set(from, to);
  }
  const begun = new Set(after.values());
  let longest: readonly string[] = [];
  for (const first of [...after.keys()].filter((id) => !begun.has(id)).sort()) {
    const run = [first];
    for (let at = after.get(first); at !== undefined && !run.includes(at); at = after.get(at)) run.push(at);
    if (run.length > longest.length) longest = run;
  }
  return longest;
};

const keptIn = (cases: readonly Case[], key: string, secondsOf: SheetSource['secondsOf']): readonly Kept[] =>
  cases.flatMap(({ attempt }) =>
    attempt.controls.flatMap((c): Kept[] => {
      if (c.holder !== 'subject' || c.gained === null || holdKey(holdKind(c)) !== key) return [];
      const s = secondsOf(attempt, c.lost ?? attempt.end) - secondsOf(attempt, c.gained);
      return s < 0 ? [] : [{ s, isLost: c.lost !== null }];
    }),
  );

/** Reactions at the instant at which holds of that kind were lost. */
const lostTo = (cases: readonly Case[], key: string, secondsOf: SheetSource['secondsOf']): readonly string[] =>
  cases.flatMap(({ attempt }) =>
    attempt.controls.flatMap((c) => {
      if (c.holder !== 'subject' || c.lost === null || holdKey(holdKind(c)) !== key) return [];
      const lost = secondsOf(attempt, c.lost);
      return attempt.reactions.flatMap((r) =>
        r.at && Math.abs(secondsOf(attempt, r.at) - lost) <= LOST_WITHIN_S ? r.what : [],
      );
    }),
  );

const buysOf = (
  cases: readonly Case[],
  uses: readonly HoldUse[],
  key: string,
  limb: Control['limb'],
): HoldSheet['buys'] =>
  uses
    .filter((use) => !use.bait)
    .map(({ from, action }) => ({
      ...{ from, action },
      ...twoByTwo(
        cases
          .filter((c) => c.isCounted && c.from === from && c.action === action && c.attempt.intent === 'own')
          .map(({ attempt }) => ({
            has: gripsAtCommit(attempt).some((c) => c.limb === limb) ? heldAtCommit(attempt, key) : undefined,
            worked: attempt.result === 'success',
          })),
      ),
    }));

/**
 * What a hold is worth: what is begun with it, what it goes together with, how long it is kept, to what it is lost, and what it costs. Own attempts of the view; sides in
 * normal form.
 */
export const holdSheet = (hold: HoldKind, { cases, links, secondsOf }: SheetSource): HoldSheet => {
  const key = holdKey(hold);
  const own = cases.filter((c) => c.whose === 'own').map((c) => ({ ...c, attempt: normaliseSides(c.attempt) }));
  const uses = usesOf(own, key);
  const held = own.filter((c) => heldAtCommit(c.attempt, key));
  const places = new Set(held.map((c) => c.from));
  const instead = own
    .filter((c) => places.has(c.from) && c.isCounted && c.attempt.result === 'success' && !heldAtCommit(c.attempt, key))
    .flatMap((c) => gripsAtCommit(c.attempt).filter((g) => g.limb === hold.limb))
    .map(holdKind);
  const handed = own.flatMap(({ attempt }) =>
    attempt.controls.flatMap((c) => {
      const before = attempt.controls.find((o) => o.id === c.handedFrom);
      return before && holdKey(holdKind(before)) === key ? holdKind(c) : [];
    }),
  );
  const attacks = held.flatMap((c) =>
    c.attempt.reactions.flatMap((r) => (r.isAction ? [{ what: r.what, stopped: c.attempt.result !== 'success' }] : [])),
  );
  return {
    hold,
    uses,
    longestRun: longestRunOf(own, links, key),
    buys: buysOf(own, uses, key, hold.limb),
    kept: survivalOf(keptIn(own, key, secondsOf)),
    lostTo: tally(lostTo(own, key, secondsOf), (r) => r).map(({ one, n }) => ({ reaction: one, n })),
    handedTo: tally(handed, holdKey).map(({ one, n }) => ({ hold: one, n })),
    instead: tally(instead, holdKey).map(({ one, n }) => ({ hold: one, n })),
    metBy: tally(attacks, (a) => a.what).map(({ one, n }) => ({
      ...{ action: one.what, n },
      stopped: attacks.filter((a) => a.what === one.what && a.stopped).length,
    })),
  };
};

/** The kinds of holds with which something was begun, by how many different groups were, then by how often, then by key. */
export const holdKindsOf = (
  cases: readonly Case[],
): readonly { readonly hold: HoldKind; readonly groups: number; readonly n: number }[] => {
  const all = new Map<string, { readonly hold: HoldKind; readonly groups: Set<string>; n: number }>();
  for (const c of cases) {
    if (c.whose !== 'own') continue;
    const kinds = new Map(gripsAtCommit(normaliseSides(c.attempt)).map((g) => [holdKey(holdKind(g)), holdKind(g)]));
    for (const [key, hold] of kinds) {
      const one = all.get(key) ?? { hold, groups: new Set<string>(), n: 0 };
      one.groups.add(`${c.from} ${c.action} ${c.attempt.intent}`);
      one.n++;
      all.set(key, one);
    }
  }
  return [...all.entries()]
    .sort(([a, x], [b, y]) => y.groups.size - x.groups.size || y.n - x.n || (a < b ? -1 : 1))
    .map(([, { hold, groups, n }]) => ({ hold, groups: groups.size, n }));
};
