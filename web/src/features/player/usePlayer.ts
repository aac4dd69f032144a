import { timeTableOfDeltas, timecode, type TimeTable } from '@odograph/core';
import { useCallback, useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { useTimesQuery } from '../library/index.js';
import { FramePlayer, type PlayerState, type Stretch } from './FramePlayer.js';

const NOTHING: PlayerState = { frame: 0, playing: false, settled: false, speed: 1, loop: null };
const silent = (): (() => void) => () => undefined;

export type PlayerHandle = {
  readonly player: FramePlayer | null;
  readonly state: PlayerState;
  readonly table: TimeTable | undefined;
  /** To be given to the video element. */
  readonly onScreen: (video: HTMLVideoElement | null) => void;
};

/** The time table of a file, once it has come. */
export const useTimeTable = (fileId: string | undefined): TimeTable | undefined => {
  const { data } = useTimesQuery(fileId ?? '', { skip: fileId === undefined });
  return useMemo(() => data && timeTableOfDeltas(data.deltas, data.timeBaseNum, data.timeBaseDen), [data]);
};

/**
 * A player for one file. `opening` says where it opens and what it loops; a new one (compared by its frames) moves the player there.
 */
export const usePlayer = (
  fileId: string | undefined,
  opening: { readonly frame: number; readonly loop: Stretch | null; readonly play: boolean },
): PlayerHandle => {
  const table = useTimeTable(fileId);
  const [video, setVideo] = useState<HTMLVideoElement | null>(null);
  const player = useMemo(() => (video && table ? new FramePlayer(video, table) : null), [video, table]);
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
  return { player, state, table, onScreen: useCallback((element) => setVideo(element), []) };
};

/** `m:ss:ff` of a frame of a file; empty until its times are here. */
export const useTimecode = (fileId: string, frame: number): string => {
  const table = useTimeTable(fileId);
  return table ? timecode(table, frame) : '';
};
