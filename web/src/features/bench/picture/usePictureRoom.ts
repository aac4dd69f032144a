import { frameAtS, frameStartS } from '@odograph/core';
import type { Look } from '@odograph/core/contract';
import { SPEEDS } from '../../player/index.js';
import { useLookQuery, usePreparedQuery } from '../../server/index.js';
import type { Desk, Room } from '../desk/index.js';
import { PICTURE_KEYS, hintsWhen, type KeyTable } from '../keys/index.js';
import { useOverlay, type Overlay } from './useOverlay.js';

/** One step back to see it again, in seconds. */
const BEAT_S = 1;

const playingKeys = ({ bench, handle: { player, frame }, selected, mirror, mayWrite }: Desk): KeyTable => ({
  ' ': () => player?.toggle(),
  ArrowLeft: () => player?.step(-1),
  ArrowRight: () => player?.step(1),
  'shift+ArrowLeft': () => player?.step(-10),
  'shift+ArrowRight': () => player?.step(10),
  Home: () => player?.seek(selected?.clip.in.frame ?? bench.angle.fromFrame),
  End: () => player?.seek((selected?.clip.out.frame ?? bench.angle.toFrame) - 1),
  r: () => player?.setBackwards(!player.snapshot().backwards),
  s: () => player?.setSpeed(SPEEDS[(SPEEDS.findIndex((s) => s === player.snapshot().speed) + 1) % SPEEDS.length]!),
  ...(mayWrite ? { z: mirror } : {}),
  v: () => {
    const { loop: round, speed } = player?.snapshot() ?? { loop: null, speed: 1 };
    player?.setSpeed(SPEEDS[Math.min(SPEEDS.length - 1, SPEEDS.findIndex((s) => s === speed) + 1)]!);
    player?.seek(round?.inFrame ?? frame());
    player?.play();
  },
});

/** What is seen, and how it is played. */
export const usePictureRoom = (
  desk: Desk,
): { readonly overlay: Overlay; readonly look: Look | undefined; readonly room: Room } => {
  const { bench, handle, table } = desk;
  const { currentData: prepared } = usePreparedQuery(bench.file.id);
  const { currentData: look } = useLookQuery(bench.file.id, { skip: !prepared?.look });
  const overlay = useOverlay(bench.file.id, look, prepared);
  const { player, frame } = handle;
  const beatBack = (): void => {
    if (table) player?.seek(Math.max(bench.angle.fromFrame, frameAtS(table, frameStartS(table, frame()) - BEAT_S)));
  };
  return {
    ...{ overlay, look },
    room: {
      keys: { ...playingKeys(desk), b: beatBack, '0': overlay.next },
      hints: PICTURE_KEYS.filter(hintsWhen('no clip')),
    },
  };
};
