import { writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { demoRequests } from '../requests.js';

/** Writes `demo/footage/demo.json`: both academies of the demo as the requests that make them. */
writeFileSync(
  fileURLToPath(new URL('../../footage/demo.json', import.meta.url)),
  `${JSON.stringify(demoRequests(), null, 1)}\n`,
);
