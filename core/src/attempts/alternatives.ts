import type { Words } from '../vocabulary/index.js';
import { behindName } from './behindName.js';
import { placeName, stateId } from './places.js';
import { quantile } from './quantile.js';
import type { Attempt, Instant } from './types.js';
import type { Alternative } from './whyTypes.js';

/** Something else that was there, in words: *hip out (theirs, too late)*. */
export const sayAlternative = (alternative: Omit<Alternative, 'id'>, words: Words): string => {
  const { by, what, isAction, why, text, opens } = alternative;
  const details = [
    ...(by === 'opponent' ? ['theirs'] : []),
    ...(why === null ? [] : [words.name('reason', why)]),
    ...(text ? [text] : []),
    ...(opens
      ? [`opens ${opens.kind === 'state' ? placeName(stateId(opens), words) : words.name('action', opens.action)}`]
      : []),
  ];
  return behindName(words.name(isAction ? 'action' : 'reaction', what), details);
};

type Timed = { readonly start: Instant; readonly commit: Instant | null };

/**
 * How long there was to act: from where the attempt was committed to (or started) to the last instant at which the alternative was of use, in frames and seconds.
 * Undefined where nobody said until when, or where that is before it. `seconds` gives the time of an instant.
 */
export const timeToAct = (
  attempt: Timed,
  { until }: Pick<Alternative, 'until'>,
  seconds: (at: Instant) => number,
): { readonly frames: number; readonly seconds: number } | undefined => {
  const from = attempt.commit ?? attempt.start;
  if (!until || until.frame < from.frame) return undefined;
  return { frames: until.frame - from.frame, seconds: seconds(until) - seconds(from) };
};

/** How long there was to act in several attempts: how many say it, the middle one (of two, what lies between them), the shortest and the longest, in seconds. */
export type TimesToAct = {
  readonly n: number;
  readonly medianS: number;
  readonly leastS: number;
  readonly mostS: number;
};

/** The same alternative: the same open to the same side. */
const isSameWay = (a: Alternative, b: Alternative): boolean =>
  a.by === b.by && a.what === b.what && a.isAction === b.isAction;

/**
 * How long there was to act over all attempts of one action in which the same alternative was told. Undefined where none says until when. `seconds` gives the time of an
 * instant of an attempt.
 * @example timesToAct(attempts, 'armlock', hipOut, seconds) // { n: 3, medianS: 0.4, leastS: 0.2, mostS: 0.9 }
 */
export const timesToAct = <T extends Timed & Pick<Attempt, 'action' | 'alternatives'>>(
  attempts: readonly T[],
  action: string | null,
  way: Alternative,
  seconds: (attempt: T, at: Instant) => number,
): TimesToAct | undefined => {
  const all = attempts
    .filter((a) => a.action === action)
    .flatMap((a) =>
      a.alternatives.flatMap((other) =>
        isSameWay(other, way) ? (timeToAct(a, other, (at) => seconds(a, at))?.seconds ?? []) : [],
      ),
    )
    .sort((a, b) => a - b);
  return all.length
    ? {
        n: all.length,
        medianS: quantile(all, 0.5),
        leastS: all[0]!,
        mostS: all.at(-1)!,
      }
    : undefined;
};

/** What may be said about the alternative that was told last: why it was not done, and until when it was there. */
export type AlternativeDetail =
  | { readonly kind: 'why'; readonly why: string }
  | { readonly kind: 'text'; readonly text: string }
  | { readonly kind: 'until'; readonly at: Instant }
  | { readonly kind: 'opens'; readonly opens: NonNullable<Alternative['opens']> };

/** The alternatives with something said about the last one; without one nothing changes. */
export const withAlternativeDetail = (
  alternatives: readonly Alternative[],
  detail: AlternativeDetail,
): readonly Alternative[] =>
  alternatives.map((a, i) => {
    if (i !== alternatives.length - 1) return a;
    switch (detail.kind) {
      case 'why':
        return { ...a, why: detail.why };
      case 'text':
        return { ...a, text: detail.text };
      case 'until':
        return { ...a, until: detail.at };
      case 'opens':
        return { ...a, opens: detail.opens };
    }
  });
