// npm run phrase -- [--vocabulary WORDS.csv] < lines : each line read as the phrase of an attempt, as a line of JSON, by the core alone.
import { readFileSync } from 'node:fs';
import { createInterface } from 'node:readline';
import { parseArgs } from 'node:util';
import { build } from './build.mjs';
import { needPackages } from './packages.mjs';
import { Stop, main } from './say.mjs';

const USAGE = 'Usage: npm run phrase -- [--vocabulary WORDS.csv] < lines';

const options = () => {
  try {
    return parseArgs({ options: { vocabulary: { type: 'string' } } }).values;
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
  const { vocabulary } = options();
  needPackages();
  build(['core']);
  const { phraseFacts, readPhrase, readVocabulary, shippedWords } = await import('../core/dist/index.js');
  const list = vocabulary === undefined ? { words: shippedWords(), skipped: [] } : readVocabulary(read(vocabulary));
  if (list === 'head missing')
    throw new Stop(`${vocabulary} needs the columns kind, name and alias in its first line.`);
  if (list.skipped.length)
    process.stderr.write(`Lines of no known kind or without a name were left out: ${list.skipped.join(', ')}.\n`);
  for await (const line of createInterface({ input: process.stdin, crlfDelay: Infinity }))
    if (line.trim() !== '')
      process.stdout.write(`${JSON.stringify(phraseFacts(line, readPhrase(line, list.words), list.words))}\n`);
});
