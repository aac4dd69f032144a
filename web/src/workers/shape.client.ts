import { wrap } from 'comlink';
import type { Arc } from '@odograph/core';
import type { Shape, ShapeWorker } from './shape.protocol.js';

/** How a map hangs together, worked out apart from the page, and how that is given up before it is there. */
export const askShape = (arcs: readonly Arc[]): { readonly answer: Promise<Shape>; readonly cancel: () => void } => {
  const worker = new Worker(new URL('./shape.worker.ts', import.meta.url), { type: 'module' });
  const cancel = (): void => worker.terminate();
  return {
    answer: wrap<ShapeWorker>(worker).shape(arcs).finally(cancel),
    cancel,
  };
};
