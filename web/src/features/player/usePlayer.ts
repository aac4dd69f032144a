import { timecode, type MediaFile, type TimeTable } from '@odograph/core';
import { useCallback, useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { usePreparedQuery, useTimesQuery } from '../library/index.js';
import { FramePlayer, type PlayerState, type Stretch } from './FramePlayer.js';

const NOTHING: PlayerState = { frame: 0, playing: false, settled: false, speed: 1, loop: null };
const silent = (): (() => void) => () => undefined;

export type PlayerHandle = {
  readonly player: FramePlayer | null;
  readonly state: PlayerState;
  /** The times of the file itself. */
  readonly table: TimeTable | undefined;
  /** What is played; undefined while nothing can be. */
  readonly src: string | undefined;
  /** To be given to the video element. */
  readonly onScreen: (video: HTMLVideoElement | null) => void;
};

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
  if (isWaiting === (hasProxy || file.playable)) setWaiting(!isWaiting);
  const at = hasProxy ? `${file.id}/proxy` : prepared && file.playable ? file.id : undefined;
  const { data: times } = useTimesQuery(`${at}/times`, { skip: at === undefined });
  return { src: at && `/api/files/${at}${hasProxy ? '' : '/media'}`, times: at ? times : undefined };
};

/**
 * A player for one file. `opening` says where it opens and what it loops; a new one (compared by its frames) moves the player there.
 */
export const usePlayer = (
  file: MediaFile,
  opening: { readonly frame: number; readonly loop: Stretch | null; readonly play: boolean },
): PlayerHandle => {
  const table = useTimeTable(file.id);
  const { src, times } = useMedium(file);
  const [video, setVideo] = useState<HTMLVideoElement | null>(null);
  const player = useMemo(() => (video && times ? new FramePlayer(video, times) : null), [video, times]);
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
  const state = useSyncExternalStore(player?.subscribe ?? silent, player?.snapshot ?? (() => NOTHING));
  return { player, state, table, src, onScreen: useCallback((element) => setVideo(element), []) };
};

/** `m:ss:ff` of a frame of a file; empty until its times are here. */
export const useTimecode = (fileId: string, frame: number): string => {
  const table = useTimeTable(fileId);
  return table ? timecode(table, frame) : '';
};
