import type { Instant, TimeTable, Words } from '@odograph/core';
import { createRef, useMemo, useState, type RefObject } from 'react';
import { useSearchParams } from 'react-router';
import { useLibrary, useMayWrite, useWords, type ClipView } from '../../library/index.js';
import { usePlayer, type PlayerHandle } from '../../player/index.js';
import { EMPTY, PARTS, handAfter, handNow, heldIn, type Hand, type HandMove } from './hand.js';
import { instantAt } from './newClip.js';
import type { OnBench } from './useBenchClips.js';

/** Something that can be given the hand. */
export type Focusable = { readonly focus: () => void };

/** What all rooms of the bench work with: what lies there, what is in hand, and how that is changed. */
export type Desk = {
  readonly bench: OnBench;
  readonly handle: PlayerHandle;
  readonly table: TimeTable | undefined;
  readonly words: Words;
  readonly mayWrite: boolean;
  readonly hand: Hand;
  readonly move: (move: HandMove) => void;
  /** The clip in hand, whatever is asked over it. */ readonly selected: ClipView | undefined;
  /** The clip before it, or before the first. */ readonly before: ClipView | undefined;
  /** Takes a clip in hand and shows it in a loop; none where there is no id. */ readonly select: (
    clipId?: string,
  ) => void;
  /** The instant that is shown; undefined where the attempt in hand is told from another camera. */
  readonly now: () => Instant | undefined;
  readonly isMirrored: boolean;
  readonly mirror: () => void;
  /** Words are being written into something. */ readonly isTyping: boolean;
  readonly setTyping: (isTyping: boolean) => void;
  readonly toPicture: () => void;
  /** The sentence under the picture, and the line in its place. */
  readonly sentence: RefObject<Focusable | null>;
  readonly line: RefObject<Focusable | null>;
};

/** The frame in the address, where one is said. */
const frameIn = (search: URLSearchParams): number | undefined => {
  const said = search.get('frame') ?? '';
  return /^\d{1,9}$/.test(said) ? Number(said) : undefined;
};

/** What is in hand on the bench; the clip is in the address. */
const useHand = (bench: OnBench): { readonly hand: Hand; readonly move: (move: HandMove) => void } => {
  const [search, setSearch] = useSearchParams();
  const [kept, keep] = useState<Hand>(EMPTY);
  const { moments } = useLibrary();
  const hand = handNow(kept, {
    clipId: search.get('clip'),
    hasClip: (id) => bench.clips.some((v) => v.clip.id === id),
    hasMark: (id) => moments.some((m) => m.id === id),
  });
  const move = (what: HandMove): void => {
    const next = handAfter(hand, what);
    keep(next);
    if (what.does !== 'take' || what.held.is === 'begun') return;
    const clip = next.is === 'clip' ? { clip: next.clipId } : {};
    // the camera is only in the address where there are several
    const camera = bench.cameras.length > 1 ? { camera: bench.angle.id } : {};
    // at once: quick presses of a key each start from where the one before led
    setSearch({ ...camera, ...clip }, { replace: true, flushSync: true });
  };
  return { hand, move };
};

/** `root`: what has the hand while the picture has it. */
export const useDesk = (bench: OnBench, root: RefObject<HTMLElement | null>): Desk => {
  const [search] = useSearchParams();
  const { hand, move } = useHand(bench);
  const held = heldIn(hand);
  const selected = held.is === 'clip' ? bench.clips.find((v) => v.clip.id === held.clipId) : undefined;
  const [opening] = useState(() => ({
    frame: frameIn(search) ?? selected?.clip.in.frame ?? bench.angle.fromFrame,
    loop: selected ? { inFrame: selected.clip.in.frame, outFrame: selected.clip.out.frame } : null,
    play: false,
  }));
  const handle = usePlayer(bench.file, opening, bench.angle, true);
  const { player, table, frame } = handle;
  const [isTyping, setTyping] = useState(false);
  const [isMirrored, setMirrored] = useState(false);
  const [places] = useState(() => ({
    sentence: createRef<Focusable>(),
    line: createRef<Focusable>(),
  }));
  const before = useMemo(() => {
    const at = selected?.clip.in.frame ?? 0;
    return bench.clips.filter((v) => v.clip.id !== selected?.clip.id && v.clip.in.frame < at).at(-1);
  }, [bench.clips, selected]);
  return {
    ...{ bench, handle, table, hand, move, selected, before, isMirrored, isTyping, setTyping, ...places },
    words: useWords(bench.footage.id),
    mayWrite: useMayWrite(),
    mirror: () => setMirrored((is) => !is),
    select: (clipId) => {
      move({ does: 'take', held: clipId === undefined ? EMPTY : { is: 'clip', clipId, way: PARTS } });
      const view = bench.clips.find((v) => v.clip.id === clipId);
      player?.pause();
      player?.loop(view ? { inFrame: view.clip.in.frame, outFrame: view.clip.out.frame } : null);
      if (view) player?.seek(view.clip.in.frame);
    },
    now: () => (table && selected?.attempt.angleId === bench.angle.id ? instantAt(table, frame()) : undefined),
    toPicture: () => {
      (document.activeElement as HTMLElement | null)?.blur();
      root.current?.focus();
    },
  };
};
