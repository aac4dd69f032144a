// npm run bench: every row of the computing core that exists beside its peer on S, M and L; start-up; first page; routes of the server beside a bare one.
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { get } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { gzipSync } from 'node:zlib';
import { media } from './bench/media.mjs';
import { phrase } from './bench/phrase.mjs';
import { doors } from './bench/doors.mjs';
import { signIn, untilTakenIn, up } from './bench/product.mjs';
import { measuredOn, median, putSection } from './bench/report.mjs';
import { follow } from './bench/follow.mjs';
import { mapMoves } from './bench/mapMoves.mjs';
import { smooth } from './bench/smooth.mjs';
import { build } from './build.mjs';
import { databaseThatRuns, freePort } from './database.mjs';
import { needPrograms } from './machine.mjs';
import { needPackages } from './packages.mjs';
import { root } from './paths.mjs';
import { Stop, main, note } from './say.mjs';

/** No task of the page may take longer. */
const LONGEST_TASK_MS = 100;
const PEERS = {
  minisearch: '7.2.0',
  autocannon: '8.0.0',
  'ml-matrix': '6.15.1',
  graphology: '0.26.0',
  'graphology-metrics': '2.4.2',
  'graphology-components': '1.5.4',
};
const peers = join(root, '.bench');
const CONNECTIONS = 16;
const SECONDS = 5;

const run = (program, args, options = {}) => {
  const made = spawnSync(program, args, { cwd: root, encoding: 'utf8', maxBuffer: 2 ** 28, ...options });
  if (made.status !== 0) throw new Stop(`${program} ${args.join(' ')} failed:\n${made.stderr}`);
  return made.stdout;
};

/** What things are measured against is no part of the product: it is installed beside it. */
const needPeers = () => {
  mkdirSync(peers, { recursive: true });
  const wanted = JSON.stringify({ private: true, dependencies: PEERS });
  const manifest = join(peers, 'package.json');
  if (existsSync(manifest) && readFileSync(manifest, 'utf8') === wanted && existsSync(join(peers, 'node_modules')))
    return;
  note('Installing what things are measured against …');
  writeFileSync(manifest, wanted);
  run('npm', ['install', '--ignore-scripts', '--no-audit', '--no-fund'], { cwd: peers });
};

/** A Python that has networkx and numpy: the machine's own, or one beside the peers into which they are installed. */
const pythonWithNetworkx = () => {
  const has = (program) => spawnSync(program, ['-c', 'import networkx, numpy']).status === 0;
  if (has('python3')) return 'python3';
  const own = join(peers, 'python/bin/python');
  if (!has(own)) {
    note('Installing networkx, against which routes are measured …');
    run('python3', ['-m', 'venv', join(peers, 'python')]);
    run(own, ['-m', 'pip', 'install', '--quiet', 'networkx', 'numpy', 'scipy']);
  }
  return own;
};

const computing = (python) => {
  for (const size of ['S', 'M', 'L']) {
    const out = join(peers, `seeded-${size}.json`);
    if (existsSync(out)) continue;
    note(`Making the library ${size} …`);
    run(process.execPath, [join(root, 'demo/dist/cli/seeded.js'), size, '1', out]);
  }
  note('Computing …');
  return JSON.parse(
    run(process.execPath, [join(root, 'scripts/bench/core.mjs'), peers, peers], {
      stdio: ['ignore', 'pipe', 'inherit'],
      env: { ...process.env, BENCH_PYTHON: python },
    }),
  );
};

