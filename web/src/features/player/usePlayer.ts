import { timecode, type MediaFile, type TimeTable } from '@odograph/core';
import { useCallback, useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { usePrepareFileMutation, usePreparedQuery, useTimesQuery } from '../library/index.js';
import { FramePlayer, type PlayerState, type Stretch } from './FramePlayer.js';

const NOTHING: PlayerState = { frame: 0, playing: false, settled: false, speed: 1, backwards: false, loop: null };
const silent = (): (() => void) => () => undefined;

export type PlayerHandle = {
  readonly player: FramePlayer | null;
  /** The frame that is on the screen right now, for whoever acts on it; who shows it uses `usePlayerState`. */
  readonly frame: () => number;
  /** The times of the file itself. */
  readonly table: TimeTable | undefined;
  /** What is played; undefined while nothing can be. */
  readonly src: string | undefined;
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

/**
 * What is played of a file: what was made of it for stepping, where that is there, with the times of its own frames; the file itself where a browser
 * shows it; nothing while neither is so. A frame has the same number in both.
 */
const useMedium = (file: MediaFile): { readonly src: string | undefined; readonly times: TimeTable | undefined } => {
  const [isWaiting, setWaiting] = useState(!file.playable);
  const { data: prepared } = usePreparedQuery(file.id, {
    refetchOnMountOrArgChange: true,
    pollingInterval: isWaiting ? ASK_MS : 0,
  });
  const hasProxy = prepared?.proxy === true;
  const [prepare] = usePrepareFileMutation();
  // it was thinned to make room; it is needed now
  const isWanted = prepared?.isThinned === true;
  useEffect(() => {
    if (isWanted) void prepare(file.id);
  }, [isWanted, prepare, file.id]);
  if (isWaiting === (hasProxy || file.playable)) setWaiting(!isWaiting);
  const at = hasProxy ? `${file.id}/proxy` : prepared && file.playable ? file.id : undefined;
  const { data: times } = useTimesQuery(`${at}/times`, { skip: at === undefined });
  return { src: at && `/api/files/${at}${hasProxy ? '' : '/media'}`, times: at ? times : undefined };
};

/**
 * A player for the frames [fromFrame, toFrame) of one file. `opening` says where it opens and what it loops; a new one (compared by its frames) moves the player there.
 */
export const usePlayer = (
  file: MediaFile,
  opening: { readonly frame: number; readonly loop: Stretch | null; readonly play: boolean },
  { fromFrame, toFrame }: { readonly fromFrame: number; readonly toFrame: number } = {
    fromFrame: 0,
    toFrame: file.frames,
  },
): PlayerHandle => {
  const table = useTimeTable(file.id);
  const { src, times } = useMedium(file);
  const [video, setVideo] = useState<HTMLVideoElement | null>(null);
  const player = useMemo(
    () => (video && times ? new FramePlayer(video, times, fromFrame, { inFrame: fromFrame, outFrame: toFrame }) : null),
    [video, times, fromFrame, toFrame],
  );
  useEffect(() => player?.attach(), [player]);
  const { frame, play } = opening;
  const inFrame = opening.loop?.inFrame,
    outFrame = opening.loop?.outFrame;
  useEffect(() => {
    if (!player) return;
    player.pause();
    player.loop(inFrame === undefined || outFrame === undefined ? null : { inFrame, outFrame });
    player.seek(frame);
    if (play) player.play();
  }, [player, frame, inFrame, outFrame, play]);
  return {
    player,
    frame: useCallback(() => player?.snapshot().frame ?? 0, [player]),
    table,
    src,
    onScreen: useCallback((element) => setVideo(element), []),
  };
};

/** `m:ss:ff` of a frame of a file; empty until its times are here. */
export const useTimecode = (fileId: string, frame: number): string => {
  const table = useTimeTable(fileId);
  return table ? timecode(table, frame) : '';
};
