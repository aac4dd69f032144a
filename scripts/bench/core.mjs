// The rows of the computing core beside their peers, warm, in one process: medians of CPU time.
import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { graphPeers, graphRows } from './graphs.mjs';

const [folder, peers] = process.argv.slice(2);
const dist = new URL('../../core/dist/', import.meta.url);
const core = await import(new URL('index.js', dist));
const { kBestRoutes, lineCost } = core;
const { default: MiniSearch } = await import(
  pathToFileURL(join(peers, 'node_modules/minisearch/dist/es/index.js')).href
);

const median = (xs) => [...xs].sort((a, b) => a - b)[Math.floor(xs.length / 2)];
/** Runs that warm it up go on for so long: short work is not compiled after two of them. In milliseconds. */
const WARM_MS = 300;
/** CPU time of a run in milliseconds: median of `runs`, after those that warm it up. */
const cpu = (work, runs = 7) => {
  work();
  const end = performance.now() + WARM_MS;
  do work();
  while (performance.now() < end);
  return median(
    Array.from({ length: runs }, () => {
      const before = process.cpuUsage();
      work();
      const { user, system } = process.cpuUsage(before);
      return (user + system) / 1000;
    }),
  );
};
const row = (what, size, ours, peer, peerName, goal) => ({
  what,
  size,
  ours,
  peer,
  peerName,
  goal,
  ratio: ours / peer,
});
const rows = [];
const notes = [];
const others = graphPeers(peers);

for (const size of ['S', 'M', 'L']) {
  const text = readFileSync(join(folder, `seeded-${size}.json`), 'utf8');
  const library = JSON.parse(text);
  const clips = JSON.stringify({ attempts: library.attempts, clips: library.clips });
  const words = core.wordsOf(library);
  const table = core.RowTable.of(core.loggedOf(library), words);
  const runs = size === 'L' ? 5 : 9;
  rows.push(
    row(
      'aggregates: lines of the map from rows',
      size,
      cpu(() => new core.Tally(table).book(), runs),
      cpu(() => JSON.parse(clips), runs),
      'JSON.parse of the same clips',
      0.3,
    ),
  );
  const tally = new core.Tally(table);
  const many = 2000;
  const edited = cpu(() => {
    for (let i = 0; i < many; i++) tally.update([(i * 7919) % table.length]);
  }, runs);
  notes.push(`one edited clip counted again, ${size}: ${((edited / many) * 1000).toFixed(1)} µs`);
  const message = core.packRows(core.messageOf(table, { version: 1, whole: true }));
  notes.push(
    `rows of ${size} unpacked and laid into an empty table: ${cpu(() => core.applyRows(new core.RowTable(), core.unpackRows(message.buffer)), runs).toFixed(0)} ms`,
  );

  // k best routes: one arc between two places (the cheapest), so that both look for the same paths
  const { lines } = core.buildLines(core.loggedOf(library), words, { includePicked: true });
  const cheapest = new Map();
  for (const line of lines) {
    const cost = lineCost(line);
    if (cost === undefined || line.bait) continue;
    const key = `${line.from} ${line.to}`;
    if (!(cheapest.get(key)?.cost <= cost)) cheapest.set(key, { from: line.from, to: line.to, cost });
  }
  const numbers = new Map();
  const number = (place) => numbers.get(place) ?? (numbers.set(place, numbers.size), numbers.size - 1);
  const arcs = [...cheapest.values()].map((a) => ({ from: number(a.from), to: number(a.to), cost: a.cost }));
  const graph = { nodes: numbers.size, arcs, between: null };
  const from = numbers.get('standing/even') ?? 0;
  const targets = [...numbers]
    .filter(([p]) => p.startsWith('won:'))
    .slice(0, 5)
    .map(([, n]) => n);
  const ours = targets.map((to) => kBestRoutes(graph, from, new Set([to]), 10));
  const oursMs = cpu(() => targets.forEach((to) => kBestRoutes(graph, from, new Set([to]), 10)), 5);
  const answer = JSON.parse(
    execFileSync(process.env.BENCH_PYTHON ?? 'python3', [join(import.meta.dirname, 'routes.py')], {
      input: JSON.stringify({ nodes: graph.nodes, arcs, from, targets, k: 10, runs: size === 'L' ? 1 : 3 }),
      encoding: 'utf8',
      maxBuffer: 2 ** 28,
    }),
  );
  const costs = (found) => found.map((r) => r.cost.toFixed(9)).join();
  const same = ours.every((found, i) => costs(found) === answer.costs[i].map((c) => c.toFixed(9)).join());
  notes.push(
    `routes of ${size}: ${graph.nodes} places, ${arcs.length} arcs; costs ${same ? 'the same as' : 'DIFFERENT FROM'} networkx`,
  );
  rows.push(
    row(
      '10 best routes to 5 places',
      size,
      oursMs,
      answer.ms,
      'networkx shortest_simple_paths',
      { S: 1 / 15, M: 1 / 30, L: 1 / 50 }[size],
    ),
  );

  const thought = graphRows(core, size, lines, others, { cpu, row, runs });
  rows.push(...thought.rows);
  notes.push(...thought.notes);

  if (size === 'M') {
    const choices = words.all.map((w) => ({ value: w.key, texts: [w.name, ...w.aliases] }));
    const search = new MiniSearch({
      fields: ['text'],
      storeFields: ['key'],
      searchOptions: { fuzzy: 0.2, prefix: true },
    });
    search.addAll(choices.flatMap((c, i) => c.texts.map((t, k) => ({ id: `${i} ${k}`, text: t, key: c.value }))));
    const typed = choices
      .map((c) => c.texts[0])
      .flatMap((t) => [t, t.slice(0, 5), t.replace(/(.)(.)/, '$2$1')])
      .slice(0, 300);
    // taken apart once for a list, as the fields do; nothing that was typed is known from a run before
    const lists = Array.from({ length: 200 }, () => {
      const list = [...choices];
      core.matchWords('x', list);
      return list;
    });
    let nth = 0;
    rows.push(
      row(
        `words that were meant: ${typed.length} typed texts among ${choices.length} words`,
        size,
        cpu(() => {
          const list = lists[nth++];
          typed.forEach((t) => core.matchWords(t, list));
        }),
        cpu(() => typed.forEach((t) => search.search(t))),
        'minisearch, fuzzy',
        0.25,
      ),
    );
  }
}
// all frames of a day at 29.97 round trip
const began = process.cpuUsage();
const day = core.timeTable(
  Float64Array.from({ length: 2_589_408 }, (_, i) => i * 1001),
  1,
  30_000,
);
let wrong = 0;
for (let i = 0; i < 2_589_408; i++) if (core.frameAtS(day, core.frameStartS(day, i)) !== i) wrong++;
notes.push(
  `2,589,408 frames of a day at 29.97 there and back: ${wrong} wrong, ${(process.cpuUsage(began).user / 1000).toFixed(0)} ms`,
);
process.stdout.write(JSON.stringify({ rows, notes }));
