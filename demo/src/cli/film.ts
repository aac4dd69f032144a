import { mkdirSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { BOUTS } from '../bouts/index.js';
import { film } from '../film.js';

/** Films every piece (or those named) anew into `demo/footage`. */
const folder = fileURLToPath(new URL('../../footage/', import.meta.url));
mkdirSync(folder, { recursive: true });
const named = process.argv.slice(2);
for (const bout of BOUTS) {
  if (named.length && !named.includes(bout.id)) continue;
  for (const [by, { file }] of bout.cameras.entries())
    await film(bout, by, `${folder}${file}.mp4`, (done, of) => {
      if (done % 100 === 0 || done === of) process.stdout.write(`${file}: ${done} of ${of} frames\n`);
    });
}
