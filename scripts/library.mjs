// npm run demo:library -- --size S|M|L [--seed N] [--out FILE]: writes a seeded library; --load puts it beside the demo at the next start.
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, renameSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { build } from './build.mjs';
import { needPrograms } from './machine.mjs';
import { needPackages } from './packages.mjs';
import { root } from './paths.mjs';
import { Stop, main, note } from './say.mjs';

main(async () => {
  let asked;
  try {
    asked = parseArgs({
      options: {
        size: { type: 'string', default: 'M' },
        seed: { type: 'string', default: '1' },
        out: { type: 'string' },
        load: { type: 'boolean', default: false },
      },
    }).values;
  } catch (error) {
    throw new Stop(error.message);
  }
  const { size, seed } = asked;
  if (!['S', 'M', 'L'].includes(size)) throw new Stop(`The size is S, M or L, not "${size}".`);
  if (!/^\d+$/.test(seed)) throw new Stop(`The seed is a whole number, not "${seed}".`);
  needPrograms(['ffprobe']);
  needPackages();
  build(['core', 'demo']);
  const folder = process.env.ODOGRAPH_FOLDER ?? join(root, '.odograph');
  const out = asked.load
    ? join(folder, 'waiting', `seeded-${size}${seed === '1' ? '' : `-${seed}`}.json`)
    : resolve(asked.out ?? `seeded-${size}.json`);
  const half = `${out}.half`;
  if (asked.load) mkdirSync(join(folder, 'waiting'), { recursive: true, mode: 0o700 });
  const made = spawnSync(process.execPath, [join(root, 'demo/dist/cli/seeded.js'), size, seed, half], {
    stdio: 'inherit',
  });
  if (made.status !== 0 || !existsSync(half)) throw new Stop('The library could not be made.');
  renameSync(half, out);
  note(
    asked.load
      ? `It is taken in after the next npm start, which says when it is there (sign in as coach@seeded-${size.toLowerCase()}${seed === '1' ? '' : `-${seed}`}.example with seeded-mat-5).`
      : `Written: ${out}`,
  );
});
