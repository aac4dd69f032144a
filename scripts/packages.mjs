// npm packages: installed only where the lock differs from the stamp of the last install, so that a later start needs no network.
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './paths.mjs';
import { Stop, aside } from './say.mjs';

export const needPackages = () => {
  const stamp = join(root, 'node_modules', '.odograph-lock');
  const wanted = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return;
  aside('Installing npm packages …');
  const made = spawnSync('npm', ['ci', '--ignore-scripts', '--no-audit', '--no-fund'], {
    cwd: root,
    stdio: ['ignore', 'ignore', 'pipe'],
    encoding: 'utf8',
  });
  if (made.status !== 0)
    throw new Stop(
      `The npm packages could not be installed: ${
        made.stderr
          .trim()
          .split('\n')
          .filter((l) => l.includes('error'))
          .slice(0, 2)
          .join(' ') || 'npm ci failed'
      }`,
    );
  writeFileSync(stamp, wanted);
};
