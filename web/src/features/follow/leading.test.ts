import { expect, test } from '@jest/globals';
import type { LeadView } from '@odograph/core/contract';
import { Leading } from './leading.js';

const view = (frame: number, more: Partial<LeadView> = {}): LeadView => ({
  ...{ angleId: 'a', frame, playing: false, speed: 1, backwards: false, loop: null },
  ...{ isMirrored: false, hasDrawings: true, pointer: null },
  ...more,
});

test('when much is told at once, one request should be under way, and the latest be told next', async () => {
  const sent: number[] = [];
  const ends: (() => void)[] = [];
  const leading = new Leading(({ frame }) => {
    sent.push(frame);
    return new Promise<void>((resolve) => ends.push(resolve));
  });
  for (const frame of [1, 2, 3, 4]) leading.tell(view(frame));
  expect(sent).toEqual([1]);
  ends.shift()!();
  await new Promise((resolve) => setImmediate(resolve));
  expect(sent).toEqual([1, 4]);
  leading.tell(view(4));
  ends.shift()!();
  await new Promise((resolve) => setImmediate(resolve));
  expect(sent).toEqual([1, 4]);
});

test('when it plays, frames should be told only so often, and what else changes at once', async () => {
  let now = 0;
  const sent: LeadView[] = [];
  const leading = new Leading(
    (v) => {
      sent.push(v);
      return Promise.resolve();
    },
    () => now,
  );
  const settled = (): Promise<void> => new Promise((resolve) => setImmediate(resolve));
  const say = async (v: LeadView): Promise<void> => {
    leading.tell(v);
    await settled();
  };
  await say(view(1, { playing: true }));
  await say(view(2, { playing: true }));
  expect(sent).toHaveLength(1);
  await say(view(2, { playing: true, speed: 0.5 }));
  expect(sent).toHaveLength(2);
  now = 600;
  await say(view(20, { playing: true, speed: 0.5 }));
  await say(view(21, { speed: 0.5 }));
  expect(sent.map((v) => v.frame)).toEqual([1, 2, 20, 21]);
});

test('when a request is lost, the next one should be told all the same', async () => {
  const sent: number[] = [];
  const leading = new Leading(({ frame }) => {
    sent.push(frame);
    return Promise.reject(new Error('lost'));
  });
  leading.tell(view(1));
  await new Promise((resolve) => setImmediate(resolve));
  leading.tell(view(1));
  await new Promise((resolve) => setImmediate(resolve));
  expect(sent).toEqual([1, 1]);
});
