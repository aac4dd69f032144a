import { wrap, type Remote } from 'comlink';
import type { MapWorker } from './map.protocol.js';

let remote: Remote<MapWorker> | undefined;

/** The map's worker, started when first asked for. */
export const mapWorker = (): Remote<MapWorker> => {
  remote ??= wrap<MapWorker>(new Worker(new URL('./map.worker.ts', import.meta.url), { type: 'module' }));
  return remote;
};
