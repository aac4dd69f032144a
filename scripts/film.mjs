// npm run demo:film -- [piece …] : films the demo's pieces anew and writes the library that their scripts imply.
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { build } from './build.mjs';
import { needPrograms } from './machine.mjs';
import { needPackages } from './packages.mjs';
import { root } from './paths.mjs';
import { Stop, main } from './say.mjs';

main(async () => {
  needPrograms(['ffmpeg']);
  needPackages();
  build(['core', 'demo']);
  for (const [cli, args] of [
    ['film', process.argv.slice(2)],
    ['library', []],
  ]) {
    const made = spawnSync(process.execPath, [join(root, 'demo/dist/cli', `${cli}.js`), ...args], { stdio: 'inherit' });
    if (made.status !== 0) throw new Stop(`Filming failed in ${cli}.`);
  }
});
