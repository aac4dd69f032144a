// npm run phrase -- [--vocabulary WORDS.csv] [--explain] < lines : each line read as the phrase of an attempt or a chain, as a line of JSON, by the core alone; a blank line
// gives one too, so that output and input can be matched. --explain prints the steps by which a line is read instead.
import { readFileSync } from 'node:fs';
import { createInterface } from 'node:readline';
import { parseArgs } from 'node:util';
import { build } from './build.mjs';
import { needPackages } from './packages.mjs';
import { Stop, main } from './say.mjs';

const USAGE = 'Usage: npm run phrase -- [--vocabulary WORDS.csv] [--explain] < lines';

const options = () => {
  try {
    return parseArgs({ options: { vocabulary: { type: 'string' }, explain: { type: 'boolean' } } }).values;
  } catch (error) {
    throw new Stop(`${error.message}\n${USAGE}`);
  }
};

const read = (path) => {
  try {
    return readFileSync(path, 'utf8');
  } catch (error) {
    throw new Stop(`${path} cannot be read (${error.code}).`);
  }
};

main(async () => {
  const { vocabulary, explain } = options();
  needPackages();
  build(['core']);
  const { explainPhrase, phraseFacts, readPhrase, readVocabulary, shippedWords } =
    await import('../core/dist/index.js');
  const list =
    vocabulary === undefined ? { words: shippedWords(), skipped: [], clashes: [] } : readVocabulary(read(vocabulary));
  if (list === 'head missing')
    throw new Stop(`${vocabulary} needs the columns kind, name and alias in its first line.`);
  if (list.skipped.length)
    process.stderr.write(`Lines of no known kind or without a name were left out: ${list.skipped.join(', ')}.\n`);
  for (const { kind, name, alias } of list.clashes)
    process.stderr.write(`“${alias}” is said of ${kind} ${name.join(' and of ')}: asked about where it is met.\n`);
  let number = 0;
  for await (const line of createInterface({ input: process.stdin, crlfDelay: Infinity })) {
    number++;
    process.stdout.write(
      explain
        ? `${number}: ${line}\n${explainPhrase(line, list.words)
            .map((step) => `  ${step}\n`)
            .join('')}`
        : `${JSON.stringify(phraseFacts(line, readPhrase(line, list.words), list.words, number))}\n`,
    );
  }
});
