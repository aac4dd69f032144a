// npm test: everything that has to hold, and one plain line at the end that counts all of it.
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { build } from './build.mjs';
import { needPrograms } from './machine.mjs';
import { needPackages } from './packages.mjs';
import { root } from './paths.mjs';
import { main, note } from './say.mjs';

const bin = (name) => join(root, 'node_modules', name);
const names = join(root, '../shared/check/names.mjs');
const folder = mkdtempSync(join(tmpdir(), 'odograph-results-'));

/** Runs something whose output is shown as it comes; whether it went well. */
const run = async (args, env = {}) => {
  const child = spawn(process.execPath, args, {
    cwd: root,
    stdio: ['ignore', 'inherit', 'inherit'],
    env: { ...process.env, ...env },
  });
  const [code] = await once(child, 'close');
  return code === 0;
};

/** Runs something beside the journeys, with what of the processors they leave; its output is held back until it ends. */
const runAside = async (args) => {
  const child = spawn('nice', ['-n', '8', process.execPath, ...args], {
    cwd: root,
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  let output = '';
  for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk) => (output += chunk));
  const [code] = await once(child, 'close');
  return { ok: code === 0, output };
};

const CHECKS = [
  { name: 'lint', args: [bin('eslint/bin/eslint.js'), '.', '--max-warnings', '0'] },
  ...['core', 'server', 'demo', 'web', 'e2e'].map((part) => ({
    name: `types of ${part}`,
    args: [bin('typescript7/bin/tsc'), '-p', part, '--noEmit'],
  })),
  { name: 'form', args: [bin('prettier/bin/prettier.cjs'), '--check', '--log-level', 'warn', '.'] },
  {
    name: 'layers',
    args: [
      bin('dependency-cruiser/bin/dependency-cruise.mjs'),
      'core',
      'server',
      'web',
      'demo',
      'e2e',
      '--config',
      '.dependency-cruiser.cjs',
    ],
  },
  {
    name: 'folders',
    args: [
      bin('dependency-cruiser/bin/dependency-cruise.mjs'),
      ...['core', 'server', 'web', 'demo'].map((part) => `${part}/src`),
      '--config',
      '.dependency-cruiser.folders.cjs',
    ],
  },
  { name: 'licences', args: ['scripts/notices.mjs', '--check'] },
  ...(existsSync(names) && existsSync(join(root, '.git')) ? [{ name: 'names', args: [names] }] : []),
];

/** All checks, two at a time. */
const checks = async (add) => {
  const left = [...CHECKS];
  const work = async () => {
    for (let check = left.shift(); check; check = left.shift()) {
      const { ok, output } = await runAside(check.args);
      note(`${ok ? 'ok    ' : 'FAILED'} ${check.name}${ok ? '' : `\n${output}`}`);
      add({ passed: ok ? 1 : 0, failed: ok ? 0 : 1 });
    }
  };
  await Promise.all([work(), work()]);
};

/** Counts of a report in the shape that Jest and Playwright write; a suite that wrote none counts as one failure. */
const counts = (file, of) => {
  try {
    return of(JSON.parse(readFileSync(file, 'utf8')));
  } catch {
    return { passed: 0, failed: 1 };
  }
};

/** How long each test took, as { name, ms }: those of a report by Jest, and by Playwright, whose suites lie within each other. */
const inJest = ({ testResults }) =>
  testResults.flatMap(({ assertionResults }) =>
    assertionResults.map(({ fullName, duration }) => ({ name: fullName, ms: duration ?? 0 })),
  );
const inPlaywright = ({ suites = [], specs = [] }) => [
  ...suites.flatMap(inPlaywright),
  ...specs.map(({ title, tests }) => ({
    name: `journey: ${title}`,
    ms: Math.max(0, ...tests.flatMap(({ results }) => results.map(({ duration }) => duration))),
  })),
];
const SLOWEST = 10;
const seconds = (ms) => `${(ms / 1000).toFixed(1)} s`.padStart(8);
const slowest = () => {
  const read = (name, of) => {
    const file = join(folder, name);
    return existsSync(file) ? of(JSON.parse(readFileSync(file, 'utf8'))) : [];
  };
  return [...read('jest.json', inJest), ...read('playwright.json', inPlaywright)]
    .sort((a, b) => b.ms - a.ms)
    .slice(0, SLOWEST)
    .map(({ name, ms }) => `${seconds(ms)}  ${name}`);
};

const unitTests = async () => {
  const file = join(folder, 'jest.json');
  const { ok, output } = await runAside([bin('jest/bin/jest.js'), '--json', '--outputFile', file, '--silent']);
  note(output);
  const found = counts(file, (r) => ({
    passed: r.numPassedTests,
    failed: r.numFailedTests + r.numRuntimeErrorTestSuites,
  }));
  return ok ? found : { ...found, failed: Math.max(1, found.failed) };
};

const journeys = async () => {
  const file = join(folder, 'playwright.json');
  const ok = await run(
    [bin('@playwright/test/cli.js'), 'test', '--config', 'e2e/playwright.config.ts', '--reporter', 'list,json'],
    { PLAYWRIGHT_JSON_OUTPUT_FILE: file },
  );
  const found = counts(file, ({ stats }) => ({ passed: stats.expected, failed: stats.unexpected + stats.flaky }));
  return ok ? found : { ...found, failed: Math.max(1, found.failed) };
};

main(async () => {
  const began = Date.now();
  needPrograms(['mariadbd', 'mariadb-install-db', 'mariadb', 'ffmpeg', 'ffprobe', 'chromium']);
  needPackages();
  build();
  const total = { passed: 0, failed: 0 };
  const add = ({ passed, failed }) => {
    total.passed += passed;
    total.failed += failed;
  };
  const took = [];
  const timed = async (name, work) => {
    const from = Date.now();
    const result = await work();
    took.push(`${seconds(Date.now() - from)}  ${name}`);
    return result;
  };
  // journeys mostly wait for the next picture: all else has what they leave of the processors
  await Promise.all([
    timed('journeys', journeys).then(add),
    timed('checks', () => checks(add)),
    timed('unit tests', unitTests).then(add),
  ]);
  note(`The parts, beside each other:\n${took.join('\n')}\nThe ten slowest:\n${slowest().join('\n')}`);
  rmSync(folder, { recursive: true, force: true });
  note(`${Math.round((Date.now() - began) / 1000)} s`);
  note(`${total.passed} passed, ${total.failed} failed`);
  process.exitCode = total.failed === 0 && total.passed > 0 ? 0 : 1;
});
