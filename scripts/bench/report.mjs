// Where what was measured is written down: a section of docs/measurements.md for each command, between marks.
import { readFileSync, writeFileSync } from 'node:fs';
import { cpus, totalmem } from 'node:os';
import { join } from 'node:path';
import { root } from '../paths.mjs';

const FILE = join(root, 'docs/measurements.md');

export const median = (list) => [...list].sort((a, b) => a - b)[list.length >> 1];
export const part = (list, p) =>
  [...list].sort((a, b) => a - b)[Math.min(list.length - 1, Math.floor(list.length * p))];

/** From now on: gives how many percent of the processors' time the machine gave to others outside of it, so that a figure of a bad hour can be told. */
export const givenAway = () => {
  const read = () => readFileSync('/proc/stat', 'utf8').split('\n')[0].trim().split(/\s+/).slice(1, 9).map(Number);
  const before = read();
  return () => {
    const spent = read().map((ticks, i) => ticks - before[i]);
    return ((spent[7] * 100) / spent.reduce((a, b) => a + b)).toFixed(1);
  };
};

/** When and on what it was measured. */
export const measuredOn = () =>
  `Measured on ${new Date().toISOString().slice(0, 10)} with Node ${process.versions.node} on ${cpus().length} cores (${cpus()[0].model.trim()}), ${Math.round(totalmem() / 2 ** 30)} GB.`;

/** Puts a section in the place of the one of the same command, or at the end. */
export const putSection = (command, lines) => {
  const [begin, end] = [`<!-- ${command} -->`, `<!-- end of ${command} -->`];
  const before = readFileSync(FILE, 'utf8');
  const section = `${begin}\n\n## ${command}\n\n${lines.join('\n').trim()}\n\n${end}\n`;
  const [from, to] = [before.indexOf(begin), before.indexOf(end)];
  writeFileSync(
    FILE,
    from < 0
      ? `${before.trimEnd()}\n\n${section}`
      : before.slice(0, from) + section + before.slice(to + end.length + 1),
  );
};
