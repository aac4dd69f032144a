/** So long it works without letting the page do anything else. */
const SLICE_MS = 8;
const nextTask = (): Promise<void> =>
  new Promise((resolve) => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = () => {
      port1.close();
      resolve();
    };
    port2.postMessage(null);
  });

/**
 * Goes on with some work step by step, in slices that don't hold up the page; each step gives the share that is done. What is done in one slice is there at once. Gives up,
 * with undefined, where `isOver` says so.
 */
export const inSlices = async <T>(
  steps: Iterator<number, T>,
  isOver: () => boolean,
  onShare: (share: number) => void,
): Promise<T | undefined> => {
  let until = performance.now() + SLICE_MS;
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
    if (performance.now() < until) continue;
    onShare(step.value);
    await nextTask();
    if (isOver()) return undefined;
    until = performance.now() + SLICE_MS;
  }
};
