import { request } from '@playwright/test';
import { rmSync } from 'node:fs';
import { setTimeout as pause } from 'node:timers/promises';
import { COACH } from './accounts.js';
import { Running, TEMPLATE } from './running.js';

const PATIENCE_MS = 300_000;
type UnderWay = { readonly jobs: readonly { readonly state: string; readonly why: string | null }[] };

/** Before all journeys: one first start, waited for until everything is made of the demo's files. Journeys start on copies of its folder. */
export default async (): Promise<() => void> => {
  const running = await Running.fromNothing();
  const client = await request.newContext();
  await client.post(`${running.url}/api/sign-in`, { data: COACH });
  for (const end = Date.now() + PATIENCE_MS; ; await pause(200)) {
    const { jobs } = (await (await client.get(`${running.url}/api/under-way`)).json()) as UnderWay;
    const failed = jobs.find((j) => j.state === 'failed');
    if (failed) throw new Error(`a job of the demo failed: ${failed.why}`);
    if (jobs.length && jobs.every((j) => j.state === 'done')) break;
    if (Date.now() > end) throw new Error('the demo was not made ready in time');
  }
  await client.dispose();
  if (running.crashes().length) throw new Error(running.crashes().join('\n'));
  await running.down();
  process.env[TEMPLATE] = running.folder;
  return () => rmSync(running.folder, { recursive: true, force: true });
};
