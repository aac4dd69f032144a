// npm run analyse -- --library FILE.json [--out FOLDER] [--route FROM:TO]… : the analysis of an exported library, from the core alone.
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { build } from './build.mjs';
import { needPackages } from './packages.mjs';
import { Stop, main, note } from './say.mjs';

const USAGE =
  'Usage: npm run analyse -- --library FILE.json [--out FOLDER] [--route "clinch/even to any submission"] [--include-picked]';

const read = (path) => {
  try {
    return JSON.parse(readFileSync(path, 'utf8'));
  } catch (error) {
    throw new Stop(error instanceof SyntaxError ? `${path} is no JSON.` : `${path} cannot be read (${error.code}).`);
  }
};

const options = () => {
  try {
    const { values } = parseArgs({
      options: {
        library: { type: 'string' },
        out: { type: 'string', default: '.' },
        route: { type: 'string', multiple: true, default: [] },
        'include-picked': { type: 'boolean', default: false },
      },
    });
    return values;
  } catch (error) {
    throw new Stop(`${error.message}\n${USAGE}`);
  }
};

main(async () => {
  const { library: file, out, route, 'include-picked': includePicked } = options();
  if (!file) throw new Stop(USAGE);
  const questions = route.map((text) => {
    const [from, to] = text.split(' to ').map((part) => part.trim());
    if (!from || !to) throw new Stop(`The route "${text}" is not of the form "FROM to TO".\n${USAGE}`);
    return { from, to };
  });
  needPackages();
  build(['core']);
  const { analyseWhole, toGraphml } = await import('../core/dist/index.js');
  const { libraryFile } = await import('../core/dist/contract/index.js');
  const { value, error } = libraryFile.validate(read(resolve(file)));
  if (error) throw new Stop(`${file} is no library of Odograph: ${error.message}.`);
  const { reactions, ...analysis } = analyseWhole(value, questions, { includePicked });
  mkdirSync(out, { recursive: true });
  writeFileSync(join(out, 'analysis.json'), `${JSON.stringify(analysis, null, 1)}\n`);
  writeFileSync(join(out, 'map.graphml'), toGraphml(analysis, reactions));
  note(
    `${analysis.totals.attempts} attempts on ${analysis.totals.lines} lines: ${join(out, 'analysis.json')}, ${join(out, 'map.graphml')}`,
  );
});
