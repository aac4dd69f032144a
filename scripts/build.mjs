// Builds what is stale: core, then server and demo (TypeScript), then web (Vite). Run alone: node scripts/build.mjs
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, readdirSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { needPackages } from './packages.mjs';
import { root } from './paths.mjs';
import { Stop, aside, main } from './say.mjs';

const filesBelow = (path) =>
  !existsSync(path)
    ? []
    : statSync(path).isDirectory()
      ? readdirSync(path)
          .sort()
          .flatMap((name) => filesBelow(join(path, name)))
      : [path];

/** A digest of the contents of sources. */
const digest = (paths) => {
  const hash = createHash('sha256');
  for (const file of paths.flatMap((p) => filesBelow(join(root, p)))) hash.update(file).update(readFileSync(file));
  return hash.digest('hex');
};

const tsc = ['node_modules/typescript7/bin/tsc', '-p'];
const PARTS = [
  { name: 'core', sources: ['core/src', 'core/tsconfig.build.json'], command: [...tsc, 'core/tsconfig.build.json'] },
  {
    name: 'server',
    sources: ['core/src', 'server/src', 'server/tsconfig.build.json', 'server/tsconfig.json'],
    command: [...tsc, 'server/tsconfig.build.json'],
  },
  {
    name: 'demo',
    sources: ['core/src', 'demo/src', 'demo/tsconfig.build.json'],
    command: [...tsc, 'demo/tsconfig.build.json'],
  },
  {
    name: 'web',
    sources: ['core/src', 'web/src', 'web/index.html', 'web/vite.config.ts'],
    command: ['node_modules/vite/bin/vite.js', 'build', 'web', '--logLevel', 'warn'],
  },
];

export const build = (names = PARTS.map((p) => p.name)) => {
  for (const part of PARTS.filter((p) => names.includes(p.name))) {
    const dist = join(root, part.name, 'dist');
    const stamp = join(dist, '.stamp');
    const wanted = digest([...part.sources, 'tsconfig.base.json', 'package-lock.json']);
    if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) continue;
    aside(`Building ${part.name} …`);
    rmSync(dist, { recursive: true, force: true });
    const made = spawnSync(process.execPath, part.command, { cwd: root, encoding: 'utf8' });
    if (made.status !== 0) throw new Stop(`Building ${part.name} failed:\n${made.stdout}${made.stderr}`);
    mkdirSync(dist, { recursive: true });
    writeFileSync(stamp, wanted);
  }
};

if (process.argv[1] === import.meta.filename)
  main(async () => {
    needPackages();
    build(process.argv.length > 2 ? process.argv.slice(2) : undefined);
  });
