import type { Words } from '../vocabulary/index.js';
import { behindName } from './behindName.js';
import { placeName, stateId } from './places.js';
import type { Instant } from './types.js';
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

/**
 * How long there was to act: from where the attempt was committed to (or started) to the last instant at which the alternative was of use, in frames and seconds.
 * Undefined where nobody said until when, or where that is before it. `seconds` gives the time of an instant.
 */
export const timeToAct = (
  attempt: { readonly start: Instant; readonly commit: Instant | null },
  { until }: Pick<Alternative, 'until'>,
  seconds: (at: Instant) => number,
): { readonly frames: number; readonly seconds: number } | undefined => {
  const from = attempt.commit ?? attempt.start;
  if (!until || until.frame < from.frame) return undefined;
  return { frames: until.frame - from.frame, seconds: seconds(until) - seconds(from) };
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
