import { deadEndsOf, digraphOf, hubsOf, isEnding, islandsOf, loopsOf } from '@odograph/core';
import { expose } from 'comlink';
import type { ShapeWorker } from './shape.protocol.js';

const LOOPS = { longest: 3, most: 1000 };

const worker: ShapeWorker = {
  shape: (arcs) => {
    const graph = digraphOf(arcs);
    return {
      hubs: hubsOf(graph),
      islands: islandsOf(graph),
      deadEnds: deadEndsOf(graph).filter((id) => !isEnding(id)),
      loops: loopsOf(graph, LOOPS),
    };
  },
};

expose(worker);
