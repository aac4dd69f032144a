import type { ActionKind, Words } from '../vocabulary/index.js';
import type { Meant, PhrasePart } from './types.js';

type Kind<P extends Meant['part']> = Extract<Meant, { part: P }>;
const isAction = (meant: Meant): meant is Kind<'entry'> | Kind<'reaction'> =>
  meant.part === 'entry' || (meant.part === 'reaction' && meant.isAction);
const isDone = ({ meant }: PhrasePart): boolean =>
  meant.part === 'entry' || meant.part === 'finish' || meant.part === 'result';
const asked = (p: PhrasePart): PhrasePart => ({ ...p, status: 'asked' });

/** Where it is asked whether something further was done, it is open of what its end and its result are told. */
const endsOfAsked = (parts: readonly PhrasePart[]): readonly PhrasePart[] =>
  parts.map((p, i) => {
    if ((p.meant.part !== 'finish' && p.meant.part !== 'result') || p.status !== 'certain') return p;
    const last = parts.slice(0, i).findLast(({ meant }) => isAction(meant));
    if (last?.status !== 'asked') return p;
    const told = parts.filter((e) => e !== last && e.attempt === p.attempt && e.to <= last.from);
    const isOther = last.others.some((m) => isAction(m) && m.part !== last.meant.part);
    return told.some((e) => (e.meant.part === 'entry' && isOther) || e.meant.part === 'finish') ? asked(p) : p;
  });

/** *my back hurt so I stopped*: so is the result of a place that may be none, and of nothing done. */
const resultsOfPlaces = (parts: readonly PhrasePart[]): readonly PhrasePart[] =>
  parts.map((p) => {
    if (p.meant.part !== 'result' || p.attempt > 0 || p.status !== 'certain') return p;
    const of = parts.filter((e) => e !== p && e.attempt === 0 && (isDone(e) || e.meant.part === 'position'));
    const isNone = of.every((e) => e.meant.part === 'position' && e.status === 'asked' && e.others.length === 0);
    return of.length > 0 && isNone ? asked(p) : p;
  });

/** So is a further attempt that stands on one of which all that was done is asked about. */
const onAsked = (parts: readonly PhrasePart[]): readonly PhrasePart[] => {
  const now = [...parts];
  const isOpen = (attempt: number, to: number): boolean => {
    const done = now.slice(0, to).filter((e) => e.attempt === attempt && isDone(e));
    return done.length > 0 && done.every((e) => e.status === 'asked');
  };
  for (const [i, p] of now.entries())
    if (p.attempt > 0 && p.status === 'certain' && isDone(p) && (isOpen(p.attempt, i) || isOpen(p.attempt - 1, i)))
      now[i] = asked(p);
  return now;
};

/** Where nothing is told that was done, and what follows can't begin there, a place may be anything of the story. */
const placesBetween = (
  parts: readonly PhrasePart[],
  pointedTo: ReadonlySet<PhrasePart>,
  words: Words,
): readonly PhrasePart[] => {
  const attempts = Math.max(0, ...parts.map((p) => p.attempt));
  const entryOf = (attempt: number): string | undefined =>
    parts.flatMap((p) => (p.attempt === attempt && p.meant.part === 'entry' ? [p.meant.action] : []))[0];
  return parts.map((p) => {
    const { meant } = p;
    if (meant.part !== 'finish' || p.status !== 'certain' || pointedTo.has(p) || p.attempt >= attempts) return p;
    const [here, then] = [entryOf(p.attempt), entryOf(p.attempt + 1)];
    const family = meant.finish.kind === 'state' && words.position(meant.finish.position)?.family;
    const from = then === undefined ? [] : (words.action(then)?.from ?? []);
    return here === undefined && !(family && from.includes(family)) ? asked(p) : p;
  });
};

/** What is done from below or from the top of a guard: a guard told behind it, and no place before, may be where it began as well. */
const AROUND_GUARD: ReadonlySet<ActionKind> = new Set(['sweep', 'pass', 'retention']);
const beginsOrEnds = (
  parts: readonly PhrasePart[],
  pointedTo: ReadonlySet<PhrasePart>,
  words: Words,
): readonly PhrasePart[] =>
  parts.map((p) => {
    const { meant } = p;
    if (meant.part !== 'finish' || meant.finish.kind !== 'state' || meant.finish.role !== null) return p;
    if (p.status !== 'certain' || pointedTo.has(p) || p.attempt > 0 || parts.some((e) => e.meant.part === 'position'))
      return p;
    const entry = parts.flatMap((e) => (e.attempt === 0 && e.meant.part === 'entry' ? [e.meant.action] : []))[0];
    const word = entry === undefined ? undefined : words.action(entry);
    const family = words.position(meant.finish.position)?.family;
    return word && family && AROUND_GUARD.has(word.does) && word.from.includes(family) ? asked(p) : p;
  });

/** The parts of a line with those asked about that stand on something that is asked, or on nothing. `pointedTo`: places that a word points to as the end. */
export const askedOn = (
  parts: readonly PhrasePart[],
  pointedTo: ReadonlySet<PhrasePart>,
  words: Words,
): readonly PhrasePart[] =>
  onAsked(resultsOfPlaces(beginsOrEnds(endsOfAsked(placesBetween(parts, pointedTo, words)), pointedTo, words)));
