import type { Attempt, BecauseLink, LinkKind, PartRef } from '../attempts/index.js';

/** A detail of some attempt as one string. */
export type DetailId = string;
export const detailId = (attemptId: string, part: string): DetailId => `${attemptId} ${part}`;

/** A link between two details, whichever attempts they are of. */
export type Because = {
  readonly id: string;
  readonly from: DetailId;
  readonly to: DetailId;
  readonly kind: LinkKind;
  readonly isSure: boolean;
};

const end = (attemptId: string, ref: PartRef): DetailId => detailId(ref.attemptId ?? attemptId, ref.part);
/** A link of an attempt with its ends told apart from those of all others. */
export const becauseOf = (attemptId: string, link: BecauseLink): Because => ({
  id: link.id,
  from: end(attemptId, link.from),
  to: end(attemptId, link.to),
  kind: link.kind,
  isSure: link.isSure,
});
/** All links of some attempts. */
export const becauseIn = (attempts: readonly Pick<Attempt, 'id' | 'links'>[]): readonly Because[] =>
  attempts.flatMap(({ id, links }) => links.map((link) => becauseOf(id, link)));

const LEADS: ReadonlySet<LinkKind> = new Set(['enables', 'forces']);

/** A way round: details each of which enables or forces the next, the last one the first. Undefined where there is none; the other kinds may go round. */
export const circleIn = (links: readonly Because[]): readonly DetailId[] | undefined => {
  const next = new Map<DetailId, DetailId[]>();
  for (const { from, to, kind } of links) if (LEADS.has(kind)) next.set(from, [...(next.get(from) ?? []), to]);
  const done = new Set<DetailId>();
  const walk = (at: DetailId, path: readonly DetailId[]): readonly DetailId[] | undefined => {
    const before = path.indexOf(at);
    if (before >= 0) return path.slice(before);
    if (done.has(at)) return undefined;
    for (const to of next.get(at) ?? []) {
      const found = walk(to, [...path, at]);
      if (found) return found;
    }
    done.add(at);
    return undefined;
  };
  for (const from of next.keys()) {
    const found = walk(from, []);
    if (found) return found;
  }
  return undefined;
};

/** What is different where details are taken away. */
export type TakenAway = {
  /** What falls, with what was taken away. */ readonly falls: ReadonlySet<DetailId>;
  /** What falls beside if what is only guessed is so. */ readonly mayFall: ReadonlySet<DetailId>;
  /** What was prevented, and would come back. */ readonly comesBack: ReadonlySet<DetailId>;
};

/** What falls by these links: a detail all of whose enablers fall, or one that something that falls forced. */
const fallen = (taken: Iterable<DetailId>, links: readonly Because[]): ReadonlySet<DetailId> => {
  const falls = new Set(taken);
  const enablers = new Map<DetailId, DetailId[]>();
  for (const { from, to, kind } of links) if (kind === 'enables') enablers.set(to, [...(enablers.get(to) ?? []), from]);
  for (let before = -1; before !== falls.size;) {
    before = falls.size;
    for (const [to, from] of enablers) if (from.every((f) => falls.has(f))) falls.add(to);
    for (const { from, to, kind } of links) if (kind === 'forces' && falls.has(from)) falls.add(to);
  }
  return falls;
};

/**
 * What follows where details are taken away. Links that are sure are followed, and guesses in a second, lighter set; *exposes* and *delays* are told, not followed.
 * Where several enable one thing, it stays as long as one of them does.
 */
export const takenAway = (taken: readonly DetailId[], links: readonly Because[]): TakenAway => {
  const sure = links.filter((l) => l.isSure);
  const falls = fallen(taken, sure);
  const byGuess = fallen(taken, links);
  const prevented = sure.filter((l) => l.kind === 'prevents');
  const comesBack = prevented.flatMap(({ to }) =>
    prevented.every((l) => l.to !== to || falls.has(l.from)) ? [to] : [],
  );
  return {
    falls,
    mayFall: new Set([...byGuess].filter((d) => !falls.has(d))),
    comesBack: new Set(comesBack.filter((d) => !falls.has(d))),
  };
};
