import { wrap, type Remote } from 'comlink';
import type { MapLine, MapPicture, MapWish, MapWorker } from './map.protocol.js';

let remote: Remote<MapWorker> | undefined;

/** The map's worker, started when first asked for. */
export const mapWorker = (): Remote<MapWorker> => {
  remote ??= wrap<MapWorker>(new Worker(new URL('./map.worker.ts', import.meta.url), { type: 'module' }));
  return remote;
};

/** The picture that was wished for; undefined where a newer wish has overtaken it. */
export const showMap = async (wish: MapWish): Promise<MapPicture | undefined> => {
  const { lineCount, ...picture } = await mapWorker().show(wish);
  const lines: MapLine[] = [];
  while (lines.length < lineCount) {
    const part = await mapWorker().linesFrom(picture.revision, lines.length);
    if (!part?.length) return undefined;
    lines.push(...part);
  }
  return { ...picture, lines };
};
