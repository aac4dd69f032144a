// What has to be on the machine: programs from Debian's packages. Installed where that is possible, named where it is not.
import { spawnSync } from 'node:child_process';
import { accessSync, constants } from 'node:fs';
import { delimiter, join } from 'node:path';
import { Stop, note } from './say.mjs';

const PACKAGES = {
  mariadbd: 'mariadb-server-core',
  'mariadb-install-db': 'mariadb-server-core',
  mariadb: 'mariadb-client-core',
  ffmpeg: 'ffmpeg',
  ffprobe: 'ffmpeg',
  chromium: 'chromium',
};

/** Full path of a program, also where the PATH of a plain user leaves out the system folders. */
export const findProgram = (name) => {
  for (const folder of [...(process.env.PATH ?? '').split(delimiter), '/usr/sbin', '/usr/local/sbin', '/sbin']) {
    try {
      const path = join(folder, name);
      accessSync(path, constants.X_OK);
      return path;
    } catch {
      // not in this folder
    }
  }
  return undefined;
};

/** Makes sure that programs are there. As root, or with sudo that asks nothing, missing ones are installed. */
export const needPrograms = (names) => {
  const missing = () => [...new Set(names.filter((n) => !findProgram(n)).map((n) => PACKAGES[n]))];
  const packages = missing();
  if (!packages.length) return;
  const apt = findProgram('apt-get');
  const prefix =
    process.getuid?.() === 0
      ? []
      : findProgram('sudo') && spawnSync('sudo', ['-n', 'true']).status === 0
        ? ['sudo', '-n']
        : undefined;
  const advice = `Missing: ${packages.join(', ')}. Install with: apt-get install --no-install-recommends ${packages.join(' ')}`;
  if (!apt || !prefix) throw new Stop(advice);
  note(`Installing ${packages.join(', ')} …`);
  const run = (...args) =>
    spawnSync(
      [...prefix, 'env', 'DEBIAN_FRONTEND=noninteractive', apt, ...args][0],
      [...prefix, 'env', 'DEBIAN_FRONTEND=noninteractive', apt, ...args].slice(1),
      { stdio: ['ignore', 'ignore', 'pipe'], encoding: 'utf8' },
    );
  run('-qq', 'update');
  const made = run('-qq', '-y', 'install', '--no-install-recommends', ...packages);
  if (missing().length) throw new Stop(`${advice} (tried, and it failed: ${made.stderr.trim().split('\n').at(-1)})`);
};
