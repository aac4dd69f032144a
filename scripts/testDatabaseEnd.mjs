import { rmSync } from 'node:fs';

export default async () => {
  const { folder, stop } = globalThis.odographTestDatabase;
  await stop();
  rmSync(folder, { recursive: true, force: true });
};
