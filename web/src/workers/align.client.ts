import type { Alignment, Envelope } from '@odograph/core';
import { wrap } from 'comlink';
import type { AlignWorker } from './align.worker.js';

/** How two files lie against each other by their sound, found apart from the page. */
export const align = async (first: Envelope, second: Envelope): Promise<Alignment | undefined> => {
  const worker = new Worker(new URL('./align.worker.ts', import.meta.url), { type: 'module' });
  try {
    return await wrap<AlignWorker>(worker).align(first, second);
  } finally {
    worker.terminate();
  }
};
