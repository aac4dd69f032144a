import type { TimeSpan } from '../signals/index.js';
import { angleClock, footageSeconds } from '../timecode/index.js';
import { LEFT_OUT_KINDS, type Angle, type Footage, type FootageSpan, type MediaFile } from './types.js';

/** A stretch of footage time, in milliseconds; its end does not belong to it. */
export type MsSpan = Pick<FootageSpan, 'fromMs' | 'toMs'>;

/** Shorter than this nothing is proposed, in milliseconds. */
const LEAST_PROPOSED_MS = 3000;

/** Whether a stretch of this kind is passed over in play and not counted as technical time. */
export const isLeftOut = ({ kind }: Pick<FootageSpan, 'kind'>): boolean =>
  (LEFT_OUT_KINDS as readonly string[]).includes(kind);

/** Stretches in their order, those that touch or overlap as one. */
export const joined = (spans: readonly MsSpan[]): readonly MsSpan[] => {
  const whole: { fromMs: number; toMs: number }[] = [];
  for (const { fromMs, toMs } of [...spans].sort((a, b) => a.fromMs - b.fromMs)) {
    const last = whole.at(-1);
    if (last && fromMs <= last.toMs) last.toMs = Math.max(last.toMs, toMs);
    else whole.push({ fromMs, toMs });
  }
  return whole;
};

/** What is left of a stretch where others are taken out of it. */
export const without = (span: MsSpan, others: readonly MsSpan[]): readonly MsSpan[] => {
  const left: MsSpan[] = [];
  let { fromMs } = span;
  for (const other of joined(others)) {
    if (other.toMs <= fromMs || other.fromMs >= span.toMs) continue;
    if (other.fromMs > fromMs) left.push({ fromMs, toMs: other.fromMs });
    fromMs = Math.max(fromMs, other.toMs);
  }
  return fromMs < span.toMs ? [...left, { fromMs, toMs: span.toMs }] : left;
};

/** The stretches that are no technique, in their order, each instant once. */
export const leftOutSpans = (spans: readonly FootageSpan[]): readonly MsSpan[] => joined(spans.filter(isLeftOut));

/** From when to when an angle filmed. */
export const filmedMs = (angle: Angle, file: Pick<MediaFile, 'timeBaseNum' | 'timeBaseDen'>): MsSpan => {
  const clock = angleClock(angle, file);
  return { fromMs: footageSeconds(clock, angle.fromPts) * 1000, toMs: footageSeconds(clock, angle.toPts) * 1000 };
};

/** How much of a stretch is technique, in milliseconds: its length less what is left out of it. */
export const technicalMs = (spans: readonly FootageSpan[], stretch: MsSpan): number =>
  without(stretch, leftOutSpans(spans)).reduce((sum, { fromMs, toMs }) => sum + toMs - fromMs, 0);

/**
 * The spans with one more. What says the same kind of thing of an instant (that it is no technique; that all is logged) stands there once: the new one
 * takes the place of what it covers, and what is left of the others stays.
 */
export const withSpan = (spans: readonly FootageSpan[], span: FootageSpan): readonly FootageSpan[] =>
  [
    ...spans.flatMap((other): FootageSpan[] =>
      isLeftOut(other) === isLeftOut(span)
        ? without(other, [span]).map((rest) => ({ ...rest, kind: other.kind }))
        : [other],
    ),
    span,
  ].sort((a, b) => a.fromMs - b.fromMs || a.toMs - b.toMs);

/** The span that holds at an instant; of several the shortest. */
export const spanAt = <S extends MsSpan>(spans: readonly S[], atMs: number): S | undefined =>
  spans
    .filter((s) => s.fromMs <= atMs && atMs < s.toMs)
    .reduce<S | undefined>((best, s) => (best && best.toMs - best.fromMs <= s.toMs - s.fromMs ? best : s), undefined);

/** Whether everything that happened at an instant of a footage is logged, so that rates may be counted from it. */
export const isLoggedThroughout = ({ logged, spans }: Pick<Footage, 'logged' | 'spans'>, atMs: number): boolean =>
  logged === 'throughout' || spans.some((s) => s.kind === 'logged throughout' && s.fromMs <= atMs && atMs < s.toMs);

/**
 * Stretches that are worth a question: calm, black or frozen ones of at least three seconds in which nothing is said yet and no clip lies. All in
 * milliseconds of footage time but `found`, which is in seconds of it.
 */
export const spansToAskOf = (
  found: readonly TimeSpan[],
  spans: readonly FootageSpan[],
  clips: readonly MsSpan[],
): readonly MsSpan[] =>
  joined(found.map(({ fromS, toS }) => ({ fromMs: fromS * 1000, toMs: toS * 1000 })))
    .flatMap((span) => without(span, [...leftOutSpans(spans), ...clips]))
    .filter(({ fromMs, toMs }) => toMs - fromMs >= LEAST_PROPOSED_MS);
