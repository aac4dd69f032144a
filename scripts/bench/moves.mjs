// What runs inside of pages while the bench for media measures them; each function is sent there as text and stands for itself.

/** In the page of the bench: goes there as a hand does, by the line or by keys, and times it until the picture that is wanted is said to be shown. */
export const throughScreen = async ({ moves, ticks }) => {
  const picture = document.querySelector('[data-testid=picture]');
  const line = document.querySelector('[role=slider][aria-label=Frame]');
  const spread = ticks.at(-1) + (ticks.at(-1) - ticks.at(-2)) - ticks[0];
  const times = [];
  for (const { kind, frame } of moves) {
    const began = performance.now();
    await new Promise((resolve) => {
      const watch = new MutationObserver(() => {
        if (picture.dataset.settled !== 'true' || Number(picture.dataset.frame) !== frame) return;
        watch.disconnect();
        resolve();
      });
      watch.observe(picture, { attributes: true });
      if (kind === 'jump') {
        const { left, top, width, height } = line.getBoundingClientRect();
        const at = (ticks[frame] + (ticks[frame + 1] ?? ticks[frame])) / 2 - ticks[0];
        const [clientX, clientY] = [left + (at / spread) * width, top + height / 2];
        line.dispatchEvent(new PointerEvent('pointermove', { bubbles: true, clientX, clientY, buttons: 1 }));
      } else {
        const key = kind === 'next' ? 'ArrowRight' : 'ArrowLeft';
        window.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
      }
    });
    times.push({ kind, ms: performance.now() - began });
  }
  return times;
};

/** In an empty page: the same frames on nothing but a video element. */
export const onBareVideo = async ({ moves, seconds, src, size }) => {
  document.body.innerHTML = '';
  const video = document.createElement('video');
  Object.assign(video, { src, preload: 'auto', muted: true });
  Object.assign(video.style, { width: `${size.width}px`, height: `${size.height}px`, objectFit: 'contain' });
  document.body.append(video);
  await new Promise((resolve) => video.addEventListener('loadeddata', resolve, { once: true }));
  const times = [];
  for (const { kind, frame } of moves) {
    const began = performance.now();
    const [from, to] = [seconds[frame], seconds[frame + 1] ?? seconds[frame] + 0.002];
    const seeked = new Promise((resolve) => video.addEventListener('seeked', resolve, { once: true }));
    const shown = new Promise((resolve) => {
      const look = (_, { mediaTime }) =>
        Math.abs(mediaTime - from) < (to - from) / 2 ? resolve() : video.requestVideoFrameCallback(look);
      video.requestVideoFrameCallback(look);
    });
    video.currentTime = (from + to) / 2;
    await Promise.all([seeked, shown]);
    times.push({ kind, ms: performance.now() - began });
  }
  return times;
};

/** In the page of the bench: plays, and gives the frames that were shown and how long that took. */
export const played = async (ms) => {
  const picture = document.querySelector('[data-testid=picture]');
  const frames = [];
  const watch = new MutationObserver(() => {
    const frame = Number(picture.dataset.frame);
    if (frame !== frames.at(-1)) frames.push(frame);
  });
  watch.observe(picture, { attributes: true });
  const began = performance.now();
  window.dispatchEvent(new KeyboardEvent('keydown', { key: ' ', bubbles: true }));
  await new Promise((resolve) => setTimeout(resolve, ms));
  watch.disconnect();
  const took = performance.now() - began;
  window.dispatchEvent(new KeyboardEvent('keydown', { key: ' ', bubbles: true }));
  return { frames, perSecond: (frames.length / took) * 1000 };
};
