// npm run letters: the letters that wait, for whoever runs the server without a mail server. Their links are secret: hand each only to whom it is for.
import { existsSync, readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './paths.mjs';
import { main, note } from './say.mjs';

const folder = join(process.env.ODOGRAPH_FOLDER ?? join(root, '.odograph'), 'outbox');

main(async () => {
  const letters = existsSync(folder) ? readdirSync(folder).filter((name) => name.endsWith('.eml')) : [];
  if (letters.length === 0) note('No letter waits.');
  // their names begin with when they were written
  for (const name of letters.sort()) {
    const [head, body] = readFileSync(join(folder, name), 'utf8').split('\r\n\r\n');
    const field = (of) => new RegExp(`^${of}: (.*)$`, 'm').exec(head)?.[1].trim() ?? '';
    const subject = field('Subject').replace(/=\?utf-8\?B\?(.*?)\?=/, (_, text) =>
      Buffer.from(text, 'base64').toString(),
    );
    note(`${field('Date')}\nto ${field('To')}: ${subject}\n\n${Buffer.from(body, 'base64').toString()}\n`);
  }
});
