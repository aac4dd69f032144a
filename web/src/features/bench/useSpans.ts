import {
  angleClock,
  calmSpans,
  filmedMs,
  footageSeconds,
  framesIn,
  isLeftOut,
  leftOutSpans,
  ptsOf,
  spanAt,
  spansToAskOf,
  technicalMs,
  withSpan,
  type FootageSpan,
  type MsSpan,
  type TimeTable,
} from '@odograph/core';
import type { Look } from '@odograph/core/contract';
import { useMemo, useState } from 'react';
import { useEdit } from '../replica/index.js';
import type { Stretch } from '../player/index.js';
import type { OnBench } from './useBenchClips.js';
import { useOwn } from '../library/index.js';

/** A stretch about which something can be said: one that stands on the footage, or one that is only asked about. */
export type SpanInHand = { readonly span: MsSpan; readonly stands: FootageSpan | null };

export const IN_LULLS = ['played', 'fast', 'skipped'] as const;
export type InLulls = (typeof IN_LULLS)[number];

export type Spans = {
  /** What stands on the line: what is said of stretches, and those asked about while somebody looks for lulls. */
  readonly shown: readonly SpanInHand[];
  /** How many are asked about. */
  readonly asked: number;
  /** Whether the pictures have been read, so that lulls can be looked for. */
  readonly mayLook: boolean;
  readonly isLooking: boolean;
  readonly technicalMs: number;
  readonly wholeMs: number;
  readonly inHand: SpanInHand | null;
  /** What playing passes over, in frames of the camera in hand. */
  readonly skips: readonly Stretch[];
  /** What goes by quickly. */ readonly fast: readonly Stretch[];
  /** How stretches in which little moves are played. */ readonly inLulls: InLulls;
  readonly nextInLulls: () => void;
  readonly take: (inHand: SpanInHand | null) => void;
  /** Takes the stretch at a frame in hand, or the one between a mark and it; false where there is none. */
  readonly takeAt: (frame: number, inMark: number | null) => boolean;
  readonly say: (kind: FootageSpan['kind']) => void;
  /** Takes off what is said of the stretch in hand. */
  readonly forget: () => void;
  /** The stretch in hand is technique after all: it is not asked about again, and the next one is taken. */
  readonly pass: () => void;
  /** Shows the lulls and takes the first behind an instant; shown already, hides them. */
  readonly look: (atMs: number) => void;
  /** Frames of the camera in hand that a stretch covers. */
  readonly framesOf: (span: MsSpan) => Stretch | undefined;
  readonly msOf: (frame: number) => number;
};

/** Whether two are the same stretch. */
export const isSameSpan = (a: MsSpan, b: MsSpan): boolean => a.fromMs === b.fromMs && a.toMs === b.toMs;

