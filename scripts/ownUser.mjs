// As root, what is started runs as a user of its own, made for it: files of strangers are read by programs that may do as little as possible.
import { spawnSync } from 'node:child_process';
import { chownSync, existsSync, lchownSync, lstatSync, mkdirSync, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './paths.mjs';
import { note } from './say.mjs';

const NAME = 'odograph';

const idOf = (flag) => {
  const { status, stdout } = spawnSync('id', [flag, NAME], { encoding: 'utf8' });
  return status === 0 ? Number(stdout) : undefined;
};

const give = (path, { uid, gid }) => {
  lchownSync(path, uid, gid);
  if (lstatSync(path).isDirectory()) for (const name of readdirSync(path)) give(join(path, name), { uid, gid });
};

/** Whether somebody reads the product where it lies and writes into its folder. */
const reaches = ({ uid, gid }, folder) =>
  spawnSync(
    process.execPath,
    [
      '-e',
      'const { accessSync, constants } = require("node:fs"); for (const p of process.argv.slice(1, -1)) accessSync(p, constants.R_OK); accessSync(process.argv.at(-1), constants.W_OK | constants.X_OK);',
      join(root, 'server/dist/main.js'),
      join(root, 'node_modules'),
      join(root, 'demo/footage/demo.json'),
      folder,
    ],
    { uid, gid, cwd: '/', stdio: 'ignore' },
  ).status === 0;

/**
 * The user that everything is to run as, with the folder given to it; undefined where this is not root, or where it cannot be done, which is said.
 */
export const ownUser = (folder) => {
  if (process.getuid?.() !== 0) return undefined;
  const asRoot = (why) => {
    note(`It runs as root: ${why}.`);
    return undefined;
  };
  if (idOf('-u') === undefined)
    spawnSync('useradd', [
      '--system',
      '--no-create-home',
      '--home-dir',
      '/nonexistent',
      '--shell',
      '/usr/sbin/nologin',
      NAME,
    ]);
  const [uid, gid] = [idOf('-u'), idOf('-g')];
  if (uid === undefined || gid === undefined) return asRoot(`a user "${NAME}" of its own could not be made`);
  const own = { name: NAME, uid, gid };
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const before = statSync(folder);
  chownSync(folder, uid, gid);
  if (!reaches(own, folder)) {
    chownSync(folder, before.uid, before.gid);
    return asRoot(`the user "${NAME}" cannot read ${root} or write ${folder}`);
  }
  // once: what it makes from then on is its own
  if (before.uid !== uid) give(folder, own);
  // what root has put in line since, a seeded library
  else if (existsSync(join(folder, 'waiting'))) give(join(folder, 'waiting'), own);
  return own;
};

/** Gives single files to the user, where there is one. */
export const giveTo = (own, ...paths) => {
  if (own) for (const path of paths) if (existsSync(path)) chownSync(path, own.uid, own.gid);
};
