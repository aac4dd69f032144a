/** How long a process has for an end in good order once nobody is there who could end it. */
const PATIENCE_MS = 10_000;

/**
 * A process that another one has started ends with it: when the channel to the starter is lost, in good order, and after a while in any. Called before
 * anything else: the starter may be gone before the process is ready.
 */
export const endWithStarter = (): { readonly inGoodOrder: (close: () => Promise<void>) => void } => {
  let close: (() => Promise<void>) | undefined;
  let isOver = false;
  const end = (): void => {
    isOver = true;
    setTimeout(() => process.exit(1), PATIENCE_MS).unref();
    void (close?.() ?? Promise.resolve()).finally(() => process.exit(0));
  };
  // without a channel it was started by hand
  if (process.channel === undefined && process.env['NODE_CHANNEL_FD'] === undefined)
    return { inGoodOrder: () => undefined };
  process.once('disconnect', end);
  if (!process.connected) end();
  return {
    inGoodOrder: (by) => {
      close = by;
      if (isOver) end();
    },
  };
};
