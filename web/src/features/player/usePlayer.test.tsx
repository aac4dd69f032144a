/** @jest-environment jsdom */
import { afterEach, describe, expect, jest, test } from '@jest/globals';
import { timeTable, type MediaFile } from '@odograph/core';
import { act, cleanup, renderHook } from '@testing-library/react';
import type { usePlayer as UsePlayer } from './usePlayer.js';

const table = timeTable(
  Array.from({ length: 1000 }, (_, i) => i),
  1,
  25,
);
let hasProxy = false;
jest.mock('../server/index.js', () => ({
  usePrepareFileMutation: () => [() => Promise.resolve()],
  usePreparedQuery: () => ({ data: { proxy: hasProxy, readyFrames: 0, isThinned: false, fault: null } }),
  useTimesQuery: () => ({ data: table }),
}));
jest.mock('./useKeptMedium.js', () => ({ useKeptMedium: () => ({ url: undefined, share: 0, isLooking: false }) }));
// eslint-disable-next-line @typescript-eslint/no-require-imports -- after what it uses has been put in place
const { usePlayer } = require('./usePlayer.js') as { usePlayer: typeof UsePlayer };

/** A video that has said nothing yet: what it is asked for stays asked. */
const video = (): HTMLVideoElement =>
  Object.assign(document.createElement('video'), {
    pause: () => undefined,
    requestVideoFrameCallback: () => 0,
    cancelVideoFrameCallback: () => undefined,
  });

describe('the player of the bench', () => {
  afterEach(() => {
    cleanup();
    hasProxy = false;
  });

  test('when another medium of the same takes over before the frame asked for was shown, that frame should still be asked for', () => {
    const file = { id: 'file', frames: 1000, playable: true } as MediaFile;
    const { result, rerender } = renderHook(() => usePlayer(file, { frame: 600, loop: null, play: false }));
    act(() => result.current.onScreen(video()));
    act(() => result.current.player!.seek(640));
    hasProxy = true;
    rerender();
    act(() => result.current.onScreen(video()));
    expect(result.current.medium).toBe('/api/files/file/proxy');
    expect(result.current.frame()).toBe(640);
  });

  test('what is asked for before there is a picture should be asked of the picture that comes', () => {
    const file = { id: 'file', frames: 1000, playable: true } as MediaFile;
    const { result } = renderHook(() => usePlayer(file, { frame: 600, loop: null, play: false }));
    expect(result.current.frame()).toBe(600);
    act(() => {
      const player = result.current.player!;
      player.seek(640);
      player.step(-1);
      player.loop({ inFrame: 630, outFrame: 700 });
      player.setSpeed(0.5);
      player.play();
    });
    act(() => result.current.onScreen(video()));
    expect(result.current.frame()).toBe(639);
    expect(result.current.player!.snapshot()).toMatchObject({
      loop: { inFrame: 630, outFrame: 700 },
      speed: 0.5,
      playing: true,
    });
  });
});
