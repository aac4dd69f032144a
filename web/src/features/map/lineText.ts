import type { MapLine } from '../../workers/map.protocol.js';

const bandText = ({ interval }: MapLine): string =>
  interval ? `, ${Math.round(interval.low * 100)}–${Math.round(interval.high * 100)} %` : '';
const unratedText = (line: MapLine): string =>
  line.picked ? `seen ${line.picked}, highlights only` : `shown ${line.shown}`;

/** How often it led there by working, of all attempts, and the interval of that; a line without a rate says why. */
export const longText = (line: MapLine): string => {
  const { attempts, count, successes } = line;
  if (!attempts) return unratedText(line);
  const what = count === attempts ? 'worked' : count === successes ? 'led there' : 'led there by working';
  return `${what} ${successes} of ${attempts}${bandText(line)}`;
};
