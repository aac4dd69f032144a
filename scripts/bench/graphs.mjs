// The rows of what follows from the map beside their peers: chances of each ending, crossroads, parts.
import { createRequire } from 'node:module';
import { join } from 'node:path';

/** The peers, as they are installed beside the project. */
export const graphPeers = (peers) => {
  const require = createRequire(join(peers, 'package.json'));
  return {
    matrix: require('ml-matrix'),
    Graph: require('graphology').DirectedGraph,
    betweenness: require('graphology-metrics/centrality/betweenness'),
    components: require('graphology-components'),
  };
};

/** The system of the chances solved by ml-matrix, from the same counts: all places that are no ending and that lead to one (`isOpen`), at once. */
const byMatrix = ({ ids, starts, to, weight }, isOpen, pointsOf, { Matrix, solve }) => {
  const total = ids.map((_, at) => weight.subarray(starts[at], starts[at + 1]).reduce((a, b) => a + b, 0));
  const inner = ids.flatMap((id, at) => (isOpen(id) ? [at] : []));
  const place = new Map(inner.map((at, i) => [at, i]));
  const ends = ids.flatMap((_, at) => (place.has(at) ? [] : [at]));
  const column = new Map(ends.map((at, i) => [at, i]));
  const left = Matrix.eye(inner.length);
  const right = Matrix.zeros(inner.length, ends.length + 2);
  inner.forEach((at, i) => {
    right.set(i, ends.length, 1);
    for (let arc = starts[at]; arc < starts[at + 1]; arc++) {
      const [end, chance] = [to[arc], weight[arc] / total[at]];
      if (end !== at) right.set(i, ends.length + 1, right.get(i, ends.length + 1) + chance * pointsOf(ids[end]));
      if (place.has(end)) left.set(i, place.get(end), left.get(i, place.get(end)) - chance);
      else right.set(i, column.get(end), right.get(i, column.get(end)) + chance);
    }
  });
  return { inner, solved: solve(left, right), ends };
};

/** How far the two are apart at most, by how large a figure is. */
const apartOf = (core, { ids }, ours, { inner, solved, ends }) => {
  let apart = 0;
  const compare = (a, b) => (apart = Math.max(apart, Math.abs(a - b) / Math.max(1, Math.abs(a))));
  inner.forEach((at, i) => {
    const { endings, steps, points } = ours.get(ids[at]);
    const isOver = (end) => core.isEnding(ids[end]);
    compare(
      ends.reduce((sum, end, j) => sum + (isOver(end) ? 0 : solved.get(i, j)), 0),
      (endings.get(core.UNKNOWN) ?? 0) + (endings.get(core.NEVER) ?? 0),
    );
    compare(solved.get(i, ends.length), steps);
    compare(solved.get(i, ends.length + 1), points);
    ends.forEach((end, j) => isOver(end) && compare(solved.get(i, j), endings.get(ids[end]) ?? 0));
  });
  return apart;
};

/** Rows and notes of one library. `cpu` measures, `row` makes a row. */
export const graphRows = (core, size, lines, peers, { cpu, row, runs }) => {
  const graph = core.graphOfLines(lines);
  const { ids } = graph;
  const pointsOf = (id) => core.housePoints(id);
  const work = () => core.prospectsOf(graph, core.isEnding, pointsOf);
  const known = work();
  const isOpen = (id) => known.get(id).steps > 0;
  const other = () => byMatrix(graph, isOpen, pointsOf, peers.matrix);
  const apart = apartOf(core, graph, known, other());
  const built = new peers.Graph();
  for (const id of ids) built.addNode(id);
  ids.forEach((id, at) => {
    for (let arc = graph.starts[at]; arc < graph.starts[at + 1]; arc++)
      if (graph.to[arc] !== at) built.addEdge(id, ids[graph.to[arc]]);
  });
  const parts = (of) => {
    core.componentsOf(of);
    core.islandsOf(of);
    core.deadEndsOf(of);
  };
  const { stronglyConnectedComponents, connectedComponents } = peers.components;
  return {
    notes: [
      `chances on ${size}: ${ids.length} places, ${graph.to.length} ways; at most ${apart.toExponential(1)} apart from ml-matrix`,
      `bands from standing on ${size}, 200 draws: ${cpu(() => core.bandsFrom(graph, 'standing/even', core.isEnding, pointsOf), 1).toFixed(0)} ms`,
    ],
    rows: [
      row(
        'chances of each ending, steps, points, from every place',
        size,
        cpu(work, runs),
        cpu(other, runs),
        'ml-matrix',
        size === 'S' ? null : 0.6,
      ),
      row(
        'hubs',
        size,
        cpu(() => core.betweenness(graph), runs),
        cpu(() => peers.betweenness(built, { normalized: false }), runs),
        'graphology-metrics',
        0.75,
      ),
      row(
        'parts, islands, dead ends',
        size,
        cpu(() => parts(graph), runs),
        cpu(() => {
          stronglyConnectedComponents(built);
          connectedComponents(built);
        }, runs),
        'graphology-components',
        0.3,
      ),
    ],
  };
};
