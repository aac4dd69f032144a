// npm run notices: writes THIRD-PARTY-NOTICES.md from the packages that ship; with --check it only says whether the file is current and every licence allowed.
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './paths.mjs';
import { Stop, main, note } from './say.mjs';

const ALLOWED = [
  'MIT',
  'ISC',
  'BSD-2-Clause',
  'BSD-3-Clause',
  'Apache-2.0',
  'OFL-1.1',
  'MPL-2.0',
  '0BSD',
  'CC0-1.0',
  'BlueOak-1.0.0',
  // MIT without the duty to name it
  'MIT-0',
];
/** Packages under another licence, each with the decision that allows it. */
const DECIDED = {
  mariadb: 'docs/decisions/0007-driver-under-lgpl.md',
  'combine-errors': 'docs/decisions/0015-licence-in-a-readme.md',
};

/** Whether an SPDX expression leaves a choice that is allowed. */
const isAllowed = (expression) =>
  expression
    .replace(/[()]/g, '')
    .split(/ OR /)
    .some((choice) => choice.split(/ AND /).every((one) => ALLOWED.includes(one.trim())));

const shipped = () => {
  const { packages } = JSON.parse(readFileSync(join(root, 'package-lock.json'), 'utf8'));
  const found = new Map();
  for (const [path, entry] of Object.entries(packages)) {
    if (
      !path.includes('node_modules/') ||
      entry.dev ||
      entry.link ||
      entry.optional ||
      !existsSync(join(root, path, 'package.json'))
    )
      continue;
    const { name, version, license, licenses } = JSON.parse(readFileSync(join(root, path, 'package.json'), 'utf8'));
    found.set(`${name} ${version}`, {
      name,
      version,
      license: license ?? licenses?.map((l) => l.type).join(' OR ') ?? 'not said',
    });
  }
  return [...found.values()].sort((a, b) => (`${a.name} ${a.version}` < `${b.name} ${b.version}` ? -1 : 1));
};

const text = (packages) =>
  [
    '# Third-party notices',
    '',
    'Packages that ship with Odograph, each under its own licence; the full texts lie in the packages. Written by `npm run notices`.',
    '',
    '| package | version | licence |',
    '|---|---|---|',
    ...packages.map(({ name, version, license }) => `| ${name} | ${version} | ${license} |`),
    '',
    'The common words of English in `core/src/phrase/english.ts` are sizes 10 and 20 of SCOWL, Copyright 2000-2016 by Kevin Atkinson, under the permission that stands in that file.',
    '',
  ].join('\n');

main(async () => {
  const packages = shipped();
  const refused = packages.filter(
    ({ name, license }) => !isAllowed(license) && !(DECIDED[name] && existsSync(join(root, DECIDED[name]))),
  );
  if (refused.length)
    throw new Stop(
      `Licences that no rule or decision allows: ${refused.map((p) => `${p.name} (${p.license})`).join(', ')}.`,
    );
  const file = join(root, 'THIRD-PARTY-NOTICES.md');
  const wanted = text(packages);
  if (!process.argv.includes('--check')) writeFileSync(file, wanted);
  else if (!existsSync(file) || readFileSync(file, 'utf8') !== wanted)
    throw new Stop('THIRD-PARTY-NOTICES.md is not current: npm run notices.');
  note(`${packages.length} packages, every licence allowed`);
});
