// A throw-away MariaDB for the server's tests; each test file makes a database of its own on it.
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startDatabase } from './database.mjs';

export default async () => {
  const folder = mkdtempSync(join(tmpdir(), 'odograph-test-'));
  const { stop, socket, user, password } = await startDatabase(folder, { throwAway: true });
  process.env.ODOGRAPH_TEST_DATABASE = JSON.stringify({ socket, user, password });
  globalThis.odographTestDatabase = { folder, stop };
};
