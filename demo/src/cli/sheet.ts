import { BOUTS } from '../bouts/index.js';
import { HEIGHT, WIDTH, drawFrames } from '../film.js';
import { laidOut } from '../frames.js';
import { writeTiled } from './tile.js';

/** Writes a contact sheet of a piece as PNG: `sheet <piece> <file.png> [pictures] [camera]`, to judge positions by eye. */
const [id, out, pictures = '24', camera = '0'] = process.argv.slice(2);
const bout = BOUTS.find((b) => b.id === id);
if (!bout || !out) throw new Error(`usage: sheet ${BOUTS.map((b) => b.id).join('|')} FILE.png [PICTURES] [CAMERA]`);
const total = laidOut(bout).cameras[Number(camera)]!.sceneS.length;
const n = Number(pictures);
const wanted = new Set(Array.from({ length: n }, (_, i) => Math.round(((i + 0.5) / n) * (total - 1))));
const frames = [...drawFrames(bout, (f) => wanted.has(f), Number(camera))].map(({ rgb }) => rgb);
writeTiled(frames, { width: WIDTH, height: HEIGHT }, 320, out);
