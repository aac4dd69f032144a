import { frameAtS, frameCount, frameStartS, isFrameShown, seekTargetS, type TimeTable } from '@odograph/core';

/** What the player shows. `frame` is the picture that is on the screen, not the one that was asked for. */
export type PlayerState = {
  readonly frame: number;
  readonly playing: boolean;
  /** Whether the picture asked for last is the one that is shown. */
  readonly settled: boolean;
  readonly speed: number;
  /** Whether it plays from later to earlier. */
  readonly backwards: boolean;
  readonly loop: Stretch | null;
};

/** Frames [in, out). */
export type Stretch = { readonly inFrame: number; readonly outFrame: number };

/** What of a video element the player uses; tests put another in its place. */
export type Screen = Pick<
  HTMLVideoElement,
  | 'currentTime'
  | 'playbackRate'
  | 'readyState'
  | 'play'
  | 'pause'
  | 'addEventListener'
  | 'removeEventListener'
  | 'requestVideoFrameCallback'
  | 'cancelVideoFrameCallback'
>;

/** The screen of a player whose picture is still on its way: it shows nothing, and what is asked for stays asked for. */
export const NO_SCREEN: Screen = {
  currentTime: 0,
  playbackRate: 1,
  readyState: 0,
  play: () => Promise.resolve(),
  pause: () => undefined,
  addEventListener: () => undefined,
  removeEventListener: () => undefined,
  requestVideoFrameCallback: () => 0,
  cancelVideoFrameCallback: () => undefined,
};

/** How many times as fast a lull goes by. */
const FAST = 4;
export const SPEEDS = [1, 0.5, 0.25] as const;

const PATIENCE_MS = 700;
/** How often a frame is asked for again while another one is shown. */
const MOST_TRIES = 4;
const NUDGE_S = 1e-4;
const METADATA_READY = 1;

/**
 * Shows exact frames of a video. A frame is its index in the table of presentation times; it is sought by the middle between its time and the
 * next one's, and counts as shown when the seek has ended and the browser says that the picture presented lies within half a frame of it.
 * While a seek is under way only the newest wish is kept. Full speed is the browser's own; slower, and backwards, goes frame by frame, so that none is
 * left out. In playing through, stretches that are no technique are passed over, unless it was begun inside of one.
 */
export class FramePlayer {
  private state: PlayerState;
  private readonly listeners = new Set<() => void>();
  private wanted: number | null = null;
  private seeking: { frame: number; ended: boolean; shown: boolean; isOther: boolean; tries: number } | null = null;
  private presentedS: number | null = null;
  private patience: ReturnType<typeof setTimeout> | undefined;
  private pace: ReturnType<typeof setTimeout> | undefined;
  private callback = 0;
  private readonly bounds: Stretch;
  private skips: readonly Stretch[] = [];
  private fast: readonly Stretch[] = [];
  /** The stretch in which playing was begun: somebody wants to see it. */
  private begunIn: Stretch | undefined;
  /** When the next frame is due, in milliseconds of the page's clock: what a seek takes does not slow the pace. */
  private dueMs = 0;

  /** `bounds`: the frames of the file that belong to what is shown; without them all. */
  constructor(
    private readonly screen: Screen,
    private readonly table: TimeTable,
    first = 0,
    bounds?: Stretch,
  ) {
    this.bounds = bounds ?? { inFrame: 0, outFrame: frameCount(table) };
    const frame = this.clamp(first);
    this.state = { frame, playing: false, settled: false, speed: 1, backwards: false, loop: null };
    this.wanted = frame;
  }

