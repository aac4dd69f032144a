import { frameCount, timecode, type Fault, type MediaFile, type TimeTable } from '@odograph/core';
import { useCallback, useEffect, useLayoutEffect, useMemo, useRef, useState, useSyncExternalStore } from 'react';
import { usePrepareFileMutation, usePreparedQuery, useTimesQuery } from '../server/index.js';
import { useKeptMedium } from './useKeptMedium.js';
import { FramePlayer, NO_SCREEN, type PlayerState, type Stretch } from './FramePlayer.js';

const NOTHING: PlayerState = { frame: 0, playing: false, settled: false, speed: 1, backwards: false, loop: null };
const silent = (): (() => void) => () => undefined;

export type PlayerHandle = {
  readonly player: FramePlayer | null;
  /** The frame that a key pressed right now is about (`FramePlayer.meant`); who shows the frame uses `usePlayerState`. */
  readonly frame: () => number;
  /** The times of the file itself. */
  readonly table: TimeTable | undefined;
  /** What is played; undefined while nothing can be. */
  readonly src: string | undefined;
  /** Where that lies on the server: the same medium, wherever it is played from. */
  readonly medium: string | undefined;
  /** Why there will be nothing to step through; null where that is not so. */
  readonly fault: Fault | null;
  /** So many frames can be shown while the rest is being made ready; null where all of them can. */
  readonly readyFrames: number | null;
  /** How much of it lies in this browser, 0 … 1; null where nothing is to be kept here. */
  readonly kept: number | null;
  /** To be given to the video element. */
  readonly onScreen: (video: HTMLVideoElement | null) => void;
};

/** Something of what a player shows, kept up to date: only those who ask for the frame are drawn again with every frame. */
export const usePlayerState = <T>({ player }: Pick<PlayerHandle, 'player'>, pick: (state: PlayerState) => T): T =>
  useSyncExternalStore(player?.subscribe ?? silent, () => pick(player?.snapshot() ?? NOTHING));

/** The time table of a file, once it has come. */
export const useTimeTable = (fileId: string | undefined): TimeTable | undefined =>
  useTimesQuery(`${fileId}/times`, { skip: fileId === undefined }).data;

const ASK_MS = 1500;

type Medium = {
  readonly src: string | undefined;
  readonly times: TimeTable | undefined;
  readonly hasProxy: boolean;
  readonly readyFrames: number | null;
  readonly fault: Fault | null;
};

/**
 * What is played of a file: what was made of it for stepping, where that is there, with the times of its own frames; the file itself where a browser
 * shows it; as much as there is of what is being made; nothing while none of these is so. A frame has the same number in all of them.
 */
const useMedium = (file: MediaFile): Medium => {
  const [isWaiting, setWaiting] = useState(!file.playable);
  const { data: prepared } = usePreparedQuery(file.id, {
    refetchOnMountOrArgChange: true,
    pollingInterval: isWaiting ? ASK_MS : 0,
  });
  const hasProxy = prepared?.proxy === true;
  const ready = hasProxy || file.playable ? 0 : (prepared?.readyFrames ?? 0);
  const [prepare] = usePrepareFileMutation();
  // it was thinned to make room; it is needed now
  const isWanted = prepared?.isThinned === true;
  useEffect(() => {
    if (isWanted) void prepare(file.id);
  }, [isWanted, prepare, file.id]);
  if (isWaiting === (hasProxy || file.playable)) setWaiting(!isWaiting);
  // each longer part is a medium of its own
  const part = ready > 0 ? `?frames=${ready}` : '';
  const at = hasProxy
    ? `${file.id}/proxy`
    : prepared && file.playable
      ? file.id
      : ready > 0
        ? `${file.id}/part`
        : undefined;
  const { data: times } = useTimesQuery(`${at}/times${part}`, { skip: at === undefined });
  return {
    src: at && `/api/files/${at}${at === file.id ? '/media' : part}`,
    times: at ? times : undefined,
    hasProxy,
    readyFrames: ready > 0 ? ready : null,
    fault: prepared?.fault ?? null,
  };
};

