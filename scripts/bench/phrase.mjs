// How well and how fast phrases are read: made-up ones by seeds that nothing was built with, and key by key with a thousand terms.
import { transformSync } from '@swc/core';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { root } from '../paths.mjs';
import { note } from '../say.mjs';
import { measuredOn, part, putSection } from './report.mjs';

const SEEDS = 20;
const EACH = 200;
const LISTS = 10;
const EACH_LIST = 200;
const TERMS = 1000;
const KEY_MS = 16;
const PASSES = 3;
/** Lines that are typed before anything is measured. */
const WARM = 10;
/** One letter in so many is wrong: none, as one types, in great haste. */
const HASTE = [0, 25, 12];
const GYM_TALK = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth'];
/** Lines that the reader is never mended with: what they give is what a stranger sees. */
const APART = ['apart'];

/** What the tests make phrases with, which is in no build; it reads by the built core. */
const testing = async (...names) => {
  const folder = mkdtempSync(join(tmpdir(), 'odograph-phrases-'));
  const core = pathToFileURL(join(root, 'core/dist/index.js')).href;
  try {
    for (const name of names) {
      const source = readFileSync(join(root, `core/src/testing/${name}.ts`), 'utf8');
      const { code } = transformSync(source, {
        jsc: { target: 'es2022', parser: { syntax: 'typescript' } },
        module: { type: 'es6' },
      });
      const here = code.replace(/'\.\.\/[a-z]+\/index\.js'/g, `'${core}'`).replace(/'\.\/(\w+)\.js'/g, "'./$1.mjs'");
      writeFileSync(join(folder, `${name}.mjs`), here);
    }
    return await Promise.all(names.map((name) => import(join(folder, `${name}.mjs`))));
  } finally {
    rmSync(folder, { recursive: true });
  }
};

const percent = (part, of) => `${((100 * part) / of).toFixed(1)} %`;

/** Phrases of the shipped words: of a hundred, how many wholly right, for each haste. */
const ofShipped = (words, { isReadRight, makePhrases }) =>
  HASTE.map((every) => {
    const shares = Array.from({ length: SEEDS }, (_, i) => {
      const all = makePhrases(words, 1000 + i, EACH, every);
      return (100 * all.filter((wanted) => isReadRight(wanted, words)).length) / EACH;
    });
    const mean = shares.reduce((a, b) => a + b, 0) / SEEDS;
    return { every, mean, least: Math.min(...shares), most: Math.max(...shares) };
  });

const ofLists = (core, { isListReadRight, makeListPhrases, makeWordList, wordListCsv }) => {
  const shares = Array.from({ length: LISTS }, (_, i) => {
    const list = makeWordList(500 + i);
    const read = core.readVocabulary(wordListCsv(list));
    const all = makeListPhrases(list, 900 + i, EACH_LIST);
    return (100 * all.filter((w) => isListReadRight(w, read.words)).length) / EACH_LIST;
  });
  const mean = shares.reduce((a, b) => a + b, 0) / LISTS;
  return { mean, least: Math.min(...shares), most: Math.max(...shares) };
};

/** Lines marked by hand, and how each was read. */
const ofGymTalk = (names, words, { judge, markedLines }) => {
  const all = names.flatMap((name) =>
    markedLines(readFileSync(join(root, `core/src/testing/gymTalk/${name}.txt`), 'utf8')).map((line) => ({
      name,
      line,
      judged: judge(line, words),
    })),
  );
  const sum = (of) => all.reduce((n, g) => n + of(g.judged), 0);
  return {
    all,
    classes: [...new Set(all.map((g) => g.line.class))],
    wrong: sum((j) => j.wrong.length),
    certain: sum((j) => j.certain),
    asked: sum((j) => j.asked),
  };
};
const right = (some) => some.filter((g) => g.judged.isRight).length;

/** What each key more in a line takes, in ms, with a thousand terms: of all passes, and of each key the median of them. */
const ofKeys = ({ Words, readPhrase }, words, { makePhrases, randomFrom }) => {
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
  return {
    slowest: Math.max(...passes.flat()),
    times: passes[0].map((_, key) =>
      part(
        passes.map((all) => all[key]),
        0.5,
      ),
    ),
  };
};

const held = (is) => (is ? 'held' : '**missed**');

const tableOf = ({ all, classes }) => [
  `| class | lines | wholly right | ${GYM_TALK.join(' | ')} |`,
  `|---|---|---|${GYM_TALK.map(() => '---|').join('')}`,
  ...classes.map((c) => {
    const of = all.filter((g) => g.line.class === c);
    const parts = GYM_TALK.map((name) => {
      const some = of.filter((g) => g.name === name);
      return `${right(some)} of ${some.length}`;
    });
    return `| ${c} | ${of.length} | ${percent(right(of), of.length)} | ${parts.join(' | ')} |`;
  }),
];

