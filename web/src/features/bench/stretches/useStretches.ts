import {
  angleClock,
  calmSpans,
  filmedMs,
  footageSeconds,
  framesIn,
  isLeftOut,
  leftOutSpans,
  spanAt,
  spansToAskOf,
  technicalMs,
  withSpan,
  type FootageSpan,
  type MsSpan,
} from '@odograph/core';
import type { Look } from '@odograph/core/contract';
import { useMemo, useState } from 'react';
import { useEdit } from '../../replica/index.js';
import type { Stretch } from '../../player/index.js';
import { useOwn } from '../../library/index.js';
import { EMPTY, useTimes, type Desk, type StretchInHand } from '../desk/index.js';

export const IN_LULLS = ['played', 'fast', 'skipped'] as const;
export type InLulls = (typeof IN_LULLS)[number];

export type Stretches = {
  /** What stands on the line: what is said of stretches, and those asked about while somebody looks for lulls. */
  readonly shown: readonly StretchInHand[];
  /** How many are asked about. */
  readonly asked: number;
  /** Whether the pictures have been read, so that lulls can be looked for. */
  readonly mayLook: boolean;
  readonly isLooking: boolean;
  readonly technicalMs: number;
  readonly wholeMs: number;
  readonly inHand: StretchInHand | undefined;
  /** What playing passes over, in frames of the camera in hand. */
  readonly skips: readonly Stretch[];
  /** What goes by quickly. */ readonly fast: readonly Stretch[];
  /** How stretches in which little moves are played. */ readonly inLulls: InLulls;
  readonly nextInLulls: () => void;
  /** The stretch at a frame, or the one between where it was begun and it. */
  readonly at: (frame: number, begun: number | null) => StretchInHand | undefined;
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
export const isSameStretch = (a: MsSpan, b: MsSpan): boolean => a.fromMs === b.fromMs && a.toMs === b.toMs;

/** Stretches in which little moves or nothing is seen, about which nobody has said anything yet. */
const useLulls = ({ bench, table }: Desk, look: Look | undefined): readonly MsSpan[] => {
  const { footage, angle, file } = bench;
  return useMemo(() => {
    if (!look || !table) return [];
    const clock = angleClock(angle, file);
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
      footage.spans,
      clips,
    );
  }, [look, table, angle, file, bench.clips, footage.spans]);
};

/** How stretches are played: what is passed over, and what goes by quickly. */
const usePlayed = (
  { bench, table }: Desk,
  lulls: readonly MsSpan[],
): Pick<Stretches, 'skips' | 'fast' | 'inLulls' | 'nextInLulls'> => {
  const [inLulls, setInLulls] = useOwn<InLulls>('odograph.lulls', 'played');
  const { footage, angle, file } = bench;
  const [skips, fast] = useMemo((): readonly [readonly Stretch[], readonly Stretch[]] => {
    const clock = angleClock(angle, file);
    const here = (spans: readonly MsSpan[]): readonly Stretch[] =>
      table ? spans.flatMap((span) => framesIn(table, clock, span) ?? []) : [];
    const ofLulls = here(lulls);
    const left = here(leftOutSpans(footage.spans));
    return [[...left, ...(inLulls === 'skipped' ? ofLulls : [])], inLulls === 'fast' ? ofLulls : []];
  }, [footage.spans, lulls, inLulls, table, angle, file]);
  const nextInLulls = (): void => setInLulls(IN_LULLS[(IN_LULLS.indexOf(inLulls) + 1) % IN_LULLS.length]!);
  return { skips, fast, inLulls, nextInLulls };
};

/** The stretch at a frame, or the one between where it was begun and it. */
const stretchAt = (
  frame: number,
  begun: number | null,
  of: {
    readonly all: readonly FootageSpan[];
    readonly asked: readonly MsSpan[];
    readonly msOf: (frame: number) => number;
  },
): StretchInHand | undefined => {
  const atMs = of.msOf(frame);
  if (begun !== null && frame > begun)
    return { span: { fromMs: of.msOf(begun), toMs: of.msOf(frame + 1) }, stands: null };
  const stands = spanAt(of.all, atMs);
  const lull = spanAt(of.asked, atMs);
  return stands ? { span: stands, stands } : lull && { span: lull, stands: null };
};

/** What is said of stretches of the footage on the bench, and of the one in hand: that they are no technique, or logged throughout. */
export const useStretches = (desk: Desk, look: Look | undefined): Stretches => {
  const { bench, handle, hand, move } = desk;
  const edit = useEdit();
  const { footage } = bench;
  const all = footage.spans;
  const inHand = hand.is === 'stretch' ? hand.stretch : undefined;
  const [isLooking, setLooking] = useState(false);
  const [passed, setPassed] = useState<readonly MsSpan[]>([]);
  const lulls = useLulls(desk, look);
  const { msOf, framesOf } = useTimes(bench, desk.table);
  const open = lulls.filter((span) => !passed.some((p) => isSameStretch(p, span)));
  const asked = isLooking ? open : [];
  const first = bench.cameras[0]!;
  const whole = filmedMs(first.angle, first.file);
  const take = (stretch: StretchInHand | undefined): void =>
    move({ does: 'take', held: stretch ? { is: 'stretch', stretch } : EMPTY });
  const save = (spans: readonly FootageSpan[]): void => edit({ kind: 'footage', id: footage.id, changes: { spans } });
  const but = (stands: FootageSpan | null): readonly FootageSpan[] =>
    stands ? all.filter((s) => !(isSameStretch(s, stands) && s.kind === stands.kind)) : all;
  /** Takes the first that is asked about from an instant on, else the first of all; `done` is dealt with. */
  const takeNext = (atMs: number, done?: MsSpan): void => {
    const rest = open.filter((s) => !done || !isSameStretch(s, done));
    const span = rest.find((s) => s.fromMs >= atMs) ?? rest[0];
    take(span && { span, stands: null });
    const frames = span && framesOf(span);
    if (frames) handle.player?.seek(frames.inFrame);
  };
  return {
    ...usePlayed(desk, lulls),
    ...{ asked: asked.length, mayLook: look !== undefined, isLooking, inHand, framesOf, msOf },
    shown: [
      ...all.map((span): StretchInHand => ({ span, stands: span })),
      ...asked.map((span): StretchInHand => ({ span, stands: null })),
    ],
    technicalMs: technicalMs(all, whole),
    wholeMs: whole.toMs - whole.fromMs,
    at: (frame, begun) => stretchAt(frame, begun, { all, asked, msOf }),
    say: (kind) => {
      if (!inHand) return;
      const { span, stands } = inHand;
      const said = { fromMs: span.fromMs, toMs: span.toMs, kind };
      save(withSpan(but(stands), said));
      // one lull after the other; what needs more said about it stays in hand
      if (isLooking && !stands && isLeftOut(said) && kind !== 'other footage') takeNext(span.toMs, span);
      else take({ span: said, stands: said });
    },
    forget: () => {
      if (inHand?.stands) save(but(inHand.stands));
      take(undefined);
    },
    pass: () => {
      if (!inHand) return;
      setPassed([...passed, inHand.span]);
      takeNext(inHand.span.toMs, inHand.span);
    },
    look: (atMs) => {
      setLooking(!isLooking);
      if (isLooking) take(undefined);
      else takeNext(atMs);
    },
  };
};
