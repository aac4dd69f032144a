import { spawnSync } from 'node:child_process';
import { BOUTS } from '../bouts/index.js';
import { HEIGHT, WIDTH, drawFrames } from '../film.js';
import { laidOut } from '../frames.js';

/** Writes a contact sheet of a piece as PNG: `sheet <piece> <file.png> [pictures]`, to judge positions by eye. */
const [id, out, pictures = '24'] = process.argv.slice(2);
const bout = BOUTS.find((b) => b.id === id);
if (!bout || !out) throw new Error(`usage: sheet ${BOUTS.map((b) => b.id).join('|')} FILE.png [PICTURES]`);
const total = laidOut(bout).times.sceneS.length;
const n = Number(pictures);
const wanted = new Set(Array.from({ length: n }, (_, i) => Math.round(((i + 0.5) / n) * (total - 1))));
const frames = [...drawFrames(bout, (f) => wanted.has(f))].map(({ rgb }) => Buffer.from(rgb));
const made = spawnSync(
  'ffmpeg',
  [
    '-nostdin',
    '-loglevel',
    'error',
    '-y',
    '-f',
    'rawvideo',
    '-pix_fmt',
    'rgb24',
    '-s',
    `${WIDTH}x${HEIGHT}`,
    '-i',
    'pipe:0',
    '-vf',
    `scale=320:-1,tile=4x${Math.ceil(frames.length / 4)}`,
    '-frames:v',
    '1',
    out,
  ],
  { input: Buffer.concat(frames), stdio: ['pipe', 'inherit', 'inherit'] },
);
process.exitCode = made.status ?? 1;