/**
 * A player for the frames [fromFrame, toFrame) of one file. `opening` says where it opens and what it loops; a new one (compared by its frames) moves the player there.
 * `isKept`: the medium is fetched into this browser and played from there.
 */
export const usePlayer = (
  file: MediaFile,
  opening: { readonly frame: number; readonly loop: Stretch | null; readonly play: boolean },
  { fromFrame, toFrame }: { readonly fromFrame: number; readonly toFrame: number } = {
    fromFrame: 0,
    toFrame: file.frames,
  },
  isKept = false,
): PlayerHandle => {
  const table = useTimeTable(file.id);
  const { src, times, hasProxy, readyFrames, fault } = useMedium(file);
  const keeps = isKept && hasProxy;
  const kept = useKeptMedium(keeps ? src : undefined);
  const stood = useRef<{ readonly opened: string; readonly state: PlayerState } | null>(null);
  const [video, setVideo] = useState<HTMLVideoElement | null>(null);
  const player = useMemo(() => {
    const onScreen = video && times;
    // as soon as a frame can be named, one can be asked for: the picture comes when it is here
    const of = onScreen ? times : table;
    if (!of) return null;
    // of what is being made, only so much can be shown yet
    const outFrame = Math.max(fromFrame + 1, Math.min(toFrame, frameCount(of)));
    return new FramePlayer(onScreen ? video : NO_SCREEN, of, fromFrame, { inFrame: fromFrame, outFrame });
  }, [video, times, table, fromFrame, toFrame]);
  useEffect(() => player?.attach(), [player]);
  const { frame, play } = opening;
  const inFrame = opening.loop?.inFrame,
    outFrame = opening.loop?.outFrame;
  useEffect(() => {
    if (!player) return undefined;
    const opened = `${frame} ${inFrame} ${outFrame} ${play}`;
    const loop = inFrame === undefined || outFrame === undefined ? null : { inFrame, outFrame };
    const before = stood.current;
    player.goOn(before?.opened === opened ? before.state : { ...player.snapshot(), frame, loop, playing: play });
    return player.subscribe(() => (stood.current = { opened, state: { ...player.snapshot(), frame: player.meant() } }));
  }, [player, frame, inFrame, outFrame, play]);
  const own = useWhenStill(video ? player : null, src, kept.url);
  return {
    medium: src,
    kept: keeps ? kept.share : null,
    player,
    frame: useCallback(() => player?.meant() ?? 0, [player]),
    table,
    readyFrames,
    fault,
    src: keeps && kept.isLooking ? undefined : (own ?? src),
    onScreen: useCallback((element) => setVideo(element), []),
  };
};

/**
 * The address in this browser from which a medium is played, from when it is here: at once where it was here before anything was shown, otherwise when the picture
 * stands, and then at the frame where it stood.
 */
const useWhenStill = (
  player: FramePlayer | null,
  address: string | undefined,
  url: string | undefined,
): string | undefined => {
  const [taken, setTaken] = useState<{ readonly address: string | undefined; readonly url: string } | null>(null);
  const own = taken !== null && taken.address === address ? taken.url : undefined;
  useEffect(() => {
    if (url === undefined || own === url) return undefined;
    const take = (): void => {
      const { playing, settled } = player?.snapshot() ?? { playing: false, settled: true };
      if (!playing && settled) setTaken({ address, url });
    };
    take();
    return player?.subscribe(take);
  }, [player, address, url, own]);
  // the element begins anew with another medium, and is said to be unsettled before it is drawn
  useLayoutEffect(() => {
    if (own !== undefined) player?.anew();
  }, [player, own]);
  return own;
};

/** `m:ss.ff` of a frame of a file; empty until its times are here. */
export const useTimecode = (fileId: string | undefined, frame: number): string => {
  const table = useTimeTable(fileId);
  return table ? timecode(table, frame) : '';
};
