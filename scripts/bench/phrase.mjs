// How well and how fast phrases are read: made-up ones by seeds that nothing was built with, and key by key with a thousand terms.
import { transformSync } from '@swc/core';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { root } from '../paths.mjs';
import { note } from '../say.mjs';
import { measuredOn, part, putSection } from './report.mjs';

const SEEDS = 20;
const EACH = 200;
const TERMS = 1000;
const KEY_MS = 16;
const PASSES = 3;
/** Lines that are typed before anything is measured. */
const WARM = 10;

/** The generator of the tests, which is in no build. */
const generator = async () => {
  const folder = mkdtempSync(join(tmpdir(), 'odograph-phrases-'));
  try {
    const source = readFileSync(join(root, 'core/src/testing/phrases.ts'), 'utf8');
    const { code } = transformSync(source, {
      jsc: { target: 'es2022', parser: { syntax: 'typescript' } },
      module: { type: 'es6' },
    });
    const path = join(folder, 'phrases.mjs');
    writeFileSync(path, code);
    return await import(path);
  } finally {
    rmSync(folder, { recursive: true });
  }
};

export const phrase = async () => {
  note('Phrases …');
  const { Words, finishId, partsSaid, readPhrase, shippedWords, stateId } = await import('../../core/dist/index.js');
  const { makePhrases, randomFrom } = await generator();
  const words = shippedWords();
  const id = () => '';
  const sides = ({ limbSide, limb, kind, target, reach, targetSide }) =>
    [limbSide, limb, kind, target, reach ?? targetSide].filter(Boolean).join(' ');
  const isRight = (wanted) => {
    const reading = readPhrase(wanted.text, words);
    const { parts } = partsSaid(reading, wanted.text, words, id);
    const got = {
      position: parts.state ? stateId(parts.state) : null,
      entry: parts.action ?? null,
      reactions: (parts.reactions ?? []).map((r) => r.what),
      finish: parts.finish ? finishId(parts.finish) : null,
      result: parts.result ?? null,
      grips: (parts.controls ?? []).map(sides).sort(),
    };
    return Object.keys(got).every((k) => {
      const want = k === 'grips' ? [...wanted[k]].sort() : wanted[k];
      return JSON.stringify(got[k]) === JSON.stringify(want);
    });
  };
  const shares = Array.from({ length: SEEDS }, (_, i) => {
    const all = makePhrases(words, 1000 + i, EACH);
    return (100 * all.filter(isRight).length) / EACH;
  });
  const mean = shares.reduce((a, b) => a + b, 0) / SEEDS;

  const random = randomFrom(7);
  const made = () =>
    Array.from({ length: 2 + Math.floor(random() * 6) }, () => 'bcdfghjklmnprstv'[Math.floor(random() * 16)]).join('a');
  const more = Array.from({ length: TERMS - words.all.length }, (_, i) => ({
    ...words.all[i % words.all.length],
    key: `made-${i}`,
    name: `${made()} ${made()}`,
    aliases: [made(), `${made()} ${made()}`],
  }));
  const lines = makePhrases(words, 99, 40).map((w) => w.text);
  /** Every key of all lines once, with words of which nothing is remembered yet. */
  const pass = () => {
    const many = new Words([...words.all, ...more]);
    return lines.flatMap((line, i) =>
      Array.from({ length: line.length }, (_, to) => {
        const before = performance.now();
        readPhrase(line.slice(0, to + 1), many);
        return i >= WARM ? [performance.now() - before] : [];
      }).flat(),
    );
  };
  // the machine, too, stops for a moment now and then: that is not the same key each time
  const passes = Array.from({ length: PASSES }, pass);
  const times = passes[0].map((_, key) =>
    part(
      passes.map((all) => all[key]),
      0.5,
    ),
  );
  const slowest = Math.max(...passes.flat()).toFixed(1);
  const [median, p95, p99] = [0.5, 0.95, 0.99].map((p) => part(times, p).toFixed(1));
  const over = times.filter((t) => t > KEY_MS).length;
  putSection('npm run bench -- phrase', [
    measuredOn(),
    '',
    `- ${SEEDS * EACH} made-up phrases, ${SEEDS} seeds, of the letters one in twelve left out, doubled or a neighbour: ${mean.toFixed(1)} % read wholly right (by seed ${Math.min(...shares)} to ${Math.max(...shares)} %); goal 95 %: ${mean >= 95 ? 'held' : '**missed**'}${shares.some((s) => s < 95) ? `, below it by ${shares.filter((s) => s < 95).length} of the seeds` : ''}`,
    `- one key more in the line, ${TERMS} terms, each key the median of ${PASSES} passes: median ${median} ms, 95 % within ${p95} ms, 99 % within ${p99} ms, ${over} of ${times.length} keys over ${KEY_MS} ms (slowest single one ${slowest} ms); goal under ${KEY_MS} ms: ${over === 0 ? 'held' : Number(p99) <= KEY_MS ? 'held in 99 of 100 keys, **missed** in the rest' : '**missed**'}`,
  ]);
  note(`${mean.toFixed(1)} % right; a key: median ${median} ms, p95 ${p95} ms, p99 ${p99} ms`);
};
