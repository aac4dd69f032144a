import { lapelOf, poseOf } from '../bodies/poses.js';
import { SKETCHES } from '../bodies/sketches.js';
import { PEOPLE } from '../bouts/people.js';
import { cameraOf, frameBodies } from '../picture/camera.js';
import { Picture } from '../picture/raster.js';
import { writeTiled } from './tile.js';

/** Writes a sheet of poses as PNG, each from four sides: `poseSheet <file.png> [name…]`, to judge them by eye. Without names all that are sketched. */
const [out, ...named] = process.argv.slice(2);
if (!out) throw new Error('usage: poseSheet FILE.png [NAME…]');
const [W, H] = [320, 200];
const KITS = [PEOPLE.isolde.kit, PEOPLE.tovi.kit] as const;
const picture = new Picture(W * 2, H * 2);
const frames = (named.length ? named : SKETCHES.map((s) => s.name)).flatMap((pose) =>
  [-70, 20, 110, 200].map((azDeg) => {
    const pair = poseOf({ pose });
    const lapels = lapelOf({ pose }).map((lapel) => ({ owner: lapel.owner, path: lapel.on(pair) }));
    picture.draw(pair, cameraOf(frameBodies(pair, azDeg, 20, W / H, 1.1)), KITS, lapels);
    return picture.halved();
  }),
);
writeTiled(frames, { width: W, height: H }, W, out);
