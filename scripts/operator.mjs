// What whoever runs the server does by hand, on the running product or on its stopped data:
//   npm run invite -- E-MAIL                                              invites somebody to found an academy
//   npm run quota -- ACADEMY-ID bytes|accounts|uploads NUMBER|default     settles what an academy may have
import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { build } from './build.mjs';
import { databaseThatRuns, startDatabase } from './database.mjs';
import { ownUser } from './ownUser.mjs';
import { needPackages } from './packages.mjs';
import { root } from './paths.mjs';
import { Stop, main } from './say.mjs';

const folder = process.env.ODOGRAPH_FOLDER ?? join(root, '.odograph');

main(async () => {
  if (!existsSync(join(folder, 'db'))) throw new Stop(`There is nothing in ${folder} yet; run npm start first.`);
  needPackages();
  build(['core', 'server']);
  const running = databaseThatRuns(join(folder, 'db'));
  const as = ownUser(folder);
  const database = running ?? (await startDatabase(join(folder, 'db'), { as }));
  try {
    const started = existsSync(join(folder, 'running.json'))
      ? JSON.parse(readFileSync(join(folder, 'running.json'), 'utf8'))
      : {};
    const { status } = spawnSync(process.execPath, [join(root, 'server/dist/operator.js'), ...process.argv.slice(2)], {
      stdio: 'inherit',
      cwd: folder,
      ...(as ? { uid: as.uid, gid: as.gid } : {}),
      env: {
        // the address that people type, as the running server has it
        ...started,
        ...process.env,
        ODOGRAPH_DATA: folder,
        ODOGRAPH_DB_SOCKET: database.socket,
        ODOGRAPH_DB_USER: database.user,
        ODOGRAPH_DB_PASSWORD: database.password,
      },
    });
    process.exitCode = status ?? 1;
  } finally {
    if (!running) await database.stop();
  }
});