/** What is said of stretches of the footage on the bench: that they are no technique, or logged throughout. `show` goes to the frame of what is asked about. */
export const useSpans = (
  bench: OnBench,
  table: TimeTable | undefined,
  look: Look | undefined,
  show: (frame: number) => void,
): Spans => {
  const edit = useEdit();
  const { footage, angle, file } = bench;
  const all = footage.spans;
  const [inHand, take] = useState<SpanInHand | null>(null);
  const [isLooking, setLooking] = useState(false);
  const [inLulls, setInLulls] = useOwn<InLulls>('odograph.lulls', 'played');
  const [passed, setPassed] = useState<readonly MsSpan[]>([]);
  const clock = useMemo(() => angleClock(angle, file), [angle, file]);
  const msOf = (frame: number): number => (table ? footageSeconds(clock, ptsOf(table, frame)) * 1000 : 0);
  const framesOf = (span: MsSpan): Stretch | undefined => table && framesIn(table, clock, span);
  const proposed = useMemo((): readonly MsSpan[] => {
    if (!look || !table) return [];
    const here = (fileS: number): number => footageSeconds(clock, (fileS * table.timeBaseDen) / table.timeBaseNum);
    const found = [
      ...calmSpans({ fromS: look.fromS, activity: Uint8Array.from(look.activity) }),
      ...look.black,
      ...look.frozen,
    ];
    const clips = bench.clips.map(({ clip }) => ({
      fromMs: footageSeconds(clock, clip.in.pts) * 1000,
      toMs: footageSeconds(clock, clip.out.pts) * 1000,
    }));
    return spansToAskOf(
      found.map(({ fromS, toS }) => ({ fromS: here(fromS), toS: here(toS) })),
      all,
      clips,
    );
  }, [look, table, clock, bench.clips, all]);
  const [skips, fast] = useMemo((): readonly [readonly Stretch[], readonly Stretch[]] => {
    const here = (spans: readonly MsSpan[]): readonly Stretch[] =>
      table ? spans.flatMap((span) => framesIn(table, clock, span) ?? []) : [];
    const lulls = here(proposed);
    return [[...here(leftOutSpans(all)), ...(inLulls === 'skipped' ? lulls : [])], inLulls === 'fast' ? lulls : []];
  }, [all, proposed, inLulls, table, clock]);
  const open = proposed.filter((span) => !passed.some((p) => isSameSpan(p, span)));
  const asked = isLooking ? open : [];
  const first = bench.cameras[0]!;
  const whole = filmedMs(first.angle, first.file);
  const save = (spans: readonly FootageSpan[]): void => edit({ kind: 'footage', id: footage.id, changes: { spans } });
  /** Takes the first that is asked about from an instant on, else the first of all; `but` is dealt with. */
  const takeNext = (atMs: number, but?: MsSpan): void => {
    const rest = open.filter((s) => !but || !isSameSpan(s, but));
    const span = rest.find((s) => s.fromMs >= atMs) ?? rest[0];
    take(span ? { span, stands: null } : null);
    const frames = span && framesOf(span);
    if (frames) show(frames.inFrame);
  };
  return {
    shown: [
      ...all.map((span): SpanInHand => ({ span, stands: span })),
      ...asked.map((span): SpanInHand => ({ span, stands: null })),
    ],
    asked: asked.length,
    mayLook: look !== undefined,
    isLooking,
    technicalMs: technicalMs(all, whole),
    wholeMs: whole.toMs - whole.fromMs,
    inHand,
    skips,
    fast,
    inLulls,
    nextInLulls: () => setInLulls(IN_LULLS[(IN_LULLS.indexOf(inLulls) + 1) % IN_LULLS.length]!),
    take,
    takeAt: (frame, inMark) => {
      const atMs = msOf(frame);
      const stands = spanAt(all, atMs);
      const lull = spanAt(asked, atMs);
      const found =
        inMark !== null && frame > inMark
          ? { span: { fromMs: msOf(inMark), toMs: msOf(frame + 1) }, stands: null }
          : stands
            ? { span: stands, stands }
            : lull && { span: lull, stands: null };
      take(found ?? null);
      return found !== undefined;
    },
    say: (kind) => {
      if (!inHand) return;
      const { span, stands } = inHand;
      const said = { fromMs: span.fromMs, toMs: span.toMs, kind };
      save(withSpan(stands ? all.filter((s) => s !== stands) : all, said));
      // one lull after the other; what needs more said about it stays in hand
      if (isLooking && !stands && isLeftOut(said) && kind !== 'other footage') takeNext(span.toMs, span);
      else take({ span: said, stands: said });
    },
    forget: () => {
      if (inHand?.stands) save(all.filter((s) => s !== inHand.stands));
      take(null);
    },
    pass: () => {
      if (!inHand) return;
      setPassed([...passed, inHand.span]);
      takeNext(inHand.span.toMs, inHand.span);
    },
    look: (atMs) => {
      setLooking(!isLooking);
      if (isLooking) take(null);
      else takeNext(atMs);
    },
    framesOf,
    msOf,
  };
};
