import { BenchHint, type Desk, type Room } from '../desk/index.js';
import { CAMERA_TEXT as T } from './cameras.text.js';
import { useCameras, type Cameras } from './useCameras.js';
import { useLineUp, type LineUp } from './useLineUp.js';
import { useSameInstant, type Remembered, type SameInstant } from './useSameInstant.js';

export type CameraRoom = {
  readonly cameras: Cameras;
  readonly lineUp: LineUp;
  readonly same: SameInstant;
  readonly room: Room;
};

/** Several cameras that filmed the same: changed between, cut from, lined up with each other. */
export const useCameraRoom = (
  desk: Desk,
  msOf: (frame: number) => number,
  remembered: readonly [Remembered, (next: Remembered) => void],
): CameraRoom => {
  const { bench, table, handle, mayWrite } = desk;
  const { frame } = handle;
  const cameras = useCameras(desk);
  const lineUp = useLineUp(bench, table, frame);
  const same = useSameInstant(bench, table, frame, msOf, remembered);
  const isSeveral = bench.cameras.length > 1;
  const writing = {
    ...(cameras.uncut ? { k: cameras.cutHere } : {}),
    ...(lineUp.first ? { ',': () => lineUp.nudge(-1), '.': () => lineUp.nudge(1) } : {}),
    ...(isSeveral ? { m: same.isRemembered ? same.isHere : same.remember } : {}),
  };
  return {
    ...{ cameras, lineUp, same },
    room: {
      keys: { ...(isSeveral ? { c: cameras.next } : {}), ...(mayWrite ? writing : {}) },
      ...(cameras.uncut && mayWrite && { panel: <BenchHint text={cameras.isOutside ? T.outside : T.uncut} /> }),
    },
  };
};
