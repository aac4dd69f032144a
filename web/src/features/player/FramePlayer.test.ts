import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { frameAtS, seekTargetS, timeTable } from '@odograph/core';
import { FramePlayer, type Screen } from './FramePlayer.js';

const table = timeTable(
  Array.from({ length: 100 }, (_, i) => i * 3600 + (i % 3) * 400),
  1,
  90_000,
);

/** A video that seeks when the test says so. `lies` holds back what picture is shown. */
class FakeVideo {
  readyState = 4;
  playbackRate = 1;
  asked: number[] = [];
  isPlaying = false;
  private at = 0;
  private readonly heard = new Map<string, () => void>();
  private presented: ((now: number, picture: { mediaTime: number }) => void) | null = null;

  get currentTime(): number {
    return this.at;
  }
  set currentTime(to: number) {
    this.at = to;
    this.asked.push(frameAtS(table, to));
  }
  addEventListener(name: string, listener: () => void): void {
    this.heard.set(name, listener);
  }
  removeEventListener(name: string): void {
    this.heard.delete(name);
  }
  requestVideoFrameCallback(callback: (now: number, picture: { mediaTime: number }) => void): number {
    this.presented = callback;
    return 1;
  }
  cancelVideoFrameCallback(): void {
    this.presented = null;
  }
  play(): Promise<void> {
    this.isPlaying = true;
    return Promise.resolve();
  }
  pause(): void {
    this.isPlaying = false;
  }
  end(): void {
    this.heard.get('seeked')?.();
  }
  show(frame: number): void {
    this.presented?.(0, { mediaTime: table.ticks[frame]! / 90_000 });
  }
  /** The seek that is under way ends, and its picture is shown. */
  arrive(): void {
    const frame = this.asked.at(-1)!;
    this.end();
    this.show(frame);
  }
}

