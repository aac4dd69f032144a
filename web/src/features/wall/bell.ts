/** A bell: a few partials that die away, struck by the sound card's own clock, so that it doesn't depend on how busy the page is. */
const PARTIALS = [
  [880, 1],
  [2217, 0.5],
  [3136, 0.25],
] as const;
const RINGS_S = 1.4;

let context: AudioContext | undefined;
let struck: OscillatorNode[] = [];

/** Takes back what has not rung yet. */
export const stopRinging = (): void => {
  for (const one of struck) one.stop();
  struck = [];
};

/** Rings so many seconds from now, each time; what was to ring before is taken back. */
export const ring = (inS: readonly number[]): void => {
  stopRinging();
  context ??= new AudioContext();
  void context.resume();
  const now = context.currentTime;
  for (const at of new Set(inS))
    for (const [hz, loud] of PARTIALS) {
      const tone = new OscillatorNode(context, { frequency: hz });
      const level = new GainNode(context, { gain: 0 });
      level.gain.setValueAtTime(0.25 * loud, now + at);
      level.gain.exponentialRampToValueAtTime(0.0001, now + at + RINGS_S);
      tone.connect(level).connect(context.destination);
      tone.start(now + at);
      tone.stop(now + at + RINGS_S);
      struck.push(tone);
    }
};
