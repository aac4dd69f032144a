import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';
import { fileURLToPath } from 'node:url';
import type { MediaFile } from '@odograph/core';
import { frameTicks } from '../probe.js';
import { SIZES, seededLibrary, type SizeName } from '../seeded.js';

/** `seeded.js SIZE SEED FILE`: writes a seeded library as a file that the product exports and reads. Footage lies on the demo's own videos. */
const [size = 'M', seed = '1', out = `seeded-${size}.json`] = process.argv.slice(2);
if (!(size in SIZES)) throw new Error(`the size is S, M, L or W, not ${size}`);
const folder = fileURLToPath(new URL('../../footage/', import.meta.url));
const { academies } = JSON.parse(readFileSync(`${folder}demo.json`, 'utf8')) as {
  academies: readonly { readonly files: readonly { readonly id: string; readonly path: string }[] }[];
};
const files = academies[0]!.files.map(({ id, path }) => {
  const { ticks, ...rest } = frameTicks(`${folder}${path}`);
  return { ticks, file: { id, name: path, ...rest } satisfies MediaFile };
});
mkdirSync(dirname(out), { recursive: true });
writeFileSync(out, JSON.stringify(seededLibrary(size as SizeName, Number(seed), files)));