describe('the player of exact frames', () => {
  let video: FakeVideo, player: FramePlayer, detach: () => void;
  beforeEach(() => {
    jest.useFakeTimers();
    video = new FakeVideo();
    player = new FramePlayer(video as unknown as Screen, table);
    detach = player.attach();
    video.arrive();
  });
  afterEach(() => {
    detach();
    jest.useRealTimers();
  });

  test('when it is to play while a seek is under way, it should play from where the seek leads, not before', () => {
    player.loop({ inFrame: 40, outFrame: 60 });
    player.seek(42);
    player.play();
    expect([video.isPlaying, video.asked.at(-1)]).toEqual([false, 42]);
    video.arrive();
    expect([video.isPlaying, player.snapshot().frame]).toEqual([true, 42]);
  });

  test('when a frame is sought, the middle of that frame should be asked for, and it counts once its picture is shown', () => {
    player.seek(42);
    expect(video.currentTime).toBeCloseTo(seekTargetS(table, 42), 12);
    expect(player.snapshot()).toMatchObject({ frame: 0, settled: false });
    video.end();
    expect(player.snapshot().settled).toBe(false);
    video.show(41);
    expect(player.snapshot().settled).toBe(false);
    video.show(42);
    expect(player.snapshot()).toMatchObject({ frame: 42, settled: true });
  });

  test('when many frames are asked for while one is sought, only the newest should follow', () => {
    for (const frame of [10, 20, 30, 77]) player.seek(frame);
    video.arrive();
    video.arrive();
    expect(video.asked).toEqual([0, 10, 77]);
    expect(player.snapshot()).toMatchObject({ frame: 77, settled: true });
  });

  test('when steps come quicker than the picture, they should add up', () => {
    for (let i = 0; i < 5; i++) player.step(1);
    video.arrive();
    video.arrive();
    expect(player.snapshot().frame).toBe(5);
    player.step(-99);
    video.arrive();
    expect(player.snapshot().frame).toBe(0);
  });

  test('when a key is pressed before the picture is there, it should be about the picture that was asked for; in playing about the one that is shown', () => {
    player.seek(42);
    player.step(1);
    expect([player.snapshot().frame, player.meant()]).toEqual([0, 43]);
    video.arrive();
    video.arrive();
    expect([player.snapshot().frame, player.meant()]).toEqual([43, 43]);
    player.setSpeed(0.25);
    player.play();
    jest.advanceTimersByTime(200);
    expect(video.asked.at(-1)).toBe(44);
    expect(player.meant()).toBe(43);
  });

  test('when the browser does not say what it shows, it should be asked once more, then its word has to do', () => {
    player.seek(9);
    video.end();
    jest.advanceTimersByTime(800);
    expect(video.asked.slice(-2)).toEqual([9, 9]);
    video.end();
    jest.advanceTimersByTime(800);
    expect(player.snapshot()).toMatchObject({ frame: 9, settled: true });
  });

  test('when it says that it shows another frame, it should be asked until it shows the one that is wanted', () => {
    player.seek(9);
    video.end();
    video.show(0);
    jest.advanceTimersByTime(800);
    video.end();
    video.show(0);
    jest.advanceTimersByTime(800);
    expect(player.snapshot().settled).toBe(false);
    expect(video.asked.slice(-3)).toEqual([9, 9, 9]);
    video.arrive();
    expect(player.snapshot()).toMatchObject({ frame: 9, settled: true });
  });

  test('when a stretch is looped at full speed, its last frame should lead back to its first', () => {
    player.loop({ inFrame: 20, outFrame: 25 });
    player.play();
    expect(video.asked.at(-1)).toBe(20);
    video.arrive();
    expect(video.isPlaying).toBe(true);
    for (const frame of [21, 22, 23]) video.show(frame);
    expect(player.snapshot().frame).toBe(23);
    video.show(24);
    expect(video.asked.at(-1)).toBe(20);
  });

  test('when it runs slower, no frame should be left out', () => {
    player.setSpeed(0.25);
    player.loop({ inFrame: 3, outFrame: 6 });
    player.play();
    const shown: number[] = [];
    for (let i = 0; i < 8; i++) {
      video.arrive();
      shown.push(player.snapshot().frame);
      jest.advanceTimersByTime(200);
    }
    expect(shown).toEqual([3, 4, 5, 3, 4, 5, 3, 4]);
    expect(video.isPlaying).toBe(false);
  });

  test('when it runs slower, what a seek takes should not slow the pace', () => {
    player.setSpeed(0.5);
    player.play();
    const asked = (): number => video.asked.length;
    jest.advanceTimersByTime(81);
    video.arrive();
    const before = asked();
    // 40 ms of film are 80 ms at half speed, of which the seek takes 50
    for (let i = 0; i < 10; i++) {
      jest.advanceTimersByTime(30);
      jest.advanceTimersByTime(50);
      video.arrive();
    }
    expect(asked() - before).toBeGreaterThanOrEqual(9);
  });

  test('when it runs backwards, every frame should come, each before the one after it, and a loop begin at its end', () => {
    player.setBackwards(true);
    player.loop({ inFrame: 3, outFrame: 6 });
    player.play();
    const shown: number[] = [];
    for (let i = 0; i < 7; i++) {
      video.arrive();
      shown.push(player.snapshot().frame);
      jest.advanceTimersByTime(50);
    }
    expect(shown).toEqual([5, 4, 3, 5, 4, 3, 5]);
  });

  test('when stretches are no technique, playing through should pass them over, forwards and backwards, slow and at full speed', () => {
    player.skip([
      { inFrame: 3, outFrame: 10 },
      { inFrame: 95, outFrame: 100 },
    ]);
    player.play();
    video.show(2);
    expect(video.asked.at(-1)).toBe(0);
    video.show(3);
    expect(video.asked.at(-1)).toBe(10);
    video.arrive();
    expect(player.snapshot()).toMatchObject({ frame: 10, playing: true });
    player.pause();
    video.arrive();
    player.setSpeed(0.5);
    player.setBackwards(true);
    player.play();
    jest.advanceTimersByTime(200);
    expect(video.asked.at(-1)).toBe(2);
    video.arrive();
    player.pause();
    video.arrive();
    player.setBackwards(false);
    player.seek(94);
    video.arrive();
    player.play();
    jest.advanceTimersByTime(200);
    // nothing but what is left out follows: it ends there
    expect(player.snapshot()).toMatchObject({ frame: 94, playing: false });
  });

  test('when playing is begun inside of a stretch that is left out, it should be shown', () => {
    player.skip([{ inFrame: 3, outFrame: 10 }]);
    player.seek(4);
    video.arrive();
    player.play();
    video.show(5);
    expect(video.asked.at(-1)).toBe(4);
  });

  test('when the element gets another medium before a frame is shown, that frame should still be the one that is shown', () => {
    player.seek(7);
    player.anew();
    video.arrive();
    expect(player.snapshot()).toMatchObject({ frame: 7, settled: true });
    player.anew();
    expect(player.snapshot().settled).toBe(false);
    video.arrive();
    expect(player.snapshot()).toMatchObject({ frame: 7, settled: true });
  });

  test('when a stretch is to go by quickly, it should be played faster than the rest, and as it happened in a loop', () => {
    player.skip([], [{ inFrame: 3, outFrame: 10 }]);
    player.play();
    video.show(2);
    expect(video.playbackRate).toBe(1);
    video.show(3);
    expect(video.playbackRate).toBe(4);
    video.show(10);
    expect(video.playbackRate).toBe(1);
    player.loop({ inFrame: 2, outFrame: 9 });
    video.show(4);
    expect(video.playbackRate).toBe(1);
  });

  test('when only some frames of a file are shown, none outside should be reached', () => {
    const other = new FakeVideo();
    const part = new FramePlayer(other as unknown as Screen, table, 0, { inFrame: 20, outFrame: 30 });
    const end = part.attach();
    other.arrive();
    expect(part.snapshot().frame).toBe(20);
    part.seek(99);
    other.arrive();
    expect(part.snapshot().frame).toBe(29);
    part.play();
    expect(other.asked.at(-1)).toBe(20);
    other.arrive();
    other.show(29);
    expect(part.snapshot().playing).toBe(false);
    end();
  });

  test('when it is paused, the picture on the screen should be sought exactly', () => {
    player.play();
    video.show(31);
    player.toggle();
    expect(video.isPlaying).toBe(false);
    expect(video.asked.at(-1)).toBe(31);
    video.arrive();
    expect(player.snapshot()).toMatchObject({ frame: 31, playing: false, settled: true });
  });

  test('when nothing has been loaded yet, the wish should wait for it', () => {
    const late = new FakeVideo();
    late.readyState = 0;
    const waiting = new FramePlayer(late as unknown as Screen, table, 12);
    const end = waiting.attach();
    expect(late.asked).toEqual([]);
    late.readyState = 1;
    (late as unknown as { heard: Map<string, () => void> }).heard.get('loadedmetadata')!();
    expect(late.asked).toEqual([12]);
    end();
  });
});
