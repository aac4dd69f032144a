import { bestRoutes, buildHeights, buildLines, gripChanges, loggedOf, wordsOf, type Line } from '@odograph/core';
import { expose } from 'comlink';
import type { MapLine, MapWorker } from './map.protocol.js';

let lines: readonly Line[] = [];
let revision = 0;

const plain = ({ gripsAtCommit, gripsAtEnd, ...rest }: Line): MapLine => {
  void gripsAtCommit;
  void gripsAtEnd;
  return rest;
};

const worker: MapWorker = {
  load: (library, view) => {
    const words = wordsOf(library);
    const logged = loggedOf(library);
    const { lines: built, ...totals } = buildLines(logged, words, view);
    lines = built;
    revision++;
    return {
      revision,
      lines: lines.map(plain),
      heights: Object.fromEntries(buildHeights(logged, words, view)),
      totals,
    };
  },
  routes: ({ from, goal, most }) =>
    bestRoutes(lines, from, goal, most).map((route) => ({
      ...route,
      steps: route.steps.map((step) => ({ ...step, line: plain(step.line) })),
    })),
  gripChanges: (lineIds) => {
    const byId = new Map(lines.map((line) => [line.id, line]));
    return lineIds.map((id, i) => {
      const [before, line] = [byId.get(lineIds[i - 1] ?? ''), byId.get(id)];
      return before && line ? gripChanges(before.gripsAtEnd, line.gripsAtCommit) : 0;
    });
  },
};

expose(worker);