export const phrase = async () => {
  note('Phrases …');
  const core = await import('../../core/dist/index.js');
  const [phrases, unseen, talk] = await testing('phrases', 'unseenWords', 'gymTalk');
  const words = core.shippedWords();
  const shipped = ofShipped(words, phrases);
  const lists = ofLists(core, unseen);
  const gym = ofGymTalk(GYM_TALK, words, talk);
  const apart = ofGymTalk(APART, words, talk);
  const { wrong, certain, asked } = gym;
  const { times, slowest } = ofKeys(core, words, phrases);
  const [median, p95, p99] = [0.5, 0.95, 0.99].map((p) => part(times, p).toFixed(1));
  const over = times.filter((t) => t > KEY_MS).length;
  const least = Math.min(
    ...gym.classes.map((c) => {
      const of = gym.all.filter((g) => g.line.class === c);
      return right(of) / of.length;
    }),
  );
  putSection('npm run bench -- phrase', [
    measuredOn(),
    '',
    'Wholly right means: every part is kept as what was said, and no other; what is asked about counts as right in the hand-written lines alone, where its first reading is what was meant.',
    '',
    `- **(a) phrases of the shipped words**, ${SEEDS * EACH} of ${SEEDS} seeds: ${shipped
      .map(
        ({ every, mean, least: from, most }) =>
          `${every === 0 ? 'typed rightly' : `of the letters of words that do not steer one in ${every} left out, doubled or a neighbour`} **${mean.toFixed(1)} %** (by seed ${from} to ${most} %)`,
      )
      .join(
        '; ',
      )}. Goal 96 %: ${held(shipped[0].mean >= 96)} where it is typed rightly, ${held(shipped[1].mean >= 96)} with one letter in ${HASTE[1]} wrong, ${held(shipped[2].mean >= 96)} with one in ${HASTE[2]}`,
    `- **(b) word lists nobody has seen**, ${LISTS} lists made by seed (names of one to three made-up words, aliases, initials; one phrase in five with a slip), ${LISTS * EACH_LIST} phrases: **${lists.mean.toFixed(1)} %** (by list ${lists.least} to ${lists.most} %); goal 92 %: ${held(lists.mean >= 92)}`,
    `- **(c) ${gym.all.length} lines of gym talk**, written and marked by hand, the first file before the reader was touched, the others after it: **${percent(right(gym.all), gym.all.length)}**; goal 95 % over all: ${held(right(gym.all) / gym.all.length >= 0.95)}; 90 % in each class: ${held(least >= 0.9)}`,
    `- parts kept as certain that nobody meant: ${wrong} of ${certain}, 1 in ${Math.round(certain / wrong)}; goal 1 in 200: ${held(wrong * 200 <= certain)}. Asked: ${asked} of ${certain + asked} parts, 1 in ${Math.round((certain + asked) / asked)}; goal at most 1 in 12: ${held(asked * 12 <= certain + asked)}`,
    `- **${apart.all.length} lines kept apart**, which the reader is never mended with: **${percent(right(apart.all), apart.all.length)}** wholly right, ${apart.wrong} of ${apart.certain} parts kept as certain that nobody meant, 1 in ${Math.round(apart.certain / apart.wrong)}; measured so the goals of (c) are ${held(right(apart.all) / apart.all.length >= 0.95 && apart.wrong * 200 <= apart.certain)}`,
    '',
    ...tableOf(gym),
    '',
    'None of the lines in the table is unseen any more: the reader was mended with what they showed. **What a stranger sees** is what each sitting gave when it was read for the first time, and measured so the goals are **missed**. The second part: 83.3 % wholly right. The third, in seventeen sittings of 49 to 106 lines within one working day: 73.5 to 95.0 %, one certain part in 11 to 194 wrong; by its end the one who wrote the lines knew the tables, and the figures were better than what a stranger sees. The fourth, in four sittings of 87, 81, 80 and 69 lines after a break, by somebody who did not look at the tables: **73.6, 74.1, 68.8 and 78.3 %**, of the parts kept as certain one in 32, 21, 17 and 10 wrong (goals 95 % and 1 in 200). The lines kept apart were written when what those had shown was mended. Fifty-six more after that, in shorter hand, which are not kept: 64.3 %, one in 21. The fifth, in two sittings of 103 and 60 lines by somebody who had not seen the tables for a day: **86.4 and 75.0 %**, one in 24 and 19 wrong; fifty more, judged by eye and not kept: some 76 %, one in 17. The sixth, 56 lines that tell whole exchanges, again without having seen the tables: **75.0 %**, one in 13. Lines that have two meanings, both of them right, are marked with both.',
    '',
    `- one key more in the line, ${TERMS} terms, each key the median of ${PASSES} passes: median ${median} ms, 95 % within ${p95} ms, 99 % within ${p99} ms, ${over} of ${times.length} keys over ${KEY_MS} ms (slowest single one ${slowest.toFixed(1)} ms); goal median 2 ms, 99 % under 8 ms: ${held(Number(median) <= 2 && Number(p99) <= 8)}`,
  ]);
  note(
    `${shipped.map((s) => s.mean.toFixed(1)).join(' / ')} % of shipped words, ${lists.mean.toFixed(1)} % of unseen lists, ${percent(right(gym.all), gym.all.length)} of gym talk; a key: median ${median} ms, p95 ${p95} ms, p99 ${p99} ms`,
  );
};
