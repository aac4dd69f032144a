/** @jest-environment jsdom */
import { ChakraProvider } from '@chakra-ui/react';
import { afterEach, describe, expect, test } from '@jest/globals';
import { timeTable } from '@odograph/core';
import { cleanup, render, screen } from '@testing-library/react';
import { makeSystem } from '../../design/index.js';
import { FrameVideo } from './FrameVideo.js';
import type { PlayerHandle } from './usePlayer.js';

const handle: PlayerHandle = {
  player: null,
  frame: () => 0,
  table: timeTable(
    Array.from({ length: 100 }, (_, i) => i),
    1,
    25,
  ),
  src: undefined,
  medium: undefined,
  readyFrames: null,
  fault: null,
  kept: null,
  onScreen: () => undefined,
};
const show = (of: Partial<PlayerHandle>): void =>
  void render(
    <ChakraProvider value={makeSystem()}>
      <FrameVideo handle={{ ...handle, ...of }} label="A round" />
    </ChakraProvider>,
  );

describe('the picture', () => {
  afterEach(cleanup);

  test('when nothing can be shown yet, it should say what is waited for', () => {
    show({});
    expect(screen.getByRole('status').textContent).toMatch(/^It’s being made ready for stepping/);
  });

  test('when nothing will ever come of it, it should say why, and no longer that it is being made ready', () => {
    show({ fault: { code: 'damaged' } });
    expect(screen.getByRole('alert').textContent).toMatch(/^It can’t be stepped through\. .*damaged/);
    expect(screen.queryByRole('status')).toBeNull();
  });

  test('when only a part is ready, it should say up to where', () => {
    show({ src: '/part', medium: '/part', readyFrames: 51 });
    expect(screen.getByRole('status').textContent).toBe('Ready up to 0:02.00; the rest is on its way.');
  });
});