  /** Begins to listen to the video and shows the first frame; what it gives back ends that. */
  attach(): () => void {
    const { screen } = this;
    screen.addEventListener('seeked', this.onSeeked);
    screen.addEventListener('loadedmetadata', this.onReady);
    screen.addEventListener('ended', this.onEnded);
    this.callback = screen.requestVideoFrameCallback(this.onPresented);
    this.pump();
    return () => this.detach();
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  readonly snapshot = (): PlayerState => this.state;

  /** The frame that was asked for last, shown already or not: quick keys each start from where the one before led. */
  private get asked(): number {
    return this.wanted ?? this.seeking?.frame ?? this.state.frame;
  }

  /** The frame that a key pressed now is about: the one that is shown while it plays, else (and before any was shown) the one asked for last. */
  readonly meant = (): number => (this.state.playing && this.presentedS !== null ? this.state.frame : this.asked);

  private detach(): void {
    const { screen } = this;
    screen.removeEventListener('seeked', this.onSeeked);
    screen.removeEventListener('loadedmetadata', this.onReady);
    screen.removeEventListener('ended', this.onEnded);
    screen.cancelVideoFrameCallback(this.callback);
    clearTimeout(this.patience);
    clearTimeout(this.pace);
    this.seeking = null;
  }

  private clamp(frame: number): number {
    return Math.min(this.bounds.outFrame - 1, Math.max(this.bounds.inFrame, Math.round(frame)));
  }

  /** Shows a frame; beyond the ends, the nearest. */
  seek(frame: number): void {
    this.wanted = this.clamp(frame);
    // the browser is sent off first: it seeks while what shows the state is drawn
    this.pump();
    this.update({ settled: false });
  }

  /** The element has another medium: the frame that was wanted last is shown from that. */
  anew(): void {
    const frame = this.asked;
    clearTimeout(this.patience);
    this.seeking = null;
    this.presentedS = null;
    this.seek(frame);
  }

  /** Goes on as another player of the same left off: at the frame that was asked for of that one, shown yet or not. */
  goOn({ frame, loop, speed, backwards, playing }: Omit<PlayerState, 'settled'>): void {
    this.pause();
    this.update({ loop, speed, backwards });
    this.seek(frame);
    if (playing) this.play();
  }

  /** Steps from the frame that was asked for last, so that quick steps add up. */
  step(by: number): void {
    this.pause();
    this.seek(this.asked + by);
  }

  play(): void {
    const { loop, backwards } = this.state;
    if (this.state.playing) return;
    const frame = this.asked;
    this.update({ playing: true });
    this.begunIn = this.skips.find((s) => s.inFrame <= frame && frame < s.outFrame);
    this.dueMs = 0;
    const { inFrame, outFrame } = loop ?? this.bounds;
    const isAtEnd = backwards ? frame <= inFrame : frame >= outFrame - 1;
    const isOutside = frame < inFrame || frame >= outFrame;
    if (isAtEnd || isOutside) this.seek(backwards ? outFrame - 1 : inFrame);
    // a seek under way comes to its end first: `settle` goes on from there
    else if (!this.seeking && this.wanted === null) this.run();
  }

  pause(): void {
    if (!this.state.playing) return;
    clearTimeout(this.pace);
    this.screen.pause();
    this.update({ playing: false });
    this.seek(this.state.frame);
  }

  toggle(): void {
    if (this.state.playing) this.pause();
    else this.play();
  }

  /** Plays only this stretch, over and over; null = the whole. */
  loop(stretch: Stretch | null): void {
    this.update({ loop: stretch });
  }

  /** Passes these stretches over when it plays through at full speed, and runs through the others four times as fast. */
  skip(stretches: readonly Stretch[], fast: readonly Stretch[] = []): void {
    this.skips = stretches;
    this.fast = fast;
  }

  setSpeed(speed: number): void {
    this.change({ speed });
  }

  setBackwards(backwards: boolean): void {
    this.change({ backwards });
  }

  private change(how: Pick<PlayerState, 'speed'> | Pick<PlayerState, 'backwards'>): void {
    const { playing } = this.state;
    if (playing) this.pause();
    this.update(how);
    if (playing) this.play();
  }

  private update(change: Partial<PlayerState>): void {
    this.state = { ...this.state, ...change };
    for (const listener of this.listeners) listener();
  }

  private pump(): void {
    if (this.seeking || this.wanted === null || this.screen.readyState < METADATA_READY) return;
    const frame = this.wanted;
    this.wanted = null;
    this.seeking = { frame, ended: false, shown: this.isShown(frame), isOther: false, tries: 0 };
    this.goTo(frame, 0);
  }

  /** `nudgeS` moves the target a little, within the frame, where the browser has to be asked again. */
  private goTo(frame: number, nudgeS: number): void {
    this.screen.currentTime = seekTargetS(this.table, frame) + nudgeS;
    clearTimeout(this.patience);
    this.patience = setTimeout(this.onPatienceGone, PATIENCE_MS);
  }

  private isShown(frame: number): boolean {
    return this.presentedS !== null && isFrameShown(this.table, frame, this.presentedS);
  }

  private readonly onReady = (): void => this.pump();

  private readonly onSeeked = (): void => {
    if (!this.seeking) return;
    this.seeking.ended = true;
    this.settle();
  };

  private readonly onPresented = (_now: number, picture: { readonly mediaTime: number }): void => {
    this.callback = this.screen.requestVideoFrameCallback(this.onPresented);
    this.presentedS = picture.mediaTime;
    if (this.seeking) {
      if (this.isShown(this.seeking.frame)) this.seeking.shown = true;
      else this.seeking.isOther = true;
      this.settle();
    } else if (this.state.playing && this.isNative()) this.onPlayed(frameAtS(this.table, picture.mediaTime));
  };

  /**
   * The browser has not said in time that it shows the frame: it is asked again, more often where it said that it shows another one. Then its word that the seek ended
   * has to do: a page that is out of sight is told nothing of pictures.
   */
  private readonly onPatienceGone = (): void => {
    if (!this.seeking) return;
    const { frame, tries, ended, isOther } = this.seeking;
    if (tries < (isOther ? MOST_TRIES : 1)) {
      this.seeking.tries++;
      this.goTo(frame, tries % 2 === 0 ? NUDGE_S : 0);
    } else if (ended) {
      this.seeking.shown = true;
      this.settle();
    } else this.patience = setTimeout(this.onPatienceGone, PATIENCE_MS);
  };

  private settle(): void {
    if (!this.seeking?.ended || !this.seeking.shown) return;
    const { frame } = this.seeking;
    clearTimeout(this.patience);
    this.seeking = null;
    this.update({ frame, settled: this.wanted === null });
    if (this.wanted !== null) this.pump();
    else if (this.state.playing) this.run();
  }

  private readonly onEnded = (): void => {
    if (!this.state.playing) return;
    if (this.state.loop) this.seek(this.state.loop.inFrame);
    else this.pause();
  };

  /** Full speed forwards is the browser's own. */
  private isNative(): boolean {
    return this.state.speed === 1 && !this.state.backwards;
  }

  /** A frame went by at full speed. */
  private onPlayed(frame: number): void {
    const { loop } = this.state;
    const { inFrame, outFrame } = loop ?? this.bounds;
    this.update({ frame, settled: true });
    const past = this.past(frame);
    this.keepPace(frame);
    if (loop && (frame >= outFrame - 1 || frame < inFrame)) this.seek(inFrame);
    else if (frame >= outFrame - 1) this.pause();
    else if (past !== frame) this.seekOrEnd(past);
  }

  /** At full speed stretches in which little happens go by quickly; in a loop everything is as it was. */
  private keepPace(frame: number): void {
    const isFast = !this.state.loop && this.fast.some((s) => s.inFrame <= frame && frame < s.outFrame);
    const rate = isFast ? FAST : 1;
    if (this.screen.playbackRate !== rate) this.screen.playbackRate = rate;
  }

  /** The frame to go on with: past the stretch that is left out, where this one lies in one. Beyond the bounds it is the end. */
  private past(frame: number): number {
    const stretch = this.state.loop
      ? undefined
      : this.skips.find((s) => s !== this.begunIn && s.inFrame <= frame && frame < s.outFrame);
    if (!stretch) return frame;
    return this.state.backwards ? stretch.inFrame - 1 : stretch.outFrame;
  }

  private seekOrEnd(frame: number): void {
    if (frame >= this.bounds.outFrame || frame < this.bounds.inFrame) this.pause();
    else this.seek(frame);
  }

  /** Goes on playing from the frame that is shown. */
  private run(): void {
    const { speed, loop, frame, backwards } = this.state;
    if (this.isNative()) {
      this.keepPace(frame);
      void this.screen.play().catch(() => this.update({ playing: false }));
      return;
    }
    this.screen.pause();
    const { inFrame, outFrame } = loop ?? this.bounds;
    const isLast = backwards ? frame <= inFrame : frame >= outFrame - 1;
    const again = backwards ? outFrame - 1 : inFrame;
    const next = !isLast ? this.past(frame + (backwards ? -1 : 1)) : loop ? again : null;
    clearTimeout(this.pace);
    if (next === null) {
      this.pause();
      return;
    }
    const lastsMs = ((frameStartS(this.table, frame + 1) - frameStartS(this.table, frame)) / speed) * 1000;
    const now = performance.now();
    this.dueMs = Math.max(now, (this.dueMs || now) + lastsMs);
    this.pace = setTimeout(() => this.seekOrEnd(next), this.dueMs - now);
  }
}