/** The exported map as networkx reads it, held against the analysis. */
const exported = (python) =>
  ['S', 'M', 'L'].flatMap((size) => {
    const out = join(peers, `analysis-${size}`);
    const library = join(peers, `seeded-${size}.json`);
    run(process.execPath, [join(root, 'scripts/analyse.mjs'), '--library', library, '--out', out]);
    const files = [join(out, 'map.graphml'), join(out, 'analysis.json')];
    const read = JSON.parse(run(python, [join(root, 'scripts/bench/graphml.py'), ...files]));
    const thought = JSON.parse(run(python, [join(root, 'scripts/bench/thinking.py'), ...files]));
    return [
      `GraphML of ${size} read by networkx: ${read.places} places, ${read.lines} lines, ${read.same ? 'the same numbers as' : 'OTHER NUMBERS THAN'} npm run analyse`,
      `rates, chances, hubs, parts, dead ends, loops, either way, order of teaching and routes of ${size} worked out again from its GraphML by networkx and numpy: ${thought.wrong.length ? `DIFFERENT: ${thought.wrong.join(', ')}` : `the same (chances at most ${thought.chainsApart.toExponential(1)} apart)`}`,
    ];
  });

/** Bytes, packed by gzip, of everything that the first page loads: the page, and the modules and styles that it names or imports at once. */
const pageBytes = (dist) => {
  const html = readFileSync(join(dist, 'index.html'), 'utf8');
  const assets = join(dist, 'assets');
  const first = [...html.matchAll(/assets\/([\w.-]+\.(?:js|css))/g)].map((m) => m[1]);
  const seen = new Set();
  const load = (name) => {
    if (seen.has(name) || !existsSync(join(assets, name))) return;
    seen.add(name);
    if (!name.endsWith('.js')) return;
    const code = readFileSync(join(assets, name), 'utf8');
    for (const m of code.matchAll(/(?:from|import)\s*["'`]\.\/([\w.-]+\.js)["'`]/g)) load(m[1]);
  };
  first.forEach(load);
  const sizes = [html, ...[...seen].map((name) => readFileSync(join(assets, name)))].map((b) => gzipSync(b).length);
  return sizes.reduce((a, b) => a + b, 0);
};

/** A bare page of the same stack: React, router, store with queries, components, the same fonts' worth of nothing else. */
const barePage = () => {
  const folder = join(root, 'web', '.bare');
  rmSync(folder, { recursive: true, force: true });
  mkdirSync(folder);
  writeFileSync(
    join(folder, 'index.html'),
    '<!doctype html><title>bare</title><div id="root"></div><script type="module" src="./main.jsx"></script>',
  );
  writeFileSync(
    join(folder, 'main.jsx'),
    `import { Box, ChakraProvider, Menu, Portal, chakra, defaultSystem } from '@chakra-ui/react';
import { configureStore } from '@reduxjs/toolkit';
import { createApi, fetchBaseQuery } from '@reduxjs/toolkit/query/react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { createBrowserRouter } from 'react-router';
import { RouterProvider } from 'react-router/dom';
const api = createApi({ baseQuery: fetchBaseQuery({ baseUrl: '/api/' }), endpoints: (b) => ({ me: b.query({ query: () => 'me' }) }) });
const store = configureStore({ reducer: { api: api.reducer }, middleware: (all) => all().concat(api.middleware) });
const Field = chakra('input');
const Page = () => { const { data } = api.useMeQuery(); return <Box>{data?.name}<Field /><Menu.Root><Menu.Trigger>x</Menu.Trigger><Portal><Menu.Positioner><Menu.Content><Menu.Item value="x">x</Menu.Item></Menu.Content></Menu.Positioner></Portal></Menu.Root></Box>; };
createRoot(document.getElementById('root')).render(<Provider store={store}><ChakraProvider value={defaultSystem}><RouterProvider router={createBrowserRouter([{ path: '*', element: <Page /> }])} /></ChakraProvider></Provider>);
`,
  );
  run(process.execPath, [
    join(root, 'node_modules/vite/bin/vite.js'),
    'build',
    folder,
    '--outDir',
    'dist',
    '--logLevel',
    'error',
    '--config',
    join(root, 'web/vite.config.ts'),
  ]);
  const bytes = pageBytes(join(folder, 'dist'));
  rmSync(folder, { recursive: true, force: true });
  return bytes;
};

/** The tag of an answer, on a connection of its own: those of earlier requests may be gone by now. */
const tagOf = (url, cookie) =>
  new Promise((resolve, reject) =>
    get(url, { headers: { cookie }, agent: false }, (answer) => {
      answer.resume();
      resolve(answer.headers.etag);
    }).once('error', reject),
  );

/** Requests a second at 16 connections. */
const rate = (url, headers = []) => {
  const out = run(process.execPath, [
    join(peers, 'node_modules/autocannon/autocannon.js'),
    '-c',
    String(CONNECTIONS),
    '-d',
    String(SECONDS),
    '--json',
    ...headers.flatMap((h) => ['-H', h]),
    url,
  ]);
  const { requests, latency, non2xx, errors, statusCodeStats } = JSON.parse(out);
  // 304 is an answer that is wanted
  const failed = non2xx + errors - (statusCodeStats['304']?.count ?? 0);
  return { perSecond: requests.average, p99Ms: latency.p99, failed };
};

/** How long the page on the map of M is held up at most, in a sentence. */
const tasksOfPage = (url) => {
  note('Opening the map …');
  const tasks = JSON.parse(
    run(process.execPath, [join(root, 'scripts/bench/page.mjs'), url, 'coach@seeded-m.example', 'seeded-mat-5']),
  );
  const said = (list) => `${median(list)} ms (${list.join(', ')})`;
  const [all, over] = [
    Object.values(tasks),
    Object.values(tasks)
      .flat()
      .filter((ms) => ms > LONGEST_TASK_MS).length,
  ];
  const held = all.some((list) => median(list) > LONGEST_TASK_MS)
    ? '**missed**'
    : over > 0
      ? `held in the median, **missed** in ${over} of ${all.flat().length} times`
      : 'held';
  return `longest task of the page on the map of M, medians (each time): opening it, the program's start included, ${said(tasks.opening)}; slider to the end ${said(tasks.slider)}; a place picked ${said(tasks.place)}; 0 = none over 50 ms; goal none over ${LONGEST_TASK_MS} ms: ${held}`;
};

const serving = async () => {
  const folder = mkdtempSync(join(tmpdir(), 'odograph-bench-'));
  const port = await freePort();
  const url = `http://127.0.0.1:${port}`;
  const notes = [];
  const stops = [];
  try {
    note('Starting with nothing there …');
    const first = await up(folder, port);
    await first.down();
    const second = await up(folder, port);
    await second.down();
    notes.push(
      `start-up: ${(first.ms / 1000).toFixed(1)} s the first time (database made, demo loaded), ${(second.ms / 1000).toFixed(1)} s from then on`,
    );
    mkdirSync(join(folder, 'waiting'), { recursive: true });
    writeFileSync(join(folder, 'waiting', 'seeded-M.json'), readFileSync(join(peers, 'seeded-M.json')));
    const third = await up(folder, port);
    stops.push(third.down);
    await untilTakenIn(folder);
    const { socket, password } = databaseThatRuns(join(folder, 'db'));
    const bare = spawn(process.execPath, [join(root, 'scripts/bench/bare.mjs'), socket, 'odograph', 'odograph'], {
      stdio: ['ignore', 'pipe', 'inherit'],
      env: { ...process.env, DB_PASSWORD: password },
    });
    stops.push(() => bare.kill());
    const barePort = await new Promise((resolve) => bare.stdout.once('data', (d) => resolve(String(d).trim())));
    await pause(500);
    const cookie = await signIn(url, 'coach@lanternwood.example', 'lanternwood-mat-7');
    const seeded = await signIn(url, 'coach@seeded-m.example', 'seeded-mat-5');
    note('Asking the routes …');
    const rates = {
      'a bare route, one row of accounts': rate(`http://127.0.0.1:${barePort}/api/row`),
      'GET /api/me (the same row, with session, role and academies)': rate(`${url}/api/me`, [`cookie: ${cookie}`]),
      'GET /api/map/rows of M, unchanged (304)': null,
      'GET /api/map/rows of M, whole': rate(`${url}/api/map/rows`, [`cookie: ${seeded}`, 'accept-encoding: gzip']),
      'GET /api/library/part of M (500 clips)': rate(`${url}/api/library/part`, [`cookie: ${seeded}`]),
    };
    const tag = await tagOf(`${url}/api/map/rows`, seeded);
    rates['GET /api/map/rows of M, unchanged (304)'] = rate(`${url}/api/map/rows`, [
      `cookie: ${seeded}`,
      `if-none-match: ${tag}`,
    ]);
    notes.push(tasksOfPage(url));
    return { notes, rates };
  } finally {
    for (const stop of stops.reverse()) await stop();
    rmSync(folder, { recursive: true, force: true });
  }
};

const number = (n) => (n >= 100 ? n.toFixed(0) : n >= 1 ? n.toFixed(1) : n.toFixed(3));

/** The computing core beside its peers. */
const core = () => {
  needPeers();
  const python = pythonWithNetworkx();
  const { rows, notes } = computing(python);
  notes.push(...exported(python));
  const lines = [
    `${measuredOn()} CPU time, warm, medians.`,
    '',
    '| computation | size | ms | peer, ms | ratio | goal | |',
    '|---|---|---|---|---|---|---|',
    ...rows.map(
      (r) =>
        `| ${r.what} | ${r.size} | ${number(r.ours)} | ${r.peerName}: ${number(r.peer)} | ${r.ratio.toFixed(3)} | ${r.goal === null ? '–' : `≤ ${r.goal.toFixed(3)}`} | ${r.goal === null ? '' : r.ratio <= r.goal ? 'held' : '**missed**'} |`,
    ),
    '',
    ...notes.map((n) => `- ${n}`),
    '',
  ];
  putSection('npm run bench -- core', lines);
  note(lines.join('\n'));
};

const figures = async () => {
  needPeers();
  note('First page …');
  const [ours, bare] = [pageBytes(join(root, 'web/dist')), barePage()];
  const served = await serving();
  const lines = [
    measuredOn(),
    '',
    ...[
      `first page: ${(ours / 1024).toFixed(0)} kB packed, ${(ours / bare).toFixed(2)} × a bare page of the same stack (${(bare / 1024).toFixed(0)} kB); goal ≤ 1.3: ${ours / bare <= 1.3 ? 'held' : '**missed**'}`,
      ...served.notes,
    ].map((n) => `- ${n}`),
    '',
    `| at ${CONNECTIONS} connections for ${SECONDS} s | a second | 99 % within, ms | failed |`,
    '|---|---|---|---|',
    ...Object.entries(served.rates).map(
      ([what, r]) => `| ${what} | ${r.perSecond.toFixed(0)} | ${r.p99Ms} | ${r.failed} |`,
    ),
    '',
  ];
  putSection('npm run bench', lines);
  note(lines.join('\n'));
};

/** `npm run bench` measures everything; `npm run bench -- core`, `-- figures`, `-- media`, `-- phrase`, `-- smooth`, `-- follow`, `-- map` or `-- doors` only that part. */
const PARTS = { core, figures, media, phrase, smooth, follow, map: mapMoves, doors };

main(async () => {
  const asked = process.argv.slice(2);
  const unknown = asked.find((name) => !(name in PARTS));
  if (unknown) throw new Stop(`There is no part "${unknown}"; there are ${Object.keys(PARTS).join(' and ')}.`);
  needPrograms(['mariadbd', 'ffmpeg', 'ffprobe', 'python3', 'chromium']);
  needPackages();
  build();
  for (const [name, measure] of Object.entries(PARTS)) if (!asked.length || asked.includes(name)) await measure();
});
