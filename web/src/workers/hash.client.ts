import { wrap } from 'comlink';
import type { HashWorker } from './hash.worker.js';

/** The SHA-256 of a file, computed apart from the page. */
export const hashOf = async (file: Blob): Promise<string> => {
  const worker = new Worker(new URL('./hash.worker.ts', import.meta.url), { type: 'module' });
  try {
    return await wrap<HashWorker>(worker).hashOf(file);
  } finally {
    worker.terminate();
  }
};
