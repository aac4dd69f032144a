import { writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { solvePose } from '../bodies/authoring.js';
import { SKETCHES } from '../bodies/sketches.js';

/** Solves every sketch into `demo/data/solved.json`: the two bodies of each pose, in metres. */
const solved = SKETCHES.map((sketch) => {
  const [A, B] = solvePose(sketch);
  return { name: sketch.name, roles: sketch.roles, A, B };
});
const lines = solved.map((pose) => JSON.stringify(pose)).join(',\n');
writeFileSync(fileURLToPath(new URL('../../data/solved.json', import.meta.url)), `{"poses":[\n${lines}\n]}\n`);
