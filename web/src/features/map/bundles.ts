import type { MapLine } from '../../workers/map.protocol.js';

/** Lines of one side that run from one place to another beside each other. */
export type Bundle = { readonly key: string; readonly lines: readonly [MapLine, ...MapLine[]] };

/** The lines by where they run, in the order in which they come. O(lines). */
export const bundlesOf = (lines: readonly MapLine[]): readonly Bundle[] => {
  const found = new Map<string, [MapLine, ...MapLine[]]>();
  for (const line of lines) {
    const key = `${line.side} ${line.from} ${line.to}`;
    const beside = found.get(key);
    if (beside) beside.push(line);
    else found.set(key, [line]);
  }
  return [...found].map(([key, beside]) => ({ key, lines: beside }));
};

/** How often the lines of a bundle were tried, all together: that is the weight of its one stroke. */
export const triesOf = ({ lines }: Bundle): number => lines.reduce((sum, { attempts }) => sum + attempts, 0);
